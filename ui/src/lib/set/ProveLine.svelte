<!-- Prove the line: choose how, say what was measured and how often. What was read on it is judged again. -->
<script lang="ts">
  import { formOf } from '$lib/base/form'
  import type { Shapes } from '$lib/data/client'
  import { untrack } from 'svelte'
  import { hundredths } from '$lib/base/number'
  import Choice from '$lib/base/Choice.svelte'
  import { Draft } from '$lib/base/draft.svelte'
  import LengthEntry from '$lib/base/LengthEntry.svelte'
  import Sheet from '$lib/base/Sheet.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { createAsk, createWrite } from '$lib/data/write.svelte'
  import { waysQuery } from './queries.svelte'
  import RollBothWays from './RollBothWays.svelte'
  import { provePlan } from './writes'

  formOf('small')

  interface Props {
    open: boolean
    lessonId: string
    putt: { distance_m: number; green_speed_ft: number }
    /** Gives the plan whose line is proved; keeps it first where it is not kept so yet. */
    station: () => Promise<string>
    /** The slope that the balls told, before the line is proved by them: for a plan that can still be changed. */
    slope?: (it: Shapes['Slope']) => void
  }
  let { open = $bindable(), lessonId, putt, station, slope }: Props = $props()

  type Way = Exclude<Shapes['ProofIn']['way'], 'none'>
  const ways = waysQuery()
  const offered = $derived(
    (ways.data ?? []).filter((it) => it.way !== 'none').map((it) => ({ value: it.way as Way, words: it.name }))
  )
  let way = $state<Way>('rolled')
  const chosen = $derived(ways.data?.find((it) => it.way === way))

  interface Row {
    at_m: number | null
    beside_m: number | null
  }
  const empty = (): Row => ({ at_m: null, beside_m: null })
  const begun = new Draft<Row[]>('measured', () => [empty(), empty()])
  const rows = $derived(begun.value)
  $effect(() => {
    if (!open) return
    untrack(() => {
      if (rows.some((it) => it.beside_m !== null)) return
      // A line is looked at where it ends, and once on the way: what is so as a rule need not be typed.
      begun.value = [putt.distance_m, hundredths(putt.distance_m / 2)].map((at_m) => ({ at_m, beside_m: null }))
    })
  })
  const measured = $derived(rows.filter((it): it is Shapes['MeasuredIn'] => it.at_m !== null && it.beside_m !== null))
  const fewest = $derived(chosen?.fewest ?? 2)

  const proving = createWrite(
    ({ id, body }: { id: string; body: Shapes['ProofIn'] }) => provePlan(lessonId, id, body),
    () => {
      open = false
      begun.clear()
    }
  )
  const laying = createAsk(
    async (body: Shapes['ProofIn']) => ({ id: await station(), body }),
    (it) => proving.mutate(it)
  )
  const error = $derived(laying.error ?? proving.error)
  const busy = $derived(laying.isPending || proving.isPending)
  const prove = (found: Partial<Shapes['ProofIn']>) =>
    laying.mutate({ way, measured: [], rolls: [], raws: null, known_deg: 0, ...found })
</script>

<Sheet bind:open title="Prove the line" wide>
  <Choice label="A second way, of its own" options={offered} bind:value={way} />
  {#if chosen}<p class="my-3">{chosen.how}</p>{/if}
  {#if way === 'rolled'}
    <RollBothWays
      {...putt}
      {busy}
      words={slope ? 'Use this slope: the ground is proved' : 'The ground is proved by these balls'}
      use={(found, rolls) => {
        slope?.(found)
        prove({ rolls })
      }}
    />
  {:else}
    <ol class="grid gap-3" aria-label="Measurements">
      {#each rows as it, n (n)}
        <li class="grid grid-cols-[1fr_1fr_auto] items-start gap-2 border-b border-hairline pb-2">
          <LengthEntry of="measured_at" value={it.at_m} from={putt.distance_m} onvalue={(m) => (it.at_m = m)} />
          <div>
            <LengthEntry of="found_beside" value={it.beside_m} onvalue={(m) => (it.beside_m = m)} />
            <button class="button plain min-h-9 px-1 text-sm" type="button" onclick={() => (it.beside_m = 0)}
              >On it, as far as can be seen</button
            >
          </div>
          <button
            class="button plain mt-[22px]"
            type="button"
            aria-label="Take out measurement {n + 1}"
            onclick={() => rows.splice(n, 1)}>✕</button
          >
        </li>
      {/each}
    </ol>
    <button class="button mt-3" type="button" onclick={() => rows.push({ ...empty(), at_m: rows.at(-1)?.at_m ?? null })}
      >Measure once more</button
    >
    <button
      class="button primary mt-3 min-h-14 w-full text-lg"
      type="button"
      disabled={busy || measured.length < Math.max(fewest, rows.length)}
      onclick={() => prove({ measured: $state.snapshot(measured) })}
    >
      {measured.length < fewest ? `Measured ${measured.length} of ${fewest}` : 'The line is proved by these'}
    </button>
  {/if}
  {#if error}<div class="mt-3"><Trouble {error} /></div>{/if}
</Sheet>

<!-- Balls rolled out to the hole and back: they tell the slope under the line, and are the proof of it. -->
<script lang="ts">
  import { formOf } from '$lib/base/form'
  import { about, refusal, type Shapes } from '$lib/data/client'
  import { Draft } from '$lib/base/draft.svelte'
  import LengthEntry from '$lib/base/LengthEntry.svelte'
  import { rollsQuery } from './queries.svelte'

  formOf('small')

  interface Props {
    green_speed_ft: number
    /** The putt's length, from which a roll's own is stepped. */
    distance_m: number
    /** What the balls told, with the rolls that told it; shown on the button as what will be done. */
    words: string
    use: (slope: Shapes['Slope'], rolls: Shapes['RollIn'][]) => void
    busy?: boolean
  }
  let { green_speed_ft, distance_m, words, use, busy = false }: Props = $props()

  interface Roll {
    way: 'out' | 'back'
    length_m: number | null
    drift_m: number | null
  }
  const another = (way: Roll['way']): Roll => ({ way, length_m: null, drift_m: null })
  const begun = new Draft<Roll[]>('rolls', () => [another('out'), another('back')])
  const rolls = $derived(begun.value)
  const told = $derived(rolls.filter((it): it is Shapes['RollIn'] => it.length_m !== null && it.drift_m !== null))
  const whole = $derived(
    told.length === rolls.length && ['out', 'back'].every((way) => told.some((it) => it.way === way))
  )
  const found = rollsQuery(
    () => $state.snapshot(told),
    () => green_speed_ft,
    () => whole
  )
  const missing = $derived(rolls.find((it) => it.length_m === null || it.drift_m === null))
</script>

<ol class="grid gap-3" aria-label="Test rolls">
  {#each rolls as it, n (n)}
    <li class="grid grid-cols-[84px_1fr_1fr_auto] items-start gap-2 border-b border-hairline pb-2" data-roll={it.way}>
      <span class="mt-8 font-semibold">{it.way === 'out' ? 'Out ▸' : '◂ Back'}</span>
      <LengthEntry
        of="rolled_m"
        value={it.length_m}
        from={distance_m}
        error={about(found.error, 'length_m')}
        onvalue={(m) => (it.length_m = m)}
      />
      <div>
        <LengthEntry of="drifted_m" value={it.drift_m} onvalue={(m) => (it.drift_m = m)} />
        <button class="button plain min-h-9 px-1 text-sm" type="button" onclick={() => (it.drift_m = 0)}
          >On the line</button
        >
      </div>
      <button
        class="button plain mt-[22px]"
        type="button"
        aria-label="Take out roll {n + 1}"
        onclick={() => rolls.splice(n, 1)}>✕</button
      >
    </li>
  {/each}
</ol>
<div class="mt-3 flex gap-2">
  <button class="button" type="button" onclick={() => rolls.push(another('out'))}>One more out</button>
  <button class="button" type="button" onclick={() => rolls.push(another('back'))}>One more back</button>
</div>
<p class="mt-4 text-lg font-semibold" aria-live="polite" data-slope>
  {#if whole}{found.error ? refusal(found.error).message : (found.data?.words ?? '')}
  {:else if missing}{missing.way === 'out' ? 'Out to the hole' : 'Back from the hole'}: how far did the ball run, and
    where did it stop beside the line?
  {:else}Roll at least one ball each way.{/if}
</p>
<button
  class="button primary mt-3 min-h-14 w-full text-lg"
  type="button"
  disabled={busy || !whole || !found.data}
  onclick={() => {
    if (!found.data) return
    use(found.data.slope, $state.snapshot(told))
    begun.clear()
  }}
>
  {words}
</button>

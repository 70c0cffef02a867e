<!-- Is the instrument itself true? Turned over, sighted along, taped, or held where the answer is known; what it is off by is put right. -->
<script lang="ts">
  import { formOf } from '$lib/base/form'
  import Sheet from '$lib/base/Sheet.svelte'
  import { Draft } from '$lib/base/draft.svelte'
  import LengthEntry from '$lib/base/LengthEntry.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { stamp } from '$lib/data/clock'
  import type { Shapes } from '$lib/data/client'
  import { tryQuery } from '$lib/data/queries.svelte'
  import { createWrite, firstError } from '$lib/data/write.svelte'
  import type { Zone } from '$lib/drawing/zones'
  import { ENTRIES } from '$lib/instruments'
  import { toolsQuery } from './queries.svelte'
  import { keepToolCheck, voidToolCheck } from './writes'

  formOf('small')

  interface Props {
    lessonId: string
    /** The instrument, and how it is laid. */
    kind: string
    sizes?: Record<string, number>
    /** What it is called where that is not its own name: any rod is checked as one. */
    name?: string
  }
  let { lessonId, kind, sizes = {}, name }: Props = $props()

  const tools = toolsQuery(() => lessonId)
  const it = $derived(tools.data?.find((one) => one.kind === kind))
  let open = $state(false)

  /** What is read each time, by the names of the sizes asked; on a picture the zones tapped instead. */
  type Row = Record<string, number | null>
  const onPicture = $derived(it?.way === 'square')
  const row = (): Row => Object.fromEntries((it?.sizes ?? []).map((name) => [name, null]))
  // Each tool has a component of its own.
  // svelte-ignore state_referenced_locally
  const begun = new Draft<Row[]>(`tool ${kind}`, () => [])
  const rows = $derived(begun.value)
  let read = $state<Zone[]>([])
  function begin(): void {
    if (!begun.begun) begun.value = [row(), row()]
    read = []
    keeping.reset()
    open = true
  }
  /** The same distance is taped once. */
  const again = (): Row => ({
    ...row(),
    ...(OVER.has(it?.sizes[0] ?? '') && { [it!.sizes[0]!]: rows.at(-1)?.[it!.sizes[0]!] ?? null })
  })
  const OVER = new Set(['checked_over', 'checked_to_end', 'checked_bar'])
  const full = $derived(rows.filter((one) => Object.values(one).every((value) => value !== null)))
  const picture = tryQuery(
    () => (open && onPicture ? kind : null),
    () => sizes
  )
  const Entry = $derived(picture.data ? ENTRIES[picture.data.entry] : undefined)
  const told = $derived(onPicture ? read.length : full.length)
  const asked = $derived(onPicture ? read.length : rows.length)

  /** Each row as its way names what it asks, in the order in which it asks. */
  function named<T>(...names: string[]): T[] {
    return full.map((one) => Object.fromEntries(names.map((name, n) => [name, one[it?.sizes[n] ?? '']]))) as T[]
  }
  const WAYS: Record<string, () => Partial<Shapes['ToolCheckIn']>> = {
    square: () => ({ raws: read.map((zone) => zone.raw) }),
    end_for_end: () => ({
      marks: named<Shapes['EndForEndIn']>('inside_m', 'behind_m', 'inside_turned_m', 'behind_turned_m')
    }),
    centred: () => ({ gaps: named<Shapes['GapsIn']>('near_m', 'far_m') })
  }
  const turns = () => ({ turns: named<Shapes['TurnIn']>('over_m', 'moved_m') })

  const keeping = createWrite(
    () =>
      keepToolCheck({
        lesson_id: lessonId,
        kind,
        sizes,
        taken_at: stamp(),
        ...(WAYS[it?.way ?? ''] ?? turns)()
      }),
    () => {
      open = false
      begun.clear()
    }
  )
  const dropping = createWrite((id: string) => voidToolCheck(lessonId, id))
  const error = $derived(firstError([keeping, dropping]))
</script>

{#if it}
  <div class="flex flex-wrap items-center gap-x-3 gap-y-1" data-tool={kind}>
    <p class="min-w-56 flex-1"><strong>{name ?? it.name}:</strong> {it.words}</p>
    <button class="button" type="button" onclick={begin}>{it.check_id ? 'Check it again…' : 'Is it true?…'}</button>
    {#if it.check_id}<button
        class="button plain text-sm"
        type="button"
        onclick={() => dropping.mutate(it.check_id ?? '')}>Drop the check</button
      >{/if}
  </div>
  {#if error && !open}<Trouble {error} />{/if}
  <Sheet bind:open title="{name ?? it.name}: is it true by itself?" wide>
    <p class="mb-3">{it.how}</p>
    {#if it.way === 'square'}
      <div class="relative my-2 h-72">
        {#if Entry && picture.data}<div class="absolute inset-0">
            <Entry entry={picture.data} closed={false} record={(zone) => read.push(zone)} />
          </div>{/if}
      </div>
      <ol class="flex flex-wrap gap-2" aria-label="Check readings">
        {#each read as zone, n (n)}
          <li>
            <button
              class="button"
              type="button"
              aria-label="Take out reading {n + 1}, {zone.name}"
              onclick={() => read.splice(n, 1)}>{zone.name} ✕</button
            >
          </li>
        {/each}
      </ol>
    {:else}
      <ol class="grid gap-3" aria-label={it.way_words}>
        {#each rows as one, n (n)}
          <li
            class="grid min-[440px]:grid-cols-2 items-start gap-2 border-b border-hairline pb-2 {it.sizes.length > 2
              ? 'md:grid-cols-4'
              : ''}"
          >
            {#each it.sizes as name (name)}
              <LengthEntry of={name} value={one[name] ?? null} onvalue={(m) => (one[name] = m)} />
            {/each}
          </li>
        {/each}
      </ol>
      <button class="button mt-3" type="button" onclick={() => rows.push(again())}>Once more</button>
    {/if}
    {#if error}<div class="mt-2"><Trouble {error} /></div>{/if}
    <button
      class="button primary mt-3 min-h-14 w-full text-lg"
      type="button"
      disabled={told < Math.max(it.fewest, asked) || keeping.isPending}
      onclick={() => keeping.mutate(undefined)}
    >
      {told < it.fewest ? `Read ${told} of ${it.fewest}` : 'Judge by this check'}
    </button>
  </Sheet>
{/if}

<!-- Is the instrument itself true? Turned over, sighted along, or held where the answer is known; what it is off by is put right. -->
<script lang="ts">
  import Sheet from '$lib/base/Sheet.svelte'
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

  type Turn = { moved_m: number | null; over_m: number | null }
  type Marks = {
    inside_m: number | null
    behind_m: number | null
    inside_turned_m: number | null
    behind_turned_m: number | null
  }
  const turn = (): Turn => ({ moved_m: null, over_m: null })
  const mark = (): Marks => ({ inside_m: null, behind_m: null, inside_turned_m: null, behind_turned_m: null })
  let turns = $state<Turn[]>([])
  let marks = $state<Marks[]>([])
  let read = $state<Zone[]>([])
  function begin(): void {
    turns = [turn(), turn()]
    marks = [mark(), mark()]
    read = []
    keeping.reset()
    open = true
  }
  const full = <T extends object>(rows: T[]) =>
    rows.filter((row) => Object.values(row).every((value) => value !== null))
  const picture = tryQuery(
    () => (open && it?.way === 'square' ? kind : null),
    () => sizes
  )
  const Entry = $derived(picture.data ? ENTRIES[picture.data.entry] : undefined)
  const rows = $derived(
    it?.way === 'square' ? read.length : it?.way === 'end_for_end' ? full(marks).length : full(turns).length
  )
  const asked = $derived(it?.way === 'end_for_end' ? marks.length : it?.way === 'square' ? read.length : turns.length)

  const keeping = createWrite(
    () =>
      keepToolCheck({
        lesson_id: lessonId,
        kind,
        sizes,
        taken_at: stamp(),
        raws: read.map((zone) => zone.raw),
        turns: it?.way === 'turned' || it?.way === 'sighted' ? (full(turns) as Shapes['TurnIn'][]) : [],
        marks: it?.way === 'end_for_end' ? (full(marks) as Shapes['EndForEndIn'][]) : []
      }),
    () => (open = false)
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
    {:else if it.way === 'end_for_end'}
      <ol class="grid gap-3" aria-label="Marks both ways round">
        {#each marks as row, n (n)}
          <li class="grid grid-cols-2 items-start gap-2 border-b border-hairline pb-2 md:grid-cols-4">
            <LengthEntry of="marked_inside" value={row.inside_m} onvalue={(m) => (row.inside_m = m)} />
            <LengthEntry of="marked_behind" value={row.behind_m} onvalue={(m) => (row.behind_m = m)} />
            <LengthEntry
              of="marked_inside_turned"
              value={row.inside_turned_m}
              onvalue={(m) => (row.inside_turned_m = m)}
            />
            <LengthEntry
              of="marked_behind_turned"
              value={row.behind_turned_m}
              onvalue={(m) => (row.behind_turned_m = m)}
            />
          </li>
        {/each}
      </ol>
    {:else}
      <ol class="grid gap-3" aria-label={it.way_words}>
        {#each turns as row, n (n)}
          <li class="grid grid-cols-2 items-start gap-2 border-b border-hairline pb-2">
            <LengthEntry of="checked_over" value={row.over_m} onvalue={(m) => (row.over_m = m)} />
            <LengthEntry of="moved_m" value={row.moved_m} onvalue={(m) => (row.moved_m = m)} />
          </li>
        {/each}
      </ol>
    {/if}
    {#if it.way === 'end_for_end'}<button class="button mt-3" type="button" onclick={() => marks.push(mark())}
        >Once more</button
      >
    {:else if it.way !== 'square'}<button
        class="button mt-3"
        type="button"
        onclick={() => turns.push({ ...turn(), over_m: turns.at(-1)?.over_m ?? null })}>Once more</button
      >{/if}
    {#if error}<div class="mt-2"><Trouble {error} /></div>{/if}
    <button
      class="button primary mt-3 min-h-14 w-full text-lg"
      type="button"
      disabled={rows < Math.max(it.fewest, asked) || keeping.isPending}
      onclick={() => keeping.mutate(undefined)}
    >
      {rows < it.fewest ? `Read ${rows} of ${it.fewest}` : 'Judge by this check'}
    </button>
  </Sheet>
{/if}

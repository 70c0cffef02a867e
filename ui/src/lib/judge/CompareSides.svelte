<!-- This lesson, or a block of it, set beside another of the golfer: one sentence, the fans over each other, every link in pairs. -->
<script lang="ts">
  import type { Shapes } from '$lib/data/client'
  import { day, moment } from '$lib/base/dates'
  import Trouble from '$lib/base/Trouble.svelte'
  import { golferLessonsQuery } from '$lib/golfer/queries.svelte'
  import { sidesQuery } from './queries.svelte'
  import SidesBeside from './SidesBeside.svelte'

  let { id, sheet }: { id: string; sheet: Shapes['LessonSheetOut'] } = $props()

  const lessons = golferLessonsQuery(() => sheet.golfer.id)
  const rows = $derived(lessons.data?.pages.flatMap((it) => it.items) ?? [])
  const earlier = $derived(rows.filter((it) => it.lesson.started_at < sheet.lesson.started_at))
  let chosen = $state<string | null>(null)
  const other = $derived(chosen ?? earlier[0]?.lesson.id ?? (sheet.blocks.length > 1 ? id : undefined))
  const beside = $derived(rows.find((it) => it.lesson.id === other))
  let ownBlock = $state('')
  let otherBlock = $state('')
  // Within one lesson blocks are compared: the first with the last, until others are chosen.
  const blocks = $derived({
    second: ownBlock || (other === id ? sheet.blocks.at(-1)?.id : undefined),
    first: otherBlock || (other === id ? sheet.blocks[0]?.id : undefined)
  })
  const blocksBefore = $derived(other === id ? sheet.blocks : (beside?.blocks ?? []))
  /** Blocks of one lesson are told apart by what differs: their name, the rig in view, the length, when. */
  const blockName = (one: Pick<Shapes['BlockOut'], 'condition' | 'guided' | 'station' | 'putts' | 'started_at'>) =>
    `${one.condition || 'as usual'}${one.guided ? ', in view' : ''}, ${one.station.split(' · ')[0]}, ${one.putts} putts, ${moment(one.started_at)}`
  const found = sidesQuery(
    () => other,
    () => id,
    () => blocks
  )
  const it = $derived(found.data)
</script>

<div class="px-6 py-4" data-two-sides>
  {#if !it}<h1 class="sr-only">Before and after</h1>{/if}
  <div class="grid gap-x-6 gap-y-3 sm:grid-cols-2">
    <label
      ><span class="label">Before</span>
      <select
        class="entry"
        aria-label="Before: which lesson"
        value={other}
        onchange={(event) => {
          chosen = event.currentTarget.value
          otherBlock = ''
        }}
      >
        {#each rows as one (one.lesson.id)}<option value={one.lesson.id}
            >{day(one.lesson.started_at)}, {one.lesson.place}{one.lesson.id === id ? ' (this lesson)' : ''}</option
          >{/each}
      </select>
    </label>
    <label
      ><span class="label">Of it</span>
      <select class="entry" aria-label="Before: what of it" bind:value={otherBlock}>
        <option value="">{other === id ? 'its first block' : 'the whole lesson'}</option>
        {#each blocksBefore as one (one.id)}<option value={one.id}>{blockName(one)}</option>{/each}
      </select>
    </label>
    <p class="self-center text-lg font-semibold">After: {day(sheet.lesson.started_at)}, this lesson</p>
    <label
      ><span class="label">Of it</span>
      <select class="entry" aria-label="After: what of it" bind:value={ownBlock}>
        <option value="">{other === id ? 'its last block' : 'the whole lesson'}</option>
        {#each sheet.blocks as one (one.id)}<option value={one.id}>{blockName(one)}</option>{/each}
      </select>
    </label>
  </div>
  {#if lessons.hasNextPage}<button class="button mt-2" onclick={() => lessons.fetchNextPage()}>Earlier lessons</button
    >{/if}
  {#if found.error}<div class="mt-3"><Trouble error={found.error} again={() => found.refetch()} /></div>{/if}
  {#if lessons.data && !other}
    <p class="mt-4 text-lg">Nothing to compare with yet: it takes another lesson of this golfer, or a second block.</p>
  {:else if it}
    <SidesBeside
      {it}
      sides={{ first: other ?? id, second: id, first_block: blocks.first, second_block: blocks.second }}
    />
  {/if}
</div>

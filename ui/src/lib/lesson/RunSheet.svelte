<!-- The run sheet: the steps of a lesson, each with its one-line result. Only steps that work are shown. -->
<script lang="ts">
  import { untrack } from 'svelte'
  import { page } from '$app/state'
  import type { Shapes } from '$lib/data/client'
  import { outbox } from '$lib/data/outbox.svelte'
  import { findingsQuery } from '$lib/judge/queries.svelte'
  import { puttsOf, validOf } from '$lib/start/putts.svelte'

  interface Props {
    id: string
    sheet: Shapes['LessonSheetOut'] | undefined
    block: Shapes['BlockOut'] | undefined
    details: () => void
  }
  let { id, sheet, block, details }: Props = $props()

  // While putts are recorded only what was judged before stands here: nothing is worked out between two of them.
  const recording = $derived(page.url.pathname.endsWith('/start'))
  /** Which block, and how many putts of it, what stands here was judged with. */
  const putted = $derived(block ? `${block.id} ${block.putts}` : '')
  let judgedWith = $state<string | null>(null)
  const found = findingsQuery(
    () => id,
    () => !recording || judgedWith === null
  )
  $effect(() => {
    // Which putts it was judged with is known once the lesson is there: however late that comes.
    if (sheet && found.isSuccess && !found.isFetching && (!recording || untrack(() => judgedWith === null)))
      judgedWith = untrack(() => putted)
  })
  // What was read in another step is judged once it has been quiet for a moment. What a page is asking for already is not
  // asked over again: that would throw away an answer that is nearly here.
  let asked = 0
  $effect(() => {
    const [made, newest] = [found.data?.revision ?? 0, sheet?.revision ?? 0]
    if (recording || found.isFetching || !made || made >= newest || asked >= newest) return
    const later = setTimeout(() => {
      asked = newest
      void found.refetch()
    }, 1500)
    return () => clearTimeout(later)
  })
  /** With what waits on this device. */
  const putts = $derived(block ? validOf(puttsOf(block.id, block.readings)).length : 0)
  const unsent = $derived(outbox.away && outbox.waiting.length > 0)
  const stale = $derived(recording && judgedWith !== null && Boolean(block?.putts) && putted !== judgedWith)
  /** What was tapped a moment ago is not nothing. */
  const coming = $derived(outbox.waiting.length > 0 && found.data?.read.length === 0)
  const judged = $derived(
    unsent
      ? 'Judged anew with the network.'
      : stale
        ? 'Judged anew when it is opened.'
        : coming
          ? 'What was read is coming.'
          : (found.data?.headline ?? '')
  )
  const brief = $derived(sheet?.brief)
  /** Each step with what it came to, and the same in at most twelve characters, where there is no room for more. */
  const steps = $derived([
    {
      name: 'Set',
      at: 'set',
      result: sheet ? (sheet.stations.find((it) => it.current)?.words ?? 'Lay the line first.') : '',
      brief: brief?.set
    },
    { name: 'Stand', at: 'stand', result: sheet?.stand ?? '', brief: brief?.stand },
    { name: 'See', at: 'see', result: sheet?.sight ?? '', brief: brief?.see },
    { name: 'Aim', at: 'aim', result: sheet?.aim ?? '', brief: brief?.aim },
    {
      name: 'Start',
      at: 'start',
      result: block
        ? `${putts} of ${block.planned} putts, ${block.condition || 'as usual'}`
        : sheet
          ? 'No putts yet.'
          : '',
      brief: block ? `${putts} of ${block.planned}` : '–'
    },
    { name: 'Judge', at: 'judge', result: judged, brief: unsent || stale ? 'anew' : found.data?.brief },
    { name: 'Change', at: 'change', result: sheet?.change ?? '', brief: brief?.change }
  ])
</script>

<nav
  class="flex shrink-0 flex-row border-hairline max-desk:border-b max-sm:flex-wrap desk:w-[220px] desk:flex-col desk:border-r"
  aria-label="Run sheet"
>
  {#each steps as step (step.at)}
    {@const here = page.url.pathname.endsWith(`/${step.at}`)}
    <a
      href="/lessons/{id}/{step.at}{step.at === 'judge' ? '' : page.url.search}"
      aria-current={here ? 'step' : undefined}
      class="block min-w-0 border-hairline px-4 py-2 hover:bg-sheet max-desk:flex-1 max-desk:px-1.5 max-sm:flex-[1_0_24%] max-sm:px-1 max-sm:text-center max-desk:border-r desk:border-b desk:py-3 {here
        ? 'bg-sheet shadow-[inset_0_-4px_0_var(--ink)] desk:shadow-[inset_4px_0_0_var(--ink)]'
        : ''}"
    >
      <span class="wide block text-lg max-desk:text-base">{step.name}</span>
      <!-- What is judged comes last of all: it has room before, so that what stands below it does not move. -->
      <span class="block text-sm leading-snug text-faded max-desk:hidden {step.at === 'judge' ? 'min-h-[2lh]' : ''}"
        >{step.result}</span
      >
      <!-- As tall while it is not known yet, so that nothing moves when it is. -->
      <span
        class="block min-h-5 text-[13px] leading-5 tracking-tight whitespace-nowrap text-faded max-sm:text-xs desk:hidden"
        data-brief>{step.brief ?? ''}</span
      >
    </a>
  {/each}
  <div class="flex items-center px-2 max-sm:flex-[1_0_24%] desk:mt-auto desk:block desk:p-3">
    {#if sheet?.lesson.ended_at}<p class="mb-2 hidden text-sm font-semibold desk:block">This lesson has ended.</p>{/if}
    <a
      class="button mb-2 w-full max-desk:border-transparent max-desk:mb-0"
      href="/lessons/{id}/sensors{page.url.search}"
      aria-current={page.url.pathname.endsWith('/sensors') ? 'page' : undefined}>Sensors</a
    >
    <button class="button w-full max-desk:border-transparent" onclick={details}>Lesson</button>
  </div>
</nav>

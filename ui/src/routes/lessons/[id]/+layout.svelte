<!-- A lesson: the run sheet on the left, the step beside it. -->
<script lang="ts">
  import { onMount, type Snippet } from 'svelte'
  import { page } from '$app/state'
  import Unsent from '$lib/away/Unsent.svelte'
  import { runOpen } from '$lib/away/worker'
  import { heard } from '$lib/data/heard.svelte'
  import { liveLesson } from '$lib/data/live.svelte'
  import { outbox } from '$lib/data/outbox.svelte'
  import { catchUp, lessonQuery } from '$lib/data/queries.svelte'
  import { renew } from '$lib/data/cache'
  import { drawFor } from '$lib/data/vocabulary.svelte'
  import { every, key } from '$lib/data/key'
  import Coming from '$lib/base/Coming.svelte'
  import { currentBlock } from '$lib/base/current'
  import LessonDetails from '$lib/lesson/LessonDetails.svelte'
  import { golferPaces } from '$lib/golfer/stride.svelte'
  import { place } from '$lib/base/place.svelte'
  import RunSheet from '$lib/lesson/RunSheet.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { day } from '$lib/base/dates'

  let { children }: { children: Snippet } = $props()
  onMount(runOpen)

  const lesson = lessonQuery(() => page.params.id ?? '')
  const sheet = $derived(lesson.data)
  const block = $derived(currentBlock(sheet, page.url))
  let details = $state(false)
  /** The server has not heard of this lesson yet: what it would say of it there is nobody to say. */
  const unknown = $derived(outbox.waiting.some((it) => it.stands?.of === page.params.id && it.stands?.blank))
  const SAID_BY_SERVER = /\/(judge|change|keep|teaching)$/
  const unsaid = $derived(unknown && SAID_BY_SERVER.test(page.url.pathname))
  $effect.pre(() => drawFor(sheet?.golfer.hand ?? 'right'))
  golferPaces(
    () => sheet?.golfer.id,
    () => sheet?.golfer.step_m ?? null
  )
  catchUp(() => sheet?.blocks.map((it) => it.id) ?? [])
  /** The mark of the newest data, as a new line said it; null once it was looked at. */
  let newest = $state<number | null>(null)

  // What other screens and sensors do is seen here at once; what is tapped here is on screen already.
  const later: Record<string, ReturnType<typeof setTimeout>> = {}
  /** Asked again once what shows the putt itself was: many events at once are asked about once. */
  function soon(what: 'sensors' | 'lesson' | 'comparisons', id: string): void {
    clearTimeout(later[what])
    later[what] = setTimeout(() => void renew(key[what](id)), 500)
  }
  liveLesson(
    () => page.params.id ?? '',
    (event) => {
      const id = page.params.id ?? ''
      const own = outbox.over(event.block_id).some((it) => it.reading?.id === event.reading_id)
      const ours = event.what === 'putt' && own
      if (event.what === 'stroke') heard.add(id, event)
      if ((event.what === 'still' || event.what === 'level') && event.sensor_id && event.sent)
        heard.moment(event.sensor_id, event.sent)
      if (event.what === 'still' || event.what === 'level' || ours) return
      // A line that is new: asked again only if something happened since what stands here was asked.
      if (event.what === 'here') {
        newest = event.revision ?? null
        return
      }
      if (event.what === 'pause') void renew(key.pauses(id))
      if (event.what === 'putt' || event.putt) void renew(every(key.judged))
      if (event.what === 'sensor' || event.what === 'stroke') soon('sensors', id)
      if (event.what === 'putt' || event.putt || event.what === 'block') {
        soon('lesson', id)
        soon('comparisons', id)
      }
    }
  )
  // Compared once the lesson is there: however late its answer comes, it says what it was made from.
  $effect(() => {
    if (!sheet || newest === null) return
    if (sheet.revision < newest)
      for (const what of ['sensors', 'lesson', 'comparisons'] as const) soon(what, sheet.lesson.id)
    newest = null
  })

  $effect(() => {
    if (!sheet) return
    const golfer = { words: sheet.golfer.name, href: `/golfers/${sheet.golfer.id}` }
    place.set([{ words: sheet.lesson.place }, golfer, { words: day(sheet.lesson.started_at) }], sheet.lesson.invented)
  })
</script>

<svelte:head><title>{sheet ? `${sheet.golfer.name}, lesson` : 'Lesson'} · Libella</title></svelte:head>

{#if lesson.error && !sheet}
  <div class="p-6">
    <h1 class="sr-only">The lesson</h1>
    <Trouble error={lesson.error} again={() => lesson.refetch()} />
  </div>
{:else}
  <!-- The frame stands at once; what is asked for comes into it. -->
  <div class="flex h-full min-h-0 flex-col desk:flex-row">
    <RunSheet id={page.params.id ?? ''} {sheet} {block} details={() => (details = true)} />
    <div class="min-h-0 min-w-0 flex-1 overflow-y-auto">
      {#if sheet?.lesson.voided_at}
        <p class="border-b-2 border-danger px-4 py-2 font-semibold">
          This lesson is voided ({sheet.lesson.void_reason}). Restore it under “Lesson”.
        </p>
      {/if}
      {#if outbox.away}<Unsent {unknown} />{/if}
      {#if unsaid}
        <div class="p-6" data-unsaid>
          <h1 class="wide text-2xl">This comes with the network</h1>
          <p class="mt-2 text-lg leading-snug">
            This lesson was begun on this device, and Libella has not heard of it. What was read is kept here; what it
            says, and what to do about it, is weighed as soon as it is sent.
          </p>
        </div>
      {:else if sheet}{@render children()}{:else}<h1 class="sr-only">The lesson</h1>
        <Coming what="The lesson" />{/if}
    </div>
  </div>
  {#if sheet}<LessonDetails
      bind:open={details}
      lesson={sheet.lesson}
      golfer={sheet.golfer}
      setUps={sheet.set_ups}
    />{/if}
{/if}

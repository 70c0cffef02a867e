<!-- A lesson: the run sheet on the left, the step beside it. -->
<script lang="ts">
  import type { Snippet } from 'svelte'
  import { page } from '$app/state'
  import { lessonQuery } from '$lib/api/queries.svelte'
  import { currentBlock } from '$lib/frame/current'
  import LessonDetails from '$lib/frame/LessonDetails.svelte'
  import { place } from '$lib/frame/place.svelte'
  import RunSheet from '$lib/frame/RunSheet.svelte'
  import Trouble from '$lib/frame/Trouble.svelte'
  import { day } from '$lib/settings/dates'

  let { children }: { children: Snippet } = $props()

  const lesson = lessonQuery(() => page.params.id ?? '')
  const sheet = $derived(lesson.data)
  const block = $derived(currentBlock(sheet, page.url))
  let details = $state(false)

  $effect(() => {
    if (!sheet) return
    const golfer = { words: sheet.golfer.name, href: `/golfers/${sheet.golfer.id}` }
    place.set([{ words: sheet.lesson.place }, golfer, { words: day(sheet.lesson.started_at) }], sheet.lesson.invented)
  })
</script>

<svelte:head><title>{sheet ? `${sheet.golfer.name}, lesson` : 'Lesson'} · Libella</title></svelte:head>

{#if lesson.error && !sheet}
  <div class="p-6"><Trouble error={lesson.error} again={() => lesson.refetch()} /></div>
{:else if sheet}
  <div class="flex h-full min-h-0 flex-col desk:flex-row">
    <RunSheet {sheet} {block} details={() => (details = true)} />
    <div class="min-h-0 min-w-0 flex-1 overflow-y-auto">
      {#if sheet.lesson.voided_at}
        <p class="border-b-2 border-danger px-4 py-2 font-semibold">This lesson is voided ({sheet.lesson.void_reason}). Restore it under “Lesson”.</p>
      {/if}
      {@render children()}
    </div>
  </div>
  <LessonDetails bind:open={details} lesson={sheet.lesson} />
{/if}

<!-- Judge: the whole lesson first; one block of it where one is asked for. -->
<script lang="ts">
  import { page } from '$app/state'
  import { currentBlock } from '$lib/base/current'
  import Coming from '$lib/base/Coming.svelte'
  import { lessonQuery } from '$lib/data/queries.svelte'
  import BlockJudged from '$lib/judge/BlockJudged.svelte'
  import CompareSides from '$lib/judge/CompareSides.svelte'
  import WholeLesson from '$lib/judge/WholeLesson.svelte'

  const id = $derived(page.params.id ?? '')
  const lesson = lessonQuery(() => id)
  const sheet = $derived(lesson.data)
  const block = $derived(currentBlock(sheet, page.url))
  const one = $derived(page.url.searchParams.has('block') && block !== undefined)
  const beside = $derived(page.url.searchParams.has('beside'))
  const tabs = $derived([
    { words: 'The lesson', href: `/lessons/${id}/judge`, here: !one && !beside },
    ...(block ? [{ words: 'One block', href: `/lessons/${id}/judge?block=${block.id}`, here: one && !beside }] : []),
    { words: 'Before and after', href: `/lessons/${id}/judge?beside=1`, here: beside }
  ])
</script>

{#if sheet}
  <div class="flex min-h-full flex-col desk:h-full desk:min-h-0">
    <nav class="flex shrink-0 border-b border-hairline" aria-label="What is judged">
      {#each tabs as it (it.words)}
        <a
          href={it.href}
          aria-current={it.here ? 'page' : undefined}
          class="min-h-12 px-5 py-3 font-semibold hover:bg-sheet max-sm:px-3 {it.here
            ? 'shadow-[inset_0_-4px_0_var(--ink)]'
            : 'text-faded'}">{it.words}</a
        >
      {/each}
    </nav>
    <div class="min-h-0 flex-1 overflow-y-auto">
      {#if beside}<CompareSides {id} {sheet} />{:else if one && block}<BlockJudged
          {id}
          {sheet}
          blockId={block.id}
        />{:else}<WholeLesson {id} {sheet} />{/if}
    </div>
  </div>
{:else}
  <Coming page what="The judgement" />
{/if}

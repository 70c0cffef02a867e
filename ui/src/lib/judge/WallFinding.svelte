<!--
  For the golfer's screen or the wall: what the lesson comes to, one picture and one sentence. `alone`: there is no lesson to go back to.
-->
<script lang="ts">
  import Demo from '$lib/base/Demo.svelte'
  import Stage from '$lib/drawing/Stage.svelte'
  import { renew } from '$lib/data/cache'
  import { key } from '$lib/data/key'
  import { liveLesson } from '$lib/data/live.svelte'
  import { shownQuery } from './queries.svelte'

  let { id, alone = false }: { id: string; alone?: boolean } = $props()
  // What is read meanwhile is judged here too, once it has been quiet for a moment.
  let later: ReturnType<typeof setTimeout> | undefined
  liveLesson(
    () => id,
    () => {
      clearTimeout(later)
      later = setTimeout(() => void renew(key.shown(id)), 1500)
    }
  )
  const found = shownQuery(() => id)
  const it = $derived(found.data)
</script>

<div
  class="fixed inset-0 z-40 flex flex-col justify-center gap-[4vh] bg-paper p-[4vw] pt-16"
  data-wall
  aria-live="polite"
>
  {#if !it}
    <p class="text-center text-3xl">Waiting for the coach’s screen…</p>
  {:else}
    <h1 class="wide text-center text-[clamp(1.8rem,5vw,4.5rem)] leading-tight" data-headline>{it.for_golfer}</h1>
    {#if it.picture}<div class="relative min-h-0 flex-1">
        <Stage grows scene={it.picture} label={it.headline} />
      </div>
      <p class="text-center text-[clamp(1rem,1.6vw,1.6rem)] text-faded">{it.picture_words}</p>{/if}
  {/if}
  {#if it?.invented}<p class="absolute top-4 left-4"><Demo /></p>{/if}
  {#if !alone}<a class="button plain absolute top-2 right-2" href="/lessons/{id}/judge" aria-label="Back to the lesson"
      >✕</a
    >{/if}
</div>

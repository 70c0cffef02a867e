<!--
  For the golfer or a wall: the last putt large, the vial, nothing else. A putt shows here when it
  is kept, and where the felt call is asked it is kept after the call: nobody calls what was just read.
-->
<script lang="ts">
  import Demo from '$lib/base/Demo.svelte'
  import { renew } from '$lib/data/cache'
  import { key } from '$lib/data/key'
  import { liveLesson } from '$lib/data/live.svelte'
  import { wallQuery } from './queries.svelte'
  import Vial from '$lib/drawing/Vial.svelte'

  let { id }: { id: string } = $props()
  const wall = wallQuery(() => id)
  liveLesson(
    () => id,
    (event) => {
      if (event.what === 'putt' || event.what === 'block' || event.what === 'here' || event.putt)
        void renew(key.wall(id))
    }
  )
  const block = $derived(wall.data?.block)
  const last = $derived(wall.data?.last)
</script>

<div class="fixed inset-0 z-40 flex flex-col justify-center gap-10 bg-paper p-[5vw] pt-16" data-wall aria-live="polite">
  {#if !wall.data}
    <p class="text-center text-3xl">Waiting for the coach’s screen…</p>
  {:else if block && last}
    <p class="text-center text-2xl text-faded">Putt {block.putts} of {block.planned}</p>
    <p
      class="wide text-center text-[clamp(2.5rem,9vw,8rem)] leading-tight"
      style:color={last.side === 'left' ? 'var(--left)' : last.side === 'right' ? 'var(--right)' : undefined}
    >
      {last.side === 'left' ? '◂ ' : ''}{last.words}{last.side === 'right' ? ' ▸' : ''}
    </p>
    {#if last.ended}<p class="text-center text-[clamp(1.75rem,5vw,4.5rem)] leading-tight">{last.ended}</p>{/if}
    {#if wall.data.watched}<Vial vial={block.vial} words={block.headline} size="large" />{/if}
  {:else}
    <p class="text-center text-3xl text-faded">No putts yet.</p>
  {/if}
  {#if wall.data?.invented}<p class="absolute top-4 left-4"><Demo /></p>{/if}
</div>

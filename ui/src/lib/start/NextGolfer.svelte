<!-- Who putts next where the station stands: one tap begins the same block in a lesson of theirs. -->
<script lang="ts">
  import { goto } from '$app/navigation'
  import { stamp } from '$lib/data/clock'
  import { createWrite } from '$lib/data/write.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { seenLastQuery } from '$lib/golfer/queries.svelte'
  import { startNext } from './writes'

  let { blockId, golferId }: { blockId: string; golferId: string } = $props()

  let search = $state('')
  const golfers = seenLastQuery(() => search)
  const others = $derived((golfers.data ?? []).filter((it) => it.id !== golferId))
  const starting = createWrite(
    (golfer_id: string) => startNext({ from_block_id: blockId, golfer_id, started_at: stamp() }),
    (block) => void goto(`/lessons/${block.lesson_id}/start?block=${block.id}`)
  )
</script>

<p class="mb-2">The line, the rig and the plan stay as they are, with their proof. The last seen stand first.</p>
<div class="grid gap-2" role="group" aria-label="Who putts next">
  {#each others.slice(0, 8) as it (it.id)}
    <button
      class="button min-h-14 justify-start text-lg"
      disabled={starting.isPending}
      onclick={() => starting.mutate(it.id)}>{it.name}</button
    >
  {/each}
</div>
<label class="mt-3 block"
  ><span class="label">Another golfer</span><input
    class="entry"
    bind:value={search}
    maxlength="80"
    placeholder="part of the name"
  /></label
>
{#if golfers.data && !others.length}<p class="mt-2 text-faded">
    Nobody else of that name. New golfers are added under “Golfers”.
  </p>{/if}
{#if starting.error}<Trouble error={starting.error} />{/if}

<!-- Who putts next where the station stands: one tap begins the same block in a lesson of theirs. -->
<script lang="ts">
  import { goto } from '$app/navigation'
  import { stamp } from '$lib/data/clock'
  import { v7 } from 'uuid'
  import { choices } from '$lib/data/vocabulary.svelte'
  import { createWrite, firstError } from '$lib/data/write.svelte'
  import { Draft } from '$lib/base/draft.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { seenLastQuery } from '$lib/golfer/queries.svelte'
  import { NOBODY } from '$lib/golfer/noted'
  import { noteGolfer } from '$lib/golfer/writes'
  import { startNext } from './writes'

  let { blockId, golferId }: { blockId: string; golferId: string } = $props()

  const typed = new Draft('next golfer', () => '')
  const search = $derived(typed.value)
  const golfers = seenLastQuery(() => search)
  const others = $derived((golfers.data ?? []).filter((it) => it.id !== golferId))
  const starting = createWrite(
    (golfer_id: string) => startNext({ from_block_id: blockId, golfer_id, started_at: stamp() }),
    (block) => {
      typed.clear()
      void goto(`/lessons/${block.lesson_id}/start?block=${block.id}`)
    }
  )
  /** Somebody new: the name typed, and the hand tapped; whatever else is noted of a golfer comes later. */
  const adding = createWrite(
    ({ id, hand }: { id: string; hand: 'right' | 'left' }) =>
      noteGolfer(id, { ...NOBODY(), name: search.trim(), hand }),
    (golfer) => starting.mutate(golfer.id)
  )
  const HANDS = choices<'right' | 'left'>('hand')
  // From the first tap on, till it is refused.
  const busy = $derived(
    starting.isPending || starting.isSuccess || adding.isPending || (adding.isSuccess && !starting.error)
  )
</script>

<p class="mb-2">The line, the rig and the plan stay as they are, with their proof. The last seen stand first.</p>
<div class="grid gap-2" role="group" aria-label="Who putts next">
  {#each others.slice(0, 8) as it (it.id)}
    <button class="button min-h-14 justify-start text-lg" disabled={busy} onclick={() => starting.mutate(it.id)}
      >{it.name}</button
    >
  {/each}
</div>
<label class="mt-3 block"
  ><span class="label">Another golfer</span><input
    class="entry"
    bind:value={typed.value}
    maxlength="80"
    placeholder="part of the name"
  /></label
>
{#if search.trim() && golfers.data && !golfers.data.some((it) => it.name.toLowerCase() === search.trim().toLowerCase())}
  <div class="mt-2 grid gap-2" role="group" aria-label="New: {search.trim()}">
    <p class="label">New: {search.trim()}</p>
    {#each HANDS as it (it.value)}
      <button
        class="button min-h-14 justify-start text-lg"
        disabled={busy}
        onclick={() => adding.mutate({ id: v7(), hand: it.value })}>{it.words}, and putts next</button
      >
    {/each}
  </div>
{/if}
{#if firstError([adding, starting])}<Trouble error={firstError([adding, starting])!} />{/if}

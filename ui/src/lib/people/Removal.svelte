<!-- Everything of a golfer deleted for good, once the name was written: for the owner. -->
<script lang="ts">
  import { goto } from '$app/navigation'
  import Trouble from '$lib/base/Trouble.svelte'
  import { beginAnew } from '$lib/data/cache'
  import { createAsk } from '$lib/data/write.svelte'
  import { deleteGolfer, removalsQuery } from './removals'

  let { golfer }: { golfer: { id: string; name: string } } = $props()
  let open = $state(false)
  let name = $state('')
  const removals = removalsQuery(() => open)
  const deleting = createAsk(
    () => deleteGolfer(golfer.id, name),
    async () => {
      await goto('/', { replaceState: true })
      await beginAnew()
    }
  )
</script>

<section class="mt-8" data-removal>
  <button class="button min-h-11" aria-expanded={open} onclick={() => (open = !open)}
    >Delete everything of {golfer.name}…</button
  >
  {#if open}
    <form
      class="mt-2 max-w-prose border-l-4 border-danger pl-4"
      onsubmit={(event) => {
        event.preventDefault()
        deleting.mutate(undefined)
      }}
    >
      <p class="text-lg leading-snug">
        Lessons, putts, looks, photographs, cards, plans, files and what was agreed go for good. Nobody can bring them
        back; take <a class="underline" href="/archive?golfer={golfer.id}">everything out as one file</a> first, if
        {golfer.name} wants it.
      </p>
      {#if removals.data}<p class="mt-2 leading-snug" data-backups>{removals.data.backups}</p>{/if}
      <label class="mt-3 block"
        ><span class="label">Write the name, so that nobody goes by a slip</span>
        <input class="entry text-lg" bind:value={name} maxlength="120" autocomplete="off" required /></label
      >
      {#if deleting.error}<Trouble error={deleting.error} />{/if}
      <button
        class="button mt-3 min-h-14 border-danger px-6 text-lg text-danger"
        disabled={!name.trim() || deleting.isPending}>{deleting.isPending ? 'Deleting…' : 'Delete for good'}</button
      >
    </form>
  {/if}
</section>

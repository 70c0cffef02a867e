<!-- Walls and golfers' screens, let in by a link and taken away again: the owner's. -->
<script lang="ts">
  import { v7 } from 'uuid'
  import Trouble from '$lib/base/Trouble.svelte'
  import { moment } from '$lib/base/dates'
  import { createAsk } from '$lib/data/write.svelte'
  import LinkSheet from './LinkSheet.svelte'
  import { linkForScreen, screensQuery, takeAway } from './screens'

  const screens = screensQuery()
  let name = $state('')
  let linking = $state<{ id: string; name: string } | null>(null)
  const ending = createAsk(takeAway)
  function add(event: SubmitEvent): void {
    event.preventDefault()
    linking = { id: v7(), name: name.trim() }
    name = ''
  }
</script>

<section class="mt-8" data-screens>
  <h2 class="wide text-xl">Screens</h2>
  <p class="mt-1 max-w-prose leading-snug">
    A wall, or a screen for the golfer, needs nobody signed in on it: it shows what a coach sends to it from a lesson,
    and opens nothing else.
  </p>
  {#if screens.error}<Trouble error={screens.error} again={() => screens.refetch()} />{/if}
  <ul class="mt-2 border-t-2 border-ink" aria-label="Screens">
    {#each screens.data ?? [] as it (it.id)}
      <li class="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-hairline py-2" data-screen-row={it.name}>
        <span class="min-w-0 flex-1"
          ><b class="wrap-break-word">{it.name}</b>
          <span class="text-faded"
            >{it.taken && it.seen_at ? `last seen ${moment(it.seen_at)}` : 'its link was not opened yet'}</span
          ></span
        >
        <button class="button min-h-11" onclick={() => (linking = { id: it.id, name: it.name })}>New link…</button>
        <button class="button min-h-11" onclick={() => ending.mutate(it.id)}>Take away</button>
      </li>
    {:else}
      <li class="border-b border-hairline py-2 text-faded">None yet.</li>
    {/each}
  </ul>
  {#if ending.error}<Trouble error={ending.error} />{/if}
  <form class="mt-3 flex flex-wrap items-end gap-2" onsubmit={add}>
    <label class="min-w-56 flex-1"
      ><span class="label">How it is called</span>
      <input class="entry" bind:value={name} maxlength="80" required placeholder="Wall at the mats" /></label
    >
    <button class="button min-h-12" disabled={!name.trim()}>Add a screen…</button>
  </form>
</section>
{#if linking}
  {@const of = linking}
  <LinkSheet
    bind:open={() => true, (open) => (open ? undefined : (linking = null))}
    title="A link for {of.name}"
    make={() => linkForScreen(of.id, of.name)}
  >
    {#snippet says(until)}
      Opened on the device that is to be “{of.name}” it makes it that, once, until {moment(until)}. The device that was
      it before is it no more.
    {/snippet}
  </LinkSheet>
{/if}

<!-- The bag: what the coach owns; and how strict a rig should be for whom. -->
<script lang="ts">
  import { bagQuery } from '$lib/data/queries.svelte'
  import { createWrite, saying } from '$lib/data/write.svelte'
  import { BAG, forgetBag, tellBag } from '$lib/set/writes'
  import { place } from '$lib/base/place.svelte'
  import Sketch from '$lib/drawing/Sketch.svelte'
  import ExpectedSpreads from '$lib/judge/ExpectedSpreads.svelte'
  import LinkBands from '$lib/judge/LinkBands.svelte'
  import Trouble from '$lib/base/Trouble.svelte'

  const bag = bagQuery()
  let search = $state('')
  $effect(() => place.set([{ words: 'Today', href: '/' }, { words: 'Aids', href: '/aids' }, { words: 'Bag' }], false))

  const telling = createWrite(tellBag)
  const forgetting = createWrite(() => forgetBag())
  const error = $derived(telling.error ?? forgetting.error)
  const said = $derived(saying<{ parts: Record<string, number> }>(BAG)?.parts)
  const owned = $derived(said ?? bag.data?.parts ?? {})
  const nameOf = (part: string) => bag.data?.names[part] ?? part
  const told = $derived(Boolean(said ?? bag.data?.told))
  const parts = $derived(Object.entries(owned).filter(([part]) => nameOf(part).includes(search.trim().toLowerCase())))
</script>

<svelte:head><title>Bag · Libella</title></svelte:head>

<div class="mx-auto max-w-[1100px] px-5 py-6">
  <div class="flex flex-wrap items-end gap-3 border-b-2 border-ink pb-1">
    <h1 class="wide mr-auto text-2xl">My bag</h1>
    {#if told}<button class="button" onclick={() => forgetting.mutate(undefined)}>Forget it</button>{/if}
    <input class="entry w-64!" type="search" placeholder="Find a part" aria-label="Find a part" bind:value={search} />
  </div>
  <p class="mt-3 min-h-6 max-w-2xl" data-told={told}>
    {#if bag.data}
      {told
        ? 'Plans show what is missing, and proposals can keep to what is here.'
        : 'Not told yet: until then Libella takes it that everything is here. Set what you own.'}
    {/if}
  </p>
  {#if bag.error ?? error}<div class="mt-3">
      <Trouble error={bag.error ?? error} again={() => bag.refetch()} />
    </div>{/if}
  <ul class="mt-3 grid gap-x-8 sm:grid-cols-2 lg:grid-cols-3">
    {#each parts as [part, n] (part)}
      {@const name = nameOf(part)}
      {@const most = bag.data?.most[part] ?? 1}
      {@const picture = bag.data?.pictures[part]}
      <li class="flex items-center justify-between gap-2 border-b border-hairline py-1.5" data-part={part}>
        <button
          class="flex min-h-14 min-w-0 flex-1 items-center gap-3 px-1 text-left hover:bg-sheet {n
            ? 'font-semibold'
            : 'text-faded'}"
          aria-pressed={n > 0}
          aria-label="{name}: {n ? 'in the bag' : 'not in the bag'}"
          onclick={() => telling.mutate({ ...owned, [part]: n ? 0 : most })}
        >
          <span class="w-5 shrink-0" aria-hidden="true">{n ? '✓' : ''}</span>
          {#if picture}<Sketch scene={picture} width={72} height={40} />{/if}
          <span class="min-w-0">{name}</span>
        </button>
        {#if most > 1}<span class="flex items-center">
            <button
              class="button px-3"
              aria-label="{name}: one less"
              disabled={n === 0}
              onclick={() => telling.mutate({ ...owned, [part]: n - 1 })}>−</button
            >
            <output class="w-11 text-center text-lg font-bold">{n}</output>
            <button
              class="button px-3"
              aria-label="{name}: one more"
              disabled={n === 99}
              onclick={() => telling.mutate({ ...owned, [part]: n + 1 })}>+</button
            >
          </span>{/if}
      </li>
    {:else}
      {#if bag.data}<li class="py-3 text-lg">
          No part is called “{search}”. <button class="button ml-2" onclick={() => (search = '')}>Show all</button>
        </li>{/if}
    {/each}
  </ul>

  <ExpectedSpreads />
  <LinkBands />
</div>

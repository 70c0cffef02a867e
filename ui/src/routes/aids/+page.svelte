<!-- Aids: every instrument, what it tells and what it can't. -->
<script lang="ts">
  import { instrumentsQuery } from '$lib/api/queries.svelte'
  import Stage from '$lib/drawing/Stage.svelte'
  import { place } from '$lib/frame/place.svelte'
  import Trouble from '$lib/frame/Trouble.svelte'
  import { rulerFor, shown } from '$lib/settings/length'
  import { settings } from '$lib/settings/settings.svelte'

  const instruments = instrumentsQuery()
  let search = $state('')
  const found = $derived(
    (instruments.data ?? []).filter((it) =>
      [it.about.name, it.about.tells, it.about.cannot, it.measures].join(' ').toLowerCase().includes(search.trim().toLowerCase()),
    ),
  )
  $effect(() => place.set([{ words: 'Today', href: '/' }, { words: 'Aids' }], false))
  const usual = (high: number, value: number) => `${shown(value, rulerFor(high, settings.units))} ${rulerFor(high, settings.units).unit}`
</script>

<svelte:head><title>Aids · Libella</title></svelte:head>

<div class="mx-auto max-w-[1100px] px-5 py-6">
  <div class="flex flex-wrap items-end gap-3 border-b-2 border-ink pb-1">
    <h1 class="wide mr-auto text-2xl">Aids</h1>
    <a class="button" href="/aids/string">String over the line…</a>
    <input class="entry w-64!" type="search" placeholder="Find an aid" aria-label="Find an aid" bind:value={search} />
  </div>
  {#if instruments.error}
    <div class="mt-4"><Trouble error={instruments.error} again={() => instruments.refetch()} /></div>
  {:else if instruments.data && !found.length}
    <p class="mt-4 text-lg">No aid here answers to “{search}”. <button class="button ml-2" onclick={() => (search = '')}>Show all</button></p>
  {/if}
  {#each found as it (it.about.kind)}
    <article class="grid gap-x-8 gap-y-3 border-b border-hairline py-6 md:grid-cols-[minmax(0,380px)_1fr]" data-aid={it.about.kind}>
      <div class="relative h-48"><Stage scene={it.picture} /></div>
      <div class="min-w-0">
        <h2 class="wide text-xl">{it.about.name}</h2>
        <p class="text-faded">{it.measures}{it.about.guides ? ' · in the golfer’s view: measures the guided golfer' : ''}</p>
        <p class="mt-2"><strong>Tells:</strong> {it.about.tells}</p>
        <p class="mt-1"><strong>Can’t tell:</strong> {it.about.cannot}</p>
        <p class="mt-1"><strong>Reading it:</strong> {it.about.read}</p>
        <details class="mt-2">
          <summary class="min-h-11 cursor-pointer py-2 font-semibold">Set-up, mistakes and cautions</summary>
          <ul class="list-disc pl-5">
            {#each it.dimensions as dimension (dimension.name)}
              <li>{dimension.label}: usually {usual(dimension.high, dimension.default)}. {dimension.hint}</li>
            {/each}
          </ul>
          <p class="mt-2 font-semibold">What goes wrong</p>
          <ul class="list-disc pl-5">{#each it.about.mistakes as mistake (mistake)}<li>{mistake}</li>{/each}</ul>
          <p class="mt-2 font-semibold">Cautions</p>
          <ul class="list-disc pl-5">{#each it.about.cautions as caution (caution)}<li>{caution}</li>{/each}</ul>
        </details>
      </div>
    </article>
  {/each}
</div>

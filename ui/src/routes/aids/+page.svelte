<!-- Aids: every instrument, what it tells and what it can't, and how a reading of it is taken. -->
<script lang="ts">
  import { instrumentsQuery } from '$lib/data/queries.svelte'
  import Stage from '$lib/drawing/Stage.svelte'
  import Choice from '$lib/base/Choice.svelte'
  import { place } from '$lib/base/place.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import TryAid from '$lib/set/TryAid.svelte'
  import { rulerFor, withUnit } from '$lib/base/length'
  import { settings } from '$lib/base/settings.svelte'
  import type { Shapes } from '$lib/data/client'

  const instruments = instrumentsQuery()
  let search = $state('')
  let measures = $state('all')
  let trying = $state<Shapes['InstrumentOut'] | null>(null)
  const kinds = $derived([
    { value: 'all', words: 'All' },
    ...[...new Map((instruments.data ?? []).map((it) => [it.about.measures, it.quantity.name]))].map(
      ([value, words]) => ({ value: value as string, words })
    )
  ])
  const found = $derived(
    (instruments.data ?? []).filter(
      (it) =>
        (measures === 'all' || it.about.measures === measures) &&
        [it.about.name, it.about.tells, it.about.cannot, it.quantity.name]
          .join(' ')
          .toLowerCase()
          .includes(search.trim().toLowerCase())
    )
  )
  $effect(() => place.set([{ words: 'Today', href: '/' }, { words: 'Aids' }], false))
  const SIGN = { deg: '°', '%': ' %' }
  const usual = (it: Shapes['Dimension']) =>
    it.unit === 'm' ? withUnit(it.default, rulerFor(it.high, settings.units)) : `${it.default}${SIGN[it.unit]}`
</script>

<svelte:head><title>Aids · Libella</title></svelte:head>

<div class="mx-auto max-w-[1100px] px-5 py-6">
  <div class="flex flex-wrap items-end gap-3 border-b-2 border-ink pb-1">
    <h1 class="wide mr-auto text-2xl">Aids</h1>
    <a class="button" href="/aids/bag">My bag and strictness…</a>
    <a class="button" href="/aids/readers">Two readers…</a>
    <a class="button" href="/aids/string">String over the line…</a>
    <input class="entry w-64!" type="search" placeholder="Find an aid" aria-label="Find an aid" bind:value={search} />
  </div>
  {#if instruments.data}<div class="mt-3">
      <Choice label="What it measures" options={kinds} bind:value={measures} />
    </div>{/if}
  {#if instruments.error}
    <div class="mt-4"><Trouble error={instruments.error} again={() => instruments.refetch()} /></div>
  {:else if instruments.data && !found.length}
    <p class="mt-4 text-lg">
      No aid here answers to “{search}”.
      <button
        class="button ml-2"
        onclick={() => {
          search = ''
          measures = 'all'
        }}>Show all</button
      >
    </p>
  {/if}
  {#each found as it (it.about.kind)}
    <article
      class="grid gap-x-8 gap-y-3 border-b border-hairline py-6 md:grid-cols-[minmax(0,380px)_1fr]"
      data-aid={it.about.kind}
    >
      <div>
        <div class="relative h-48"><Stage scene={it.picture} /></div>
        <button class="button mt-2 w-full" aria-label="Try a reading, {it.about.name}" onclick={() => (trying = it)}
          >Try a reading…</button
        >
      </div>
      <div class="min-w-0">
        <h2 class="wide text-xl">{it.about.name}</h2>
        <p class="text-faded">
          {it.quantity.name}{it.about.guides ? ' · in the golfer’s view: measures the guided golfer' : ''}
        </p>
        <p class="mt-2"><strong>Tells:</strong> {it.about.tells}</p>
        <p class="mt-1"><strong>Can’t tell:</strong> {it.about.cannot}</p>
        <p class="mt-1"><strong>Reading it:</strong> {it.about.read}</p>
        <details class="mt-2">
          <summary class="min-h-11 cursor-pointer py-2 font-semibold">Set-up, mistakes and cautions</summary>
          <ul class="list-disc pl-5">
            {#each it.dimensions as dimension (dimension.name)}
              <li>{dimension.label}: usually {usual(dimension)}. {dimension.hint}</li>
            {/each}
          </ul>
          <p class="mt-2 font-semibold">What goes wrong</p>
          <ul class="list-disc pl-5">
            {#each it.about.mistakes as mistake (mistake)}<li>{mistake}</li>{/each}
          </ul>
          <p class="mt-2 font-semibold">Cautions</p>
          <ul class="list-disc pl-5">
            {#each it.cautions as caution (caution)}<li>{caution}</li>{/each}
          </ul>
        </details>
      </div>
    </article>
  {/each}
</div>
{#if trying}<TryAid instrument={trying} close={() => (trying = null)} />{/if}

<!-- The guide: one whole lesson, each screen, the words, how each number is worked out, what can be added. -->
<script lang="ts">
  import { tick } from 'svelte'
  import { page } from '$app/state'
  import Coming from '$lib/base/Coming.svelte'
  import Said from '$lib/base/Said.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { openTerm } from '$lib/base/glossary.svelte'
  import { keySheet } from '$lib/base/keys.svelte'
  import { place } from '$lib/base/place.svelte'
  import type { Shapes } from '$lib/data/client'
  import { glossary } from '$lib/data/vocabulary.svelte'
  import { guideQuery } from '$lib/keep/queries.svelte'

  const guide = guideQuery()
  const it = $derived(guide.data)
  $effect(() => place.set([{ words: 'Today', href: '/' }, { words: 'Guide' }], false))
  // Help opens at its place: the page is longer than a screen.
  $effect(() => {
    const at = page.url.hash.slice(1)
    if (it && at) void tick().then(() => document.getElementById(at)?.scrollIntoView())
  })
</script>

{#snippet section(one: Shapes['Section'], id: string)}
  <section {id} class="scroll-mt-4 border-b border-hairline py-3" data-section={id}>
    <h3 class="wide text-lg">{one.title}</h3>
    <p class="max-w-prose leading-snug"><Said text={one.says} /></p>
    {#if one.steps.length}
      <ol class="mt-1 list-decimal pl-6 leading-snug">
        {#each one.steps as step (step)}<li>{step}</li>{/each}
      </ol>
    {/if}
  </section>
{/snippet}

<svelte:head><title>Guide · Libella</title></svelte:head>

<div class="mx-auto max-w-[900px] px-5 py-6">
  <h1 class="wide border-b-2 border-ink pb-2 text-2xl">Guide</h1>
  {#if guide.error}
    <div class="mt-4"><Trouble error={guide.error} again={() => guide.refetch()} /></div>
  {:else if it}
    <nav class="mt-3 flex flex-wrap gap-2" aria-label="Chapters">
      <a class="button" href="#lesson">One whole lesson</a>
      <a class="button" href="#screens">Each screen</a>
      <a class="button" href="#words">Words</a>
      <a class="button" href="#numbers">Numbers</a>
      <a class="button" href="#adding">What can be added</a>
      <button class="button" onclick={() => (keySheet.open = true)}>Show the keys</button>
    </nav>
    <h2 id="lesson" class="wide mt-6 scroll-mt-4 text-xl">One whole lesson</h2>
    {#each it.lesson as one (one.code)}{@render section(one, `lesson-${one.code}`)}{/each}
    <h2 id="screens" class="wide mt-8 scroll-mt-4 text-xl">Each screen</h2>
    {#each Object.entries(it.screens) as [code, one] (code)}{@render section(one, code)}{/each}
    <h2 id="words" class="wide mt-8 scroll-mt-4 text-xl">Words</h2>
    <dl class="mt-1">
      {#each glossary() as one (one.term)}
        <div class="border-b border-hairline py-2 sm:grid sm:grid-cols-[11rem_1fr] sm:gap-x-4">
          <dt>
            <button class="button px-3" onclick={() => openTerm.show(one)}>{one.name}</button>
          </dt>
          <dd class="self-center leading-snug">{one.says}</dd>
        </div>
      {/each}
    </dl>
    <h2 id="numbers" class="wide mt-8 scroll-mt-4 text-xl">How each number is worked out</h2>
    {#each it.numbers as one (one.name)}
      <section class="border-b border-hairline py-3" data-number>
        <h3 class="wide text-lg">{one.name}</h3>
        <p class="max-w-prose leading-snug">{one.says}</p>
        <p class="mt-1 font-semibold wrap-break-word">{one.formula}</p>
        <p class="mt-1 leading-snug">For example: {one.example}</p>
        <p class="text-[15px] text-faded wrap-anywhere">{one.source}</p>
      </section>
    {/each}
    <h2 id="adding" class="wide mt-8 scroll-mt-4 text-xl">What can be added</h2>
    {#each it.adding as one (one.code)}{@render section(one, `adding-${one.code}`)}{/each}
  {:else}
    <Coming what="The guide" />
  {/if}
</div>

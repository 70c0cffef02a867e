<!-- Everything on which coaches contradict each other, by step: who holds what, what this golfer's data say. -->
<script lang="ts">
  import { page } from '$app/state'
  import Coming from '$lib/base/Coming.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import SchoolSheet from './SchoolSheet.svelte'
  import { schoolsQuery, type Disagreement } from './queries.svelte'

  let { golfer }: { golfer?: { id: string; name: string } | undefined } = $props()
  const schools = schoolsQuery(() => (golfer ? { golfer: golfer.id } : {}))
  const every = $derived(schools.data?.disagreements ?? [])
  let sought = $state('')
  let chosen = $state('')
  const matches = (it: Disagreement) =>
    [it.asks, ...it.schools.flatMap((one) => [one.name, one.words])]
      .join(' ')
      .toLowerCase()
      .includes(sought.toLowerCase())
  const steps = $derived(
    [...new Set(every.map((it) => it.at))].map((at) => {
      const own = every.filter((it) => it.at === at && (!sought.trim() || matches(it)))
      return { at, name: every.find((it) => it.at === at)?.at_name ?? '', own }
    })
  )
  const it = $derived(every.find((one) => one.code === chosen))
  const nameOf = (of: Disagreement, code: string) => of.schools.find((one) => one.code === code)?.name ?? ''

  // The step one came from, once it stands.
  $effect(() => {
    const at = page.url.hash.slice(1)
    if (at && every.length) document.getElementById(at)?.scrollIntoView()
  })
</script>

{#if schools.error && !schools.data}
  <Trouble error={schools.error} again={() => schools.refetch()} />
{:else if !schools.data}
  <Coming what="What coaches differ on" />
{:else}
  <label class="block max-w-md">
    <span class="label mb-1 block">Find</span>
    <input class="entry" type="search" bind:value={sought} placeholder="pace, cue, still…" />
  </label>
  {#each steps.filter((step) => step.own.length) as step (step.at)}
    <section class="mt-6" id={step.at} data-step={step.at}>
      <h2 class="wide border-b-2 border-ink pb-1 text-xl">{step.name}</h2>
      {#each step.own as one (one.code)}
        <button
          type="button"
          class="grid min-h-14 w-full cursor-pointer gap-x-4 border-b border-hairline py-3 text-left hover:bg-sheet sm:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]"
          data-asks={one.code}
          onclick={() => (chosen = one.code)}
        >
          <span class="leading-snug font-semibold">{one.asks}</span>
          <span class="leading-snug">
            {#if one.held}◇ {nameOf(one, one.held)} <span class="text-faded">· {one.by_words}</span>{:else}<span
                class="text-faded">Nobody said</span
              >{/if}
            {#if one.told_sure}<span class="block font-semibold" data-told>{one.told}</span>{/if}
          </span>
        </button>
      {/each}
    </section>
  {:else}
    <p class="mt-4 text-lg">Nothing with these words. Try “eyes”, “pace” or “still”.</p>
  {/each}
{/if}

{#if it}<SchoolSheet bind:open={() => chosen !== '', (is) => !is && (chosen = '')} {it} {golfer} />{/if}

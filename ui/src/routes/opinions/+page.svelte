<!-- Every number that is an opinion: as it counts of everybody, of a level, of a golfer; a tap holds another. -->
<script lang="ts">
  import { goto } from '$app/navigation'
  import { page } from '$app/state'
  import Coming from '$lib/base/Coming.svelte'
  import { place } from '$lib/base/place.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { levelsQuery } from '$lib/data/queries.svelte'
  import { golferQuery } from '$lib/golfer/queries.svelte'
  import OpinionSheet from '$lib/opinions/OpinionSheet.svelte'
  import { opinionsQuery, type Whose } from '$lib/opinions/queries.svelte'
  import WhoseChoice from '$lib/opinions/WhoseChoice.svelte'

  const whose = $derived.by((): Whose => {
    const golfer = page.url.searchParams.get('golfer')
    const level = page.url.searchParams.get('level')
    return golfer ? { golfer } : level ? ({ level } as Whose) : {}
  })
  const levels = levelsQuery()
  const golfer = golferQuery(() => whose.golfer ?? '')
  const of = $derived(
    whose.golfer
      ? (golfer.data?.name ?? 'this golfer')
      : whose.level
        ? `the level ${levels.data?.find((it) => it.level === whose.level)?.name ?? ''}`
        : 'everybody'
  )
  const every = opinionsQuery(() => whose)
  let sought = $state('')
  const found = $derived(
    every.data?.filter((it) => `${it.name} ${it.value}`.toLowerCase().includes(sought.trim().toLowerCase())) ?? []
  )
  const otherwise = $derived(every.data?.filter((it) => it.otherwise).length ?? 0)
  const steps = $derived([...new Set(found.map((it) => it.step))])
  let opened = $state('')
  let open = $state(false)
  const one = $derived(every.data?.find((it) => it.opinion === opened))
  $effect(() => place.set([{ words: 'Today', href: '/' }, { words: 'Opinions' }], false))

  function choose(it: Whose): void {
    const query = new URLSearchParams(it as Record<string, string>).toString()
    void goto(`/opinions${query && '?'}${query}`, { replaceState: true, keepFocus: true, noScroll: true })
  }
</script>

<svelte:head><title>Opinions · Libella</title></svelte:head>

<div class="mx-auto max-w-[1040px] px-5 py-6">
  <h1 class="wide text-3xl">Opinions</h1>
  <p class="mt-1 max-w-prose text-lg">
    Numbers that nobody measured, and with which everything is reckoned till somebody does. Tap one to hold another, and
    to see first what that would change.
  </p>
  {#if every.error}<div class="mt-3"><Trouble error={every.error} again={() => every.refetch()} /></div>{/if}
  {#if every.data}
    <div class="mt-4 grid gap-3">
      <WhoseChoice {whose} {choose} />
      <input class="entry" type="search" aria-label="Find" placeholder="Find" bind:value={sought} />
      <p class="text-faded" role="status">
        {otherwise
          ? `${otherwise} held otherwise than ${otherwise === 1 ? 'it stands' : 'they stand'}.`
          : 'All as they stand.'}
      </p>
    </div>
    {#if !found.length}<p class="mt-4 text-lg">Nothing with these words.</p>{/if}
    {#each steps as step (step)}
      <section class="mt-6" data-opinions={step}>
        <h2 class="wide border-b-2 border-ink pb-1 text-xl capitalize">{step}</h2>
        <ul>
          {#each found.filter((it) => it.step === step) as it (it.opinion)}
            <li class="border-b border-hairline">
              <button
                type="button"
                class="grid min-h-11 w-full gap-x-6 py-2 text-left md:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]"
                onclick={() => {
                  opened = it.opinion
                  open = true
                }}
              >
                <span class="leading-snug underline decoration-hairline underline-offset-4">{it.name}</span>
                <span class="min-w-0 leading-snug wrap-break-word {it.otherwise ? 'font-bold' : 'font-semibold'}"
                  >{it.value}{#if it.otherwise}<span class="block text-[15px] font-normal">◇ held otherwise</span
                    >{/if}</span
                >
              </button>
            </li>
          {/each}
        </ul>
      </section>
    {/each}
  {:else}
    <Coming page what="The opinions" />
  {/if}
</div>
{#if one}
  {#key `${opened} ${whose.golfer ?? ''} ${whose.level ?? ''}`}<OpinionSheet bind:open it={one} {whose} {of} />{/key}
{/if}

<!-- Every number that is an opinion: its value as it counts, and where another may be held. -->
<script lang="ts">
  import Coming from '$lib/base/Coming.svelte'
  import { place } from '$lib/base/place.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { opinionsQuery } from '$lib/keep/opinions.svelte'

  const every = opinionsQuery()
  let sought = $state('')
  const found = $derived(
    every.data?.filter((it) => `${it.name} ${it.value}`.toLowerCase().includes(sought.trim().toLowerCase())) ?? []
  )
  const steps = $derived([...new Set(found.map((it) => it.step))])
  $effect(() => place.set([{ words: 'Today', href: '/' }, { words: 'Opinions' }], false))
</script>

<svelte:head><title>Opinions · Libella</title></svelte:head>

<div class="mx-auto max-w-[1040px] px-5 py-6">
  <h1 class="wide text-3xl">Opinions</h1>
  <p class="mt-1 max-w-prose text-lg">
    Numbers that nobody measured of this golfer, and with which everything is reckoned till somebody does.
  </p>
  {#if every.error}<div class="mt-3"><Trouble error={every.error} again={() => every.refetch()} /></div>{/if}
  {#if every.data}
    <input class="entry mt-4" type="search" aria-label="Find" placeholder="Find" bind:value={sought} />
    {#if !found.length}<p class="mt-4 text-lg">Nothing with these words.</p>{/if}
    {#each steps as step (step)}
      <section class="mt-6" data-opinions={step}>
        <h2 class="wide border-b-2 border-ink pb-1 text-xl capitalize">{step}</h2>
        <dl>
          {#each found.filter((it) => it.step === step) as it (it.name)}
            <div class="grid gap-x-6 border-b border-hairline py-2 md:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
              <dt class="leading-snug">{it.name}</dt>
              <dd class="min-w-0 leading-snug">
                <span class="font-semibold wrap-break-word">{it.value}</span>
                {#if it.page}<a class="flex min-h-11 items-center text-[15px] underline" href={it.page}>{it.held}</a
                  >{:else}<span class="block text-[15px] text-faded">{it.held}</span>{/if}
              </dd>
            </div>
          {/each}
        </dl>
      </section>
    {/each}
  {:else}
    <Coming page what="The opinions" />
  {/if}
</div>

<!-- A one-time link, opened: choose a passphrase, write down the codes, go in. What lets in stands after the #, in no log. -->
<script lang="ts">
  import { onMount } from 'svelte'
  import { goto } from '$app/navigation'
  import Coming from '$lib/base/Coming.svelte'
  import { place } from '$lib/base/place.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { createAsk } from '$lib/data/write.svelte'
  import Codes from '$lib/people/Codes.svelte'
  import Passphrase from '$lib/people/Passphrase.svelte'
  import Losing from '$lib/people/Losing.svelte'
  import { goIn, lookAtLink, lostTo, takeLink } from '$lib/people/session'

  $effect(() => place.set([], false))
  let token = ''
  let passphrase = $state('')
  let studio = $state('')
  let name = $state('')
  const looking = createAsk(
    () => lookAtLink(token),
    (it) => ([studio, name] = [it.studio, it.name])
  )
  const taking = createAsk(() => takeLink(token, passphrase, looking.data?.first ? { studio, name } : null))
  onMount(() => {
    token = location.hash.slice(1)
    looking.mutate(undefined)
  })
  let asked = $state(false)
  const lost = $derived(lostTo(looking.data?.name ?? '', true))
  const inside = async () => {
    await goIn()
    await goto('/', { replaceState: true })
  }
</script>

<svelte:head><title>Come in · Libella</title></svelte:head>

<div class="mx-auto max-w-md px-5 py-10">
  {#if taking.data}
    <Codes codes={taking.data.codes} done={inside} />
  {:else if looking.error}
    <h1 class="wide mb-3 text-3xl">Come in</h1>
    <Trouble error={looking.error} />
    <p class="mt-3">Ask the owner of the studio for a new link, or <a class="underline" href="/">sign in</a>.</p>
  {:else if looking.data}
    <h1 class="wide text-3xl">{looking.data.studio}</h1>
    <p class="mt-2 text-lg leading-snug">
      {#if looking.data.first}
        You begin this studio, as its owner. Name it as your golfers know it, and yourself as you sign in.
      {:else}
        This link is for <b>{looking.data.name}</b>, as {looking.data.role_name.toLowerCase()} of the studio.
        {looking.data.begun
          ? 'It puts another passphrase in place of the one there is.'
          : 'You sign in with that name.'}
      {/if}
    </p>
    <form
      class="mt-5 grid gap-4"
      data-welcome
      onsubmit={(event) => {
        event.preventDefault()
        if (lost && !asked) asked = true
        else taking.mutate(undefined)
      }}
    >
      {#if looking.data.first}
        <label
          ><span class="label">Name of the studio</span>
          <input class="entry text-lg" bind:value={studio} maxlength="80" required /></label
        >
        <label
          ><span class="label">Your name</span>
          <input class="entry text-lg" bind:value={name} autocomplete="username" maxlength="80" required /></label
        >
      {/if}
      <Passphrase bind:value={passphrase} />
      {#if asked && lost}<Losing {lost} />{/if}
      {#if taking.error}<Trouble error={taking.error} />{/if}
      <button class="button min-h-14 text-lg" class:primary={!(asked && lost)} disabled={taking.isPending}
        >{taking.isPending
          ? 'Coming in…'
          : asked && lost
            ? lost === 1
              ? 'Lose it, and come in'
              : 'Lose them, and come in'
            : 'Come in'}</button
      >
    </form>
  {:else}
    <Coming what="The link" />
  {/if}
</div>

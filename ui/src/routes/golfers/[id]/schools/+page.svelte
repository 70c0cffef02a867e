<!-- The way of one golfer: what is held for them, what the coach holds, what their own data say. -->
<script lang="ts">
  import { page } from '$app/state'
  import { place } from '$lib/base/place.svelte'
  import Coming from '$lib/base/Coming.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { golferQuery } from '$lib/golfer/queries.svelte'
  import SchoolList from '$lib/schools/SchoolList.svelte'

  const id = $derived(page.params.id ?? '')
  const golfer = golferQuery(() => id)
  const who = $derived(golfer.data)
  $effect(() => {
    if (who)
      place.set(
        [
          { words: 'Today', href: '/' },
          { words: who.name, href: `/golfers/${who.id}` },
          { words: 'Where coaches differ' }
        ],
        who.invented
      )
  })
</script>

<svelte:head><title>Where coaches differ · {who?.name ?? 'Golfer'} · Libella</title></svelte:head>

<div class="mx-auto max-w-[1040px] px-5 py-6">
  <h1 class="wide text-3xl wrap-break-word">Where coaches differ{who ? `: ${who.name}` : ''}</h1>
  <p class="mt-1 mb-4 max-w-prose text-lg">
    A golfer’s own way goes before the coach’s. What was read of this golfer, where it is at least likely, stands above
    both.
  </p>
  {#if golfer.error && !who}
    <Trouble error={golfer.error} again={() => golfer.refetch()} />
  {:else if who}
    <SchoolList golfer={who} />
    <p class="mt-6"><a class="button" href="/opinions?golfer={who.id}">Numbers that are opinions, of {who.name}…</a></p>
  {:else}
    <Coming what="The golfer" />
  {/if}
</div>

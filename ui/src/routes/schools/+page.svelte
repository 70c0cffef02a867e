<!-- The coach's own way: everything on which coaches contradict each other. -->
<script lang="ts">
  import { place } from '$lib/base/place.svelte'
  import SchoolList from '$lib/schools/SchoolList.svelte'

  $effect(() => place.set([{ words: 'Today', href: '/' }, { words: 'Where coaches differ' }], false))
</script>

<svelte:head><title>Where coaches differ · Libella</title></svelte:head>

<div class="mx-auto max-w-[1040px] px-5 py-6">
  <h1 class="wide text-3xl">Where coaches differ</h1>
  <p class="mt-1 mb-4 max-w-prose text-lg">
    Coaches contradict each other on almost everything here. Say what you hold; where nobody says anything, nothing is
    taken for granted. What a golfer’s own readings say stands above every school.
  </p>
  <SchoolList />
  <p class="mt-6"><a class="button" href="/opinions">Every number that is an opinion…</a></p>
</div>

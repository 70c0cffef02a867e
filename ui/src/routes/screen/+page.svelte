<!-- A wall or a golfer's screen: whatever a coach sends to it, and nothing else. What makes it one stands after the #, in no log. -->
<script lang="ts">
  import { onMount } from 'svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { createAsk } from '$lib/data/write.svelte'
  import WallFinding from '$lib/judge/WallFinding.svelte'
  import { become, hereQuery } from '$lib/people/screens'
  import WallQuestion from '$lib/see/WallQuestion.svelte'
  import WallPutts from '$lib/start/WallPutts.svelte'

  const here = hereQuery()
  const becoming = createAsk(become, () => here.refetch())
  onMount(() => {
    const token = location.hash.slice(1)
    if (!token) return
    becoming.mutate(token)
    history.replaceState(history.state, '', location.pathname)
  })
  const shows = $derived(here.data?.name ? here.data : null)
</script>

<svelte:head><title>{shows?.name ?? 'Screen'} · Libella</title></svelte:head>

{#if shows?.lesson_id}
  {#if shows.view === 'finding'}<WallFinding id={shows.lesson_id} alone />
  {:else if shows.view === 'question'}<WallQuestion id={shows.lesson_id} />
  {:else}<WallPutts id={shows.lesson_id} />{/if}
{:else}
  <div class="fixed inset-0 z-40 flex flex-col items-center justify-center gap-4 bg-paper p-8 text-center" data-screen>
    {#if becoming.error}
      <h1 class="wide text-3xl">This is no screen yet</h1>
      <Trouble error={becoming.error} />
      <p class="text-lg">The owner of the studio makes a new link under People.</p>
    {:else if shows}
      <h1 class="wide text-[clamp(2rem,6vw,5rem)] leading-tight">{shows.name}</h1>
      <p class="text-2xl text-faded">Nothing is sent here just now.</p>
    {:else if here.data && !becoming.isPending}
      <h1 class="wide text-3xl">This is no screen yet</h1>
      <p class="max-w-prose text-lg leading-snug">
        A device becomes one by a link: the owner of the studio makes it under People and holds it before this device’s
        camera.
      </p>
    {:else}
      <p class="text-2xl text-faded" role="status">Asking what to show…</p>
    {/if}
  </div>
{/if}

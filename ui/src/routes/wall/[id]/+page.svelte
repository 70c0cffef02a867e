<!--
  A second screen for the golfer or a wall, at its own address: the last putt large, the vial, nothing else. A putt shows here when it
  is kept, and where the felt call is asked it is kept after the call: nobody calls what was just read.
-->
<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query'
  import { page } from '$app/state'
  import { api, ask } from '$lib/data/client'
  import { liveLesson } from '$lib/data/live.svelte'
  import { renew } from '$lib/data/queries.svelte'
  import Vial from '$lib/drawing/Vial.svelte'
  import { settings } from '$lib/base/settings.svelte'

  const id = $derived(page.params.id ?? '')
  const client = useQueryClient()
  const wall = createQuery(() => ({
    queryKey: ['wall', id, settings.units],
    queryFn: () => ask(api.GET('/api/lessons/{id}/wall', { params: { path: { id }, query: { units: settings.units } } })),
    // Told of every putt at once; asked now and then all the same, should the line be silent.
    refetchInterval: 10_000,
    refetchIntervalInBackground: true,
  }))
  liveLesson(
    () => id,
    (event) => {
      if (event.what === 'putt' || event.what === 'block' || event.what === 'here' || event.putt)
        void renew(client, ['wall', id])
    },
  )
  const block = $derived(wall.data?.block)
  const last = $derived(wall.data?.last)
</script>

<svelte:head><title>Wall · Libella</title></svelte:head>

<div class="fixed inset-0 z-40 flex flex-col justify-center gap-10 bg-paper p-[5vw]" data-wall aria-live="polite">
  {#if wall.error && !wall.data}
    <p class="text-center text-3xl">Waiting for the coach’s screen…</p>
  {:else if block && last}
    <p class="text-center text-2xl text-faded">Putt {block.putts} of {block.planned}</p>
    <p
      class="wide text-center text-[clamp(2.5rem,9vw,8rem)] leading-tight"
      style:color={last.side === 'left' ? 'var(--left)' : last.side === 'right' ? 'var(--right)' : undefined}
    >
      {last.side === 'left' ? '◂ ' : ''}{last.words}{last.side === 'right' ? ' ▸' : ''}
    </p>
    <Vial vial={block.vial} words={block.headline} size="large" />
  {:else if wall.data}
    <p class="text-center text-3xl text-faded">No putts yet.</p>
  {/if}
</div>

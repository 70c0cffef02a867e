<!-- What a sensor told of the last stroke, while it is new. What was felt is called before a start is shown. -->
<script lang="ts">
  import type { LiveEvent } from '$lib/data/live.svelte'
  import { sided } from './size'

  let { stroke, hidden }: { stroke: LiveEvent; hidden: boolean } = $props()
  const SAID: [string, string][] = [
    ['face_address_deg', 'address'],
    ['face_impact_deg', 'impact'],
    ['path_deg', 'path'],
    ['start_deg', 'start'],
  ]
  const told = $derived(SAID.filter(([name]) => stroke.sent && name in stroke.sent))
</script>

{#if told.length}
  <p class="flex flex-wrap items-baseline justify-center gap-x-4 text-center" data-heard aria-live="polite">
    {#if hidden}
      <span class="text-faded">A stroke was told. It shows when the felt call is in.</span>
    {:else}
      <span class="text-sm text-faded">Sensor, last stroke:</span>
      {#each told as [name, words] (name)}<span><span class="text-sm text-faded">{words}</span> <b>{sided(stroke.sent?.[name] ?? 0)}</b></span>{/each}
    {/if}
  </p>
{/if}

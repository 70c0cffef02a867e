<!-- What a sensor told of the last stroke, while it is new. What was felt is called before a start is shown. -->
<script lang="ts">
  import type { LiveEvent } from '$lib/data/live.svelte'
  import { choices } from '$lib/data/vocabulary.svelte'
  import { sided } from './size'

  let { stroke, hidden }: { stroke: LiveEvent; hidden: boolean } = $props()
  const told = $derived(choices('told').filter((it) => stroke.sent && it.value in stroke.sent))
</script>

{#if told.length}
  <p class="flex flex-wrap items-baseline justify-center gap-x-4 text-center" data-heard aria-live="polite">
    {#if hidden}
      <span class="text-faded">A stroke was told. It shows when the felt call is in.</span>
    {:else}
      <span class="text-sm text-faded">Sensor, last stroke:</span>
      {#each told as it (it.value)}<span
          ><span class="text-sm text-faded">{it.words}</span> <b>{sided(stroke.sent?.[it.value] ?? 0)}</b></span
        >{/each}
    {/if}
  </p>
{/if}

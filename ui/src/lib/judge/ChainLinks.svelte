<!-- Every link of the chain that was read, in order: its vial, and what it adds to the start. -->
<script lang="ts">
  import type { Shapes } from '$lib/data/client'
  import Vial from '$lib/drawing/Vial.svelte'
  import Why from './Why.svelte'

  let { links, lessonId }: { links: Shapes['ChainLinkOut'][]; lessonId: string } = $props()
</script>

<ol class="grid" data-links>
  {#each links as it (it.name)}
    <li class="grid items-center gap-x-4 gap-y-1 border-b border-hairline py-2 md:grid-cols-[minmax(150px,220px)_1fr]">
      <Vial vial={it.vial} words="{it.label}: {it.words}" size="row" />
      <p class="min-w-0 leading-snug">
        <span class="font-semibold">{it.label}</span>
        {it.words}
        {it.band} <span class="text-faded">{it.readings} read</span>
        {#if it.why}<Why of={{ lesson: lessonId }} key={it.why} name={it.label} />{/if}
      </p>
    </li>
  {/each}
</ol>

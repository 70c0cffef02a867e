<!-- Two sides told beside each other: one sentence, their fans, every link in pairs. -->
<script lang="ts">
  import type { Shapes } from '$lib/data/client'
  import Said from '$lib/base/Said.svelte'
  import Picture from '$lib/drawing/Picture.svelte'
  import Vial from '$lib/drawing/Vial.svelte'
  import type { Sides } from './queries.svelte'
  import Why from './Why.svelte'

  let { it, sides }: { it: Shapes['TwoSidesOut']; sides: Sides } = $props()
</script>

{#if it.changed}<p class="mt-4 border-l-4 border-engraved pl-3 font-semibold" data-changed>{it.changed}</p>{/if}
<h1 class="wide mt-3 text-[30px] leading-tight" data-headline><Said text={it.headline} /></h1>
<p class="mt-1 text-lg">From {it.names[0]} to {it.names[1]}.</p>
{#if it.fan}
  <div class="mt-2"><Picture scene={it.fan} label={it.headline} words={it.fan_words} /></div>
{/if}
<ol class="mt-3">
  {#each it.links as one (one.label)}
    <li
      class="grid items-center gap-x-4 gap-y-1 border-b border-hairline py-2 md:grid-cols-[minmax(140px,220px)_minmax(140px,220px)_1fr]"
      data-link-beside={one.quantity}
    >
      {#if one.first && one.second}
        <Vial vial={one.first} words="{one.label}, before" size="row" />
        <Vial vial={one.second} words="{one.label}, after" size="row" />
      {/if}
      <p class="leading-snug {one.first ? '' : 'md:col-span-3'}">
        <span class="font-semibold">{one.label}</span>: {one.words}
        <Why of={{ sides }} key={one.quantity} name={one.label} />
      </p>
    </li>
  {/each}
</ol>

<!-- A drill as it is done: its station to scale, its steps, its goal, what to mind. -->
<script lang="ts">
  import Stage from '$lib/drawing/Stage.svelte'
  import type { Shapes } from '$lib/data/client'

  interface Props {
    drill: Shapes['DrillOut']
  }
  let { drill }: Props = $props()
</script>

<div data-drill={drill.code}>
  <p class="text-lg leading-snug">{drill.purpose}</p>
  <div class="relative mt-2 h-48 border border-hairline"><Stage scene={drill.stage} label={drill.stage.words} /></div>
  {#if drill.lacking.length}<p class="mt-1 leading-snug">Not in the bag: {drill.lacking.join(', ')}.</p>{/if}
  <ol class="mt-2 list-decimal pl-6 text-lg leading-snug">
    {#each drill.steps as one (one)}<li>{one}</li>{/each}
  </ol>
  <p class="mt-2 leading-snug"><b>Goal:</b> {drill.goal} <span class="text-faded">{drill.dose}</span></p>
  {#if drill.progress}<p class="leading-snug" data-progress>{drill.progress}</p>{/if}
  {#if drill.indoors || drill.outdoors}
    <p class="mt-1 leading-snug" data-form>
      {#if drill.indoors}<b>Indoors:</b> {drill.indoors}{/if}
      {#if drill.outdoors}<b>On the green:</b> {drill.outdoors}{/if}
    </p>
  {/if}
  {#if drill.easier || drill.harder}
    <p class="mt-1 leading-snug text-faded">
      {#if drill.easier}Easier: {drill.easier}{/if}
      {#if drill.harder}Harder: {drill.harder}{/if}
    </p>
  {/if}
  {#if drill.risk || drill.stop}<p class="mt-1 leading-snug font-semibold">{drill.risk} {drill.stop}</p>{/if}
  {#each drill.mind as it (it)}<p class="mt-1 text-[15px] leading-snug">{it}</p>{/each}
  {#if drill.school}<p class="mt-1 text-sm text-faded">{drill.school}: a school; others do it otherwise.</p>{/if}
</div>

<!-- One word of the job: its picture and one sentence. -->
<script lang="ts">
  import Sketch from '$lib/drawing/Sketch.svelte'
  import { openTerm } from './glossary.svelte'
  import Sheet from './Sheet.svelte'
</script>

<Sheet bind:open={() => openTerm.now !== null, (it) => !it && openTerm.show(null)} title={openTerm.now?.name ?? ''}>
  {#if openTerm.now}
    <div class="flex flex-wrap items-center gap-4" data-term={openTerm.now.term}>
      <Sketch scene={openTerm.now.picture} width={180} height={120} />
      <p class="min-w-52 flex-1 text-lg">{openTerm.now.says}</p>
    </div>
  {/if}
</Sheet>

<!-- The conditions of a comparison beside each other, to one scale: what differs in each, and under them what stays. -->
<script lang="ts">
  import type { Shapes } from '$lib/data/client'
  import Sketch from '$lib/drawing/Sketch.svelte'
  import Stage from '$lib/drawing/Stage.svelte'
  import { conditionsDrawnQuery } from './queries.svelte'

  let { conditions, hand }: { conditions: Shapes['ConditionDrawnIn'][]; hand: Shapes['GolferBrief']['hand'] } = $props()
  const drawn = conditionsDrawnQuery(() => ({ hand, conditions }))
</script>

<div class="grid grid-cols-2 gap-2" data-two-stages>
  {#each conditions as _, n (n)}
    {@const it = drawn.data?.conditions[n]}
    <figure class="border border-hairline">
      <div class="relative h-28">
        {#if it}<Stage scene={it.stage} taped={false} />{/if}
        {#if it?.inset}<span class="absolute top-1 left-1 border border-hairline bg-paper"
            ><Sketch scene={it.inset} width={72} height={38} /></span
          >{/if}
      </div>
      <figcaption class="min-h-7 px-2 pb-1 leading-tight font-semibold first-letter:uppercase">
        {it?.differs ?? ''}
      </figcaption>
    </figure>
  {/each}
</div>
<p class="min-h-6 text-faded" data-stays>{drawn.data?.stays ?? ''}</p>

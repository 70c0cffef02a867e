<!-- What a golfer's last lesson found and what is due, in one line, with the vial of the link it is about. Its room is kept while it comes. -->
<script lang="ts">
  import type { Shapes } from '$lib/data/client'
  import Vial from '$lib/drawing/Vial.svelte'
  import { foundQuery } from './queries.svelte'

  let { golferId, block }: { golferId: string; block: Shapes['BlockLine'] } = $props()

  const found = foundQuery(() => golferId)
  const told = $derived(found.data)
</script>

<div class="@container min-h-24" data-found>
  <div class="grid grid-cols-1 items-center gap-x-4 gap-y-1 @lg:grid-cols-[minmax(150px,210px)_1fr]">
    <Vial vial={told?.vial ?? block.vial} words={told?.found ?? `${block.headline} ${block.size}`} size="row" />
    <p class="min-w-0 leading-snug">
      {#if told}
        <span class="block font-semibold">{told.found}</span>
        {#if told.next}<span class="block text-[15px] text-faded" data-due
            >{told.due ? `Next: ${told.next}` : told.next}</span
          >{/if}
      {:else}
        <span class="text-faded">{found.isPending ? 'The last lesson is coming.' : ''}</span>
      {/if}
    </p>
  </div>
</div>

<!-- A block in one line: its vial and its sentence. -->
<script lang="ts">
  import type { Shapes } from '$lib/data/client'
  import Vial from '$lib/drawing/Vial.svelte'

  interface Props {
    block: Shapes['BlockLine']
    /** Say under which condition and on which station it was read. */
    where?: boolean
  }
  let { block, where = true }: Props = $props()
</script>

<div class="@container">
  <div class="grid grid-cols-1 items-center gap-x-4 gap-y-1 @lg:grid-cols-[minmax(180px,280px)_1fr]">
    <Vial vial={block.vial} words={block.headline} size="row" />
    <p class="min-w-0 leading-snug">
      <span class="font-semibold">{block.headline}</span>
      {block.size}
      {#if !block.proved}<span class="border border-engraved px-1 text-[13px]">line not proved</span>{/if}
      {#if where}<span class="block text-[15px] text-faded"
          >{block.condition} · {block.station} · {block.putts} of {block.planned} putts</span
        >{/if}
    </p>
  </div>
</div>

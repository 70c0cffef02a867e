<!-- Where a golfer's start lies now, pooled over lessons; the newest block until that is known, or where nothing is pooled. -->
<script lang="ts">
  import type { Shapes } from '$lib/data/client'
  import Vial from '$lib/drawing/Vial.svelte'
  import { lineNowQuery } from './queries.svelte'
  import VialLine from './VialLine.svelte'

  let { golferId, block }: { golferId: string; block: Shapes['BlockLine'] } = $props()

  const now = lineNowQuery(() => golferId)
</script>

{#if now.data?.vial}
  <div class="@container" data-line-now>
    <div class="grid grid-cols-1 items-center gap-x-4 gap-y-1 @lg:grid-cols-[minmax(180px,280px)_1fr]">
      <Vial vial={now.data.vial} words={now.data.words} size="row" />
      <p class="min-w-0 leading-snug font-semibold">{now.data.short}</p>
    </div>
  </div>
{:else}
  <VialLine {block} where={false} />
{/if}

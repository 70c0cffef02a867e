<!-- Whose turn it is in the comparison that is being putted. -->
<script lang="ts">
  import type { Shapes } from '$lib/data/client'
  import type { Turn } from './turn'

  let { comparison, turn }: { comparison: Shapes['ComparisonOut']; turn: Turn } = $props()
  const name = (block: string | null) => comparison.blocks.find((it) => it.id === block)?.condition ?? ''
</script>

<p
  class="flex flex-wrap items-center justify-center gap-x-3 border-2 border-ink px-3 py-1 text-center"
  data-turn
  aria-live="polite"
>
  {#if turn.block === null}
    <span class="text-lg font-bold"
      >All {comparison.each * comparison.blocks.length} putts of this comparison are in.</span
    >
  {:else}
    <span class="wide text-xl">Now: {name(turn.block)}</span>
    <span>{turn.left} more{turn.then === null ? ', then done' : `, then ${name(turn.then)}`}</span>
  {/if}
</p>

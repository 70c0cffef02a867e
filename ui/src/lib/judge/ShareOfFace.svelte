<!-- The share of the face in the start: told by the putts, or set by the coach. -->
<script lang="ts">
  import { typedNumber } from '$lib/base/number'
  import { about, type Shapes } from '$lib/data/client'
  import { createWrite, saying } from '$lib/data/write.svelte'
  import Stepper from '$lib/base/Stepper.svelte'
  import { setShareOfFace, shareThing } from './writes'

  let { block }: { block: Shapes['BlockOut'] } = $props()
  const share = createWrite((k: number | null) => setShareOfFace(block.id, k))
  const said = $derived(saying<{ k: number | null }>(shareThing(block.id)))
  const k = $derived((said ?? block).k)
  const set = (value: number) => share.mutate(Math.min(1, Math.max(0.5, Math.round(value * 100) / 100)))
</script>

<div class="flex max-w-xl flex-wrap items-end gap-3 pb-3">
  <div class="w-56">
    <Stepper
      label="Share of the face (k)"
      unit=""
      text={k === null ? 'told by the putts' : k.toFixed(2)}
      read={typedNumber}
      step={(by) => set((k ?? 0.85) + by * 0.01)}
      onvalue={set}
      error={about(share.error, 'k')}
    />
  </div>
  {#if k !== null}<button class="button" onclick={() => share.mutate(null)}>Let the putts tell it</button>{/if}
</div>

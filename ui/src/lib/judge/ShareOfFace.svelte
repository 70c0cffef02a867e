<!-- The share of the face in the start: told by the putts, or set by the coach. -->
<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query'
  import { api, ask, refusal, type Shapes } from '$lib/data/client'
  import { Latest } from '$lib/data/latest.svelte'
  import { renew } from '$lib/data/queries.svelte'
  import Stepper from '$lib/base/Stepper.svelte'

  let { block }: { block: Shapes['BlockOut'] } = $props()
  const client = useQueryClient()
  interface Share {
    k: number | null
  }
  const share = new Latest<Share>(async (body) => {
    await ask(api.PUT('/api/blocks/{id}/share-of-face', { params: { path: { id: block.id } }, body }))
    await renew(client, ['tables', block.id], ['judged', block.id])
  })
  const k = $derived((share.value ?? block).k)
  const set = (value: number) => void share.set({ k: Math.min(1, Math.max(0.5, Math.round(value * 100) / 100)) })
</script>

<div class="flex max-w-xl flex-wrap items-end gap-3 pb-3">
  <div class="w-56">
    <Stepper
      label="Share of the face (k)" unit="" text={k === null ? 'told by the putts' : k.toFixed(2)} read={(text) => Number(text.replace(',', '.'))}
      step={(by) => set((k ?? 0.85) + by * 0.01)} onvalue={set} error={share.error ? refusal(share.error).about('k') : undefined}
    />
  </div>
  {#if k !== null}<button class="button" onclick={() => void share.set({ k: null })}>Let the putts tell it</button>{/if}
</div>

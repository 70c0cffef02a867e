<!-- The ladder: whether the gate or rail should tighten, widen or stay, and the next rung in one tap. -->
<script lang="ts">
  import { net } from '$lib/away/net.svelte'
  import NeedsNetwork from '$lib/away/NeedsNetwork.svelte'
  import { goto } from '$app/navigation'
  import { stamp } from '$lib/data/clock'
  import type { Shapes } from '$lib/data/client'
  import { createWrite } from '$lib/data/write.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { startRung } from './writes'

  let { rung, block, lessonId }: { rung: Shapes['RungOut']; block: Shapes['BlockOut']; lessonId: string } = $props()
  const stepping = createWrite(
    () => startRung(lessonId, { from_block_id: block.id, started_at: stamp() }),
    (next) => goto(`/lessons/${lessonId}/start?block=${next.id}`)
  )
</script>

{#if rung.step !== 'none'}
  <div class="flex flex-wrap items-center justify-center gap-x-3 text-center" data-ladder={rung.step}>
    <p class="text-sm {rung.step === 'wait' || rung.step === 'stay' ? 'text-faded' : 'font-semibold'}">
      How wide: {rung.words}
    </p>
    {#if (rung.step === 'tighten' || rung.step === 'widen') && net.gone}
      <NeedsNetwork why="The next width is laid where Libella is. Until then go on at this one." />
    {:else if rung.step === 'tighten' || rung.step === 'widen'}<button
        class="button"
        disabled={stepping.isPending}
        onclick={() => stepping.mutate(undefined)}>Lay it and go on</button
      >{/if}
  </div>
  {#if stepping.error}<Trouble error={stepping.error} />{/if}
{/if}

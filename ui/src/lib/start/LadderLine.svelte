<!-- The ladder: whether the gate or rail should tighten, widen or stay, and the next rung in one tap. -->
<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query'
  import { goto } from '$app/navigation'
  import { v7 } from 'uuid'
  import { stamp } from '$lib/data/clock'
  import { api, ask, type Shapes } from '$lib/data/client'
  import { renewLesson } from '$lib/data/queries.svelte'
  import Trouble from '$lib/base/Trouble.svelte'

  let { rung, block, lessonId }: { rung: Shapes['RungOut']; block: Shapes['BlockOut']; lessonId: string } = $props()
  const client = useQueryClient()
  let error = $state<unknown>(null)

  async function step(): Promise<void> {
    try {
      const body = { from_block_id: block.id, started_at: stamp() }
      const next = await ask(api.PUT('/api/rungs/{id}', { params: { path: { id: v7() } }, body }))
      error = null
      await renewLesson(client, lessonId)
      await goto(`/lessons/${lessonId}/start?block=${next.id}`)
    } catch (problem) {
      error = problem
    }
  }
</script>

{#if rung.step !== 'none'}
  <div class="flex flex-wrap items-center justify-center gap-x-3 text-center" data-ladder={rung.step}>
    <p class="text-sm {rung.step === 'wait' || rung.step === 'stay' ? 'text-faded' : 'font-semibold'}">Ladder: {rung.words}</p>
    {#if rung.step === 'tighten' || rung.step === 'widen'}<button class="button" onclick={step}>Lay it and go on</button>{/if}
  </div>
  {#if error}<Trouble {error} />{/if}
{/if}

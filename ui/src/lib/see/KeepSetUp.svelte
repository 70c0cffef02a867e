<!-- Keep a set-up that was measured by itself as the golfer's card, by its own name. -->
<script lang="ts">
  import { stamp } from '$lib/data/clock'
  import { createWrite } from '$lib/data/write.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { keepCard } from './writes'

  let {
    lessonId,
    golferId,
    setUp,
    note = ''
  }: { lessonId: string; golferId: string; setUp: string; note?: string } = $props()

  const keeping = createWrite(() =>
    keepCard(golferId, { lesson_id: lessonId, position: {}, set_up: setUp, note, kept_at: stamp() })
  )
</script>

{#if keeping.isSuccess}
  <p class="flex min-h-12 items-center" data-kept>“{setUp}” is kept as the golfer’s card.</p>
{:else}
  <button class="button min-h-12" disabled={keeping.isPending} onclick={() => keeping.mutate(undefined)}
    >Keep “{setUp}” as a card</button
  >
{/if}
{#if keeping.error}<div class="mt-2"><Trouble error={keeping.error} /></div>{/if}

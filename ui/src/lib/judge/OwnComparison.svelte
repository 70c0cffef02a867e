<!-- Under Judge: the comparison this block belongs to, if it does. -->
<script lang="ts">
  import type { Shapes } from '$lib/data/client'
  import { comparisonsQuery } from '$lib/data/queries.svelte'
  import Compared from './Compared.svelte'

  let { lessonId, block }: { lessonId: string; block: Shapes['BlockOut'] } = $props()

  const comparisons = comparisonsQuery(() => lessonId)
  const own = $derived(comparisons.data?.find((it) => it.id === block.comparison_id))
</script>

{#if own}
  <section class="mt-3 border-t border-hairline pt-3">
    <h2 class="wide text-lg">The comparison</h2>
    <p class="mb-1 text-faded">{own.question_words} {own.turn_words}</p>
    <Compared found={own.compared} felt={own.felt} />
  </section>
{/if}

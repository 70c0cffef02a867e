<!-- Under Judge: the comparison this block belongs to, or any other block set beside it. -->
<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query'
  import { api, ask, type Shapes } from '$lib/api/client'
  import { comparisonsQuery } from '$lib/api/queries.svelte'
  import Choice from '$lib/frame/Choice.svelte'
  import Trouble from '$lib/frame/Trouble.svelte'
  import Compared from './Compared.svelte'

  let { lessonId, blocks, current }: { lessonId: string; blocks: Shapes['BlockOut'][]; current: Shapes['BlockOut'] } = $props()

  const comparisons = comparisonsQuery(() => lessonId)
  const own = $derived(comparisons.data?.find((it) => it.id === current.comparison_id))
  const others = $derived(blocks.filter((it) => it.id !== current.id && it.putts && it.comparison_id !== (current.comparison_id ?? '')))
  let beside = $state<string | null>(null)
  const other = $derived(others.find((it) => it.id === beside))
  let question = $state<'line' | 'spread' | 'window'>('line')
  const QUESTIONS = [
    { value: 'line' as const, words: 'Start line' },
    { value: 'spread' as const, words: 'Spread' },
    { value: 'window' as const, words: 'In the window' },
  ]
  const found = createQuery(() => ({
    queryKey: ['compare', current.id, beside, question, current.putts, other?.putts],
    queryFn: () => ask(api.GET('/api/compare', { params: { query: { blocks: [current.id, beside ?? ''], question } } })),
    enabled: Boolean(other),
  }))
</script>

{#if own}
  <section class="border-t border-hairline py-3">
    <h3 class="wide text-lg">The comparison</h3>
    <p class="text-faded">{own.question_words} {own.turn_words}</p>
    <Compared found={own.compared} names={own.blocks.map((it) => it.condition)} />
  </section>
{/if}
{#if others.length && current.putts}
  <section class="border-t border-hairline py-3">
    <h3 class="wide text-lg">Beside another block</h3>
    <div class="mt-1 flex flex-wrap gap-1.5" role="group" aria-label="Beside which block">
      {#each others as it (it.id)}
        <button class="button {it.id === beside ? 'border-ink bg-ink text-paper!' : ''}" aria-pressed={it.id === beside} onclick={() => (beside = it.id === beside ? null : it.id)}>
          {it.condition}, {it.station.split(' · ')[0]}
        </button>
      {/each}
    </div>
    {#if other}
      <div class="mt-2"><Choice label="Asking about" options={QUESTIONS} bind:value={question} /></div>
      {#if found.error}<Trouble error={found.error} />{/if}
      {#if found.data}<div class="mt-2"><Compared found={found.data} names={[current.condition, other.condition]} /></div>{/if}
      <p class="mt-1 text-sm text-faded">Not planned as a comparison: warming up may be in it.</p>
    {/if}
  </section>
{/if}

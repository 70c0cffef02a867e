<!-- Under Judge: any other block set beside this one. -->
<script lang="ts">
  import type { Shapes } from '$lib/data/client'
  import { choices } from '$lib/data/vocabulary.svelte'
  import Choice from '$lib/base/Choice.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { moment } from '$lib/base/dates'
  import Compared from './Compared.svelte'
  import { comparedQuery } from './queries.svelte'

  let { blocks, current }: { blocks: Shapes['BlockOut'][]; current: Shapes['BlockOut'] } = $props()

  const others = $derived(
    blocks.filter((it) => it.id !== current.id && it.putts && it.comparison_id !== (current.comparison_id ?? ''))
  )
  let beside = $state<string | null>(null)
  const other = $derived(others.find((it) => it.id === beside))
  let question = $state<Shapes['ComparisonIn']['question']>('line')
  const QUESTIONS = choices<typeof question>('question')
  const found = comparedQuery(
    () => current,
    () => other,
    () => question
  )
</script>

{#if others.length && current.putts}
  <section class="border-t border-hairline py-3">
    <h2 class="wide text-lg">Beside another block</h2>
    <div class="mt-1 flex flex-wrap gap-1.5" role="group" aria-label="Beside which block">
      {#each others as it (it.id)}
        <button
          class="button {it.id === beside ? 'border-ink bg-ink text-paper!' : ''}"
          aria-pressed={it.id === beside}
          onclick={() => (beside = it.id === beside ? null : it.id)}
        >
          {it.condition || 'as usual'}{it.guided ? ', in view' : ''}, {it.station.split(' · ')[0]}, {moment(
            it.started_at
          )}
        </button>
      {/each}
    </div>
    {#if other}
      <div class="mt-2"><Choice label="Asking about" options={QUESTIONS} bind:value={question} /></div>
      {#if found.error}<Trouble error={found.error} />{/if}
      {#if found.data}<div class="mt-2"><Compared found={found.data} /></div>{/if}
      <p class="mt-1 text-sm text-faded">Not planned as a comparison: warming up may be in it.</p>
    {/if}
  </section>
{/if}

<!-- The line a reading rests on is not proved: the sentence, and the way out beside it. -->
<script lang="ts">
  import type { Shapes } from '$lib/data/client'
  import ProveLine from './ProveLine.svelte'

  interface Props {
    lessonId: string
    /** The plan whose line it is; undefined where that is not known here. */
    plan: Shapes['StationOut'] | undefined
    class?: string
  }
  let { lessonId, plan, class: more = '' }: Props = $props()
  let proving = $state(false)
</script>

<p class="flex flex-wrap items-center gap-3 border-l-4 border-danger pl-3 {more}" data-unproved>
  <span class="flex-1 font-semibold">{plan?.proof_words ?? 'The line is not proved.'}</span>
  {#if plan}<button class="button" onclick={() => (proving = true)}>Prove the line…</button>{/if}
</p>
{#if plan}<ProveLine bind:open={proving} {lessonId} putt={plan} station={async () => plan.id} />{/if}

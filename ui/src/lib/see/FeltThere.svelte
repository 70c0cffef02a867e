<!-- How the golfer found a position: can it be played from, how comfortable is it, how far is it trusted. -->
<script lang="ts">
  import type { Shapes } from '$lib/data/client'
  import { createWrite, saying } from '$lib/data/write.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { feltThere, feltThing } from './writes'

  type Felt = Required<Shapes['FeltIn']>
  interface Props {
    test: { id: string; lesson_id: string; playable: boolean; comfort: number | null; trust: number | null }
  }
  let { test }: Props = $props()

  const saving = createWrite((felt: Felt) => feltThere(test.lesson_id, test.id, felt))
  const felt = $derived<Felt>(
    saying<Felt>(feltThing(test.id)) ?? { playable: test.playable, comfort: test.comfort, trust: test.trust }
  )
  const chosen = 'border-ink bg-ink text-paper!'
</script>

<div class="flex flex-wrap items-end gap-x-6 gap-y-2" data-felt>
  <div>
    <span class="label mb-1 block">Can be played from</span>
    <div class="flex gap-1.5" role="group" aria-label="Can be played from">
      {#each [{ is: true, words: 'Yes' }, { is: false, words: 'No' }] as it (it.words)}
        <button
          type="button"
          class="button min-w-14 {felt.playable === it.is ? chosen : ''}"
          aria-pressed={felt.playable === it.is}
          onclick={() => saving.mutate({ ...felt, playable: it.is })}>{it.words}</button
        >
      {/each}
    </div>
  </div>
  {#each [{ name: 'comfort' as const, words: 'Comfort, 5 is best' }, { name: 'trust' as const, words: 'Trust, 5 is best' }] as score (score.name)}
    <div>
      <span class="label mb-1 block">{score.words}</span>
      <div class="flex gap-1.5" role="group" aria-label={score.words}>
        {#each [1, 2, 3, 4, 5] as n (n)}
          <button
            type="button"
            class="button min-w-11 px-2 {felt[score.name] === n ? chosen : ''}"
            aria-pressed={felt[score.name] === n}
            onclick={() => saving.mutate({ ...felt, [score.name]: n })}>{n}</button
          >
        {/each}
      </div>
    </div>
  {/each}
</div>
{#if saving.error}<div class="mt-2"><Trouble error={saving.error} /></div>{/if}

<!-- The golfer's answer, large enough for a thumb: it looks left, straight or right. -->
<script lang="ts">
  import { choices } from '$lib/data/vocabulary.svelte'
  import { LOOK_KEYS, type Look } from './looks'

  let { busy = false, answer }: { busy?: boolean; answer: (look: Look) => void } = $props()
  const LOOKS = choices<Look>('looks')
</script>

<div class="grid grid-cols-3 gap-3" role="group" aria-label="It looks">
  {#each LOOKS as it (it.value)}
    <button
      class="button min-h-24 flex-col text-2xl"
      disabled={busy}
      aria-keyshortcuts={LOOK_KEYS[it.value][0]}
      onclick={() => answer(it.value)}
    >
      <span class="wide">{it.words}</span><kbd class="key hidden sm:inline">{LOOK_KEYS[it.value][0]}</kbd>
    </button>
  {/each}
</div>

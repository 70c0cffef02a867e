<!-- Every key that works now. -->
<script lang="ts">
  import { glossary } from '$lib/data/vocabulary.svelte'
  import { openTerm } from './glossary.svelte'
  import { cap, keys } from './keys.svelte'
  import Sheet from './Sheet.svelte'

  let { open = $bindable() }: { open: boolean } = $props()
</script>

<Sheet bind:open title="Keys and words">
  {#each keys.groups as group (group.title)}
    <h3 class="label mt-3 border-b border-hairline">{group.title}</h3>
    <dl class="grid grid-cols-[5rem_1fr] gap-y-1.5 py-2">
      {#each group.keys as key (key.key + key.words)}
        <dt><kbd class="key">{cap(key.key)}</kbd></dt>
        <dd>{key.words}</dd>
      {/each}
    </dl>
  {/each}
  <p class="text-sm text-faded">Tab reaches everything; Enter or Space presses it; Esc closes a sheet.</p>
  <h3 class="label mt-4 border-b border-hairline">Words of the job</h3>
  <div class="mt-2 flex flex-wrap gap-1.5" role="group" aria-label="Words of the job">
    {#each glossary() as it (it.term)}<button class="button px-3" onclick={() => openTerm.show(it)}>{it.name}</button
      >{/each}
  </div>
</Sheet>

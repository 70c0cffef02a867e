<!-- Every key that works now. -->
<script lang="ts">
  import { cap, keys } from './keys.svelte'
  import Sheet from './Sheet.svelte'

  let { open = $bindable() }: { open: boolean } = $props()
</script>

<Sheet bind:open title="Keys">
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
</Sheet>

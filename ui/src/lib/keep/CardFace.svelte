<!-- What stands on a set-up card. -->
<script lang="ts">
  import { moment } from '$lib/base/dates'
  import type { Shapes } from '$lib/data/client'

  let { it, inUse }: { it: Shapes['CardOut']; inUse: boolean } = $props()
</script>

<p class="font-bold first-letter:uppercase">{it.change}</p>
<p class="text-faded">{moment(it.kept_at)}{inUse ? ' · the card in use' : ''}</p>
{#if it.note}<p>{it.note}</p>{/if}
<dl class="mt-1 grid grid-cols-[auto_1fr] gap-x-4">
  {#each it.rows as row (row.name)}<dt class="text-faded">{row.name}</dt>
    <dd>{row.size}</dd>{/each}
</dl>

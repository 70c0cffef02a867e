<!-- What was noted of the putts, beside their start lines: small tables, each with what it comes to. -->
<script lang="ts">
  import type { Shapes } from '$lib/api/client'

  let { tables }: { tables: Shapes['JudgedOut']['tables'] } = $props()
</script>

{#each tables as it (it.title)}
  <section class="border-t border-hairline py-3" data-table={it.title}>
    <h3 class="wide text-lg">{it.title}</h3>
    <p class="font-semibold">{it.words}</p>
    <table class="mt-1 w-full max-w-xl text-left">
      <thead>
        <tr class="text-sm text-faded"><th class="font-semibold"></th>{#each it.columns as name (name)}<th class="pr-4 font-semibold">{name}</th>{/each}</tr>
      </thead>
      <tbody>
        {#each it.rows as row (row.name)}
          <tr class="border-t border-hairline"><th class="py-1 pr-4 font-semibold">{row.name}</th>{#each row.cells as cell, n (n)}<td class="pr-4">{cell}</td>{/each}</tr>
        {/each}
      </tbody>
    </table>
  </section>
{/each}

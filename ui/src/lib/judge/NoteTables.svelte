<!-- What was noted of the putts, beside their start lines: small tables, each with what it comes to. -->
<script lang="ts">
  import type { Shapes } from '$lib/data/client'
  import Vial from '$lib/drawing/Vial.svelte'

  let { tables }: { tables: Shapes['TablesOut']['tables'] } = $props()
</script>

{#each tables as it (it.title)}
  <section class="border-t border-hairline py-3" data-table={it.title}>
    <h3 class="wide text-lg">{it.title}</h3>
    <p class="font-semibold">{it.words}</p>
    <table class="mt-1 w-full text-left {it.rows.some((row) => row.vial) ? '' : 'max-w-xl'}">
      <thead>
        <tr class="text-sm text-faded"><th class="font-semibold"></th>{#each it.columns as name (name)}<th class="pr-4 font-semibold">{name}</th>{/each}{#if it.rows.some((row) => row.vial)}<th class="max-sm:hidden"></th>{/if}</tr>
      </thead>
      <tbody>
        {#each it.rows as row (row.name)}
          <tr class="border-t border-hairline"><th class="py-1 pr-3 font-semibold {it.rows.some((other) => other.vial) ? 'sm:whitespace-nowrap' : ''}">{row.name}</th>{#each row.cells as cell, n (n)}<td class="pr-3 {it.rows.some((other) => other.vial) ? 'sm:whitespace-nowrap' : ''}">{cell}</td>{/each}{#if it.rows.some((other) => other.vial)}<td class="w-[30%] min-w-28 max-sm:hidden">{#if row.vial}<Vial vial={row.vial} words="{row.name}: {row.cells.join(', ')}" size="row" />{/if}</td>{/if}</tr>
        {/each}
      </tbody>
    </table>
  </section>
{/each}

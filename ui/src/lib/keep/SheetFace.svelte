<!-- What stands on the sheet a golfer takes home, before the coach's own words. -->
<script lang="ts">
  import Said from '$lib/base/Said.svelte'
  import type { Shapes } from '$lib/data/client'
  import Picture from '$lib/drawing/Picture.svelte'
  import Stage from '$lib/drawing/Stage.svelte'

  let { it }: { it: Shapes['SummaryOut'] } = $props()
</script>

{#each it.superseded as one (one)}
  <p class="mt-3 border-l-4 border-ink pl-3 leading-snug" data-superseded>{one}</p>
{/each}
{#if it.complaint}<p class="mt-3 text-lg">{it.complaint}</p>{/if}
{#if it.picture}<div class="mt-2">
    <Picture small scene={it.picture} label={it.found[0] ?? ''} words={it.picture_words} />
  </div>{/if}
<h2 class="wide mt-4 text-lg">What was found</h2>
{#each it.found as one (one)}<p class="text-lg leading-snug"><Said text={one} /></p>{/each}
{#if it.change.length}
  <h2 class="wide mt-4 text-lg">One change</h2>
  {#each it.change as one (one)}<p class="text-lg leading-snug first:font-semibold">{one}</p>{/each}
{/if}
{#if it.drill}
  <h2 class="wide mt-4 text-lg">The drill: {it.drill.name}</h2>
  <div class="relative mt-1 h-40 border border-hairline">
    <Stage scene={it.drill.stage} label={it.drill.stage.words} />
  </div>
  <ol class="mt-1 list-decimal pl-6 text-lg leading-snug">
    {#each it.drill.steps as one (one)}<li>{one}</li>{/each}
  </ol>
  <p class="leading-snug"><b>Goal:</b> {it.drill.goal} {it.drill.dose}</p>
{/if}
{#if it.week.length}
  <h2 class="wide mt-4 text-lg">The first week</h2>
  <ul class="grid gap-1">
    {#each it.week as one, n (n)}<li class="leading-snug">{one}</li>{/each}
  </ul>
{/if}
{#if it.first_check}
  <h2 class="wide mt-4 text-lg">First thing next time</h2>
  <p class="leading-snug" data-first-check>{it.first_check}</p>
{/if}

<!-- The session of a plan that is next: when, and what is done in it. -->
<script lang="ts">
  import { day } from '$lib/base/dates'
  import type { Shapes } from '$lib/data/client'

  let { next }: { next: Shapes['PlanOut']['sessions'][number] } = $props()
</script>

<p class="text-sm text-faded">Next · {day(next.day)} · {next.words}</p>
<ul class="mt-1 grid gap-1.5">
  {#each next.items as item, n (n)}
    <li class="leading-snug">
      <span class="text-lg font-semibold">{item.words}</span>
      <span class="block text-faded">{item.why}</span>
    </li>
  {/each}
</ul>

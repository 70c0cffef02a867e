<!-- The weeks of a plan, each opened by a tap: session by session, what was done and what was missed. -->
<script lang="ts">
  import { day } from '$lib/base/dates'
  import type { Shapes } from '$lib/data/client'

  let { sessions }: { sessions: Shapes['PlanOut']['sessions'] } = $props()
  const weeks = $derived([...new Set(sessions.map((one) => one.week))])
</script>

{#each weeks as week (week)}
  <details class="border-b border-hairline">
    <summary class="min-h-12 cursor-pointer py-2.5 text-lg font-semibold">
      Week {week}
      <span class="font-normal text-faded"
        >{sessions.filter((one) => one.week === week && one.done).length} of {sessions.filter(
          (one) => one.week === week && one.items.length
        ).length} done</span
      >
    </summary>
    <ol class="grid gap-3 pb-3">
      {#each sessions.filter((one) => one.week === week) as one (one.number)}
        <li data-session={one.number}>
          <p class="font-semibold">
            {day(one.day)}
            <span class="font-normal text-faded">{one.done ? 'done' : one.missed ? 'missed' : one.words}</span>
          </p>
          <ul>
            {#each one.items as item, n (n)}
              <li class="leading-snug">{item.words} <span class="text-faded">{item.why}</span></li>
            {/each}
          </ul>
        </li>
      {/each}
    </ol>
  </details>
{/each}

<!-- What is due, what has waited longest first; a tap opens where it is done. -->
<script lang="ts">
  import { day } from '$lib/base/dates'
  import type { Shapes } from '$lib/data/client'
  import { dueQuery } from './queries.svelte'

  const due = dueQuery()
  const rows = $derived(due.data ?? [])
  let all = $state(false)
  const SHOWN = 4
  const shown = $derived(all ? rows : rows.slice(0, SHOWN))
  const where = (it: Shapes['DueOut']) =>
    it.kind === 'lesson' ? `/lessons/${it.lesson_id}/judge` : `/golfers/${it.golfer_id}`
</script>

{#if rows.length}
  <section aria-labelledby="due" class="mt-8" data-due-list>
    <h2 id="due" class="wide border-b-2 border-ink pb-1 text-xl">Due</h2>
    <ul>
      {#each shown as it (it.kind + it.golfer_id + it.lesson_id + it.words)}
        <li class="border-b border-hairline">
          <a class="block min-h-11 py-2 hover:underline" href={where(it)}>
            <span class="flex flex-wrap items-baseline justify-between gap-x-3">
              <b class="min-w-0 wrap-break-word">{it.golfer}</b>
              <span class="shrink-0 text-[15px] text-faded">since {day(it.since)}</span>
            </span>
            <span class="block leading-snug">{it.words}</span>
          </a>
        </li>
      {/each}
    </ul>
    {#if rows.length > SHOWN && !all}
      <button class="button mt-2 w-full" onclick={() => (all = true)}>{rows.length - SHOWN} more</button>
    {/if}
  </section>
{/if}

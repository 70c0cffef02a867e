<!-- For how long golfers are kept without a sign of them, who goes before long, and who went: for the owner. -->
<script lang="ts">
  import Choice from '$lib/base/Choice.svelte'
  import Coming from '$lib/base/Coming.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { day } from '$lib/base/dates'
  import { createAsk } from '$lib/data/write.svelte'
  import { keepFor, removalsQuery } from './removals'

  const removals = removalsQuery()
  const keeping = createAsk((years: string) => keepFor(years ? Number(years) : null))
  const told = $derived(removals.data)
  const OFFERED = [1, 2, 3, 5, 10]
  const options = $derived([
    { value: '', words: 'Until somebody deletes them' },
    ...[...new Set([...OFFERED, told?.kept_years ?? 1])]
      .sort((a, b) => a - b)
      .map((it) => ({ value: String(it), words: it === 1 ? 'A year' : `${it} years` }))
  ])
</script>

<section class="mt-8" data-kept-for>
  <h2 class="wide text-xl">How long golfers are kept</h2>
  {#if removals.error}
    <Trouble error={removals.error} again={() => removals.refetch()} />
  {:else if told}
    <p class="mt-1 mb-3 max-w-prose leading-snug">
      Who had no lesson, round or change for so long is deleted for good, within a day of it; by a rule just made nobody
      goes for a month. {told.backups}
    </p>
    <Choice
      label="After the last sign of them"
      {options}
      value={String(told.kept_years ?? '')}
      onchange={(years) => keeping.mutate(years)}
    />
    {#if keeping.error}<Trouble error={keeping.error} />{/if}
    {#if told.due.length}
      <h3 class="label mt-4">They go within two months</h3>
      <ul class="border-t border-ink" aria-label="They go within two months">
        {#each told.due as it (it.golfer_id)}
          <li class="flex flex-wrap items-center gap-x-4 border-b border-hairline py-1">
            <a class="flex min-h-11 items-center font-semibold hover:underline" href="/golfers/{it.golfer_id}"
              >{it.name}</a
            >
            <span>last seen {day(it.seen_at)}, goes {day(it.goes_at)}</span>
          </li>
        {/each}
      </ul>
    {:else if told.kept_years}
      <p class="mt-3">Nobody goes within two months.</p>
    {/if}
    {#if told.runs.length || told.removed.length}
      <h3 class="label mt-4">What came of it</h3>
      <ul class="border-t border-ink" aria-label="What came of it">
        {#each [...told.runs, ...told.removed] as it, n (n)}<li class="border-b border-hairline py-2">{it}</li>{/each}
      </ul>
    {/if}
  {:else}
    <Coming what="How long golfers are kept" />
  {/if}
</section>

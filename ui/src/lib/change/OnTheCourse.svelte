<!-- What is holed by length, in practice and on the course, each share with how well it is known; what is left; rounds. -->
<script lang="ts">
  import Coming from '$lib/base/Coming.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { day } from '$lib/base/dates'
  import { createWrite } from '$lib/data/write.svelte'
  import { named } from '$lib/data/vocabulary.svelte'
  import RoundSheet from './RoundSheet.svelte'
  import { courseQuery } from './queries.svelte'
  import { voidRound } from './writes'

  let { golferId }: { golferId: string } = $props()

  const course = courseQuery(() => golferId)
  const it = $derived(course.data)
  let telling = $state(false)
  const back = createWrite((id: string) => voidRound(golferId, id, true))
</script>

<section class="mt-6" data-course>
  <div class="flex flex-wrap items-end justify-between gap-3 border-b-2 border-ink pb-1">
    <h2 class="wide text-xl">On the course</h2>
    <button class="button" onclick={() => (telling = true)}>Tell a round…</button>
  </div>
  {#if course.error && !it}
    <Trouble error={course.error} again={() => course.refetch()} />
  {:else if !it}
    <Coming what="What is holed" />
  {:else}
    <p class="mt-2 text-lg" data-played>{it.played}</p>
    {#if it.carried}<p class="mt-1 max-w-prose text-lg font-semibold" data-carried>{it.carried}</p>{/if}
    {#if it.helpless}<p class="mt-1 max-w-prose leading-snug" data-helpless>{it.helpless}</p>{/if}
    {#if it.made.length}
      <ul class="mt-3 grid gap-2" data-made>
        {#each it.made as one (one.length_m)}
          <li>
            <p class="leading-snug">{one.words}</p>
            {#each [{ of: one.practice, name: 'practice', ink: 'bg-ink' }, { of: one.course, name: 'course', ink: 'bg-level' }] as bar (bar.name)}
              {#if bar.of.share}
                <div class="mt-0.5 flex items-center gap-2" aria-hidden="true">
                  <span class="w-16 text-sm text-faded">{bar.name}</span>
                  <span class="relative h-4 flex-1 border border-hairline">
                    <span
                      class="absolute inset-y-0 {bar.ink} opacity-25"
                      style:left="{bar.of.share.low}%"
                      style:width="{bar.of.share.high - bar.of.share.low}%"
                    ></span>
                    <span class="absolute inset-y-0 w-1 {bar.ink}" style:left="calc({bar.of.share.value}% - 2px)"
                    ></span>
                  </span>
                </div>
              {/if}
            {/each}
          </li>
        {/each}
      </ul>
    {/if}
    {#if it.leaves.length}
      <h3 class="wide mt-4 text-lg">What is left</h3>
      <ul class="grid gap-0.5">
        {#each it.leaves as one (one)}<li class="leading-snug">{one}</li>{/each}
      </ul>
    {/if}
    {#each it.tables as table (table.surface + table.green_speed_ft)}
      <h3 class="wide mt-4 text-lg">
        Backstroke and roll on {named('surface', table.surface)}, {table.green_speed_ft} ft
      </h3>
      <p class="leading-snug">{table.words}</p>
      <ul class="mt-1 flex flex-wrap gap-x-6">
        {#each table.rows as row (row)}<li class="font-semibold">{row}</li>{/each}
      </ul>
    {/each}
    {#if it.rounds.length}
      <details class="mt-3 border-b border-hairline">
        <summary class="min-h-12 cursor-pointer py-2.5">Rounds: {it.rounds.length}</summary>
        <ol class="pb-2">
          {#each it.rounds as one (one.id)}
            <li class="flex items-center justify-between gap-2 border-t border-hairline">
              <span><b>{day(one.played_at)}</b> {one.words}</span>
              <button class="button plain" disabled={back.isPending} onclick={() => back.mutate(one.id)}
                >Take back</button
              >
            </li>
          {/each}
        </ol>
      </details>
    {/if}
    {#if back.error}<Trouble error={back.error} />{/if}
  {/if}
  <RoundSheet bind:open={telling} {golferId} />
</section>

<!-- A golfer's own page: the sheets the coach released, the plan and the cards of those lessons. -->
<script lang="ts">
  import Coming from '$lib/base/Coming.svelte'
  import { day } from '$lib/base/dates'
  import { place } from '$lib/base/place.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import NextSession from '$lib/change/NextSession.svelte'
  import WeekRows from '$lib/change/WeekRows.svelte'
  import CardFace from '$lib/keep/CardFace.svelte'
  import { mineQuery } from '$lib/people/mine'

  $effect(() => place.set([{ words: 'Yours' }], false))
  const mine = mineQuery()
  const it = $derived(mine.data)
  const next = $derived(it?.plan?.sessions.find((one) => one.number === it.plan?.next))
</script>

<svelte:head><title>Yours · Libella</title></svelte:head>

<div class="mx-auto max-w-[820px] px-5 py-6" data-mine>
  {#if mine.error && !it}
    <Trouble error={mine.error} again={() => mine.refetch()} />
  {:else if it}
    <h1 class="wide text-3xl">{it.golfer}</h1>
    {#if !it.sheets.length}
      <p class="mt-2 text-lg leading-snug" data-nothing>
        Nothing yet: your coach releases the sheet of a lesson, and it stands here with its plan and card.
      </p>
    {/if}
    {#if next}
      <div class="mt-4 border-2 border-ink p-4" data-next-session={next.number}><NextSession {next} /></div>
    {/if}
    {#if it.sheets.length}
      <h2 class="wide mt-6 border-b-2 border-ink pb-1 text-xl">Lessons</h2>
      <ul aria-label="Lessons, newest first">
        {#each it.sheets as sheet (sheet.lesson_id)}
          <li class="border-b border-hairline">
            <a
              class="flex min-h-14 flex-wrap items-center justify-between gap-x-4 py-2 text-lg hover:underline"
              href="/mine/{sheet.lesson_id}"
              ><span class="font-semibold">{sheet.under}</span>
              <span class="text-base text-faded">released {day(sheet.released_at)}</span></a
            >
          </li>
        {/each}
      </ul>
    {/if}
    {#if it.plan}
      <h2 class="wide mt-6 border-b-2 border-ink pb-1 text-xl">The plan</h2>
      <p class="mt-2 text-lg">{it.plan.worked}</p>
      <WeekRows sessions={it.plan.sessions} />
    {/if}
    {#if it.cards.length}
      <h2 class="wide mt-6 border-b-2 border-ink pb-1 text-xl">How you stand</h2>
      <ul aria-label="Set-up cards, newest first">
        {#each it.cards as card, n (card.id)}
          <li class="border-b border-hairline py-3"><CardFace it={card} inUse={n === 0} /></li>
        {/each}
      </ul>
    {/if}
    <p class="mt-8"><a class="button inline-flex min-h-12 items-center" href="/me">Your account…</a></p>
  {:else}
    <Coming page what="What was released to you" />
  {/if}
</div>

<!-- A golfer: who, and each lesson's vials in time order, newest first. -->
<script lang="ts">
  import { net } from '$lib/away/net.svelte'
  import Unsent from '$lib/away/Unsent.svelte'
  import { goto } from '$app/navigation'
  import { page } from '$app/state'
  import WhoseItIs from '$lib/golfer/WhoseItIs.svelte'
  import { levelsQuery } from '$lib/data/queries.svelte'
  import CardList from '$lib/keep/CardList.svelte'
  import InHand from '$lib/golfer/InHand.svelte'
  import Photos from '$lib/keep/Photos.svelte'
  import GolferSheet from '$lib/golfer/GolferSheet.svelte'
  import { place } from '$lib/base/place.svelte'
  import StartLesson from '$lib/lesson/StartLesson.svelte'
  import Coming from '$lib/base/Coming.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { planQuery } from '$lib/change/queries.svelte'
  import Expected from '$lib/change/Expected.svelte'
  import OnTheCourse from '$lib/change/OnTheCourse.svelte'
  import PlanWeeks from '$lib/change/PlanWeeks.svelte'
  import GolfersLine from '$lib/judge/GolfersLine.svelte'
  import VialLine from '$lib/judge/VialLine.svelte'
  import { day } from '$lib/base/dates'
  import { golferLineQuery } from '$lib/judge/queries.svelte'
  import Agreed from '$lib/people/Agreed.svelte'
  import Removal from '$lib/people/Removal.svelte'
  import { sessionQuery } from '$lib/people/session'
  import { golferLessonsQuery, golferQuery } from '$lib/golfer/queries.svelte'

  const id = $derived(page.params.id ?? '')
  let noting = $state(false)
  let starting = $state(false)
  let twice = $state(false)

  const golfer = golferQuery(() => id)
  const lessons = golferLessonsQuery(() => id)
  const session = sessionQuery()
  const owner = $derived(session.data && (!session.data.must || session.data.account?.role === 'owner'))
  const levels = levelsQuery()
  const line = golferLineQuery(() => id)
  const plan = planQuery(() => id)
  const ready = $derived(!lessons.isPending && !line.isPending && !plan.isPending)
  const who = $derived(golfer.data)
  const rows = $derived(lessons.data?.pages.flatMap((it) => it.items) ?? [])

  $effect(() => {
    // An entry that became one with another leads to that.
    if (who && who.id !== id) void goto(`/golfers/${who.id}`, { replaceState: true })
  })
  $effect(() => {
    if (who) place.set([{ words: 'Today', href: '/' }, { words: who.name }], who.invented)
  })
</script>

<svelte:head><title>{who?.name ?? 'Golfer'} · Libella</title></svelte:head>

{#if net.gone}<Unsent />{/if}
<div class="mx-auto max-w-[1040px] px-5 py-6">
  {#if !who}<h1 class="sr-only">A golfer</h1>{/if}
  {#if golfer.error}
    <Trouble error={golfer.error} again={() => golfer.refetch()} />
  {:else if who}
    <div class="flex flex-wrap items-end justify-between gap-4 border-b-2 border-ink pb-3">
      <div class="min-w-0 flex-1">
        <h1 class="wide text-3xl wrap-break-word">{who.name}</h1>
        <p class="text-lg">
          {who.hand === 'left' ? 'Left-handed' : 'Right-handed'} · {levels.data?.find((it) => it.level === who.level)
            ?.name ?? ''}
        </p>
        {#if who.notes}<p class="mt-1 max-w-prose text-faded">{who.notes}</p>{/if}
      </div>
      <div class="flex flex-wrap gap-2">
        <a class="button" href="/logbook?golfer={who.id}">Logbook</a>
        <a class="button" href="/golfers/{who.id}/schools">Schools</a>
        <button class="button" onclick={() => (noting = true)}>Change</button>
        <button class="button primary min-h-14 px-6 text-lg" onclick={() => (starting = true)}>Start lesson</button>
      </div>
    </div>
    {#if lessons.error}
      <div class="mt-4"><Trouble error={lessons.error} again={() => lessons.refetch()} /></div>
    {:else if lessons.data && !rows.length}
      <p class="mt-5 text-lg">No lesson yet. Start one: set a straight putt, then record ten.</p>
    {/if}
    <!-- The line above and the list below it come together: the list never slides away under a finger. -->
    {#if ready}
      {#if plan.data}<PlanWeeks golferId={id} />{/if}
      <GolfersLine golferId={id} />
      <ol aria-label="Lessons, newest first">
        {#each rows as { lesson, blocks, found } (lesson.id)}
          <li class="grid gap-x-6 gap-y-1 border-b border-hairline py-4 sm:grid-cols-[8.5rem_1fr]">
            <p>
              <a
                class="inline-flex min-h-11 flex-col justify-center font-bold hover:underline"
                href="/lessons/{lesson.id}/judge"
              >
                {day(lesson.started_at)}
              </a>
              <span class="block text-[15px] text-faded">{lesson.place}</span>
              {#if !lesson.ended_at}<span class="block text-[15px] font-semibold">in progress</span>{/if}
            </p>
            <div class="grid min-w-0 gap-3">
              <p class="font-semibold" data-found>{found}</p>
              {#each blocks as block (block.id)}
                <VialLine {block} />
              {/each}
            </div>
          </li>
        {/each}
      </ol>
      {#if lessons.hasNextPage}
        <button class="button mt-4 w-full" onclick={() => lessons.fetchNextPage()} disabled={lessons.isFetchingNextPage}
          >Older lessons</button
        >
      {/if}
      <!-- Below the lessons only once they stand: it would slide away under a finger. -->
      {#if !lessons.isPending}
        <p class="mt-6">
          <span class="label block">Take every putt out, or putts in</span>
          <a class="button mt-1 mr-2" href="/api/exports/golfer/{who.id}?form=csv" download>CSV</a>
          <a class="button mt-1 mr-2" href="/api/exports/golfer/{who.id}?form=json" download>JSON</a>
          <a class="button mt-1 mr-2" href="/golfers/{who.id}/files">From a file…</a>
          <a class="button mt-1" href="/archive?golfer={who.id}">Everything…</a>
        </p>
        <h2 class="wide mt-8 border-b-2 border-ink pb-1 text-xl">Set-up cards</h2>
        <CardList golferId={who.id} />
        <Expected golfer={who} />
        <OnTheCourse golferId={who.id} />
        <InHand golferId={who.id} />
        <Photos golferId={who.id} />
        <Agreed golfer={who} />
        {#if !net.gone}
          <p class="mt-8">
            <button class="button min-h-11" onclick={() => (twice = true)}>Entered twice…</button>
          </p>
        {/if}
        {#if owner}<Removal golfer={who} />{/if}
      {/if}
      <GolferSheet bind:open={noting} golfer={who} />
      <StartLesson bind:open={starting} golfer={who} />
      <WhoseItIs bind:open={twice} former={who} done={(it) => goto(`/golfers/${it}`, { replaceState: true })} />
    {/if}
  {:else}
    <Coming what="The golfer" />
  {/if}
</div>

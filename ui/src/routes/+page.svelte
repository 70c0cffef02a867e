<!-- Today: what stands open, and who could be next. -->
<script lang="ts">
  import { net } from '$lib/away/net.svelte'
  import Unsent from '$lib/away/Unsent.svelte'
  import { goto } from '$app/navigation'
  import type { Shapes } from '$lib/data/client'
  import { place } from '$lib/base/place.svelte'
  import DueList from '$lib/keep/DueList.svelte'
  import GolferSheet from '$lib/golfer/GolferSheet.svelte'
  import StartLesson from '$lib/lesson/StartLesson.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import LastFound from '$lib/judge/LastFound.svelte'
  import VialLine from '$lib/judge/VialLine.svelte'
  import { clock, day } from '$lib/base/dates'
  import { named } from '$lib/data/vocabulary.svelte'
  import { golfersQuery, todayQuery } from '$lib/golfer/queries.svelte'
  import { sessionQuery } from '$lib/people/session'

  let search = $state('')
  let adding = $state(false)
  let starting = $state(false)
  let chosen = $state<Shapes['GolferOut'] | null>(null)

  const session = sessionQuery()
  const today = todayQuery()
  const golfers = golfersQuery(() => search)
  const rows = $derived(golfers.data?.pages.flatMap((it) => it.items) ?? [])
  const open = $derived(today.data?.pages.flatMap((it) => it.lessons) ?? [])
  const studio = $derived(today.data?.pages[0]?.studio)

  $effect(() => {
    if (studio) place.set([{ words: studio.place ? `${studio.name}, ${studio.place}` : studio.name }], studio.invented)
  })
  function start(golfer: Shapes['GolferOut']): void {
    chosen = golfer
    starting = true
  }
</script>

<svelte:head><title>Today · Libella</title></svelte:head>

{#if net.gone}<Unsent />{/if}
<div
  class="mx-auto grid max-w-[1240px] grid-cols-[minmax(0,1fr)] gap-x-10 gap-y-8 px-5 py-6 desk:grid-cols-[minmax(0,5fr)_minmax(0,7fr)]"
>
  <section aria-labelledby="open-lessons">
    <h1 id="open-lessons" class="wide flex min-h-[54px] items-end border-b-2 border-ink pb-1 text-2xl">
      Lessons in progress
    </h1>
    {#if today.error}
      <div class="mt-4"><Trouble error={today.error} again={() => today.refetch()} /></div>
    {:else if today.data && !open.length}
      <p class="mt-4 text-lg">No lesson stands open. Choose a golfer and start one.</p>
    {/if}
    {#each open as { lesson, golfer, blocks } (lesson.id)}
      <article class="border-b border-hairline py-4" data-lesson={lesson.id}>
        <div class="flex items-baseline justify-between gap-3">
          <h2 class="wide min-w-0 text-xl">
            <a class="block truncate hover:underline" href="/golfers/{golfer.id}">{golfer.name}</a>
          </h2>
          <span class="shrink-0 text-faded">{day(lesson.started_at)}, {clock(lesson.started_at)}</span>
        </div>
        <p class="text-faded">{lesson.place} · {named('surface', lesson.surface)} · {lesson.green_speed_ft} ft green</p>
        {#each blocks.slice(-2) as block (block.id)}
          <div class="mt-3"><VialLine {block} /></div>
        {/each}
        <a
          class="button primary mt-4 min-h-14 w-full text-lg"
          href={blocks.length ? `/lessons/${lesson.id}/start` : `/lessons/${lesson.id}/set`}
        >
          {blocks.length ? 'Go on recording' : 'Set the line'}
        </a>
      </article>
    {/each}
    {#if today.hasNextPage}
      <button class="button mt-3 w-full" onclick={() => today.fetchNextPage()} disabled={today.isFetchingNextPage}
        >More lessons</button
      >
    {/if}
    {#if !today.isPending}<DueList />{/if}
  </section>

  <!-- Where it stands below the lessons it waits for them: it would slide away under a finger. -->
  <section aria-labelledby="golfers" class="min-w-0 {today.isPending ? 'max-desk:invisible' : ''}">
    <div class="flex flex-wrap items-end justify-between gap-3 border-b-2 border-ink pb-1">
      <h1 id="golfers" class="wide text-2xl">Golfers</h1>
      <div class="flex min-w-0 flex-wrap gap-2 pb-1">
        <input
          class="entry w-52! max-sm:w-full! max-w-full"
          type="search"
          placeholder="Find by name"
          aria-label="Find a golfer by name"
          bind:value={search}
        />
        <button class="button" onclick={() => (adding = true)}>Add golfer</button>
        <a class="button" href="/logbook">Logbook</a>
        <a class="button" href="/aids">Aids</a>
        <a class="button" href="/schools">Schools</a>
        {#if session.data?.account}<a class="button" href="/me" data-me-link>{session.data.account.name}</a>{/if}
      </div>
    </div>
    {#if golfers.error}
      <div class="mt-4"><Trouble error={golfers.error} again={() => golfers.refetch()} /></div>
    {:else if golfers.data && !rows.length}
      <p class="mt-4 text-lg">
        {search ? `Nobody here is called “${search}”.` : 'Nobody is noted yet.'}
        <button class="button ml-2" onclick={() => (adding = true)}>Add the golfer</button>
      </p>
    {/if}
    <ul>
      {#each rows as { golfer, last } (golfer.id)}
        <li class="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-4 border-b border-hairline py-3">
          <p class="col-span-2 flex flex-wrap items-baseline gap-x-2">
            <a class="min-w-0 text-lg font-bold wrap-break-word hover:underline" href="/golfers/{golfer.id}"
              >{golfer.name}</a
            >
            <span class="shrink-0 text-faded"
              >{[golfer.hand === 'left' ? 'left-handed' : '', last ? day(last.started_at) : '']
                .filter(Boolean)
                .join(' · ')}</span
            >
          </p>
          <div class="min-w-0">
            {#if last}<LastFound golferId={golfer.id} block={last.block} />{:else}<p class="text-faded">
                No putts yet.
              </p>{/if}
          </div>
          <button class="button" onclick={() => start(golfer)} aria-label="Start lesson with {golfer.name}"
            >Start lesson</button
          >
        </li>
      {/each}
    </ul>
    {#if golfers.hasNextPage}
      <button class="button mt-3 w-full" onclick={() => golfers.fetchNextPage()} disabled={golfers.isFetchingNextPage}
        >More golfers</button
      >
    {/if}
  </section>
</div>

<GolferSheet bind:open={adding} teach={start} kept={(golfer) => goto(`/golfers/${golfer.id}`)} />
{#if chosen}<StartLesson bind:open={starting} golfer={chosen} />{/if}

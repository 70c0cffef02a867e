<!-- The logbook: everything of the years, found by its words; of one golfer it is the time line. -->
<script lang="ts">
  import { goto } from '$app/navigation'
  import { page } from '$app/state'
  import Several from '$lib/base/Several.svelte'
  import Said from '$lib/base/Said.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { day } from '$lib/base/dates'
  import { place } from '$lib/base/place.svelte'
  import type { Shapes } from '$lib/data/client'
  import { choices } from '$lib/data/vocabulary.svelte'
  import Vial from '$lib/drawing/Vial.svelte'
  import { golferQuery } from '$lib/golfer/queries.svelte'
  import SidesBeside from '$lib/judge/SidesBeside.svelte'
  import { sidesQuery } from '$lib/judge/queries.svelte'
  import { logbookQuery, type Sought } from '$lib/keep/queries.svelte'

  type Entry = Shapes['LogEntryOut']
  const golferId = $derived(page.url.searchParams.get('golfer') ?? '')
  const golfer = golferQuery(() => golferId)
  let typed = $state('')
  let sorts = $state<Entry['sort'][]>([])
  let since = $state('')
  let until = $state('')
  const midnight = (date: string, later = 0) => {
    const at = new Date(`${date}T00:00`)
    at.setDate(at.getDate() + later)
    return at.toISOString()
  }
  const sought = $derived<Sought>({
    q: typed.trim(),
    sorts,
    ...(golferId ? { golfer: golferId } : {}),
    ...(since ? { since: midnight(since) } : {}),
    ...(until ? { until: midnight(until, 1) } : {})
  })
  const found = logbookQuery(() => sought)
  const rows = $derived(found.data?.pages.flatMap((it) => it.items) ?? [])
  const nothing = $derived(found.data?.pages[0]?.nothing ?? '')
  const SORTS = choices<Entry['sort']>('log')

  // Two lessons of one golfer, set beside each other: the older is before.
  let chosen = $state.raw<Entry[]>([])
  const pair = $derived([...chosen].sort((one, other) => one.at.localeCompare(other.at)))
  const sides = sidesQuery(
    () => (pair.length === 2 ? pair[0]?.id : undefined),
    () => pair[1]?.id ?? '',
    () => ({})
  )
  const isChosen = (it: Entry) => chosen.some((one) => one.id === it.id)
  function choose(it: Entry): void {
    if (isChosen(it)) chosen = chosen.filter((one) => one.id !== it.id)
    else chosen = [...chosen.filter((one) => one.golfer_id === it.golfer_id), it].slice(-2)
  }

  $effect(() => {
    const who = golfer.data
    place.set(
      who
        ? [{ words: 'Today', href: '/' }, { words: who.name, href: `/golfers/${who.id}` }, { words: 'Logbook' }]
        : [{ words: 'Today', href: '/' }, { words: 'Logbook' }],
      who?.invented ?? false
    )
  })
  const where = (it: Entry) =>
    it.lesson_id ? `/lessons/${it.lesson_id}/judge` : it.golfer_id ? `/golfers/${it.golfer_id}` : null
</script>

<svelte:head><title>Logbook · Libella</title></svelte:head>

<div class="mx-auto max-w-[1040px] px-5 py-6">
  <div class="flex flex-wrap items-end gap-3 border-b-2 border-ink pb-2">
    <h1 class="wide mr-auto text-2xl">{golfer.data ? `Logbook of ${golfer.data.name}` : 'Logbook'}</h1>
    {#if golferId}<a class="button" href="/logbook">Of everybody</a>{/if}
    <a class="button" href="/archive{golferId ? `?golfer=${golferId}` : ''}">Everything out and in…</a>
  </div>
  <div class="mt-3 flex flex-wrap items-end gap-3">
    <label class="min-w-56 flex-1">
      <span class="label">Words, or how they begin</span>
      <input class="entry" type="search" placeholder="nerves, gate, spot…" bind:value={typed} />
    </label>
    <label><span class="label">From</span><input class="entry" type="date" bind:value={since} /></label>
    <label><span class="label">To</span><input class="entry" type="date" bind:value={until} /></label>
  </div>
  <div class="mt-3"><Several label="Kinds" options={SORTS} values={sorts} change={(it) => (sorts = it)} /></div>
  {#if found.error}
    <div class="mt-4"><Trouble error={found.error} again={() => found.refetch()} /></div>
  {/if}
  {#if chosen.length === 1}
    <p class="mt-4 font-semibold" role="status">Choose a second lesson of {chosen[0]?.golfer} to set beside it.</p>
  {:else if chosen.length === 2}
    <section class="mt-4 border-2 border-ink px-4 pb-3" data-beside>
      <div class="mt-2 flex justify-end">
        <button class="button" onclick={() => (chosen = [])}>Put them back</button>
      </div>
      {#if sides.error}<Trouble error={sides.error} again={() => sides.refetch()} />
      {:else if sides.data}<SidesBeside
          it={sides.data}
          sides={{ first: pair[0]?.id ?? '', second: pair[1]?.id ?? '' }}
        />{:else}<p class="text-faded">Both lessons are read…</p>{/if}
    </section>
  {/if}
  {#if nothing}<p class="mt-5 text-lg" data-nothing>{nothing}</p>{/if}
  <ol class="mt-2" aria-label="Entries, newest first">
    {#each rows as it (it.sort + it.id)}
      {@const to = where(it)}
      <li
        class="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-4 border-b border-hairline py-2 sm:grid-cols-[9rem_minmax(0,1fr)_auto]"
        data-entry={it.sort}
      >
        <p class="text-[15px] max-sm:col-span-2">
          <span class="font-semibold">{it.name}</span>
          <span class="block text-faded max-sm:inline">{day(it.at)}</span>
        </p>
        <div class="min-w-0">
          {#if to}<a class="flex min-h-11 flex-col justify-center hover:underline" href={to}>
              {#if !golferId && it.golfer}<b class="wrap-break-word">{it.golfer}</b>{/if}
              <span class="leading-snug wrap-break-word">{it.words}</span>
            </a>{:else}<p class="flex min-h-11 items-center leading-snug wrap-break-word">{it.words}</p>{/if}
          {#if it.found}
            <p class="font-semibold"><Said text={it.found.found} /></p>
            {#if it.found.vial}<Vial vial={it.found.vial} words={it.found.found} size="row" />{/if}
          {/if}
        </div>
        {#if it.sort === 'lesson'}
          <button
            class="button"
            aria-pressed={isChosen(it)}
            aria-label="{isChosen(it) ? 'Chosen' : 'Beside…'} the lesson of {day(it.at)}"
            onclick={() => choose(it)}>{isChosen(it) ? 'Chosen' : 'Beside…'}</button
          >
        {:else if it.sort === 'golfer' && it.golfer_id}
          <button class="button" onclick={() => goto(`/logbook?golfer=${it.golfer_id}`)}>Time line</button>
        {/if}
      </li>
    {/each}
  </ol>
  {#if found.hasNextPage}
    <button class="button mt-4 w-full" onclick={() => found.fetchNextPage()} disabled={found.isFetchingNextPage}
      >Older entries</button
    >
  {/if}
</div>

<!-- Keep: the lesson on one page, as the golfer takes it home; the coach adds words, never numbers. -->
<script lang="ts">
  import { page } from '$app/state'
  import Coming from '$lib/base/Coming.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { api } from '$lib/data/client'
  import { createFresh } from '$lib/data/fresh.svelte'
  import { named } from '$lib/data/vocabulary.svelte'
  import { save } from '$lib/data/save'
  import { createAsk, createWrite, firstError } from '$lib/data/write.svelte'
  import { day } from '$lib/base/dates'
  import { summaryQuery } from '$lib/keep/queries.svelte'
  import SheetFace from '$lib/keep/SheetFace.svelte'
  import SheetMind from '$lib/keep/SheetMind.svelte'
  import { noteSheet, releaseSheet } from '$lib/keep/writes'
  import { sessionQuery } from '$lib/people/session'

  const id = $derived(page.params.id ?? '')
  const summary = summaryQuery(() => id)
  const it = $derived(summary.data)
  const fresh = createFresh(() => id, summary)
  let typed = $state<string | null>(null)
  const noting = createWrite(
    (note: string) => noteSheet(id, note),
    () => (typed = null)
  )
  const session = sessionQuery()
  const releasing = createWrite((released: boolean) => releaseSheet(id, released))
  const printing = createAsk((whole: boolean) =>
    save(
      api.GET('/api/lessons/{id}/golfers-sheet', {
        params: {
          path: { id },
          query: { whole }
        },
        parseAs: 'blob'
      }),
      'golfers-sheet.pdf'
    )
  )
  const error = $derived(firstError([noting, releasing, printing]))
</script>

{#if summary.error && !it}
  <div class="p-6"><Trouble error={summary.error} again={() => summary.refetch()} /></div>
{:else if it && fresh.shown}
  <div class="mx-auto max-w-[820px] px-6 py-5" data-summary>
    <div class="flex flex-wrap items-end justify-between gap-3 border-b-2 border-ink pb-2">
      <div>
        <h1 class="wide text-2xl">The sheet to take home</h1>
        <p class="text-faded">{it.golfer} · {it.under} · in {named('units', it.units)}</p>
      </div>
      <div class="flex flex-wrap gap-2">
        {#if it.drill}
          <button class="button min-h-14" disabled={printing.isPending} onclick={() => printing.mutate(true)}
            >With station and card</button
          >
        {/if}
        <button
          class="button primary min-h-14 px-6 text-lg"
          disabled={printing.isPending}
          onclick={() => printing.mutate(false)}>{printing.isPending ? 'Drawing…' : 'Print it'}</button
        >
      </div>
    </div>
    {#if session.data?.must}
      <p class="mt-3 flex flex-wrap items-center gap-x-4 gap-y-2" data-released={Boolean(it.released_at)}>
        <span class="min-w-0 flex-1 leading-snug"
          >{it.released_at
            ? `${it.golfer} sees this sheet since ${day(it.released_at)}, signed in, with the plan and the card of this lesson.`
            : `${it.golfer} does not see this sheet: what is not released is seen by nobody who signs in as a golfer.`}</span
        >
        <button class="button min-h-14" disabled={releasing.isPending} onclick={() => releasing.mutate(!it.released_at)}
          >{it.released_at ? 'Take it back' : `Release it to ${it.golfer}`}</button
        >
      </p>
    {/if}
    {#if it.missing}<p class="mt-3 text-lg" data-missing>{it.missing}</p>{/if}
    <SheetFace {it} />
    <label class="mt-4 block">
      <span class="label">In your own words</span>
      <textarea
        class="entry min-h-24 py-2"
        maxlength="600"
        value={typed ?? it.note}
        oninput={(event) => (typed = event.currentTarget.value)}
        onchange={() => typed !== null && noting.mutate(typed)}></textarea>
    </label>
    <SheetMind {it} />
    {#if error}<Trouble {error} />{/if}
  </div>
{:else}
  <Coming page what="The sheet" />
{/if}

<!-- Change: what brought the golfer here and what the lesson answers, the one change, and how it fares in its retests. -->
<script lang="ts">
  import { page } from '$app/state'
  import Coming from '$lib/base/Coming.svelte'
  import Said from '$lib/base/Said.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import ComplaintSheet from '$lib/change/ComplaintSheet.svelte'
  import HeldChange from '$lib/change/HeldChange.svelte'
  import PlanWeeks from '$lib/change/PlanWeeks.svelte'
  import OwnChange from '$lib/change/OwnChange.svelte'
  import { changeQuery } from '$lib/change/queries.svelte'
  import { chooseChange } from '$lib/change/writes'
  import { createFresh } from '$lib/data/fresh.svelte'
  import { stamp } from '$lib/data/clock'
  import type { Shapes } from '$lib/data/client'
  import Picture from '$lib/drawing/Picture.svelte'
  import { findingsQuery } from '$lib/judge/queries.svelte'
  import { lessonQuery } from '$lib/data/queries.svelte'
  import SchoolMark from '$lib/schools/SchoolMark.svelte'
  import SchoolsHere from '$lib/schools/SchoolsHere.svelte'
  import { createWrite } from '$lib/data/write.svelte'

  const id = $derived(page.params.id ?? '')
  const lesson = lessonQuery(() => id)
  const change = changeQuery(() => id)
  const found = findingsQuery(() => id)
  const it = $derived(change.data)
  const fresh = createFresh(() => id, change)
  const held = $derived(it?.held.filter((one) => !one.dropped) ?? [])
  const dropped = $derived(it?.held.filter((one) => one.dropped) ?? [])
  /** With one held another is asked about first. */
  let another = $state(false)
  const choosing = $derived(another || (it !== undefined && held.length === 0))

  /** By which schools the changes of a finding stand in their order. */
  const decided = (offer: Shapes['OfferOut']) => [...new Set(offer.proposals.flatMap((one) => one.decided_by))]
  const reasoned = (offer: Shapes['OfferOut']) =>
    offer.reasons.length > 0 ||
    offer.against.length > 0 ||
    offer.ruled_out.length > 0 ||
    offer.proposals.some((one) => one.against.length > 0)
  let telling = $state(false)
  let wording = $state(false)
  type Own = Pick<Required<Shapes['ChosenIn']>, 'what' | 'feel' | 'kind' | 'asks'>
  const choose = createWrite(
    (own: Own & { cause?: string; proposal?: string; way?: Record<string, string> }) =>
      chooseChange({ cause: '', proposal: '', way: {}, ...own, lesson_id: id, made_at: stamp() }),
    () => (another = false)
  )
  /** So many changes of one finding are seen at once: a choice, not a catalogue. */
  const SHOWN = 4
</script>

{#snippet proposed(offer: Shapes['OfferOut'], one: Shapes['UsualChangeOut'])}
  <button
    class="button min-h-20 flex-col items-stretch justify-start gap-0.5 p-3 text-left whitespace-normal"
    data-proposal={one.code || 'keep'}
    disabled={choose.isPending}
    onclick={() =>
      choose.mutate({
        what: one.what,
        feel: one.feel,
        kind: one.kind,
        asks: one.asks,
        cause: offer.cause,
        proposal: one.code,
        way: one.way
      })}
  >
    <span class="text-lg leading-tight font-semibold">{one.what}</span>
    <span class="leading-snug font-normal">{one.feel}</span>
    {#if one.school}<span class="text-sm leading-snug font-normal text-faded">{one.school}; others: {one.rival}</span
      >{/if}
    {#if one.proved}<span class="text-sm leading-snug font-semibold" data-proved>{one.proved}</span>{/if}
    {#if one.caution}<span class="text-sm leading-snug font-normal">{one.caution}</span>{/if}
  </button>
{/snippet}

{#if change.error && !it}
  <div class="p-6"><Trouble error={change.error} again={() => change.refetch()} /></div>
{:else if it && lesson.data && fresh.shown}
  <div
    class="grid min-h-full grid-cols-1 content-start desk:h-full desk:content-stretch desk:min-h-0 desk:grid-cols-[minmax(0,1fr)_340px]"
  >
    <div class="min-h-0 px-6 py-4 desk:overflow-y-auto">
      <h1 class="wide text-[26px] leading-tight">
        {choosing ? (held.length ? 'Another change' : 'One change') : 'The change'}
      </h1>
      {#if found.data?.picture}
        <div class="mt-2">
          <Picture small scene={found.data.picture} label={found.data.headline} words={found.data.picture_words} />
        </div>
      {/if}
      {#if choosing}
        {#if held.length}<p class="mt-1 max-w-prose text-lg" data-ask-first>{it.ask_first}</p>{/if}
        {#if it.check}
          <p class="mt-3 max-w-prose border-l-4 border-ink pl-3 text-lg leading-snug font-semibold" data-check>
            <Said text={it.check} />
          </p>
        {/if}
        {#if !it.offers.length}
          <p class="mt-1 max-w-prose text-lg" data-none-named>
            {it.check ? 'No change yet. We can’t tell what to change.' : 'Nothing was read yet. Read the starts first.'}
          </p>
        {/if}
        {#each it.offers as offer (offer.cause + offer.words)}
          <section class="mt-4" data-offer={offer.cause}>
            <h2 class="border-b-2 border-ink pb-1 text-lg font-semibold"><Said text={offer.words} /></h2>
            {#if offer.general}<p class="mt-1 leading-snug" data-general>{offer.general}</p>{/if}
            {#each decided(offer) as of (of)}<SchoolMark
                {of}
                whose={{ lesson: id }}
                golfer={lesson.data.golfer}
              />{/each}
            <div class="mt-2 grid gap-2 sm:grid-cols-2">
              {#each offer.proposals.slice(0, SHOWN) as one (one.code + one.what)}{@render proposed(offer, one)}{/each}
            </div>
            {#if offer.proposals.length > SHOWN}
              <details class="mt-1">
                <summary class="min-h-12 cursor-pointer py-2.5 font-semibold"
                  >{offer.proposals.length - SHOWN} more</summary
                >
                <div class="grid gap-2 pb-2 sm:grid-cols-2">
                  {#each offer.proposals.slice(SHOWN) as one (one.code + one.what)}{@render proposed(offer, one)}{/each}
                </div>
              </details>
            {/if}
            {#if !offer.proposals.length}<p class="mt-2 leading-snug">None of the usual changes fits.</p>{/if}
            {#if reasoned(offer)}
              <details class="mt-1" data-reasons>
                <summary class="min-h-12 cursor-pointer py-2.5 font-semibold">For and against</summary>
                <ul class="grid gap-1 pb-2 leading-snug">
                  {#each offer.reasons as one (one)}<li><b>For:</b> <Said text={one} /></li>{/each}
                  {#each offer.against as one (one)}<li><b>Against:</b> <Said text={one} /></li>{/each}
                  {#each offer.proposals as one (one.code + one.what)}{#each one.against as against (against)}<li>
                        <b>Against “{one.what}”:</b>
                        <Said text={against} />
                      </li>{/each}{/each}
                  {#each offer.ruled_out as one (one)}<li><b>Not offered:</b> <Said text={one} /></li>{/each}
                </ul>
              </details>
            {/if}
          </section>
        {/each}
        {#if choose.error}<Trouble error={choose.error} />{/if}
        <div class="mt-4 flex flex-wrap gap-2">
          <button class="button" onclick={() => (wording = true)}>One of your own…</button>
          {#if held.length}<button class="button plain" onclick={() => (another = false)}>Leave it at one</button>{/if}
        </div>
      {:else}
        {#each held as one (one.id)}<HeldChange held={one} lessonId={id} sheet={lesson.data} />{/each}
        <button class="button mt-4" onclick={() => (another = true)}>Another change…</button>
      {/if}
      {#if dropped.length}
        <details class="mt-4 border-t border-hairline">
          <summary class="min-h-14 cursor-pointer py-3 text-lg font-semibold">Dropped: {dropped.length}</summary>
          {#each dropped as one (one.id)}<HeldChange held={one} lessonId={id} sheet={lesson.data} />{/each}
        </details>
      {/if}
      <div class="mt-4"><SchoolsHere at="change" lesson={id} golfer={lesson.data.golfer} /></div>
      <PlanWeeks golferId={lesson.data.golfer.id} lessonId={id} />
      <div class="mt-4"><SchoolsHere at="keep" lesson={id} golfer={lesson.data.golfer} /></div>
      <p class="mt-4 flex flex-wrap gap-2">
        <a class="button" href="/lessons/{id}/keep">The sheet to take home…</a>
        <a class="button" href="/drills?golfer={lesson.data.golfer.id}&lesson={id}">All drills…</a>
      </p>
    </div>
    <aside
      class="flex min-h-0 flex-col gap-3 border-hairline px-4 py-4 max-desk:order-first max-desk:border-b desk:overflow-y-auto desk:border-l"
      aria-label="The answer"
    >
      <section>
        <h2 class="wide text-lg">They came with</h2>
        {#if it.complaint_words}
          <p class="mt-1 leading-snug" data-came-with>{it.complaint_words}</p>
        {:else}
          <p class="mt-1 leading-snug text-faded" data-came-with>Nobody asked yet.</p>
        {/if}
        <button class="button mt-2" onclick={() => (telling = true)}
          >{it.complaint ? 'Say it otherwise…' : 'What brings them here…'}</button
        >
      </section>
      <section>
        <h2 class="wide text-lg">The answer</h2>
        <ul class="mt-1 grid gap-1.5" data-answer>
          {#each it.answer as one (one)}<li class="leading-snug"><Said text={one} /></li>{/each}
        </ul>
      </section>
    </aside>
  </div>
  <ComplaintSheet
    bind:open={telling}
    lessonId={id}
    complaint={it.complaint as Required<Shapes['ComplaintIn']> | null}
  />
  <OwnChange bind:open={wording} lessonId={id} chosen={() => (another = false)} />
{:else}
  <Coming page what="The change" />
{/if}

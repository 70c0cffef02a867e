<!-- The lesson judged whole: one sentence and one picture, then the findings, ranked; what to check next; what to mind. -->
<script lang="ts">
  import Cautions from '$lib/keep/Cautions.svelte'
  import type { Shapes } from '$lib/data/client'
  import { outbox } from '$lib/data/outbox.svelte'
  import Said from '$lib/base/Said.svelte'
  import SchoolsHere from '$lib/schools/SchoolsHere.svelte'
  import BlockSwitch from '$lib/start/BlockSwitch.svelte'
  import { createFresh } from '$lib/data/fresh.svelte'
  import Coming from '$lib/base/Coming.svelte'
  import Picture from '$lib/drawing/Picture.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import Unproved from '$lib/set/Unproved.svelte'
  import Compared from './Compared.svelte'
  import ReadRows from './ReadRows.svelte'
  import Why from './Why.svelte'
  import Unsorted from './Unsorted.svelte'
  import ChainLinks from './ChainLinks.svelte'
  import FindingRow from './FindingRow.svelte'
  import { wayTo } from './check'
  import { schoolsQuery } from '$lib/schools/queries.svelte'
  import { findingsQuery } from './queries.svelte'

  let { id, sheet }: { id: string; sheet: Shapes['LessonSheetOut'] } = $props()

  const found = findingsQuery(() => id)
  const it = $derived(found.data)
  const fresh = createFresh(() => id, found)
  const next = $derived(it?.next[0])
  const plan = $derived(sheet.stations.find((one) => one.current))
  // What this golfer wants to see first is a school's to say; one picture where nobody said.
  const schools = schoolsQuery(() => ({ lesson: id }))
  const numbersFirst = $derived((schools.data?.settings.first ?? 'picture') !== 'picture')
  /** What this page has is older than what was read: some of that is still on its way. */
  const coming = $derived(outbox.waiting.length > 0 || found.isFetching)
  const read = $derived(Boolean(it && (it.read.length || it.first.length)))
</script>

{#if found.error && !it}
  <div class="p-6"><Trouble error={found.error} again={() => found.refetch()} /></div>
{:else if it && fresh.shown}
  <div class={read ? 'grid min-h-full grid-cols-1 desk:h-full desk:min-h-0 desk:grid-cols-[minmax(0,1fr)_320px]' : ''}>
    <div class={read ? 'min-h-0 overflow-y-auto px-6 py-4' : 'p-6'}>
      {#if read}
        <h1 class="wide text-[30px] leading-tight" data-headline data-word={it.word}><Said text={it.headline} /></h1>
        <p class="mt-1 max-w-prose text-lg" data-meaning>
          <Said text={it.meaning} />
          {#if it.why[0]}<Why of={{ lesson: id }} key={it.why[0]} name={it.headline} />{/if}
        </p>
        {#if it.also.length || it.pace || it.growth}<ul class="mt-2 grid max-w-prose gap-1 text-lg" data-also>
            {#each it.also as one, n (one)}<li>
                <Said text={one} />
                {#if it.why[n + 1]}<Why of={{ lesson: id }} key={it.why[n + 1] ?? ''} name={one} />{/if}
              </li>{/each}
            {#if it.pace}<li data-pace>
                <Said text={it.pace} />
                <Why of={{ lesson: id }} key="finishes" name={it.pace} />
              </li>{/if}
            {#if it.growth}<li data-growth>
                <Said text={it.growth} />
                <Why of={{ lesson: id }} key="growth" name={it.growth} />
              </li>{/if}
          </ul>{/if}
      {/if}
      <!-- Under what is said first, which may lean on no line. Here, whatever there is to judge: its sheet stays open
           while the lesson is judged anew. -->
      {#if plan && !plan.proved && (it.line_counts || !read)}<Unproved lessonId={id} {plan} class="my-2" />{/if}
      {#if read}
        <Unsorted lessonId={id} golferId={sheet.golfer.id} names={it.unsorted} />
        {#if outbox.waiting.length}<p class="mt-1 text-faded" data-coming role="status">
            Judged without {outbox.waiting.length === 1 ? 'one that is' : `${outbox.waiting.length} that are`} still on the
            way.
          </p>{/if}
        {#if it.rules_changed}<p class="mt-1 text-faded" data-rules-changed>{it.rules_changed}</p>{/if}
        {#if numbersFirst}{@render wasRead()}{@render picture()}{:else}{@render picture()}{/if}
        {#if it.first.length}
          <section class="mt-4" aria-label="Findings">
            <h2 class="wide border-b-2 border-ink pb-1 text-xl">Findings</h2>
            {#each it.first as one, n (one.cause)}<FindingRow
                lessonId={id}
                golfer={sheet.golfer}
                finding={one}
                place={n + 1}
              />{/each}
          </section>
        {/if}
        {#each it.compared as one (one.id)}
          <section class="mt-5" data-compared-lesson={one.id}>
            <h2 class="wide border-b-2 border-ink pb-1 text-xl">Compared: {one.compared.names.join(', ')}</h2>
            <div class="mt-2"><Compared found={one.compared} felt={one.felt} lessonId={id} /></div>
          </section>
        {/each}
        {#if it.links.length}
          <section class="mt-5">
            <h2 class="wide border-b-2 border-ink pb-1 text-xl">Link by link</h2>
            {#if it.fan}
              <div class="mt-2 mb-2">
                <Picture small scene={it.fan} label={it.fan_words} words="{it.fan_words} {it.chain_words}" />
              </div>
            {/if}
            <ChainLinks links={it.links} lessonId={id} />
          </section>
        {/if}
        {#if !numbersFirst}{@render wasRead()}{/if}
        {#if it.misses.length}
          <details class="mt-5 border-t border-hairline">
            <summary class="min-h-14 cursor-pointer py-3 text-lg font-semibold" data-misses>{it.misses_words}</summary>
            <ul>
              {#each it.misses as miss (miss.putt_id)}
                <li>
                  <a
                    class="inline-flex min-h-11 items-center hover:underline"
                    href="/lessons/{id}/judge?block={miss.block_id}">{miss.words}</a
                  >
                </li>
              {/each}
            </ul>
          </details>
        {/if}
        <details class="mt-2 border-t border-hairline">
          <summary class="min-h-14 cursor-pointer py-3 text-lg font-semibold"
            >Ruled out, or not looked at: {it.more.length}</summary
          >
          {#each it.more as one (one.cause)}<FindingRow lessonId={id} golfer={sheet.golfer} finding={one} />{/each}
        </details>
      {:else if coming}
        <!-- What was tapped a moment ago is not nothing: it is judged as soon as it is there. -->
        <Coming page what="What was read" />
      {:else}
        <h1 class="wide text-2xl">Nothing to judge yet</h1>
        <p class="mt-2 text-lg">Whatever is read in any step is judged here: what looks straight, set-downs, putts.</p>
        <a class="button primary mt-4 min-h-14 text-lg" href="/lessons/{id}/set">Set the line</a>
      {/if}
    </div>
    {#if read}
      <aside
        class="flex min-h-0 flex-col gap-4 overflow-y-auto border-hairline px-4 py-4 max-desk:border-t desk:border-l"
        aria-label="What to check next"
      >
        {#if it.guards.length}
          <section>
            <h2 class="wide text-lg">Mind</h2>
            <ul class="mt-1 grid gap-2" data-guards>
              {#each it.guards as one (one)}<li class="leading-snug"><Said text={one} /></li>{/each}
            </ul>
          </section>
        {/if}
        <Cautions at="judged" lesson={id} />
        <SchoolsHere at="judge" lesson={id} golfer={sheet.golfer} />
        {#if it.next_words}<p class="text-lg leading-snug" data-next="">{it.next_words}</p>{/if}
        {#if next}
          <section class="border-hairline {it.guards.length ? 'border-t pt-3' : ''}">
            <h2 class="wide text-lg">Check next</h2>
            <p class="mt-1 text-lg leading-snug" data-next={next.name}>{next.words}</p>
            <a class="button primary mt-2 min-h-14 w-full text-lg" href={wayTo(id, next, sheet.blocks.length > 0)}
              >Go there</a
            >
            {#if it.next.length > 1}
              <details class="mt-1">
                <summary class="min-h-11 cursor-pointer py-2 font-semibold">Or</summary>
                <ul>
                  {#each it.next.slice(1, 5) as one (one.name)}<li>
                      <a
                        class="inline-flex min-h-11 items-center leading-snug underline"
                        href={wayTo(id, one, sheet.blocks.length > 0)}>{one.words}</a
                      >
                    </li>{/each}
                </ul>
              </details>
            {/if}
          </section>
        {/if}
        <p class="border-t border-hairline pt-3">
          <a class="button w-full" href="/wall/{id}/finding">Show it to the golfer</a>
          <a class="button mt-2 w-full" href="/lessons/{id}/teaching">Show why, and move it…</a>
        </p>
        {#if sheet.blocks.length}
          <section class="mt-auto border-t border-hairline pt-3">
            <h2 class="wide text-lg">Blocks</h2>
            <BlockSwitch blocks={sheet.blocks} current="" base="/lessons/{id}/judge" />
          </section>
        {/if}
      </aside>
    {/if}
  </div>
{:else}
  <Coming page what={outbox.waiting.length ? 'What was read' : 'The judgement'} />
{/if}

{#snippet picture()}
  {#if it?.picture}
    <div class="mt-2">
      <Picture
        scene={it.picture}
        label={it.headline}
        words={it.fan ? it.picture_words : `${it.picture_words} ${it.chain_words}`}
      />
    </div>
  {/if}
{/snippet}

{#snippet wasRead()}
  {#if it?.read.length}
    <section class="mt-5" data-was-read>
      <h2 class="wide border-b-2 border-ink pb-1 text-xl">What was read</h2>
      <ReadRows rows={it.read} of={{ lesson: id }} />
    </section>
  {/if}
{/snippet}

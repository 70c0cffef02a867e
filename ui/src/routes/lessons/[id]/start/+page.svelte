<!-- Start: one tap or key a putt; the vial follows. -->
<script lang="ts">
  import { goto } from '$app/navigation'
  import { page } from '$app/state'
  import type { Shapes } from '$lib/data/client'
  import { heard } from '$lib/data/heard.svelte'
  import { outbox } from '$lib/data/outbox.svelte'
  import {
    comparisonsQuery,
    entryQuery,
    judgedQuery,
    lastJudged,
    lessonQuery,
    sensorsQuery
  } from '$lib/data/queries.svelte'
  import { createWrite } from '$lib/data/write.svelte'
  import Stage from '$lib/drawing/Stage.svelte'
  import Vial from '$lib/drawing/Vial.svelte'
  import Coming from '$lib/base/Coming.svelte'
  import { currentBlock } from '$lib/base/current'
  import { keys } from '$lib/base/keys.svelte'
  import Sheet from '$lib/base/Sheet.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { ENTRIES } from '$lib/instruments'
  import Circumstances from '$lib/start/Circumstances.svelte'
  import BlockCalled from '$lib/start/BlockCalled.svelte'
  import BlockSwitch from '$lib/start/BlockSwitch.svelte'
  import DrillLine from '$lib/start/DrillLine.svelte'
  import HeardStrip from '$lib/start/HeardStrip.svelte'
  import LadderLine from '$lib/start/LadderLine.svelte'
  import NoteStep from '$lib/start/NoteStep.svelte'
  import NextBlock from '$lib/start/NextBlock.svelte'
  import PutRight from '$lib/set/PutRight.svelte'
  import NextGolfer from '$lib/start/NextGolfer.svelte'
  import Nudges from '$lib/start/Nudges.svelte'
  import PlanComparison from '$lib/start/PlanComparison.svelte'
  import PuttList from '$lib/start/PuttList.svelte'
  import { puttsOf, validOf, type Putt } from '$lib/start/putts.svelte'
  import { Recording } from '$lib/start/recording.svelte'
  import SizeStep from '$lib/start/SizeStep.svelte'
  import { readQuery } from '$lib/judge/queries.svelte'
  import { likelihoodQuery } from '$lib/start/queries.svelte'
  import { offeredUnder } from '$lib/start/under'
  import { turnIn } from '$lib/start/turn'
  import TurnLine from '$lib/start/TurnLine.svelte'
  import DoubtSheet from '$lib/start/DoubtSheet.svelte'
  import { weighed } from '$lib/start/weighed'
  import { planBlock } from '$lib/start/writes'

  const id = $derived(page.params.id ?? '')
  /** What a check that led here takes, in its address. */
  const wanted = $derived(page.url.searchParams.get('note')?.split(',') ?? [])
  const lesson = lessonQuery(() => id)
  const sheet = $derived(lesson.data)
  const blockId = $derived(currentBlock(sheet, page.url)?.id)
  const judged = judgedQuery(() => blockId)
  const picture = entryQuery(() => blockId)
  const comparisons = comparisonsQuery(() => id)
  const block = $derived(judged.data?.block)
  const judgement = $derived(judged.data?.judgement)
  // Where putts finished is told as they are noted; of a block that notes nothing nothing is asked between putts.
  const everything = readQuery(
    () => (judged.data?.block.asks.length ? blockId : undefined),
    () => judgement?.putts
  )
  const Entry = $derived(ENTRIES[picture.data?.entry ?? ''])
  const ended = $derived(Boolean(sheet?.lesson.ended_at || sheet?.lesson.voided_at))

  let voiding = $state<Putt | null>(null)
  let asking = $state(false)
  // A check that led here wants a block that notes something: that is offered at once.
  let switching = $state(page.url.searchParams.has('note'))
  let planning = $state(false)
  // What begins a block is begun beside the one that is shown: were that left open, the new one would take its place, and the
  // sheet with what was chosen would go before it was told that its work is done.
  $effect(() => {
    if ((switching || planning) && blockId && !page.url.searchParams.has('block'))
      void goto(`?block=${blockId}`, { replaceState: true, noScroll: true, keepFocus: true })
  })
  let nexting = $state(false)
  let righting = $state(false)
  let telling = $state(false)

  // In a comparison the next putt belongs to the block whose turn it is, also while putts wait for the network.
  const comparison = $derived(comparisons.data?.find((it) => it.blocks.some((one) => one.id === blockId)))
  /**
   * Valid putts of any block, from whichever answer knows more of them, of two that know as many the newer: one that came
   * later may have been asked before the last putt. Never from which block is shown: whose turn it is must be the same
   * seen from each of them, or the page would turn back and forth.
   */
  function validIn(id: string): number {
    return puttsIn(id).length
  }
  const lastIn = (id: string) =>
    puttsIn(id)
      .map((it) => it.id)
      .sort()
      .at(-1)
  function puttsIn(id: string): Putt[] {
    const judged = lastJudged(id)
    const own = judged?.data?.block.readings ?? []
    const listed = sheet?.blocks.find((it) => it.id === id)?.readings ?? []
    const isNewer = judged !== undefined && judged.dataUpdatedAt >= lesson.dataUpdatedAt
    const knowsMore = own.length === listed.length ? isNewer : own.length > listed.length
    return validOf(puttsOf(id, knowsMore ? own : listed))
  }
  const turn = $derived(comparison && sheet && judged.data ? turnIn(comparison.plan, validIn) : null)
  const wrongTurn = $derived(Boolean(turn?.block && turn.block !== blockId))

  const sensors = sensorsQuery(() => id)
  const silent = $derived((sensors.data?.sensors ?? []).filter((it) => it.silent_words && it.strokes))
  // What a device tells is not asked; of one that has gone silent it is.
  const told = $derived(
    new Set(
      (sensors.data?.strokes ?? [])
        .slice(0, 5)
        .filter((it) => !silent.some((of) => of.id === it.sensor_id))
        .flatMap((it) => Object.keys(it.measures))
    )
  )
  const elsewhere = $derived(
    (comparison?.blocks ?? [])
      .filter((it) => it.id !== blockId)
      .map((it) => ({ block: it.id, id: lastIn(it.id) }))
      .filter((it): it is { block: string; id: string } => Boolean(it.id))
      .sort((one, other) => (one.id < other.id ? -1 : 1))
      .at(-1)
  )
  const recording = new Recording(() => ({
    block,
    blockId,
    told,
    elsewhere,
    closed: ended || turning,
    post: (draft) => outbox.post(draft)
  }))
  const valid = $derived(recording.valid)
  $effect.pre(() => recording.pending.of(blockId))
  // A putt that was begun is told to its end where it was begun.
  const turning: boolean = $derived(wrongTurn && !recording.pending.begun && !ended)
  $effect(() => {
    if (turning && block?.id === blockId)
      void goto(`/lessons/${id}/start?block=${turn?.block}`, { replaceState: true, noScroll: true, keepFocus: true })
  })

  /** Putts that the server will not weigh before there is a network: what was weighed without them says nothing of now. */
  const unweighed = $derived(outbox.away && valid.length !== judgement?.putts ? valid.length : null)
  const sides = $derived({
    left: valid.filter((it) => it.side === 'left').length,
    right: valid.filter((it) => it.side === 'right').length
  })
  const table = likelihoodQuery(() => (unweighed === null ? undefined : blockId))
  const soFar = $derived(unweighed !== null && table.data ? weighed(table.data, valid) : null)
  const NO_BUBBLE = { bubble_at: null, bubble_low: null, bubble_high: null, film_low: null, film_high: null }
  // Ticks stand at once; the bubble moves when the server has judged, or by what it said of each reading before.
  const vial = $derived(
    judgement && {
      ...judgement.vial,
      ...(unweighed === null ? {} : (soFar ?? NO_BUBBLE)),
      ticks: valid.map((it) => ({ low: it.low_deg, high: it.high_deg, at: atOf(it) }))
    }
  )
  function atOf(it: Putt): number {
    const same = picture.data?.zones.find((zone) => zone.low === it.low_deg && zone.high === it.high_deg)
    return same?.at ?? ((it.low_deg ?? it.high_deg ?? 0) + (it.high_deg ?? it.low_deg ?? 0)) / 2
  }

  // A paired start reader told a stroke, and what was felt is asked first: its reading waits for the call.
  const stroke = $derived(heard.stroke(id))
  $effect(() => {
    const start = stroke?.sent?.start_deg
    if (block?.rig_kind !== 'start_reader' || start === undefined || stroke?.taken) return
    if (recording.heard(start)) heard.take(id)
  })

  const extending = createWrite(({ id: of, planned }: Pick<Shapes['BlockOut'], 'id' | 'planned'>) =>
    planBlock(id, of, planned)
  )
  function askReason(putt: Putt | undefined): void {
    if (!putt) return
    voiding = putt
    asking = true
  }

  $effect(() =>
    keys.add('Recording', () => [
      { key: 'u', words: 'Undo the last putt', run: () => recording.undo() },
      { key: 'v', words: 'Doubt the last putt: it counts less, or not at all', run: () => askReason(valid.at(-1)) },
      { key: 'n', words: 'Start a block under another condition', run: () => (switching = true) },
      { key: 'c', words: 'Plan a comparison', run: () => (planning = true) },
      { key: 'j', words: 'Judge this block', run: () => void goto(`/lessons/${id}/judge?block=${blockId}`) }
    ])
  )
</script>

{#if sheet && !sheet.blocks.length}
  <div class="p-6">
    <h1 class="wide text-2xl">No block yet</h1>
    <p class="mt-2 text-lg">
      {sheet.stations.some((it) => it.current)
        ? 'The station is laid: start a block on it, and every putt is one tap here.'
        : 'Set the putt and the rig first; then every putt is one tap here.'}
    </p>
    <a class="button primary mt-4 min-h-14 text-lg" href="/lessons/{id}/set">Set the line</a>
  </div>
{:else if judged.error && !block}
  <div class="p-6"><Trouble error={judged.error} again={() => judged.refetch()} /></div>
{:else if sheet && block && judgement && vial && !picture.isLoading}
  <h1 class="sr-only">Start: {block.condition}, {block.station}</h1>
  <!-- Not before the entry stands: a putt tapped while “Putt 1” shows must find its key. -->
  <div class="flex min-h-full flex-col desk:grid desk:h-full desk:min-h-0 desk:grid-cols-[minmax(0,1fr)_320px]">
    <div class="flex min-h-0 flex-col max-desk:contents">
      <div class="relative min-h-[190px] flex-[5] border-b border-hairline max-desk:order-2 max-sm:hidden" data-stage>
        <Stage scene={judged.data!.rays} stretch="fitting" />
      </div>
      <div
        class="flex min-h-[340px] flex-[6] flex-col px-3 py-2 max-desk:order-3 max-desk:shrink-0 max-desk:basis-auto"
      >
        {#if ended}
          <p class="py-2 text-center text-lg font-semibold">
            This lesson has ended. Open it again under “Lesson” to record.
          </p>
        {:else if recording.full}
          <div class="flex flex-wrap items-center justify-center gap-2 py-1">
            <p class="text-lg font-bold">Planned end: {block.planned} putts.</p>
            <a class="button primary" href="/lessons/{id}/judge?block={blockId}">Judge <kbd class="key">J</kbd></a>
            <button class="button" onclick={() => (switching = true)}>Next block <kbd class="key">N</kbd></button>
            <button class="button" onclick={() => (nexting = true)}>Next golfer</button>
            {#if !comparison}<button
                class="button"
                onclick={() => extending.mutate({ id: block.id, planned: block.planned + 5 })}>5 more putts</button
              >{/if}
          </div>
        {:else}
          <p class="flex items-baseline justify-center gap-3 text-center">
            <span class="wide text-2xl" data-count
              >Putt {valid.length + 1} <span class="text-faded">of {block.planned}</span></span
            >
            <span class="text-faded max-sm:hidden"
              >{block.condition}{block.guided ? ', rig in view' : ''}{block.hole ? '' : ', no hole'}{block.proved
                ? ''
                : ', line not proved'}</span
            >
          </p>
        {/if}
        {#if extending.error}<Trouble error={extending.error} />{/if}
        {#if comparison && turn && !ended}<TurnLine {comparison} {turn} />{/if}
        {#if !ended}<Nudges lessonId={id} putts={judgement.putts} />{/if}
        {#if !comparison && !ended}<LadderLine rung={judged.data!.rung} {block} lessonId={id} />{/if}
        {#if block.drill}<DrillLine golferId={sheet.golfer.id} code={block.drill} full={recording.full} />{/if}
        {#if stroke}<HeardStrip {stroke} hidden={!stroke.taken && Boolean(recording.feltFirst)} />{/if}
        <!-- Whatever stands above it, there is something to press. -->
        <div class="relative min-h-[160px] flex-1 max-sm:min-h-[272px]" data-entry>
          {#if turning}
            <!-- Nothing to tap meanwhile: a tap here would be told of neither block. -->
            <Coming what="The other block" />
          {:else if recording.noting && !recording.full && !ended}
            {@const noting = recording.noting}
            <div class="absolute inset-0">
              {#key noting.note}
                {#if Object.keys(noting.options).length}<NoteStep
                    note={noting}
                    hand={sheet?.golfer.hand ?? 'right'}
                    skip={() => recording.note('')}
                    take={(it) => recording.note(it)}
                  />
                {:else}<SizeStep
                    note={noting}
                    block={blockId ?? ''}
                    skip={() => recording.note('')}
                    take={(it) => recording.note(it)}
                  />{/if}
              {/key}
            </div>
          {:else if picture.data && Entry}
            <div class="absolute inset-0">
              <Entry entry={picture.data} closed={!recording.open} record={(zone) => recording.read(zone)} />
            </div>
          {:else if picture.error}
            <Trouble error={picture.error} again={() => picture.refetch()} />
          {/if}
        </div>
      </div>
    </div>

    <aside
      class="flex min-h-0 flex-col gap-3 border-hairline max-desk:contents desk:overflow-y-auto desk:border-l desk:px-4 desk:py-3"
      aria-label="So far"
    >
      <div class="max-desk:order-1 max-desk:border-b max-desk:border-hairline max-desk:px-4 max-desk:py-2">
        {#if everything.data?.pace}<p class="mb-1 text-lg font-semibold" data-pace>{everything.data.pace}</p>{/if}
        {#if judgement.watched}<Vial
            {vial}
            words={unweighed === null ? `${judgement.headline} ${judgement.size}` : `${unweighed} putts so far`}
          />{/if}
        {#if unweighed !== null}
          <p class="wide mt-1 text-[26px] leading-tight" data-headline>
            {unweighed === 1 ? '1 putt' : `${unweighed} putts`} so far.
          </p>
          {#if judgement.watched}<p class="mt-1 font-semibold" data-counts>
              Left {sides.left}, right {sides.right}, neither {unweighed - sides.left - sides.right}.
            </p>{/if}
          <p class="mt-1">
            {soFar ? 'The bubble stands where they put it; a verdict comes' : 'What they say comes'} with the network.
          </p>
        {:else}<p class="wide mt-1 text-[26px] leading-tight" data-headline>{judgement.headline}</p>{/if}
        {#if judgement.counts && unweighed === null}<p class="mt-1 font-semibold" data-counts>
            {judgement.counts}
          </p>{/if}
        {#each silent as it (it.id)}<p class="mt-1 font-semibold" data-silent>
            <a class="underline" href="/lessons/{id}/sensors">{it.name}</a>: {it.silent_words}
          </p>{/each}
        {#if unweighed === null}<p class="mt-1">
            {judgement.size} <span class="max-desk:hidden">{judgement.meaning}</span>
          </p>{/if}
      </div>
      <div class="border-t border-hairline pt-2 max-desk:order-4 max-desk:px-4">
        <PuttList
          putts={recording.putts}
          notes={block.noted}
          most={5}
          begun={recording.pending.begun || Boolean(elsewhere)}
          undo={() => recording.undo()}
          {askReason}
          restore={(putt) => recording.mark(putt, null)}
        />
      </div>
      <div class="mt-auto border-t border-hairline pt-2 max-desk:order-5 max-desk:px-4 max-desk:pb-2">
        <div class="flex items-center justify-between">
          <h2 class="wide text-lg">Blocks</h2>
          <span class="flex gap-1">
            <button class="button px-2" onclick={() => (switching = true)}>Other <kbd class="key">N</kbd></button>
            <button class="button px-2" aria-keyshortcuts="c" onclick={() => (planning = true)}>Compare</button>
            <button class="button px-2" aria-label="More of this block" onclick={() => (telling = true)}>…</button>
          </span>
        </div>
        <BlockSwitch blocks={sheet.blocks} current={block.id} base="/lessons/{id}/start" />
      </div>
    </aside>
  </div>

  <DoubtSheet
    bind:open={asking}
    lessonId={id}
    putt={voiding && (recording.putts.find((it) => it.id === voiding?.id) ?? voiding)}
    giveReason={(reason) => recording.mark(voiding ?? undefined, reason)}
  />
  {@const laid = sheet.stations.find((it) => it.id === block.station_id)}
  {#if laid}
    <Sheet bind:open={planning} title="Compare, in turns" wide>
      <PlanComparison
        lessonId={id}
        hand={sheet.golfer.hand}
        station={laid}
        guided={block.guided}
        asked={block.asks}
        offered={offeredUnder(sheet)}
        planned={() => (planning = false)}
      />
    </Sheet>
  {/if}
  <Sheet bind:open={telling} title="This block">
    <BlockCalled lessonId={id} {block} />
    {#if judged.data?.in_hand}<p class="mb-3 leading-snug" data-in-hand><b>In hand:</b> {judged.data.in_hand}</p>{/if}
    <Circumstances lessonId={id} {block} {laid} />
    <button
      class="button mt-3"
      onclick={() => {
        telling = false
        nexting = true
      }}>Next golfer, same station…</button
    >
    {#if laid?.used}
      <button
        class="button mt-3"
        onclick={() => {
          telling = false
          righting = true
        }}>A size was entered wrong…</button
      >
    {/if}
  </Sheet>
  {#if laid}<PutRight bind:open={righting} lessonId={laid.lesson_id} of="plan" id={laid.id} />{/if}
  <Sheet bind:open={nexting} title="Next golfer, same station">
    <NextGolfer blockId={block.id} golferId={sheet.golfer.id} />
  </Sheet>
  <Sheet bind:open={switching} title="The next block, on the same line">
    <NextBlock
      lessonId={id}
      golferId={sheet.golfer.id}
      {wanted}
      station={laid}
      {block}
      offered={offeredUnder(sheet)}
      readsStart={judgement.watched}
      closed={ended}
      started={() => (switching = false)}
    />
  </Sheet>
{:else}
  <Coming page what="The recording" />
{/if}

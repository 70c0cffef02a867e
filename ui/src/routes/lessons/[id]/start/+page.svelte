<!-- Start: one tap or key a putt; the vial follows. -->
<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query'
  import { v7 } from 'uuid'
  import { goto } from '$app/navigation'
  import { page } from '$app/state'
  import { stamp } from '$lib/data/clock'
  import { api, ask, type Shapes } from '$lib/data/client'
  import { outbox } from '$lib/data/outbox.svelte'
  import { comparisonsQuery, entryQuery, judgedQuery, lessonQuery, notesQuery, renewLesson } from '$lib/data/queries.svelte'
  import Stage from '$lib/drawing/Stage.svelte'
  import Vial from '$lib/drawing/Vial.svelte'
  import type { Zone } from '$lib/drawing/zones'
  import Coming from '$lib/base/Coming.svelte'
  import BlockSwitch from '$lib/start/BlockSwitch.svelte'
  import { currentBlock } from '$lib/base/current'
  import { keys } from '$lib/base/keys.svelte'
  import PuttList, { type Putt } from '$lib/start/PuttList.svelte'
  import Sheet from '$lib/base/Sheet.svelte'
  import StartBlock from '$lib/start/StartBlock.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import VoidSheet from '$lib/start/VoidSheet.svelte'
  import { ENTRIES } from '$lib/instruments'
  import { heard } from '$lib/data/heard.svelte'
  import HeardStrip from '$lib/start/HeardStrip.svelte'
  import LadderLine from '$lib/start/LadderLine.svelte'
  import NoteStep from '$lib/start/NoteStep.svelte'
  import Nudges from '$lib/start/Nudges.svelte'
  import PlanComparison from '$lib/start/PlanComparison.svelte'
  import SizeStep from '$lib/start/SizeStep.svelte'
  import TurnLine from '$lib/start/TurnLine.svelte'
  import { turnOf } from '$lib/start/turns'
  import { settings } from '$lib/base/settings.svelte'
  import { PendingPutt, type Pending } from '$lib/start/pending.svelte'

  const id = $derived(page.params.id ?? '')
  const client = useQueryClient()
  const lesson = lessonQuery(() => id)
  const sheet = $derived(lesson.data)
  const blockId = $derived(currentBlock(sheet, page.url)?.id)
  const judged = judgedQuery(() => blockId)
  const picture = entryQuery(() => blockId)
  const block = $derived(judged.data?.block)
  const judgement = $derived(judged.data?.judgement)
  const Entry = $derived(ENTRIES[picture.data?.entry ?? ''])

  let voiding = $state<Putt | null>(null)
  let asking = $state(false)
  let switching = $state(false)
  let planning = $state(false)
  let error = $state<unknown>(null)

  // What the server has, with what is still on its way laid over it in the order it was tapped.
  function laidOver(readings: Shapes['ReadingLine'][], id: string | undefined): Putt[] {
    const known: Putt[] = readings.map((it) => ({ ...it, waiting: false }))
    const confirmed = new Set(outbox.confirmed.map((it) => it.id))
    for (const letter of outbox.over(id)) {
      const at = known.find((it) => it.id === letter.about)
      if (letter.shown && !at) known.push({ ...letter.shown, waiting: !confirmed.has(letter.id) })
      else if (!letter.shown && at) {
        at.voided = letter.method === 'PUT'
        at.void_reason = at.voided ? (letter.body as { reason: string }).reason : null
      }
    }
    return known
  }
  const putts = $derived(laidOver(block?.readings ?? [], blockId))
  const valid = $derived(putts.filter((it) => !it.voided))
  const full = $derived(Boolean(block && valid.length >= block.planned))
  const ended = $derived(Boolean(sheet?.lesson.ended_at || sheet?.lesson.voided_at))
  // Ticks stand at once; the bubble moves when the server has judged.
  const vial = $derived(
    judgement && { ...judgement.vial, ticks: valid.map((it) => ({ low: it.low_deg, high: it.high_deg, at: atOf(it) })) },
  )
  function atOf(it: Putt): number {
    const same = picture.data?.zones.find((zone) => zone.low === it.low_deg && zone.high === it.high_deg)
    return same?.at ?? ((it.low_deg ?? it.high_deg ?? 0) + (it.high_deg ?? it.low_deg ?? 0)) / 2
  }

  /** As the server will say it: a reading that may lie on the line has no side. */
  function sideOf(zone: Zone): 'left' | 'right' | 'neither' {
    if ((zone.low ?? -Infinity) <= 0 && (zone.high ?? Infinity) >= 0) return 'neither'
    return zone.at < 0 ? 'left' : 'right'
  }

  // What else this block notes, in the order of the putt: what was felt before the reading, the rest after it.
  const all = notesQuery()
  const pending = new PendingPutt()
  $effect.pre(() => pending.of(blockId))
  const asked = $derived((all.data ?? []).filter((it) => block?.asks.includes(it.note)))
  const missing = $derived(asked.filter((it) => !(it.note in pending.value.notes)))
  const noting = $derived(missing.find((it) => it.when === 'before') ?? (pending.value.zone ? missing[0] : undefined))
  // In a comparison the next putt belongs to the block whose turn it is, also while putts wait for the network.
  const comparisons = comparisonsQuery(() => id)
  const comparison = $derived(comparisons.data?.find((it) => it.blocks.some((one) => one.id === blockId)))
  /**
   * Valid putts of any block, from whichever answer is newer. Never from which block is shown: whose turn it is must be
   * the same seen from each of them, or the page would turn back and forth.
   */
  function validIn(id: string): number {
    const own = client.getQueryState<Shapes['JudgedOut']>(['judged', id, settings.units])
    const newer = own?.data && own.dataUpdatedAt >= lesson.dataUpdatedAt ? own.data.block : undefined
    const held = newer ?? sheet?.blocks.find((it) => it.id === id)
    return laidOver(held?.readings ?? [], id).filter((it) => !it.voided).length
  }
  const turn = $derived.by(() => {
    if (!comparison || !sheet || !judged.data) return null
    return turnOf(comparison.turns, comparison.blocks.map((it) => validIn(it.id)))
  })
  const dueBlock = $derived(turn?.condition == null ? undefined : comparison?.blocks[turn.condition]?.id)
  $effect(() => {
    if (dueBlock && blockId && dueBlock !== blockId && block?.id === blockId && !pending.begun && !ended)
      void goto(`/lessons/${id}/start?block=${dueBlock}`, { replaceState: true, noScroll: true, keepFocus: true })
  })
  const wrongTurn = $derived(Boolean(dueBlock && dueBlock !== blockId))

  // A paired start reader told a stroke, and what was felt is asked first: its reading waits for the call.
  const stroke = $derived(heard.stroke(id))
  const reader = $derived(block?.rig_kind === 'start_reader' && asked.length > 0)
  $effect(() => {
    const start = stroke?.sent?.start_deg
    if (!reader || start === undefined || stroke?.taken || full || ended) return
    if (missing.some((it) => it.when === 'before') || pending.value.zone) return
    heard.take(id)
    read({ name: '', raw: { read_deg: start }, low: start, high: start, at: start } as unknown as Zone)
  })

  function note(option: string | number): void {
    if (!noting || full || ended || wrongTurn) return
    const value = { ...pending.value, notes: { ...pending.value.notes, [noting.note]: option } }
    pending.set(value)
    finish(value)
  }
  function read(zone: Zone): void {
    if (!blockId || full || ended || wrongTurn) return
    const value = { ...pending.value, zone }
    if (asked.length) pending.set(value)
    finish(value)
  }
  /** Keep the putt once the last of it was noted. */
  function finish({ zone, notes }: Pending): void {
    if (!zone || asked.some((it) => !(it.note in notes))) return
    record(zone, Object.fromEntries(Object.entries(notes).filter(([, option]) => option !== '')))
    if (asked.length) pending.clear()
  }
  function record(zone: Zone, notes: Record<string, string | number>): void {
    if (!blockId) return
    const reading = { id: v7(), block_id: blockId, raw: zone.raw, notes, taken_at: stamp() }
    const side = sideOf(zone)
    const { id: about, ...body } = reading
    outbox.post({
      method: 'PUT',
      path: `/api/readings/${about}`,
      body,
      blockId,
      about,
      shown: { ...reading, low_deg: zone.low, high_deg: zone.high, recorded_at: reading.taken_at, voided: false, void_reason: null, words: zone.name, side },
    })
  }
  function mark(putt: Putt | undefined, reason: string | null): void {
    if (!putt || !blockId) return
    outbox.post({
      method: reason === null ? 'DELETE' : 'PUT',
      path: `/api/readings/${putt.id}/void`,
      body: reason === null ? null : { reason },
      blockId,
      about: putt.id,
      shown: null,
    })
  }
  function undo(): void {
    if (pending.begun) pending.back((name) => asked.find((it) => it.note === name)?.when === 'after')
    else mark(valid.at(-1), 'undone')
  }
  function askReason(putt: Putt | undefined): void {
    if (!putt) return
    voiding = putt
    asking = true
  }
  async function extend(by: number): Promise<void> {
    if (!block) return
    try {
      const body = { planned: block.planned + by }
      await ask(api.PUT('/api/blocks/{id}/plan', { params: { path: { id: block.id } }, body }))
      error = null
      await renewLesson(client, id)
    } catch (problem) {
      error = problem
    }
  }

  $effect(() =>
    keys.add('Recording', () => [
      { key: 'u', words: 'Undo the last putt', run: undo },
      { key: 'v', words: 'Void the last putt, with a reason', run: () => askReason(valid.at(-1)) },
      { key: 'n', words: 'Start a block under another condition', run: () => (switching = true) },
      { key: 'c', words: 'Plan a comparison', run: () => (planning = true) },
      { key: 'j', words: 'Judge this block', run: () => void goto(`/lessons/${id}/judge?block=${blockId}`) },
    ]),
  )
</script>

{#if sheet && !sheet.blocks.length}
  <div class="p-6">
    <h1 class="wide text-2xl">No block yet</h1>
    <p class="mt-2 text-lg">Set the putt and the rig first; then every putt is one tap here.</p>
    <a class="button primary mt-4 min-h-14 text-lg" href="/lessons/{id}/set">Set the line</a>
  </div>
{:else if judged.error && !block}
  <div class="p-6"><Trouble error={judged.error} again={() => judged.refetch()} /></div>
{:else if sheet && block && judgement && vial && !picture.isLoading}
  <!-- Not before the entry stands: a putt tapped while “Putt 1” shows must find its key. -->
  <div class="flex min-h-full flex-col desk:grid desk:h-full desk:min-h-0 desk:grid-cols-[minmax(0,1fr)_320px]">
    <div class="flex min-h-0 flex-col max-desk:contents">
      <div class="relative min-h-[190px] flex-[5] border-b border-hairline max-desk:order-2 max-sm:hidden" data-stage>
        <Stage scene={judged.data!.rays} stretch="fitting" />
      </div>
      <div class="flex min-h-[340px] flex-[6] flex-col px-3 py-2 max-desk:order-3">
        {#if ended}
          <p class="py-2 text-center text-lg font-semibold">This lesson has ended. Open it again under “Lesson” to record.</p>
        {:else if full}
          <div class="flex flex-wrap items-center justify-center gap-2 py-1">
            <p class="text-lg font-bold">Planned end: {block.planned} putts.</p>
            <a class="button primary" href="/lessons/{id}/judge?block={blockId}">Judge <kbd class="key">J</kbd></a>
            <button class="button" onclick={() => (switching = true)}>Next block <kbd class="key">N</kbd></button>
            {#if !comparison}<button class="button" onclick={() => extend(5)}>5 more putts</button>{/if}
          </div>
        {:else}
          <p class="flex items-baseline justify-center gap-3 text-center">
            <span class="wide text-2xl" data-count>Putt {valid.length + 1} <span class="text-faded">of {block.planned}</span></span>
            <span class="text-faded max-sm:hidden">{block.condition}{block.guided ? ', rig in view' : ''}{block.hole ? '' : ', no hole'}{block.proved ? '' : ', line not proved'}</span>
          </p>
        {/if}
        {#if error}<Trouble {error} />{/if}
        {#if comparison && turn && !ended}<TurnLine {comparison} {turn} />{/if}
        {#if !ended}<Nudges lessonId={id} putts={judgement.putts} />{/if}
        {#if !comparison && !ended}<LadderLine rung={judged.data!.rung} {block} lessonId={id} />{/if}
        {#if stroke}<HeardStrip {stroke} hidden={!stroke.taken && missing.some((it) => it.when === 'before')} />{/if}
        <div class="relative min-h-0 flex-1">
          {#if noting && !full && !ended}
            <div class="absolute inset-0">
              {#key noting.note}
                {#if Object.keys(noting.options).length}<NoteStep note={noting} skip={() => note('')} take={note} />
                {:else}<SizeStep note={noting} skip={() => note('')} take={note} />{/if}
              {/key}
            </div>
          {:else if picture.data && Entry}
            <div class="absolute inset-0"><Entry entry={picture.data} closed={full || ended || wrongTurn} record={read} /></div>
          {:else if picture.error}
            <Trouble error={picture.error} again={() => picture.refetch()} />
          {/if}
        </div>
      </div>
    </div>

    <aside class="flex min-h-0 flex-col gap-3 border-hairline max-desk:contents desk:overflow-y-auto desk:border-l desk:px-4 desk:py-3" aria-label="So far">
      <div class="max-desk:order-1 max-desk:border-b max-desk:border-hairline max-desk:px-4 max-desk:py-2">
        <Vial {vial} words="{judgement.headline} {judgement.size}" />
        <p class="wide mt-1 text-[26px] leading-tight" data-headline>{judgement.headline}</p>
        {#if judgement.counts}<p class="mt-1 font-semibold" data-counts>{judgement.counts}</p>{/if}
        <p class="mt-1">{judgement.size} <span class="max-desk:hidden">{judgement.meaning}</span></p>
      </div>
      <div class="border-t border-hairline pt-2 max-desk:order-4 max-desk:px-4">
        <PuttList {putts} most={5} begun={pending.begun} {undo} {askReason} restore={(putt) => mark(putt, null)} />
      </div>
      <div class="mt-auto border-t border-hairline pt-2 max-desk:order-5 max-desk:px-4 max-desk:pb-2">
        <div class="flex items-center justify-between">
          <h2 class="wide text-lg">Blocks</h2>
          <span class="flex gap-1">
            <button class="button px-2" onclick={() => (switching = true)}>Other <kbd class="key">N</kbd></button>
            <button class="button px-2" onclick={() => (planning = true)}>Compare <kbd class="key">C</kbd></button>
          </span>
        </div>
        <BlockSwitch blocks={sheet.blocks} current={block.id} base="/lessons/{id}/start" />
      </div>
    </aside>
  </div>

  <VoidSheet bind:open={asking} putt={voiding} giveReason={(reason) => mark(voiding ?? undefined, reason)} />
  {@const laid = sheet.stations.find((it) => it.id === block.station_id)}
  {#if laid}
    <Sheet bind:open={planning} title="Compare, in turns" wide>
      <PlanComparison lessonId={id} station={laid} guided={block.guided} asked={block.asks} step={sheet?.golfer.step_m ?? null} planned={() => (planning = false)} />
    </Sheet>
  {/if}
  <Sheet bind:open={switching} title="Another condition, same station">
    <StartBlock
      lessonId={id}
      station={() => Promise.resolve(block.station_id)}
      conditions={sheet.blocks.map((it) => it.condition)}
      guides={block.guided}
      asked={block.asks}
      closed={ended}
      started={() => (switching = false)}
    />
  </Sheet>
{:else}
  <Coming what="The recording" />
{/if}

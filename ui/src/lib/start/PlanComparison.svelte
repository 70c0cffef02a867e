<!-- Plan a comparison: what is to be found out, which conditions, how many putts each, in which turns. -->
<script lang="ts">
  import { untrack } from 'svelte'
  import { v7 } from 'uuid'
  import { goto } from '$app/navigation'
  import { net } from '$lib/away/net.svelte'
  import { stamp } from '$lib/data/clock'
  import { about as faultOf, type Shapes } from '$lib/data/client'
  import { notesQuery, sensorsQuery } from '$lib/data/queries.svelte'
  import { outbox } from '$lib/data/outbox.svelte'
  import { choices, named, stepped } from '$lib/data/vocabulary.svelte'
  import { createAsk, createWrite } from '$lib/data/write.svelte'
  import Choice from '$lib/base/Choice.svelte'
  import { rulerFor, withUnit } from '$lib/base/length'
  import { settings } from '$lib/base/settings.svelte'
  import LengthEntry from '$lib/base/LengthEntry.svelte'
  import Stepper from '$lib/base/Stepper.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { planOf } from '$lib/set/plan'
  import { keepPlan } from '$lib/set/writes'
  import { Comparing, type Varies } from './comparing.svelte'
  import type { Under } from './under'
  import TwoStages from './TwoStages.svelte'
  import UnderChoice from './UnderChoice.svelte'
  import { startComparison } from './writes'

  interface Props {
    lessonId: string
    station: Shapes['StationOut']
    hand: Shapes['GolferBrief']['hand']
    guided: boolean
    asked: string[]
    /** Under what may be putted, as usual first. */
    offered: Under[]
    planned: () => void
  }
  let { lessonId, station, hand, guided, asked, offered, planned }: Props = $props()

  const VARIES = choices<Varies>('comparing')
  const HERE = VARIES.filter((it) => it.value !== 'guide' && it.value !== 'length')
  const ORDERS = choices<Shapes['ComparisonIn']['order']>('order').filter((it) => it.value !== 'in_order')
  const QUESTIONS = choices<Shapes['ComparisonIn']['question']>('question')
  // svelte-ignore state_referenced_locally
  const it = new Comparing(station.distance_m, offered)
  const length = (m: number) => withUnit(m, rulerFor(15, settings.units))

  /** The same as they would be putted, to be looked at before. */
  const drawn = $derived(
    it
      .conditions(station, guided, length)
      // A length is called by itself: its station says it.
      .map(({ name, factors, guided: seen, lay }) => ({
        name: it.kind === 'distances' ? '' : name,
        factors,
        guided: seen,
        plan: lay ?? planOf(station)
      }))
  )

  const notes = notesQuery()
  const sensors = sensorsQuery(() => lessonId)
  /** A face is noted of the putts under this name, where no sensor reads it. */
  const NOTED: Partial<Record<Shapes['ComparisonIn']['question'], string>> = { face: 'face_impact' }
  /** What the question asks after is noted without being asked for. */
  const asks = $derived.by(() => {
    // Face and path are noted in words only where nothing reads them.
    if (sensors.data?.sensors.length && (it.question === 'face' || it.question === 'path')) return asked
    const note = NOTED[it.question] ?? it.question
    return notes.data?.some((one) => one.note === note) && !asked.includes(note) ? [...asked, note] : asked
  })

  // Turns come from the server; without one they are those it was asked for before.
  $effect(() => {
    if (net.gone) untrack(() => it.asUsual())
  })

  const starting = createWrite(
    (body: Parameters<typeof startComparison>[0]) => startComparison(body, notes.data ?? []),
    (made) => {
      planned()
      void goto(`/lessons/${lessonId}/start?block=${made.turn}`)
    }
  )
  // Stations are laid before the comparison that is putted on them.
  const laying = createAsk(
    async () => {
      const conditions: Shapes['ConditionIn'][] = []
      for (const { name, factors, guided: seen, lay } of it.conditions(station, guided, length)) {
        // What is laid on the line that stands keeps its proof; from the other side of the hole it is another line.
        const replaces_id = factors.hole_side ? null : station.id
        const more = lay && { id: v7(), replaces_id, plan: lay, seen: [] }
        const laid = more ? (await outbox.post(keepPlan(lessonId, more, false), () => true)).id : station.id
        conditions.push({ name, factors, station_id: laid, guided: seen, block_id: v7() })
      }
      return conditions
    },
    (conditions) =>
      starting.mutate({ lesson_id: lessonId, conditions, ...it.turns, asks, hole: true, started_at: stamp() })
  )
  const error = $derived(laying.error ?? starting.error)
  const about = (field: string) => faultOf(error, field)
  function begin(event: SubmitEvent): void {
    event.preventDefault()
    laying.mutate(undefined)
  }
</script>

<form class="grid gap-3" onsubmit={begin}>
  <Choice
    label="What varies"
    options={net.gone ? HERE : VARIES}
    small
    bind:value={() => it.varies, (what) => it.vary(what)}
  />
  {#if it.kind === 'conditions'}
    <div class="grid gap-y-3">
      {#each it.under as _, n (n)}
        <UnderChoice
          label="Condition {n + 1}{n ? '' : ', the others’ measure'}"
          offered={it.ways}
          of={it.varies}
          another={it.typed}
          small
          bind:value={it.under[n]!}
        />
      {/each}
      {#if it.differIn.length > 1}
        <p class="leading-snug" data-differ>
          They differ in {it.differIn.map((one) => named('comparing', one)).join(' and ')}: which of these did it can’t
          be told.
        </p>
      {/if}
      <div class="flex gap-2" class:hidden={net.gone}>
        {#if it.grows}<button type="button" class="button" onclick={() => it.more()}>One more condition</button>{/if}
        {#if it.shrinks}<button type="button" class="button" onclick={() => it.fewer()}>One fewer</button>{/if}
      </div>
    </div>
  {:else if it.kind === 'distances'}
    <div class="grid gap-2 sm:grid-cols-3">
      {#each it.distances_m as far, n (n)}
        <div>
          <LengthEntry
            of="usual_length_m"
            label="Putt {n + 1}"
            value={far}
            paced
            onvalue={(m) => (it.distances_m[n] = m)}
          />
        </div>
      {/each}
    </div>
    <p class="text-sm text-faded">The same rig at each distance; the side by distance is told under Judge.</p>
  {:else}
    <p>
      First with {station.aids.length ? 'what lies beside the rig' : 'the aid in view'}, then without it, then from the
      other side of the hole: what stays is the golfer’s own.
    </p>
  {/if}
  {#if !net.gone}<TwoStages conditions={drawn} {hand} />{/if}
  {#if net.gone}
    <p class="border-l-4 border-ink py-1 pl-3 leading-snug" data-needs-network>
      <b>No network.</b> Two ways here, {it.each} putts each, {it.run} in a run, there and back, about the line: more ways,
      other turns and other questions come with the network, and so does what they come to.
    </p>
  {:else}
    <div class="grid gap-3 sm:grid-cols-2">
      <Stepper
        label="Putts each"
        unit=""
        text={String(it.each)}
        read={(text) => Math.round(Number(text))}
        step={(by) => (it.each = stepped('each', it.each, by))}
        onvalue={(value) => (it.each = value)}
        error={about('each')}
      />
      {#if it.kind !== 'transfer'}
        <Stepper
          label="Putts in a run"
          unit=""
          text={String(it.run)}
          read={(text) => Math.round(Number(text))}
          step={(by) => (it.run = stepped('run', it.run, by))}
          onvalue={(value) => (it.run = value)}
          error={about('run')}
        />
      {/if}
    </div>
    {#if it.kind !== 'transfer'}<Choice
        label="In turns, so that warming up is no effect"
        options={ORDERS}
        bind:value={it.order}
      />{/if}
    <Choice label="The one question it answers" options={QUESTIONS} bind:value={it.question} />
  {/if}
  {#if error}<Trouble {error} />{/if}
  {#if it.alike}<p class="font-semibold">Two ways to be compared are not the same one.</p>{/if}
  <button class="button primary min-h-14 text-lg" disabled={laying.isPending || starting.isPending || it.alike}
    >Start the comparison</button
  >
</form>

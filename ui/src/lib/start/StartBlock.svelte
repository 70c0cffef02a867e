<!-- Start a block on a station: under which condition, and how many putts. -->
<script lang="ts">
  import { goto } from '$app/navigation'
  import { stamp } from '$lib/data/clock'
  import { about, type Shapes } from '$lib/data/client'
  import { lessonQuery, notesQuery } from '$lib/data/queries.svelte'
  import { drawnChoices, named } from '$lib/data/vocabulary.svelte'
  import { createAsk, createWrite } from '$lib/data/write.svelte'
  import Choice from '$lib/base/Choice.svelte'
  import LengthEntry from '$lib/base/LengthEntry.svelte'
  import Stepper from '$lib/base/Stepper.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import CueAndRoutine from './CueAndRoutine.svelte'
  import UnderChoice from './UnderChoice.svelte'
  import SchoolsHere from '$lib/schools/SchoolsHere.svelte'
  import { schoolsQuery } from '$lib/schools/queries.svelte'
  import { USUAL, withFactors, type Under } from './under'
  import { startBlock } from './writes'

  interface Props {
    lessonId: string
    /** What was chosen for this golfer last is there the next time, and never for another. */
    golferId: string
    /** What the check that led here takes: noted, too. */
    wanted?: string[]
    /** Gives the station to read on; lays it first where it does not stand yet. */
    station: () => Promise<string>
    /** Under what it may be putted, as usual first. */
    offered: Under[]
    /** Whether the rig stands in the golfer's view. */
    guides: boolean
    closed?: boolean
    /** What is laid there can be noted of a putt, too. */
    watched?: Shapes['NoteOut'][]
    /** A rig watches the start; else something else must be noted. */
    readsStart?: boolean
    /** The block before in this lesson: what it noted, to a hole or none, and the path as it was meant stay. */
    like?: Shapes['BlockOut'] | undefined
    /** What is usual stands folded away, in one line. */
    folded?: boolean
    /** Begin as soon as the plan lies: it was asked for before this page was come to. */
    atOnce?: boolean
    started?: () => void
    /** Compare in turns instead, noting the same of every putt: asked for once the plan lies, as a tap may come before its drawing. */
    compare?: (asks: () => string[]) => void
  }
  let {
    lessonId,
    golferId,
    wanted = [],
    station,
    offered,
    guides,
    closed = false,
    watched = [],
    readsStart = true,
    like = undefined,
    folded = false,
    atOnce = false,
    started,
    compare
  }: Props = $props()

  const SEEN = drawnChoices<'guided' | 'blind'>('rig_seen')
  // What is chosen there changes its own summary: it stays as the coach left it.
  // svelte-ignore state_referenced_locally
  let unfolded = $state(!folded)
  let under = $state<Under>(USUAL)
  let seen = $state<'guided' | 'blind' | null>(null)
  type Last = { asks: string[]; planned: number }
  // svelte-ignore state_referenced_locally
  const LAST = `libella.block.${golferId}`
  const last = JSON.parse(localStorage.getItem(LAST) ?? '{}') as Partial<Last>
  let planned = $state(last.planned ?? 10)
  const rigSeen = $derived(seen ?? (guides ? 'guided' : 'blind'))
  const notes = notesQuery()
  /** What was tapped, over what is usual: that is known only once the plan lies, and a tap may come before. */
  const tapped = $state<Record<string, boolean>>({})
  const every = $derived([...(notes.data ?? []), ...watched].filter((it) => !it.after_touch))
  /**
   * As the block before; for a first one what was noted last, and what is laid there. With no rig nothing is told unless it
   * is noted: what lies there, or else where the putt finished.
   */
  const before = $derived(like?.asks ?? last.asks ?? [])
  const laid = $derived(watched.filter((it) => !it.needs_string).map((it) => it.note))
  /** What lies there may tell of the putt itself what became of it; a rod along the toes does not. */
  const OF_PUTT = new Set(['start', 'path', 'strike', 'pace'])
  const needed = $derived(
    readsStart ? (like ? [] : laid) : watched.some((it) => OF_PUTT.has(it.measures)) ? laid : [...laid, 'finish']
  )
  const usualAsks = $derived([...before, ...needed, ...wanted])
  const asks = $derived(every.map((it) => it.note).filter((it) => tapped[it] ?? usualAsks.includes(it)))
  const toggle = (note: string) => (tapped[note] = !asks.includes(note))
  // What is tapped there stays, also when a block comes meanwhile; before that it is as in the block before, else as the
  // school held says.
  const lesson = lessonQuery(() => lessonId)
  const schools = schoolsQuery(() => ({ lesson: lessonId }))
  const held = $derived(schools.data?.settings)
  let holeTapped = $state<'hole' | 'none' | null>(null)
  const hole = $derived(holeTapped ?? ((like?.hole ?? held?.hole ?? true) ? 'hole' : 'none'))
  let pathTapped = $state<Shapes['BlockIn']['path_model'] | null>(null)
  const path_model = $derived(pathTapped ?? (like ? like.path_model : (held?.path ?? '')))
  // svelte-ignore state_referenced_locally
  let ball_ahead_m = $state(like?.ball_ahead_m ?? 0)
  const noted = $derived(
    hole === 'hole' ? asks : asks.filter((it) => !every.find((note) => note.note === it)?.needs_hole)
  )
  const HOLES = drawnChoices<'hole' | 'none'>('putted')
  const PATHS = drawnChoices<Shapes['BlockIn']['path_model']>('path')

  const starting = createWrite(
    (body: Shapes['BlockIn']) => startBlock(lessonId, body, every),
    (block) => {
      started?.()
      void goto(`/lessons/${lessonId}/start?block=${block.id}`, { replaceState: atOnce })
    }
  )
  const laying = createAsk(
    () => station(),
    (station_id) => {
      const guided = rigSeen === 'guided'
      localStorage.setItem(LAST, JSON.stringify({ asks, planned } satisfies Last))
      starting.mutate({
        station_id,
        condition: under.name || 'as usual',
        factors: under.factors,
        guided,
        planned,
        asks: noted,
        hole: hole === 'hole',
        path_model,
        ball_ahead_m,
        drill: '',
        started_at: stamp()
      })
    }
  )
  const error = $derived(laying.error ?? starting.error)
  /** Begun, and not refused: between the plan and the block neither is on its way, and a second tap would make a second one. */
  let begun = $state(false)
  $effect(() => {
    if (error) begun = false
  })
  function begin(): void {
    if (begun) return
    begun = true
    laying.mutate(undefined)
  }
  function start(event: SubmitEvent): void {
    event.preventDefault()
    begin()
  }
  $effect(() => {
    if (atOnce && !closed && notes.data && !error) begin()
  })
</script>

<form onsubmit={start} class="grid gap-3">
  <details bind:open={unfolded}>
    <summary class="min-h-11 cursor-pointer py-2 font-semibold" data-under>
      Set-up <span class="font-normal text-faded"
        >{under.name || 'as usual'}, {readsStart ? `rig ${named('rig_seen', rigSeen).toLowerCase()}, ` : ''}{planned} putts</span
      >
    </summary>
    <div class="grid items-start gap-3">
      <UnderChoice label="Putted" {offered} small bind:value={under} />
      <CueAndRoutine factors={under.factors} change={(factors) => (under = withFactors(under, factors))} />
      {#if readsStart}<Choice
          label="The rig is"
          options={SEEN}
          small
          bind:value={() => rigSeen, (value) => (seen = value)}
        />{/if}
      <Stepper
        label="Putts to the verdict"
        unit=""
        text={String(planned)}
        read={(text) => Math.round(Number(text))}
        step={(direction) => (planned = Math.max(3, planned + direction))}
        onvalue={(value) => (planned = value)}
        hint="How many is an opinion."
        error={about(error, 'planned')}
      />
    </div>
  </details>
  {#if about(error, 'planned')}<p class="font-semibold text-danger">{about(error, 'planned')}</p>{/if}
  <details>
    <summary class="min-h-11 cursor-pointer py-2 font-semibold">
      Also note <span class="font-normal text-faded"
        >{every
          .filter((it) => asks.includes(it.note))
          .map((it) => it.label)
          .join(', ') || 'nothing else'}</span
      >
    </summary>
    <div class="flex flex-wrap gap-1.5" role="group" aria-label="Also note of every putt">
      {#each every as it (it.note)}
        <button
          type="button"
          class="button px-3 {asks.includes(it.note) ? 'border-ink bg-ink text-paper!' : ''}"
          aria-pressed={asks.includes(it.note)}
          onclick={() => toggle(it.note)}>{it.label}</button
        >
      {/each}
    </div>
  </details>
  <details>
    <summary class="min-h-11 cursor-pointer py-2 font-semibold">
      Hole and path <span class="font-normal text-faded"
        >{hole === 'hole' ? 'to a hole' : 'no hole'}{path_model ? `, ${named('path', path_model)}` : ''}</span
      >
    </summary>
    <div class="grid gap-3">
      <Choice label="Putted" options={HOLES} small bind:value={() => hole, (it) => (holeTapped = it)} />
      <Choice
        label="The path as this golfer means it"
        options={PATHS}
        small
        bind:value={() => path_model, (it) => (pathTapped = it)}
      />
      {#if path_model.startsWith('arc')}
        <LengthEntry of="ball_ahead_m" value={ball_ahead_m} onvalue={(m) => (ball_ahead_m = m)} />
      {/if}
      {#if lesson.data}<SchoolsHere at="start" lesson={lessonId} golfer={lesson.data.golfer} />{/if}
    </div>
  </details>
  {#if error}<Trouble {error} />{/if}
  <div class="flex gap-2">
    <button class="button primary min-h-14 flex-1 text-lg" disabled={begun || closed || !notes.data}>Start block</button
    >
    {#if compare}<button
        class="button min-h-14 px-3"
        type="button"
        disabled={closed || !notes.data}
        onclick={() => compare(() => noted)}>Compare…</button
      >{/if}
  </div>
</form>

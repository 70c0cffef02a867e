<!-- Start a lesson: four entries, all filled in already. -->
<script lang="ts">
  import { goto } from '$app/navigation'
  import { untrack } from 'svelte'
  import { stamp } from '$lib/data/clock'
  import { refusal, type Shapes } from '$lib/data/client'
  import { v7 } from 'uuid'
  import { settings } from '$lib/base/settings.svelte'
  import { outbox } from '$lib/data/outbox.svelte'
  import { createAsk, createWrite } from '$lib/data/write.svelte'
  import Stage from '$lib/drawing/Stage.svelte'
  import { planOf } from '$lib/set/plan'
  import { savedQuery } from '$lib/set/queries.svelte'
  import { keepPlan } from '$lib/set/writes'
  import LessonEntries, { type LessonDraft } from './LessonEntries.svelte'
  import Sheet from '$lib/base/Sheet.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import ComplaintEntries from '$lib/change/ComplaintEntries.svelte'
  import { isSaid, NOTHING_SAID } from '$lib/change/complaint'
  import { tellComplaint } from '$lib/change/writes'
  import { lastFloorQuery } from './queries.svelte'
  import { startLesson } from './writes'

  interface Props {
    open: boolean
    golfer: Pick<Shapes['GolferOut'], 'id' | 'name' | 'hand'>
  }
  let { open = $bindable(), golfer }: Props = $props()

  const FRESH = (): LessonDraft => ({
    place: '',
    surface: 'indoor_mat',
    green_speed_ft: 10,
    conditions: '',
    units: settings.units
  })
  let draft = $state(FRESH())
  let complaint = $state(NOTHING_SAID())
  /** What brings them here is kept with the lesson, where anything of it was said. */
  function tell(lesson: string): void {
    if (isSaid($state.snapshot(complaint))) void outbox.post(tellComplaint(lesson, $state.snapshot(complaint)))
  }
  const floor = lastFloorQuery(
    () => golfer.id,
    () => open
  )
  const starting = createWrite(
    () => startLesson({ ...$state.snapshot(draft), golfer_id: golfer.id, started_at: stamp() }, golfer),
    (lesson) => {
      tell(lesson.id)
      if (!open) return
      open = false
      void goto(`/lessons/${lesson.id}/set`)
    }
  )
  const saved = savedQuery(
    () => '',
    () => open,
    () => golfer.hand
  )
  /** Kept stations in reach of a tap; the others are found on Set. */
  const MOST = 3
  const stations = $derived(saved.data?.pages.flatMap((it) => it.items).slice(0, MOST) ?? [])
  // The lesson, then the station in it; its block begins as soon as that is drawn.
  const straight = createAsk(
    async (station: Shapes['SavedOut']) => {
      const body = { ...$state.snapshot(draft), golfer_id: golfer.id, started_at: stamp() }
      const lesson = await outbox.post(startLesson(body, golfer), () => true)
      tell(lesson.id)
      await outbox.post(
        keepPlan(lesson.id, { id: v7(), replaces_id: null, plan: planOf(station), seen: [] }, true, golfer),
        () => true
      )
      return lesson.id
    },
    (lesson) => {
      if (!open) return
      open = false
      void goto(`/lessons/${lesson}/set?begin`)
    }
  )
  const error = $derived(starting.error ?? straight.error ?? floor.error)
  const busy = $derived(starting.isPending || straight.isPending || straight.isSuccess)

  $effect(() => {
    if (!open) return
    untrack(() => {
      starting.reset()
      straight.reset()
      draft = FRESH()
      complaint = NOTHING_SAID()
    })
  })
  // The same floor as last time, or the studio's name for a first lesson: unless a place was typed before it came.
  $effect(() => {
    const last = floor.isFetching ? undefined : floor.data
    if (open && last) untrack(() => !draft.place && (draft = { ...FRESH(), ...last }))
  })

  function start(event: SubmitEvent): void {
    event.preventDefault()
    starting.mutate(undefined)
  }
</script>

<Sheet bind:open title="Lesson with {golfer.name}">
  {#if stations.length}
    <p class="label">Straight to the first putt, at a kept station</p>
    <div class="mt-1 mb-4 grid gap-1.5" role="group" aria-label="At a kept station">
      {#each stations as it (it.id)}
        <button
          type="button"
          class="button min-h-16 flex-col items-stretch gap-0 p-1 text-left"
          disabled={busy || !draft.place}
          onclick={() => straight.mutate(it)}
        >
          <span class="relative block h-12"><Stage scene={it.stage} taped={false} label={it.stage.words} /></span>
          <span class="px-1">{it.name} <span class="font-normal text-faded">{it.words}</span></span>
        </button>
      {/each}
    </div>
  {/if}
  <form onsubmit={start} class="grid gap-4">
    <ComplaintEntries bind:complaint />
    <LessonEntries bind:draft error={error ? refusal(error) : null} />
    {#if error}<Trouble {error} />{/if}
    <button class="button primary min-h-14 text-lg" disabled={busy}>Start lesson</button>
  </form>
</Sheet>

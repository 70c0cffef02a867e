<!-- Start a lesson: four entries, all filled in already. -->
<script lang="ts">
  import { goto } from '$app/navigation'
  import { untrack } from 'svelte'
  import { stamp } from '$lib/data/clock'
  import { refusal, type Shapes } from '$lib/data/client'
  import { createWrite } from '$lib/data/write.svelte'
  import LessonEntries, { type LessonDraft } from './LessonEntries.svelte'
  import Sheet from '$lib/base/Sheet.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { lastFloorQuery } from './queries.svelte'
  import { startLesson } from './writes'

  interface Props {
    open: boolean
    golfer: Pick<Shapes['GolferOut'], 'id' | 'name'>
  }
  let { open = $bindable(), golfer }: Props = $props()

  const FRESH = (): LessonDraft => ({ place: '', surface: 'indoor_mat', green_speed_ft: 10, conditions: '' })
  let draft = $state(FRESH())
  const floor = lastFloorQuery(
    () => golfer.id,
    () => open
  )
  const starting = createWrite(
    () => startLesson({ ...$state.snapshot(draft), golfer_id: golfer.id, started_at: stamp() }),
    (lesson) => {
      if (!open) return
      open = false
      void goto(`/lessons/${lesson.id}/set`)
    }
  )
  const error = $derived(starting.error ?? floor.error)

  $effect(() => {
    if (!open) return
    untrack(() => {
      starting.reset()
      draft = FRESH()
    })
  })
  // The same floor as last time, or the studio's name for a first lesson: unless a place was typed before it came.
  $effect(() => {
    const last = floor.data
    if (open && last) untrack(() => !draft.place && (draft = { ...FRESH(), ...last }))
  })

  function start(event: SubmitEvent): void {
    event.preventDefault()
    starting.mutate(undefined)
  }
</script>

<Sheet bind:open title="Lesson with {golfer.name}">
  <form onsubmit={start} class="grid gap-4">
    <LessonEntries bind:draft error={error ? refusal(error) : null} />
    {#if error}<Trouble {error} />{/if}
    <button class="button primary min-h-14 text-lg" disabled={starting.isPending}>Start lesson</button>
  </form>
</Sheet>

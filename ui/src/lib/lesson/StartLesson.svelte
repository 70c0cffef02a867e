<!-- Start a lesson: four entries, all filled in already. -->
<script lang="ts">
  import { goto } from '$app/navigation'
  import { untrack } from 'svelte'
  import { v7 } from 'uuid'
  import { stamp } from '$lib/data/clock'
  import { api, ask, refusal, type Shapes } from '$lib/data/client'
  import LessonEntries, { type LessonDraft } from './LessonEntries.svelte'
  import Sheet from '$lib/base/Sheet.svelte'
  import Trouble from '$lib/base/Trouble.svelte'

  interface Props {
    open: boolean
    golfer: Pick<Shapes['GolferOut'], 'id' | 'name'>
  }
  let { open = $bindable(), golfer }: Props = $props()

  let draft = $state<LessonDraft>({ place: '', surface: 'indoor_mat', green_speed_ft: 10, conditions: '' })
  let error = $state<unknown>(null)
  let busy = $state(false)

  // The same floor as last time, or the studio's name for a first lesson.
  $effect(() => {
    if (!open) return
    error = null
    untrack(() => (draft.place = ''))
    void (async () => {
      const { items } = await ask(api.GET('/api/golfers/{id}/lessons', { params: { path: { id: golfer.id } } }))
      const last = items[0]?.lesson
      const place = last?.place ?? (await ask(api.GET('/api/studio'))).name
      if (!draft.place) draft = { place, surface: last?.surface ?? 'indoor_mat', green_speed_ft: last?.green_speed_ft ?? 10, conditions: '' }
    })().catch((problem) => (error = problem))
  })

  async function start(event: SubmitEvent): Promise<void> {
    event.preventDefault()
    busy = true
    error = null
    try {
      const body = { ...draft, golfer_id: golfer.id, started_at: stamp() }
      const lesson = await ask(api.PUT('/api/lessons/{id}', { params: { path: { id: v7() } }, body }))
      open = false
      await goto(`/lessons/${lesson.id}/set`)
    } catch (problem) {
      error = problem
    } finally {
      busy = false
    }
  }
</script>

<Sheet bind:open title="Lesson with {golfer.name}">
  <form onsubmit={start} class="grid gap-4">
    <LessonEntries bind:draft error={error ? refusal(error) : null} />
    {#if error}<Trouble {error} />{/if}
    <button class="button primary min-h-14 text-lg" disabled={busy}>Start lesson</button>
  </form>
</Sheet>

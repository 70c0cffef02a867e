<!-- A lesson's own entries; end it, open it again, void it. -->
<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query'
  import { stamp } from '$lib/data/clock'
  import { api, ask, refusal, type Shapes } from '$lib/data/client'
  import { renewLesson } from '$lib/data/queries.svelte'
  import PauseEntries from '$lib/start/PauseEntries.svelte'
  import LessonEntries, { type LessonDraft } from './LessonEntries.svelte'
  import Sheet from '$lib/base/Sheet.svelte'
  import Trouble from '$lib/base/Trouble.svelte'

  let { open = $bindable(), lesson }: { open: boolean; lesson: Shapes['LessonOut'] } = $props()

  const client = useQueryClient()
  const pauses = createQuery(() => ({
    queryKey: ['pauses', lesson.id],
    queryFn: () => ask(api.GET('/api/lessons/{id}/pauses', { params: { path: { id: lesson.id } } })),
    enabled: open,
  }))
  let draft = $state<LessonDraft>({ place: '', surface: 'indoor_mat', green_speed_ft: 10, conditions: '' })
  let error = $state<unknown>(null)
  let voiding = $state(false)
  let reason = $state('')
  const path = $derived({ path: { id: lesson.id } })

  $effect(() => {
    if (!open) return
    draft = { place: lesson.place, surface: lesson.surface, green_speed_ft: lesson.green_speed_ft, conditions: lesson.conditions }
    error = null
    voiding = false
  })

  async function say(asked: () => Promise<unknown>): Promise<void> {
    try {
      await asked()
      open = false
    } catch (problem) {
      error = problem
    }
    await renewLesson(client, lesson.id)
  }
  const keep = () =>
    say(() =>
      ask(
        api.PUT('/api/lessons/{id}', {
          params: path,
          body: { ...draft, golfer_id: lesson.golfer_id, started_at: lesson.started_at },
        }),
      ),
    )
  const end = () =>
    say(() => ask(api.PUT('/api/lessons/{id}/end', { params: path, body: { ended_at: stamp() } })))
  const reopen = () => say(() => ask(api.DELETE('/api/lessons/{id}/end', { params: path })))
  const discard = () => say(() => ask(api.PUT('/api/lessons/{id}/void', { params: path, body: { reason } })))
  const restore = () => say(() => ask(api.DELETE('/api/lessons/{id}/void', { params: path })))
</script>

<Sheet bind:open title="This lesson">
  <form
    class="grid gap-4"
    onsubmit={(event) => {
      event.preventDefault()
      void keep()
    }}
  >
    <LessonEntries bind:draft error={error ? refusal(error) : null} />
    {#if error}<Trouble {error} />{/if}
    <button class="button primary">Keep changes</button>
  </form>
  <div class="mt-5 flex flex-wrap gap-2 border-t border-hairline pt-4">
    {#if lesson.ended_at}
      <button class="button" onclick={reopen}>Open it again</button>
    {:else}
      <button class="button" onclick={end}>End lesson</button>
    {/if}
    {#if lesson.voided_at}
      <button class="button" onclick={restore}>Restore (voided: {lesson.void_reason})</button>
    {:else if !voiding}
      <button class="button danger" onclick={() => (voiding = true)}>Void lesson…</button>
    {/if}
  </div>
  <p class="mt-4 border-t border-hairline pt-3">
    <span class="label block">Second screens, in a window of their own</span>
    <a class="button mt-1 mr-2" href="/wall/{lesson.id}" target="_blank" rel="noopener">Last putt, for the wall</a>
    <a class="button mt-1" href="/question/{lesson.id}" target="_blank" rel="noopener">Question, for the golfer</a>
  </p>
  <div class="mt-4 border-t border-hairline pt-3">
    <span class="label mb-1 block">When to break off</span>
    {#if pauses.data}<PauseEntries pauses={pauses.data.pauses} />{/if}
  </div>
  <p class="mt-4 border-t border-hairline pt-3">
    <span class="label block">Take its putts out</span>
    <a class="button mt-1 mr-2" href="/api/exports/lesson/{lesson.id}?form=csv" download>CSV</a>
    <a class="button mt-1" href="/api/exports/lesson/{lesson.id}?form=json" download>JSON</a>
  </p>
  {#if voiding}
    <form
      class="mt-3 grid gap-2"
      onsubmit={(event) => {
        event.preventDefault()
        void discard()
      }}
    >
      <label><span class="label">Why it doesn't count</span><input class="entry" bind:value={reason} required maxlength="80" /></label>
      <p class="text-sm text-faded">Nothing is deleted: it leaves the logbook and can be restored here.</p>
      <button class="button danger">Void this lesson</button>
    </form>
  {/if}
</Sheet>

<!-- A lesson's own entries; end it, open it again, void it. -->
<script lang="ts">
  import { untrack } from 'svelte'
  import { stamp } from '$lib/data/clock'
  import { refusal, type Shapes } from '$lib/data/client'
  import { key } from '$lib/data/key'
  import { pausesQuery } from '$lib/data/queries.svelte'
  import { createSeen, type Seen } from '$lib/data/seen.svelte'
  import { createWrite, firstError } from '$lib/data/write.svelte'
  import PauseEntries from '$lib/start/PauseEntries.svelte'
  import SendToScreen from '$lib/people/SendToScreen.svelte'
  import LessonEntries, { type LessonDraft } from './LessonEntries.svelte'
  import { Draft } from '$lib/base/draft.svelte'
  import Sheet from '$lib/base/Sheet.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { net } from '$lib/away/net.svelte'
  import WhoseItIs from '$lib/golfer/WhoseItIs.svelte'
  import { callSetUp, endLesson, noteLesson, reopenLesson, restoreLesson, voidLesson } from './writes'

  interface Props {
    open: boolean
    lesson: Shapes['LessonOut']
    /** Set-ups named in this lesson so far. */
    setUps: string[]
    /** Under whom it is kept. */
    golfer: { id: string; name: string }
  }
  let { open = $bindable(), lesson, setUps, golfer }: Props = $props()

  const pauses = pausesQuery(
    () => lesson.id,
    () => undefined,
    () => open
  )
  const close = () => (open = false)
  const notedOf = (it: Shapes['LessonOut']): LessonDraft => ({
    place: it.place,
    surface: it.surface,
    green_speed_ft: it.green_speed_ft,
    conditions: it.conditions,
    units: it.units
  })
  const begun = new Draft<LessonDraft>('lesson', () => notedOf(lesson))
  const whole = (it: LessonDraft) => ({ ...it, golfer_id: lesson.golfer_id, started_at: lesson.started_at })
  const noting = createWrite(
    () => noteLesson(lesson.id, { ...whole($state.snapshot(begun.value)), seen: seen.now && whole(seen.now) }),
    () => {
      close()
      begun.clear()
    }
  )
  const seen: Seen<LessonDraft> = createSeen(
    () => notedOf(lesson),
    () => noting.error,
    () => key.lesson(lesson.id)
  )
  const ending = createWrite(() => endLesson(lesson.id, stamp()), close)
  const reopening = createWrite(() => reopenLesson(lesson.id), close)
  const discarding = createWrite(() => voidLesson(lesson.id, reason), close)
  const restoring = createWrite(() => restoreLesson(lesson.id), close)
  const calling = createWrite((it: { name: string; called: string }) => callSetUp(lesson.id, it.name, it.called))
  const all = [noting, ending, reopening, discarding, restoring]
  const error = $derived(firstError(all))
  let voiding = $state(false)
  let another = $state(false)
  let reason = $state('')

  $effect(() => {
    if (!open) return
    untrack(() => {
      if (!begun.begun) begun.clear()
      seen.begin()
      all.forEach((it) => it.reset())
    })
    voiding = false
  })
</script>

<Sheet bind:open title="This lesson">
  <form
    class="grid gap-4"
    onsubmit={(event) => {
      event.preventDefault()
      noting.mutate(undefined)
    }}
  >
    <LessonEntries bind:draft={begun.value} error={error ? refusal(error) : null} />
    {#if error}<Trouble {error} />{/if}
    <button class="button primary">Keep changes</button>
  </form>
  {#if setUps.length}
    <div class="mt-5 grid gap-2 border-t border-hairline pt-3" data-set-up-names>
      <p class="label">Set-ups of this lesson, as they are called in every step</p>
      {#each setUps as it (it)}
        <input
          class="entry"
          aria-label="The set-up “{it}” is called"
          value={it}
          maxlength="80"
          onchange={(event) => {
            const called = event.currentTarget.value.trim()
            if (called && called !== it) calling.mutate({ name: it, called })
          }}
        />
      {/each}
      {#if calling.error}<Trouble error={calling.error} />{/if}
    </div>
  {/if}
  <div class="mt-5 flex flex-wrap gap-2 border-t border-hairline pt-4">
    {#if lesson.ended_at}
      <button class="button" onclick={() => reopening.mutate(undefined)}>Open it again</button>
    {:else}
      <button class="button" onclick={() => ending.mutate(undefined)}>End lesson</button>
    {/if}
    {#if !net.gone}
      <button
        class="button"
        onclick={() => {
          close()
          another = true
        }}>Another golfer’s…</button
      >
    {/if}
    {#if lesson.voided_at}
      <button class="button" onclick={() => restoring.mutate(undefined)}>Restore (voided: {lesson.void_reason})</button>
    {:else if !voiding}
      <button class="button danger" onclick={() => (voiding = true)}>Void lesson…</button>
    {/if}
  </div>
  <p class="mt-4 border-t border-hairline pt-3">
    <span class="label block">Second screens, in a window of their own</span>
    <a class="button mt-1 mr-2" href="/wall/{lesson.id}" target="_blank" rel="noopener">Last putt, for the wall</a>
    <a class="button mt-1" href="/question/{lesson.id}" target="_blank" rel="noopener">Question, for the golfer</a>
  </p>
  <SendToScreen lesson={lesson.id} />
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
        discarding.mutate(undefined)
      }}
    >
      <label
        ><span class="label">Why it doesn't count</span><input
          class="entry"
          bind:value={reason}
          required
          maxlength="80"
        /></label
      >
      <p class="text-sm text-faded">Nothing is deleted: it leaves the logbook and can be restored here.</p>
      <button class="button danger">Void this lesson</button>
    </form>
  {/if}
</Sheet>
<WhoseItIs bind:open={another} former={golfer} lesson={lesson.id} done={() => undefined} />

<!-- Sensors: pair one, see it live, zero it, see which putt each stroke belongs to. -->
<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query'
  import { v7 } from 'uuid'
  import { page } from '$app/state'
  import { api, ask, type Shapes } from '$lib/data/client'
  import { heard } from '$lib/data/heard.svelte'
  import { lessonQuery, renew, sensorsQuery } from '$lib/data/queries.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import SensorRow from '$lib/start/SensorRow.svelte'
  import StrokeList from '$lib/start/StrokeList.svelte'

  const id = $derived(page.params.id ?? '')
  const client = useQueryClient()
  const lesson = lessonQuery(() => id)
  const sensors = sensorsQuery(() => id)
  let error = $state<unknown>(null)
  const KINDS: { kind: Shapes['SensorIn']['kind']; words: string; tells: string }[] = [
    { kind: 'face_and_path', words: 'Face-and-path sensor', tells: 'Face at address and at impact, path, strike, tempo.' },
    { kind: 'start_board', words: 'Start-line board', tells: 'Where each ball starts; with a start reader as the rig it records by itself.' },
    { kind: 'level', words: 'Wireless level', tells: 'How the floor falls, both ways, as it lies.' },
  ]
  const putts = $derived(
    (lesson.data?.blocks ?? []).flatMap((block) =>
      block.readings.filter((it) => !it.voided).map((it, n) => ({ id: it.id, words: `${n + 1}, ${block.condition}: ${it.words}` })),
    ),
  )
  async function pair(kind: Shapes['SensorIn']['kind']): Promise<void> {
    error = null
    try {
      await ask(api.PUT('/api/sensors/{id}', { params: { path: { id: v7() } }, body: { lesson_id: id, kind, name: '' } }))
    } catch (problem) {
      error = problem
    }
    await renew(client, ['sensors', id])
  }
</script>

<div class="px-6 py-4">
  <h1 class="wide text-2xl">Sensors</h1>
  <p class="max-w-prose text-faded">Any device that speaks the open message format can be paired. It tells its strokes; you go on tapping what you see.</p>
  <div class="mt-3 grid gap-2 sm:grid-cols-3">
    {#each KINDS as it (it.kind)}
      <button class="button h-auto min-h-16 flex-col items-start gap-0 py-2 text-left whitespace-normal" onclick={() => pair(it.kind)} disabled={Boolean(lesson.data?.lesson.ended_at)}>
        <span class="font-bold">Pair a {it.words.toLowerCase()}</span><span class="text-sm font-normal">{it.tells}</span>
      </button>
    {/each}
  </div>
  {#if lesson.data?.lesson.ended_at}<p class="mt-1 font-semibold">This lesson has ended: nothing new is paired to it.</p>{/if}
  {#if error}<div class="mt-2"><Trouble {error} /></div>{/if}
  {#if sensors.error && !sensors.data}
    <div class="mt-3"><Trouble error={sensors.error} again={() => sensors.refetch()} /></div>
  {:else if sensors.data}
    <ul class="mt-3 border-t border-hairline" aria-label="Sensors">
      {#each sensors.data.sensors as sensor (sensor.id)}
        <SensorRow {sensor} lessonId={id} now={heard.moments[sensor.id]} />
      {:else}
        <li class="py-3 text-lg">None paired. Choose one above; it gets a code.</li>
      {/each}
    </ul>
    {#if sensors.data.strokes.length}
      <h2 class="wide mt-4 text-lg">Strokes told</h2>
      <p class="text-sm text-faded">The zero is taken off the face. Each stroke goes to the putt noted nearest after it.</p>
      <StrokeList strokes={sensors.data.strokes} {putts} lessonId={id} />
    {/if}
  {/if}
</div>

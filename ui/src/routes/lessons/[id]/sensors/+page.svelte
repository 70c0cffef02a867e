<!-- Sensors: pair one, see it live, zero it, see which putt each stroke belongs to. -->
<script lang="ts">
  import { v7 } from 'uuid'
  import { page } from '$app/state'
  import type { Shapes } from '$lib/data/client'
  import { heard } from '$lib/data/heard.svelte'
  import { lessonQuery, sensorsQuery } from '$lib/data/queries.svelte'
  import { choices, named } from '$lib/data/vocabulary.svelte'
  import { createWrite } from '$lib/data/write.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import SensorRow from '$lib/start/SensorRow.svelte'
  import StrokeList from '$lib/start/StrokeList.svelte'
  import { pairSensor } from '$lib/start/writes'

  const id = $derived(page.params.id ?? '')
  const lesson = lessonQuery(() => id)
  const sensors = sensorsQuery(() => id)
  const KINDS = choices<Shapes['SensorIn']['kind']>('sensor_to_pair')
  const putts = $derived(
    (lesson.data?.blocks ?? []).flatMap((block) =>
      block.readings
        .filter((it) => !it.voided)
        .map((it, n) => ({ id: it.id, words: `${n + 1}, ${block.condition}: ${it.words}` }))
    )
  )
  const pairing = createWrite((kind: Shapes['SensorIn']['kind']) => pairSensor(v7(), { lesson_id: id, kind, name: '' }))
</script>

<div class="px-6 py-4">
  <h1 class="wide text-2xl">Sensors</h1>
  <p class="max-w-prose text-faded">
    Any device that speaks the open message format can be paired. It tells its strokes; you go on tapping what you see.
  </p>
  <div class="mt-3 grid gap-2 sm:grid-cols-3">
    {#each KINDS as it (it.value)}
      <button
        class="button h-auto min-h-16 flex-col items-start gap-0 py-2 text-left whitespace-normal"
        onclick={() => pairing.mutate(it.value)}
        disabled={Boolean(lesson.data?.lesson.ended_at)}
      >
        <span class="font-bold">{it.words}</span><span class="text-sm font-normal"
          >{named('sensor_tells', it.value)}</span
        >
      </button>
    {/each}
  </div>
  {#if lesson.data?.lesson.ended_at}<p class="mt-1 font-semibold">
      This lesson has ended: nothing new is paired to it.
    </p>{/if}
  {#if pairing.error}<div class="mt-2"><Trouble error={pairing.error} /></div>{/if}
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
      <p class="text-sm text-faded">
        The zero is taken off the face. Each stroke goes to the putt whose tap it fits; one that might be of two goes to
        none.
      </p>
      <StrokeList strokes={sensors.data.strokes} {putts} lessonId={id} />
    {/if}
  {/if}
</div>

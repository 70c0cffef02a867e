<!-- One sensor: its code until it is paired, then what it tells, its zero, and letting it go. -->
<script lang="ts">
  import type { Shapes } from '$lib/data/client'
  import { createWrite, firstError } from '$lib/data/write.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { clock } from '$lib/base/dates'
  import { standinsQuery } from './queries.svelte'
  import { tiltWords } from './tilt'
  import { pairSensor, startStandin, stopStandin, tapStroke, unpairSensor, useSensorIn, zeroSensor } from './writes'

  interface Props {
    sensor: Shapes['SensorOut']
    lessonId: string
    /** The newest tilt or still reading heard from it. */
    now: Record<string, number> | undefined
  }
  let { sensor, lessonId, now }: Props = $props()

  const standins = standinsQuery()
  let faults = $state<Shapes['StandinIn']['faults']>([])
  const tilt = $derived(sensor.kind === 'level' ? now : null)

  const zeroing = createWrite(() => zeroSensor(lessonId, sensor.id))
  const unpairing = createWrite(() => unpairSensor(lessonId, sensor.id))
  const stopping = createWrite(
    () => stopStandin(lessonId, sensor.id),
    () => unpairing.mutate(undefined)
  )
  const renewing = createWrite(() =>
    pairSensor(sensor.id, { lesson_id: lessonId, kind: sensor.kind, name: sensor.name })
  )
  const using = createWrite(() => useSensorIn(lessonId, sensor.id))
  const starting = createWrite(() =>
    startStandin(lessonId, sensor.id, { kind: sensor.kind, code: sensor.code ?? '', faults: $state.snapshot(faults) })
  )
  const tapping = createWrite(() => tapStroke(lessonId, sensor.id))
  const all = [tapping, zeroing, unpairing, stopping, renewing, using, starting]
  const error = $derived(firstError(all))
  const unpair = () => (standins.data?.running[sensor.id] ? stopping : unpairing).mutate(undefined)
</script>

<li class="border-b border-hairline py-3" data-sensor={sensor.kind} data-state={sensor.state}>
  <div class="flex flex-wrap items-start justify-between gap-3">
    <div class="min-w-0">
      <p class="wide text-lg">{sensor.name}</p>
      {#if sensor.state === 'waiting'}
        <p class="text-faded">Type this code into the device before {clock(sensor.code_until)}:</p>
      {:else if sensor.state === 'run_out'}
        <p class="text-faded">The code ran out.</p>
      {:else if sensor.state === 'elsewhere'}
        <p class="text-faded">Paired, and telling another lesson.</p>
      {:else}
        <p class="text-faded">
          ● {[
            `Paired (${sensor.device_id})`,
            sensor.kind === 'level' ? '' : `${sensor.strokes} ${sensor.strokes === 1 ? 'stroke' : 'strokes'} here`,
            sensor.last_at ? `last ${clock(sensor.last_at)}` : ''
          ]
            .filter(Boolean)
            .join(' · ')}
        </p>
      {/if}
    </div>
    <div class="flex flex-wrap gap-2">
      {#if sensor.state === 'elsewhere'}<button class="button primary" onclick={() => using.mutate(undefined)}
          >Use it here</button
        >{/if}
      {#if sensor.state === 'run_out'}<button class="button primary" onclick={() => renewing.mutate(undefined)}
          >New code</button
        >{/if}
      {#if sensor.state === 'paired' && sensor.kind === 'face_and_path'}
        <button class="button" onclick={() => zeroing.mutate(undefined)} disabled={sensor.still < 5 && !now}
          >Zero it</button
        >
      {/if}
      <button class="button" onclick={unpair}
        >{sensor.state === 'paired' || sensor.state === 'elsewhere' ? 'Unpair' : 'Take away'}</button
      >
    </div>
  </div>
  {#if sensor.silent_words}<p class="mt-1 font-semibold text-danger" data-silent>{sensor.silent_words}</p>{/if}
  {#if sensor.clock_words}
    <p class="mt-1" data-clock>{sensor.clock_words}</p>
    {#if sensor.asks_now}
      <button class="button primary mt-2 min-h-14 w-full text-lg" onclick={() => tapping.mutate(undefined)}
        >Now: the ball is struck</button
      >
      {#if tapping.isSuccess}<p role="status" class="mt-1 font-semibold">
          Tapped: it waits for that stroke to be told.
        </p>{/if}
    {/if}
  {/if}
  {#if sensor.state === 'waiting'}
    <p class="wide mt-1 text-5xl tracking-widest" data-code>{sensor.code}</p>
    {#if standins.data?.available}
      <fieldset class="mt-2 border border-hairline p-3">
        <legend class="label px-1">Demo: no device at hand?</legend>
        <div class="flex flex-wrap gap-1.5" role="group" aria-label="What goes wrong">
          {#each Object.entries(standins.data.faults) as [name, words] (name)}
            {@const fault = name as NonNullable<typeof faults>[number]}
            <button
              class="button {faults?.includes(fault) ? 'border-ink bg-ink text-paper!' : ''}"
              aria-pressed={faults?.includes(fault)}
              onclick={() =>
                (faults = faults?.includes(fault) ? faults.filter((it) => it !== fault) : [...(faults ?? []), fault])}
              >{words}</button
            >
          {/each}
        </div>
        <button
          class="button primary mt-2"
          onclick={() => starting.mutate(undefined)}
          disabled={sensor.id in standins.data.running}
        >
          {sensor.id in standins.data.running ? 'Starting; it types the code itself…' : 'Start the stand-in'}
        </button>
      </fieldset>
    {/if}
  {/if}
  {#if tilt}
    <p class="wide mt-1 text-2xl" data-tilt>{tiltWords(tilt)}</p>
    <p class="text-faded">
      Take it as the slope of the putt under <a class="underline" href="/lessons/{lessonId}/set">Set</a>, “Read with a
      level”.
    </p>
  {/if}
  {#if sensor.kind === 'face_and_path' && sensor.state === 'paired'}
    <p class="mt-1">
      {#if sensor.zero}{sensor.zero.words}{:else}Not zeroed: hold the putter still against the square reference, then
        zero it.{/if}
      {#if now?.face_deg !== undefined}<span class="text-faded"
          >It reads {Math.abs(now.face_deg).toFixed(1)}° {now.face_deg < 0 ? 'left' : 'right'} now.</span
        >{/if}
    </p>
    {#if zeroing.data}<p role="status" class="font-semibold">Zeroed.</p>{/if}
  {/if}
  {#if error}<div class="mt-2"><Trouble {error} /></div>{/if}
</li>

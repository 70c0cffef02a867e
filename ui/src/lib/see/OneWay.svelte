<!-- The eyes told one way alone: on which side, and how far where that was read. One tap keeps a look. -->
<script lang="ts">
  import { formOf } from '$lib/base/form'
  import LengthEntry from '$lib/base/LengthEntry.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { refusal, type Shapes } from '$lib/data/client'
  import { stamp } from '$lib/data/clock'
  import { choices } from '$lib/data/vocabulary.svelte'
  import { createWrite } from '$lib/data/write.svelte'
  import type { EyesLook } from './eyes.svelte'
  import { keepLook } from './writes'

  formOf('small')

  interface Props {
    lessonId: string
    look: EyesLook
  }
  let { lessonId, look }: Props = $props()

  type Told = Shapes['OneWayIn']['told']
  const SIDES = choices<Told>('eyes_told')
  const keeping = createWrite(keepLook)
  const fault = $derived(keeping.error ? refusal(keeping.error) : null)
  let away = $state<number | null>(null)
  function keep(told: Told): void {
    const { way, level, eye_height_m, seen_m, set_up } = look
    if (way === 'string' || way === 'strip') return
    const how = { way, ...level, eye_height_m, seen_m, set_up, station_id: null, taken_at: stamp() }
    const size_m = away
    // What is refused stands in its field again, unless the next look has been begun.
    const onError = () => (away ??= size_m)
    keeping.mutate({ lesson_id: lessonId, told, size_m, ...how }, { onError })
    away = null
  }
</script>

<p class="text-lg"><strong>Where is the middle of the eyes?</strong></p>
<div class="mt-2 max-w-xs">
  <LengthEntry of="eyes_away" value={away} error={fault?.about('size_m')} onvalue={(m) => (away = m)} />
</div>
<div class="mt-3 grid grid-cols-3 gap-2" role="group" aria-label="Where the middle of the eyes is">
  {#each SIDES as it (it.value)}
    <button class="button min-h-16 px-1 text-lg leading-tight" onclick={() => keep(it.value)}>{it.words}</button>
  {/each}
</div>
{#if keeping.error}<div class="mt-3"><Trouble error={keeping.error} /></div>{/if}

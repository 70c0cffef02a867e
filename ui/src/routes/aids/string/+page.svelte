<!-- The string over the line: what it covers for these eyes, and how to make it true. -->
<script lang="ts">
  import { choices } from '$lib/data/vocabulary.svelte'
  import { refusal } from '$lib/data/client'
  import { stringEyesQuery, stringQuery } from '$lib/set/queries.svelte'
  import Stage from '$lib/drawing/Stage.svelte'
  import Choice from '$lib/base/Choice.svelte'
  import LengthEntry from '$lib/base/LengthEntry.svelte'
  import { place } from '$lib/base/place.svelte'

  let eyes = $state({ eyes_inside_m: 0.03, eye_height_m: 1.5, string_height_m: 0.2, hand: 'right' as 'left' | 'right' })
  const found = stringQuery(() => $state.snapshot(eyes))
  const seen = $derived(found.data)
  // The same drawing, framed from the ground to a little over the string.
  const near = $derived(seen && { ...seen.scene, left: -70, right: 70, top: -1300 * eyes.string_height_m, bottom: 15 })
  const fault = $derived(found.error ? refusal(found.error) : null)
  $effect(() =>
    place.set([{ words: 'Today', href: '/' }, { words: 'Aids', href: '/aids' }, { words: 'String' }], false)
  )

  // The other way: where the sighting eye is, by what an upright string was seen covering.
  let cover = $state({ covers_outside_m: 0.01, height_m: 0, seen_to_m: 0.005 })
  const reverse = stringEyesQuery(() => ({
    ...$state.snapshot(cover),
    eye_height_m: eyes.eye_height_m,
    string_height_m: eyes.string_height_m
  }))
  const back = $derived(reverse.error ? refusal(reverse.error) : null)
  const HEIGHTS = [
    { value: '0', words: 'On the ground' },
    { value: '0.021335', words: 'Ball’s centre' },
    { value: '0.04267', words: 'Ball’s top' }
  ]
  const HANDS = choices<'left' | 'right'>('hand')
</script>

<svelte:head><title>String · Libella</title></svelte:head>

<div class="mx-auto grid max-w-[1100px] gap-x-10 gap-y-6 px-5 py-6 md:grid-cols-[minmax(0,360px)_1fr]">
  <div class="grid grid-cols-2 border-r border-hairline">
    <div class="relative h-[560px] max-md:h-80">
      {#if seen}<Stage scene={seen.scene} />{/if}
    </div>
    <figure class="flex flex-col">
      <div class="relative min-h-0 flex-1">
        {#if near}<Stage scene={near} label="The same, near the ball" />{/if}
      </div>
      <figcaption class="text-center text-sm text-faded">
        The same near the ball, true to scale. Thick: the sight line through the ball’s centre.
      </figcaption>
    </figure>
  </div>
  <div class="min-w-0">
    <h1 class="wide border-b-2 border-ink pb-1 text-2xl">A string over the line</h1>
    <div class="mt-4 grid grid-cols-2 gap-x-5 gap-y-3">
      <LengthEntry
        of="string_eye_m"
        value={eyes.eyes_inside_m}
        error={fault?.about('eyes_inside_m')}
        onvalue={(it) => (eyes.eyes_inside_m = it)}
      />
      <LengthEntry
        of="eye_height_m"
        label="Eye height"
        hint="Bent over the ball."
        value={eyes.eye_height_m}
        error={fault?.about('eye_height_m')}
        onvalue={(it) => (eyes.eye_height_m = it)}
      />
      <LengthEntry
        of="string_height_m"
        label="String height"
        hint="Over the ball."
        value={eyes.string_height_m}
        error={fault?.about('string_height_m')}
        onvalue={(it) => (eyes.string_height_m = it)}
      />
      <Choice label="Golfer" options={HANDS} bind:value={eyes.hand} />
    </div>
    <div class="mt-5 grid gap-3 text-lg" class:opacity-50={Boolean(fault)} data-string>
      {#each seen?.words ?? [] as it (it)}<p>{it}</p>{/each}
    </div>
    <section class="mt-6 border-t-2 border-ink pt-3" data-eyes>
      <h2 class="wide text-lg">The other way: where is the eye?</h2>
      <p class="mt-1 text-faded">Stretch it upright over the line, shut the other eye, and say which mark it covers.</p>
      <div class="mt-3 grid grid-cols-2 gap-x-5 gap-y-3">
        <LengthEntry
          of="string_covers_m"
          value={cover.covers_outside_m}
          error={back?.about('covers_outside_m')}
          onvalue={(it) => (cover.covers_outside_m = it)}
        />
        <LengthEntry
          of="string_seen_m"
          value={cover.seen_to_m}
          error={back?.about('seen_to_m')}
          onvalue={(it) => (cover.seen_to_m = it)}
        />
        <div class="col-span-2">
          <Choice
            label="Where the mark is"
            options={HEIGHTS}
            bind:value={() => String(cover.height_m), (it) => (cover.height_m = Number(it))}
          />
        </div>
      </div>
      <p class="mt-3 text-lg font-semibold" aria-live="polite">{back ? back.message : (reverse.data?.words ?? '')}</p>
    </section>
    <p class="mt-5 border-t border-hairline pt-3">
      <strong>Caution.</strong> Strings and stakes trip people: flag them, and take them up when you leave.
    </p>
  </div>
</div>

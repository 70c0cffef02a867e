<!-- The first look: a true rod, one answer a place. Choose where the head is, tap how it looks: two taps. -->
<script lang="ts">
  import { v7 } from 'uuid'
  import { stamp } from '$lib/data/clock'
  import { refusal, type Shapes } from '$lib/data/client'
  import { createWrite, firstError } from '$lib/data/write.svelte'
  import { keys } from '$lib/base/keys.svelte'
  import LengthEntry from '$lib/base/LengthEntry.svelte'
  import Stepper from '$lib/base/Stepper.svelte'
  import { rulerFor, withUnit } from '$lib/base/length'
  import { typedNumber } from '$lib/base/number'
  import { settings } from '$lib/base/settings.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { named, pictured } from '$lib/data/vocabulary.svelte'
  import Looks from './Looks.svelte'
  import { answerKeys, type Look } from './looks'
  import Sketch from '$lib/drawing/Sketch.svelte'
  import { firstLooksQuery } from './queries.svelte'
  import { firstLooksOnTheirWay, keepFirstLook, voidFirstLook } from './writes'

  interface Props {
    lessonId: string
    /** Ask the whole test there. */
    askAt: (place: Shapes['FirstLookOut']) => void
  }
  let { lessonId, askAt }: Props = $props()

  const looks = firstLooksQuery(() => lessonId)
  type Place = Pick<Shapes['HeadPlaceOut'], 'lever' | 'way' | 'grade'>
  let at = $state.raw<Place>({ lever: null, way: 'plus', grade: '' })
  /** The rod lies on the other side of the hole. */
  let other_side = $state(false)
  /** How far it was moved, mm or degrees; null: not measured. */
  let moved = $state<number | null>(null)
  const moves = (one: Place, other: Place) => one.lever === other.lever && one.way === other.way
  const same = (one: Place, other: Place) => moves(one, other) && one.grade === other.grade
  const inList = (place: Place) => looks.data?.places.find((it) => same(it, place))
  const placed = (place: Place & { other_side: boolean }) =>
    inList(place)?.[place.other_side ? 'other_side_words' : 'words'] ?? ''
  function choose({ lever, way, grade }: Place): void {
    at = { lever, way, grade }
    moved = null
  }
  const taken = $derived.by(() => {
    const all = new Map((looks.data?.taken ?? []).filter((it) => !it.voided).map((it) => [it.id, it]))
    for (const { id, told } of firstLooksOnTheirWay(lessonId))
      if (!told) all.delete(id)
      else {
        const { lever = null, way = 'plus', grade = '', other_side = false, moved = null, playable = null } = told
        const place = { lever, way, grade, other_side }
        all.set(id, { ...told, ...place, moved, id, place: placed(place), voided: false, playable })
      }
    return [...all.values()]
  })
  const here = $derived(inList(at))
  const lastAt = (place: Place) => taken.findLast((it) => moves(it, place) && it.other_side === other_side)
  const grades = $derived(at.lever ? (looks.data?.places.filter((it) => moves(it, at)) ?? []) : [])

  const keeping = createWrite((it: Shapes['FirstLookIn'] & { id: string }) => keepFirstLook(it))
  const voiding = createWrite((it: { id: string; voided: boolean }) => voidFirstLook(lessonId, it))
  function answer(seen: Look): void {
    const place = { ...at, other_side, moved }
    keeping.mutate({ id: v7(), lesson_id: lessonId, ...place, looks: seen, playable: null, taken_at: stamp() })
  }
  const playable = (
    { id, lever, way, grade, other_side, moved, looks, taken_at }: Shapes['FirstLookOut'],
    it: boolean
  ) => keeping.mutate({ id, lesson_id: lessonId, lever, way, grade, other_side, moved, looks, playable: it, taken_at })
  function undo(): void {
    const last = taken.at(-1)
    if (last) voiding.mutate({ id: last.id, voided: true })
  }
  $effect(() =>
    keys.add('First look', () => [...answerKeys(answer), { key: 'u', words: 'Undo the last answer', run: undo }])
  )
  const fault = $derived(keeping.error ? refusal(keeping.error) : null)
  const by = (it: Shapes['FirstLookOut']) => {
    if (it.moved === null) return ''
    return ` (${inList(it)?.unit === 'deg' ? `${it.moved}°` : withUnit(it.moved / 1000, rulerFor(0.3, settings.units))})`
  }
  const MARKS: Record<Look, string> = { left: '◂', straight: '│', right: '▸' }
</script>

{#if looks.error}
  <Trouble error={looks.error} again={() => looks.refetch()} />
{:else if looks.data}
  <div class="grid gap-x-8 gap-y-4 md:grid-cols-[minmax(0,1.4fr)_minmax(0,1fr)]">
    <div>
      <p class="label">Where the head is</p>
      <div
        class="mt-1 grid grid-cols-[repeat(auto-fill,minmax(118px,1fr))] gap-1.5"
        role="group"
        aria-label="Where the head is"
      >
        {#each looks.data.places.filter((it) => !it.grade) as it (`${it.lever}${it.way}`)}
          {@const said = lastAt(it)}
          <button
            type="button"
            class="button min-h-22 flex-col gap-0.5 px-1 py-1 text-[14px] leading-tight {moves(it, at)
              ? 'border-ink bg-ink text-paper!'
              : ''}"
            aria-pressed={moves(it, at)}
            onclick={() => choose(it)}
          >
            <Sketch scene={pictured('head', it.lever ? `${it.lever}_${it.way}` : '')!} width={76} height={42} />
            <span
              >{it.words}{#if said}<strong class="ml-1">{MARKS[said.looks]}</strong>{/if}</span
            >
          </button>
        {/each}
      </div>
      <div class="mt-2 flex flex-wrap items-end gap-x-4 gap-y-2">
        {#if at.lever}
          <span class="flex flex-wrap gap-1.5" role="group" aria-label="How far it is moved">
            {#each grades as it (it.grade)}
              <button
                type="button"
                class="button px-3 {same(it, at) ? 'border-ink bg-ink text-paper!' : ''}"
                aria-pressed={same(it, at)}
                onclick={() => (at = { lever: it.lever, way: it.way, grade: it.grade })}>{it.words}</button
              >
            {/each}
          </span>
          <span class="w-44">
            {#if here?.unit === 'deg'}
              <Stepper
                label="Moved by"
                unit="°"
                hint="Where it was measured."
                text={moved === null ? '' : String(moved)}
                read={typedNumber}
                step={(by) => (moved = Math.max(0, (moved ?? 0) + by))}
                error={fault?.about('moved')}
                onvalue={(it) => (moved = it)}
              />
            {:else}
              <LengthEntry
                of="first_moved_m"
                value={moved === null ? null : moved / 1000}
                error={fault?.about('moved')}
                onvalue={(m) => (moved = Math.round(m * 1e8) / 1e5)}
              />
            {/if}
          </span>
        {/if}
        <label class="flex min-h-11 items-center gap-3"
          ><input type="checkbox" class="size-6 accent-(--ink)" bind:checked={other_side} /><span
            >From the other side of the hole</span
          ></label
        >
      </div>
      <p class="mt-3 text-lg">
        The rod lies true. The golfer, {here?.words ?? 'as usual'}: <strong>where does it point?</strong>
      </p>
      <div class="mt-2"><Looks {answer} /></div>
      {#if keeping.error ?? voiding.error}<div class="mt-3">
          <Trouble error={firstError([keeping, voiding])} />
        </div>{/if}
    </div>
    <div aria-live="polite" data-first-look>
      {#each looks.data.words as it, n (it)}<p class={n ? 'mt-1' : 'wide text-xl'}>{it}</p>{/each}
      {#if taken.length}
        <ol class="mt-4" aria-label="First looks, newest first">
          {#each taken.toReversed() as it (it.id)}
            <li class="border-t border-hairline py-1.5">
              <p class="flex items-center gap-2">
                <span class="flex-1"><strong>{it.place}</strong>{by(it)}: {named('looks', it.looks)}</span>
                <button
                  class="button plain px-2 text-sm"
                  aria-label="Void {it.place}"
                  onclick={() => voiding.mutate({ id: it.id, voided: true })}>✕</button
                >
              </p>
              {#if it.lever || it.looks === 'straight'}
                <div class="flex flex-wrap gap-1.5">
                  {#if it.lever}
                    <span class="flex gap-1" role="group" aria-label="Can be played from, {it.place}">
                      <button
                        class="button px-2 text-sm {it.playable === true ? 'border-ink bg-ink text-paper!' : ''}"
                        aria-pressed={it.playable === true}
                        onclick={() => playable(it, true)}>Playable</button
                      >
                      <button
                        class="button px-2 text-sm {it.playable === false ? 'border-ink bg-ink text-paper!' : ''}"
                        aria-pressed={it.playable === false}
                        onclick={() => playable(it, false)}>Not</button
                      >
                    </span>
                  {/if}
                  {#if it.looks === 'straight'}<button class="button px-2 text-sm" onclick={() => askAt(it)}
                      >Full test there</button
                    >{/if}
                </div>
              {/if}
            </li>
          {/each}
        </ol>
      {/if}
    </div>
  </div>
{/if}

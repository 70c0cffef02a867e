<!-- The first look: a true rod, one answer a place. Choose where the head is, tap how it looks: two taps. -->
<script lang="ts">
  import { v7 } from 'uuid'
  import { stamp } from '$lib/data/clock'
  import type { Shapes } from '$lib/data/client'
  import { createWrite, firstError } from '$lib/data/write.svelte'
  import { keys } from '$lib/base/keys.svelte'
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
  type Place = Pick<Shapes['HeadPlaceOut'], 'lever' | 'way'>
  let at = $state.raw<Place>({ lever: null, way: 'plus' })
  const same = (one: Place, other: Place) => one.lever === other.lever && one.way === other.way
  const placed = (place: Place) => looks.data?.places.find((it) => same(it, place))?.words ?? ''
  const taken = $derived.by(() => {
    const all = new Map((looks.data?.taken ?? []).filter((it) => !it.voided).map((it) => [it.id, it]))
    for (const { id, told } of firstLooksOnTheirWay(lessonId))
      if (!told) all.delete(id)
      else {
        const place = { lever: told.lever ?? null, way: told.way ?? 'plus' }
        all.set(id, { ...told, ...place, id, place: placed(place), voided: false, playable: told.playable ?? null })
      }
    return [...all.values()]
  })
  const here = $derived(looks.data?.places.find((it) => same(it, at)))
  const lastAt = (place: Place) => taken.findLast((it) => same(it, place))

  const keeping = createWrite((it: Shapes['FirstLookIn'] & { id: string }) => keepFirstLook(it))
  const voiding = createWrite((it: { id: string; voided: boolean }) => voidFirstLook(lessonId, it))
  function answer(seen: Look): void {
    keeping.mutate({ id: v7(), lesson_id: lessonId, ...at, looks: seen, playable: null, taken_at: stamp() })
  }
  const playable = ({ id, lever, way, looks, taken_at }: Shapes['FirstLookOut'], it: boolean) =>
    keeping.mutate({ id, lesson_id: lessonId, lever, way, looks, playable: it, taken_at })
  function undo(): void {
    const last = taken.at(-1)
    if (last) voiding.mutate({ id: last.id, voided: true })
  }
  $effect(() =>
    keys.add('First look', () => [...answerKeys(answer), { key: 'u', words: 'Undo the last answer', run: undo }])
  )
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
        {#each looks.data.places as it (`${it.lever}${it.way}`)}
          {@const said = lastAt(it)}
          <button
            type="button"
            class="button min-h-22 flex-col gap-0.5 px-1 py-1 text-[14px] leading-tight {same(it, at)
              ? 'border-ink bg-ink text-paper!'
              : ''}"
            aria-pressed={same(it, at)}
            onclick={() => (at = { lever: it.lever, way: it.way })}
          >
            <Sketch scene={pictured('head', it.lever ? `${it.lever}_${it.way}` : '')!} width={76} height={42} />
            <span
              >{it.words}{#if said}<strong class="ml-1">{MARKS[said.looks]}</strong>{/if}</span
            >
          </button>
        {/each}
      </div>
      <p class="mt-4 text-lg">
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
                <span class="flex-1"><strong>{it.place}</strong>: {named('looks', it.looks)}</span>
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

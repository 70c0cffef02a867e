<!-- Photographs of how a golfer stands: the newest from each side laid beside the one before it; taken in a lesson. -->
<script lang="ts">
  import { v7 } from 'uuid'
  import Choice from '$lib/base/Choice.svelte'
  import Cautions from './Cautions.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { day } from '$lib/base/dates'
  import { stamp } from '$lib/data/clock'
  import type { Shapes } from '$lib/data/client'
  import { choices } from '$lib/data/vocabulary.svelte'
  import { createAsk, createWrite, firstError } from '$lib/data/write.svelte'
  import { consentsQuery } from '$lib/people/consents'
  import { photosQuery } from './queries.svelte'
  import { givePhoto, putPhotoAway } from './writes'

  interface Props {
    golferId: string
    /** The lesson one may be taken in; none: they are looked at alone. */
    lessonId?: string
  }
  let { golferId, lessonId }: Props = $props()

  type From = Shapes['PhotoOut']['seen_from']
  const photos = photosQuery(() => golferId)
  const consents = consentsQuery(() => golferId)
  const filmed = $derived(consents.data?.asked.find((it) => it.asks === 'filming'))
  const FROM = choices<From>('seen_from')
  let from = $state<From>('behind')
  let input = $state<HTMLInputElement>()
  const giving = createAsk((file: File) =>
    givePhoto(golferId, v7(), { lesson_id: lessonId ?? '', seen_from: from, taken_at: stamp() }, file)
  )
  const away = createWrite((id: string) => putPhotoAway(golferId, id, true))
  /** By side, today's first and the one before beside it. */
  const sides = $derived(
    FROM.map((it) => ({
      ...it,
      photos: (photos.data ?? []).filter((one) => one.seen_from === it.value).slice(0, 2)
    })).filter((it) => it.photos.length)
  )
  const error = $derived(firstError([giving, away]) ?? (photos.data ? null : photos.error))
  function take(event: Event & { currentTarget: HTMLInputElement }): void {
    const file = event.currentTarget.files?.[0]
    event.currentTarget.value = ''
    if (file) giving.mutate(file)
  }
</script>

<section class="mt-6" data-photos>
  <h2 class="wide border-b-2 border-ink pb-1 text-xl">Photographs</h2>
  {#if lessonId}
    <div class="mt-2 flex flex-wrap items-end gap-3">
      <Choice label="Taken" options={FROM} bind:value={from} />
      <input bind:this={input} type="file" accept="image/*" class="sr-only" aria-label="A photograph" onchange={take} />
      <button class="button" disabled={giving.isPending} onclick={() => input?.click()}
        >{giving.isPending ? 'Taking it in…' : 'Photograph…'}</button
      >
    </div>
    {#if filmed && filmed.given !== true}
      <p class="mt-2 font-semibold" data-ask-first>
        {filmed.given === false
          ? 'It was not agreed to be photographed.'
          : 'Nobody asked yet whether it may be photographed.'}
        <a class="underline" href="/golfers/{golferId}#agreed">What is agreed</a>
      </p>
    {/if}
    <div class="mt-1"><Cautions at="photo" lesson={lessonId} /></div>
    <p class="mt-1 text-sm text-faded">Place and device are taken out; it stays on this machine.</p>
  {/if}
  {#if error}<Trouble {error} />{/if}
  {#each sides as side (side.value)}
    <h3 class="mt-3 text-lg font-semibold">{side.words}</h3>
    <div class="mt-1 grid grid-cols-2 gap-3">
      {#each side.photos as one, n (one.id)}
        <figure>
          <img
            class="max-h-96 w-full border border-hairline object-contain"
            src="/api/photos/{one.id}/picture"
            alt="{side.words}, {day(one.taken_at)}"
          />
          <figcaption class="flex items-center justify-between gap-2">
            <span>{n === 0 ? day(one.taken_at) : `Before: ${day(one.taken_at)}`}</span>
            <button class="button plain" disabled={away.isPending} onclick={() => away.mutate(one.id)}>Take away</button
            >
          </figcaption>
        </figure>
      {/each}
    </div>
  {:else}
    {#if photos.data}<p class="mt-2 text-faded">
        {lessonId ? 'None yet.' : 'None yet: they are taken in a lesson, on the step Stand.'}
      </p>{/if}
  {/each}
</section>

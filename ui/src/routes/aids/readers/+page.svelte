<!-- Two readers: the same things read twice, neither knowing what the other read; how far a single reading is off. -->
<script lang="ts">
  import { v7 } from 'uuid'
  import Choice from '$lib/base/Choice.svelte'
  import Coming from '$lib/base/Coming.svelte'
  import Stepper from '$lib/base/Stepper.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { day } from '$lib/base/dates'
  import { typedNumber } from '$lib/base/number'
  import { place } from '$lib/base/place.svelte'
  import { stamp } from '$lib/data/clock'
  import { createWrite, firstError } from '$lib/data/write.svelte'
  import { readFirst, readingsQuery, readSecond, thingsQuery, voidReadings } from '$lib/set/readers'

  const things = thingsQuery()
  const readings = readingsQuery()
  let thing = $state('mirror')
  let by = $state('')
  /** The reading by two that is being read a second time; empty: the first reads. */
  let secondOf = $state('')
  let values = $state<(number | string)[]>([])
  let number = $state(0)
  const waiting = $derived(readings.data?.find((it) => it.id === secondOf))
  const it = $derived(things.data?.find((one) => one.thing === (waiting?.thing ?? thing)))
  const wanted = $derived(waiting?.readings ?? 0)
  const full = $derived(waiting ? values.length === wanted : values.length >= (it?.fewest ?? 5))

  function begin(id: string): void {
    secondOf = id
    values = []
    number = 0
    by = ''
  }
  const first = createWrite(
    (id: string) => readFirst(id, { thing, by: by.trim(), values: $state.snapshot(values), at: stamp() }),
    (_, id) => begin(id)
  )
  const second = createWrite(
    (id: string) => readSecond(id, { by: by.trim(), values: $state.snapshot(values), at: stamp() }),
    () => begin('')
  )
  const voiding = createWrite(({ id, voided }: { id: string; voided: boolean }) => voidReadings(id, voided))
  const error = $derived(firstError([first, second, voiding]))
  const done = $derived(readings.data?.filter((one) => one.error || one.id !== secondOf) ?? [])

  $effect(() =>
    place.set([{ words: 'Today', href: '/' }, { words: 'Aids', href: '/aids' }, { words: 'Two readers' }], false)
  )
</script>

<svelte:head><title>Two readers · Libella</title></svelte:head>

<div class="mx-auto max-w-[900px] px-5 py-6">
  <h1 class="wide text-3xl">Two readers</h1>
  <p class="mt-1 mb-4 max-w-prose text-lg">
    The same things, read twice, neither knowing what the other read: that tells how far a single reading is off. What
    is read from then on is judged with it.
  </p>
  {#if things.error && !things.data}
    <Trouble error={things.error} again={() => things.refetch()} />
  {:else if !things.data || !it}
    <Coming what="What two can read" />
  {:else}
    {#if waiting}
      <p class="text-lg font-semibold" data-second>
        {waiting.name}: now the second reader, the same {wanted}, in the same order. Nothing of {waiting.first_by} is shown.
      </p>
    {:else}
      <Choice
        label="What is read"
        options={things.data.map((one) => ({ value: one.thing as string, words: one.name }))}
        bind:value={thing}
        onchange={() => (values = [])}
      />
    {/if}
    <label class="mt-3 block max-w-md">
      <span class="label mb-1 block">{waiting ? 'The second reader' : 'The first reader'}</span>
      <input class="entry" bind:value={by} maxlength="40" />
    </label>
    <p class="mt-4 text-lg font-semibold">{it.asks}</p>
    <p class="text-faded" aria-live="polite" data-read>
      {values.length}{wanted ? ` of ${wanted}` : ''} read{waiting || values.length >= it.fewest
        ? ''
        : `; at least ${it.fewest}`}
    </p>
    <div class="mt-2 flex flex-wrap items-end gap-2">
      {#each it.zones as zone (zone.code)}
        <button
          class="button min-h-14 px-5 text-lg"
          disabled={Boolean(wanted) && values.length >= wanted}
          onclick={() => (values = [...values, zone.code])}>{zone.name}</button
        >
      {:else}
        <div class="w-64">
          <Stepper
            label="It reads"
            unit={it.unit === 'deg' ? '°' : it.unit}
            text={String(number)}
            read={typedNumber}
            step={(by) => (number = Math.min(it.high ?? 0, Math.max(it.low ?? 0, number + by)))}
            onvalue={(value) => (number = value)}
          />
        </div>
        <button
          class="button min-h-14 px-5 text-lg"
          disabled={Boolean(wanted) && values.length >= wanted}
          onclick={() => ((values = [...values, number]), (number = 0))}>Next</button
        >
      {/each}
      {#if values.length}<button class="button plain" onclick={() => (values = values.slice(0, -1))}>Undo last</button
        >{/if}
    </div>
    <div class="mt-4 flex flex-wrap gap-2">
      <button
        class="button primary min-h-14 px-6 text-lg"
        disabled={!full || !by.trim() || first.isPending || second.isPending}
        onclick={() => (secondOf ? second.mutate(secondOf) : first.mutate(v7()))}
        >{waiting ? 'Both have read' : 'Hand it to the second reader'}</button
      >
      {#if waiting}<button class="button plain" onclick={() => begin('')}>Later</button>{/if}
    </div>
    {#if error}<div class="mt-3"><Trouble {error} /></div>{/if}
    <h2 class="wide mt-8 border-b-2 border-ink pb-1 text-xl">Read so far</h2>
    {#each done as one (one.id)}
      <article
        class="border-b border-hairline py-3 {one.voided ? 'text-faded line-through' : ''}"
        data-by-two={one.thing}
      >
        <p class="font-semibold">
          {one.name} · {one.first_by}{one.second_by ? ` and ${one.second_by}` : ''} · {day(one.taken_at)}
        </p>
        {#each one.words as said (said)}<p class="leading-snug">{said}</p>{/each}
        <p class="mt-1 flex gap-2">
          {#if !one.error && !one.voided}<button class="button" onclick={() => begin(one.id)}>Read it second</button
            >{/if}
          <button class="button plain" onclick={() => voiding.mutate({ id: one.id, voided: !one.voided })}
            >{one.voided ? 'Bring it back' : 'Take it back'}</button
          >
        </p>
      </article>
    {:else}
      <p class="mt-2 text-lg">Nothing yet. Choose what is read, and let the first reader read ten.</p>
    {/each}
  {/if}
</div>

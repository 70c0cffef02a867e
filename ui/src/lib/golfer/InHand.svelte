<!-- What a golfer has in hand, since when what; noted anew on the day it changes. -->
<script lang="ts">
  import { untrack } from 'svelte'
  import Choice from '$lib/base/Choice.svelte'
  import LengthEntry from '$lib/base/LengthEntry.svelte'
  import Cautions from '$lib/keep/Cautions.svelte'
  import Sheet from '$lib/base/Sheet.svelte'
  import Stepper from '$lib/base/Stepper.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { day } from '$lib/base/dates'
  import { typedNumber } from '$lib/base/number'
  import { stamp } from '$lib/data/clock'
  import { about, type Shapes } from '$lib/data/client'
  import { choices, entry } from '$lib/data/vocabulary.svelte'
  import { createWrite, firstError } from '$lib/data/write.svelte'
  import { kitQuery } from './queries.svelte'
  import { noteKit, voidKit } from './writes'

  let { golferId }: { golferId: string } = $props()

  type Kit = Required<Shapes['KitFields']>
  const kit = kitQuery(() => golferId)
  const MARKS = choices<Kit['ball_mark']>('ball_mark')
  /** Where the thumb starts from while nothing was noted. */
  const SIZES = [
    { field: 'lie_deg', from: 70, unit: '°' },
    { field: 'loft_deg', from: 3, unit: '°' },
    { field: 'head_g', from: 350, unit: 'g' }
  ] as const
  const NOTHING: Kit = {
    putter: '',
    marks: '',
    length_m: null,
    lie_deg: null,
    loft_deg: null,
    head_g: null,
    setting: '',
    ball: '',
    ball_mark: ''
  }
  let open = $state(false)
  let draft = $state<Kit>({ ...NOTHING })
  const keeping = createWrite(
    () => noteKit({ ...$state.snapshot(draft), golfer_id: golferId, since: stamp() }),
    () => (open = false)
  )
  const back = createWrite((id: string) => voidKit(golferId, id, true))
  $effect(() => {
    if (!open) return
    untrack(() => {
      keeping.reset()
      draft = { ...NOTHING, ...kit.data?.now }
    })
  })
  const error = $derived(firstError([keeping, back]))
  function step(field: (typeof SIZES)[number]['field'], from: number, by: number): void {
    const { low, high, step } = entry(`kit_${field}`)
    const next = (draft[field] ?? from - by * step) + by * step
    draft[field] = Math.min(high, Math.max(low, Math.round(next * 10) / 10))
  }
</script>

<section class="mt-6" data-in-hand>
  <div class="flex flex-wrap items-end justify-between gap-3 border-b-2 border-ink pb-1">
    <h2 class="wide text-xl">In hand</h2>
    <button class="button" onclick={() => (open = true)}>Note what is in hand…</button>
  </div>
  {#if kit.error && !kit.data}<Trouble error={kit.error} again={() => kit.refetch()} />{/if}
  {#if kit.data}
    <p class="mt-2 text-lg" data-kit>{kit.data.words}</p>
    {#if kit.data.history.length}
      <details class="border-b border-hairline">
        <summary class="min-h-12 cursor-pointer py-2.5">Since when what</summary>
        <ol class="grid pb-2">
          {#each kit.data.history as it (it.id)}
            <li class="flex flex-wrap items-center justify-between gap-2 border-t border-hairline py-1">
              <span class="leading-snug"><b>{day(it.since)}</b> {it.words}</span>
              <button class="button plain" disabled={back.isPending} onclick={() => back.mutate(it.id)}
                >Take back</button
              >
            </li>
          {/each}
        </ol>
      </details>
    {/if}
  {/if}
  {#if error && !open}<Trouble {error} />{/if}
</section>

<Sheet bind:open title="In hand from now on">
  <div class="grid gap-3">
    <label class="block"
      ><span class="label">Putter</span><input class="entry" maxlength="80" bind:value={draft.putter} /></label
    >
    <LengthEntry
      of="kit_length_m"
      value={draft.length_m}
      from={0.86}
      error={about(keeping.error, 'length_m')}
      onvalue={(it) => (draft.length_m = it)}
    />
    <div class="grid gap-3 sm:grid-cols-3">
      {#each SIZES as { field, from, unit } (field)}
        {@const told = entry(`kit_${field}`)}
        <Stepper
          label={told.label}
          hint={told.hint}
          {unit}
          text={draft[field] === null ? '' : String(draft[field])}
          read={typedNumber}
          step={(by) => step(field, from, by)}
          error={about(keeping.error, field)}
          onvalue={(it) => (draft[field] = it)}
        />
      {/each}
    </div>
    <label class="block"
      ><span class="label">Marks on it</span><input class="entry" maxlength="80" bind:value={draft.marks} /></label
    >
    <label class="block"
      ><span class="label">Weights</span><input class="entry" maxlength="80" bind:value={draft.setting} /></label
    >
    <label class="block"
      ><span class="label">Ball</span><input class="entry" maxlength="80" bind:value={draft.ball} /></label
    >
    <Choice label="Mark on the ball" options={MARKS} bind:value={draft.ball_mark} />
  </div>
  {#if keeping.error}<Trouble error={keeping.error} />{/if}
  <button
    class="button primary mt-4 min-h-14 w-full text-lg"
    disabled={keeping.isPending}
    onclick={() => keeping.mutate(undefined)}>In hand from now on</button
  >
  <div class="mt-3"><Cautions at="kit" /></div>
</Sheet>

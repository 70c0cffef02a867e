<!-- The putt: its length and pace, the green under it, the coach's read and what it is started at. -->
<script lang="ts">
  import { formOf } from '$lib/base/form'
  import { untrack } from 'svelte'
  import { typedNumber } from '$lib/base/number'
  import type { Refusal, Shapes } from '$lib/data/client'
  import Choice from '$lib/base/Choice.svelte'
  import LengthEntry from '$lib/base/LengthEntry.svelte'
  import PercentEntry from '$lib/base/PercentEntry.svelte'
  import Stepper from '$lib/base/Stepper.svelte'
  import { choices, entry, stepped } from '$lib/data/vocabulary.svelte'
  import GreenEntries from './GreenEntries.svelte'
  import type { Plan } from './plan'

  formOf('long')

  interface Props {
    plan: Plan
    fault: Refusal | null
    take: (slope: Shapes['Slope']) => void
    roll: () => void
  }
  let { plan = $bindable(), fault, take, roll }: Props = $props()

  type Place = Shapes['Read']['place'] | 'none'
  const PLACES = choices<Place>('place')
  const SIDES = choices<'left' | 'right'>('outside')
  const TARGETS = choices<Plan['target']>('target')
  const says = $derived(plan.golfer_says)
  const saidByGolfer = $derived(
    Boolean(says.read) || (says.falls_forward_percent ?? says.falls_right_percent ?? null) !== null
  )
  let unfolded = $state(untrack(() => saidByGolfer))
  function golferReads(place: Place): void {
    const before = plan.golfer_says.read
    plan.golfer_says.read =
      place === 'none'
        ? null
        : { place, side: before?.side ?? 'left', outside_m: place === 'outside' ? (before?.outside_m ?? 0.05) : 0 }
  }
  function read(place: Place): void {
    if (place === 'none') {
      plan.read = null
      plan.target = 'computed'
      return
    }
    // A read, once it is entered, is what the putt is started at.
    if (!plan.read) plan.target = 'read'
    plan.read = {
      place,
      // A putt that falls to the left is started to the right of the hole.
      side: plan.read?.side ?? (plan.falls_right_percent < 0 ? 'right' : 'left'),
      outside_m: place === 'outside' ? (plan.read?.outside_m ?? 0.05) : 0
    }
  }
</script>

<div class="grid grid-cols-2 gap-x-5 gap-y-3 md:grid-cols-3">
  <div>
    <LengthEntry
      of="distance_m"
      value={plan.distance_m}
      paced
      error={fault?.about('distance_m')}
      onvalue={(it) => (plan.distance_m = it)}
    />
  </div>
  <LengthEntry of="past_m" value={plan.past_m} error={fault?.about('past_m')} onvalue={(it) => (plan.past_m = it)} />
  <Stepper
    label={entry('green_speed_ft').label}
    unit="ft"
    text={String(plan.green_speed_ft)}
    hint={entry('green_speed_ft').hint}
    read={typedNumber}
    step={(by) => (plan.green_speed_ft = stepped('green_speed_ft', plan.green_speed_ft, by))}
    onvalue={(it) => (plan.green_speed_ft = it)}
    error={fault?.about('green_speed_ft')}
  />
</div>
<GreenEntries bind:plan {fault} {take} {roll} />
<h2 class="wide mt-5 mb-2 text-lg">Your read</h2>
<div class="grid gap-3">
  <Choice label="Start it at" options={PLACES} bind:value={() => plan.read?.place ?? 'none', read} />
  {#if plan.read}
    {#if plan.read.place !== 'centre'}
      <div class="flex flex-wrap items-start gap-5">
        <Choice label="Of the hole, from behind the ball" options={SIDES} bind:value={plan.read.side} />
        {#if plan.read.place === 'outside'}
          <div class="w-56">
            <LengthEntry
              of="outside_m"
              value={plan.read.outside_m}
              error={fault?.about('read.outside_m')}
              onvalue={(it) => plan.read && (plan.read.outside_m = it)}
            />
          </div>
        {/if}
      </div>
    {/if}
    <Choice label="Lay the line, and count start errors, against" options={TARGETS} bind:value={plan.target} />
  {/if}
</div>
<details class="mt-3" bind:open={unfolded}>
  <summary class="min-h-11 cursor-pointer py-2 font-semibold"
    >What the golfer says <span class="font-normal text-faded"
      >{saidByGolfer ? 'told beside what is computed' : 'a read, the slope by foot'}</span
    ></summary
  >
  <div class="grid gap-3">
    <Choice
      label="The golfer would start it at"
      options={PLACES}
      bind:value={() => says.read?.place ?? 'none', golferReads}
    />
    {#if says.read && says.read.place !== 'centre'}
      <div class="flex flex-wrap items-start gap-5">
        <Choice
          label="Of the hole, from behind the ball"
          options={SIDES}
          bind:value={
            () => says.read?.side ?? 'left', (side) => plan.golfer_says.read && (plan.golfer_says.read.side = side)
          }
        />
        {#if says.read.place === 'outside'}
          <div class="w-56">
            <LengthEntry
              of="outside_m"
              value={says.read.outside_m}
              error={fault?.about('golfer_says.outside_m')}
              onvalue={(it) => plan.golfer_says.read && (plan.golfer_says.read.outside_m = it)}
            />
          </div>
        {/if}
      </div>
    {/if}
    <div class="grid grid-cols-2 gap-x-5 gap-y-3">
      {#each [['falls_forward_percent', 'Feels downhill to the hole'], ['falls_right_percent', 'Feels falling to the right']] as const as [name, label] (name)}
        <PercentEntry
          {label}
          hint="By foot; the other way −. Empty: not said."
          value={says[name] ?? null}
          error={fault?.about(`golfer_says.${name}`)}
          onvalue={(it) => (plan.golfer_says[name] = it)}
        />
      {/each}
    </div>
  </div>
</details>
<div class="mt-4 max-w-md border-t border-hairline pt-3">
  <Choice
    label="What the hole is taken to allow: an opinion"
    options={choices<Plan['capture']>('capture')}
    bind:value={plan.capture}
  />
</div>

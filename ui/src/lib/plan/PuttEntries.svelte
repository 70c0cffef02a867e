<!-- The putt: its length and pace, the green under it, the coach's read and what it is started at. -->
<script lang="ts">
  import type { Refusal, Shapes } from '$lib/api/client'
  import Choice from '$lib/frame/Choice.svelte'
  import LengthEntry from '$lib/frame/LengthEntry.svelte'
  import Stepper from '$lib/frame/Stepper.svelte'
  import GreenEntries from './GreenEntries.svelte'
  import type { Plan } from './plan'

  interface Props {
    plan: Plan
    fault: Refusal | null
  }
  let { plan = $bindable(), fault }: Props = $props()

  type Place = Shapes['Read']['place'] | 'none'
  const PLACES: { value: Place; words: string }[] = [
    { value: 'none', words: 'No read' },
    { value: 'centre', words: 'Centre' },
    { value: 'inside_edge', words: 'Inside edge' },
    { value: 'edge', words: 'Edge' },
    { value: 'outside', words: 'Outside by' },
  ]
  const SIDES = [
    { value: 'left' as const, words: '◂ Left' },
    { value: 'right' as const, words: 'Right ▸' },
  ]
  const TARGETS = [
    { value: 'computed' as const, words: 'The computed aim point' },
    { value: 'read' as const, words: 'My read' },
  ]
  function read(place: Place): void {
    if (place === 'none') {
      plan.read = null
      plan.target = 'computed'
    } else plan.read = { place, side: plan.read?.side ?? 'left', outside_m: place === 'outside' ? (plan.read?.outside_m ?? 0.05) : 0 }
  }
</script>

<div class="grid grid-cols-2 gap-x-5 gap-y-3 md:grid-cols-3">
  <LengthEntry
    label="Ball to hole" value={plan.distance_m} low={0.3} high={15} step={0.1}
    hint="To the hole's centre." error={fault?.about('distance_m')} onvalue={(it) => (plan.distance_m = it)}
  />
  <LengthEntry
    label="Pace past the hole" value={plan.past_m} low={0} high={3} step={0.05}
    hint="Where it would stop if it missed." error={fault?.about('past_m')} onvalue={(it) => (plan.past_m = it)}
  />
  <Stepper
    label="Green speed" unit="ft" text={String(plan.stimp_ft)} hint="Feet on the ramp."
    read={(text) => Number(text.replace(',', '.'))}
    step={(by) => (plan.stimp_ft = Math.min(16, Math.max(4, plan.stimp_ft + by * 0.5)))}
    onvalue={(it) => (plan.stimp_ft = it)} error={fault?.about('stimp_ft')}
  />
</div>
<GreenEntries bind:plan {fault} />
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
              label="Outside the edge by" value={plan.read.outside_m} low={0} high={0.6} step={0.01}
              error={fault?.about('read.outside_m')} onvalue={(it) => plan.read && (plan.read.outside_m = it)}
            />
          </div>
        {/if}
      </div>
    {/if}
    <Choice label="Lay the line, and count start errors, against" options={TARGETS} bind:value={plan.target} />
  {/if}
</div>
<div class="mt-4 max-w-md border-t border-hairline pt-3">
  <Choice
    label="What the hole is taken to allow"
    options={[
      { value: 'rim_assisted' as const, words: 'Rim helps' },
      { value: 'free_fall' as const, words: 'Free fall only' },
    ]}
    bind:value={plan.capture}
  />
</div>

<!-- Looks that tell the side only: what an upright string covers of the ball, or whether a strip turns dark. -->
<script lang="ts">
  import { formOf } from '$lib/base/form'
  import { onMount } from 'svelte'
  import { typedNumber } from '$lib/base/number'
  import { stamp } from '$lib/data/clock'
  import { refusal, type Shapes } from '$lib/data/client'
  import { createWrite } from '$lib/data/write.svelte'
  import LengthEntry from '$lib/base/LengthEntry.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { choices } from '$lib/data/vocabulary.svelte'
  import Stepper from '$lib/base/Stepper.svelte'
  import type { EyesLook, Strip as Device } from './eyes.svelte'
  import { keepLook } from './writes'

  formOf('small')

  interface Props {
    lessonId: string
    hand: 'left' | 'right'
    way: 'string' | 'strip'
    sightingEye: '' | 'left' | 'right'
    look: EyesLook
  }
  let { lessonId, hand, way, sightingEye, look }: Props = $props()

  const keeping = createWrite(keepLook)
  const error = $derived(keeping.error)
  const busy = $derived(keeping.isPending)
  const fault = $derived(error ? refusal(error) : null)

  type Against = Shapes['StringLookIn']['against']
  type Covers = Shapes['StringLookIn']['covers']
  // From the far side to the near one, as it is seen from over the ball.
  const PICTURES: { covers: Covers; side: 'outside' | 'inside'; words: string; at: number }[] = [
    { covers: 'off', side: 'outside', words: 'off it, far side', at: 1.3 },
    { covers: 'edge', side: 'outside', words: 'far edge', at: 0.87 },
    { covers: 'quarter', side: 'outside', words: 'far quarter', at: 0.5 },
    { covers: 'splits', side: 'outside', words: 'splits it', at: 0 },
    { covers: 'quarter', side: 'inside', words: 'near quarter', at: -0.5 },
    { covers: 'edge', side: 'inside', words: 'near edge', at: -0.87 },
    { covers: 'off', side: 'inside', words: 'off it, near side', at: -1.3 }
  ]
  type Strip = Shapes['StripLookIn']['seen']
  const STRIPS = choices<Strip>('strip')
  const DEVICES = choices<Device>('strip_device')
  // Which of the two lies there is told by the plan, or asked once; a choice made is there the next time.
  onMount(() => (look.strip.device ??= localStorage.getItem('libella.strip') as Device | null))
  const device = $derived(look.strip.device)
  $effect(() => {
    if (device) localStorage.setItem('libella.strip', device)
  })
  // A right-handed golfer stands above the line here, so far is down the page.
  const down = $derived(hand === 'right' ? 1 : -1)

  // The string passes a line on one side of it, or splits it: the line is then seen on the other side of the string.
  const LINES = choices<Against>('string_against')
  const PASSES: { covers: Covers; side: 'outside' | 'inside'; words: string }[] = [
    { covers: 'off', side: 'inside', words: 'far side of the string' },
    { covers: 'splits', side: 'outside', words: 'split by it' },
    { covers: 'off', side: 'outside', words: 'near side of the string' }
  ]

  function keep(
    seen:
      | { way: 'string'; covers: Covers; side: 'outside' | 'inside'; against: Against }
      | { way: 'strip'; device: Device; seen: Strip }
  ): void {
    const more = { lesson_id: lessonId, set_up: look.set_up, station_id: null, taken_at: stamp() }
    keeping.mutate(
      seen.way === 'string'
        ? { ...seen, ...more, ...look.string, eye_height_m: look.eye_height_m }
        : { ...seen, ...more, turns_m: look.strip.turns_m }
    )
  }
</script>

<!-- Light is light and dark is dark in either light: from above, a right-handed golfer above the line, as everywhere here. -->
{#snippet strip(seen: Strip)}
  <svg width="104" height="34" viewBox="-52 -17 104 34" aria-hidden="true" stroke="#777" data-true-colours>
    <rect x="-50" y="-12" width="100" height="24" fill="#fff" />
    {#if seen === 'dark_near'}<rect x="-50" y={-down * 12 - (down > 0 ? 0 : 9)} width="100" height="9" fill="#111" />
    {:else if seen === 'dark_far'}<rect
        x="-50"
        y={down * 12 - (down > 0 ? 9 : 0)}
        width="100"
        height="9"
        fill="#111"
      />{/if}
  </svg>
{/snippet}

{#if way === 'string'}
  <p class="text-lg">
    The golfer, over the ball{sightingEye ? `, ${sightingEye} eye sighting` : ''}:
    <strong>where does the string cross it?</strong>
  </p>
  <div class="mt-3 flex flex-wrap gap-2" role="group" aria-label="Where the string crosses the ball">
    {#each PICTURES as it (it.words)}
      <button
        class="button min-h-28 w-[7.2rem] flex-col px-1"
        disabled={busy}
        onclick={() => keep({ way, covers: it.covers, side: it.side, against: 'ball' })}
      >
        <svg width="64" height="64" viewBox="-32 -32 64 64" aria-hidden="true">
          <circle r="20" fill="var(--sheet)" stroke="var(--ink)" stroke-width="1.5" />
          <line x1="-30" x2="30" y1={down * it.at * 20} y2={down * it.at * 20} stroke="var(--ink)" stroke-width="3" />
        </svg>
        <span class="text-[15px] leading-tight">{it.words}</span>
      </button>
    {/each}
  </div>
  {#each LINES as line (line.value)}
    <p class="mt-3 text-lg">{line.words}: <strong>where is it seen?</strong></p>
    <div class="mt-1 grid grid-cols-3 gap-2" role="group" aria-label={line.words}>
      {#each PASSES as it (it.words)}
        <button
          class="button min-h-14 px-1 leading-tight"
          disabled={busy}
          onclick={() => keep({ way, covers: it.covers, side: it.side, against: line.value })}>{it.words}</button
        >
      {/each}
    </div>
  {/each}
  <div class="mt-3 grid min-[440px]:grid-cols-2 items-start gap-x-5 gap-y-3 lg:grid-cols-3" data-string-sizes>
    <LengthEntry
      of="string_height_m"
      hint="As it is laid, over the ground."
      value={look.string.string_height_m}
      error={fault?.about('string_height_m')}
      onvalue={(it) => (look.string.string_height_m = it)}
    />
    <Stepper
      label="Posts lean to the golfer"
      unit="°"
      hint="Planted on the line; away −."
      text={String(look.string.lean_deg)}
      error={fault?.about('lean_deg')}
      read={typedNumber}
      step={(by) => (look.string.lean_deg = Math.round((look.string.lean_deg + by * 0.1) * 10) / 10)}
      onvalue={(it) => (look.string.lean_deg = it)}
    />
    <LengthEntry
      of="eye_height_m"
      value={look.eye_height_m}
      error={fault?.about('eye_height_m')}
      onvalue={(it) => (look.eye_height_m = it)}
    />
  </div>
{:else}
  <p class="text-lg"><strong>Which strip lies there?</strong> The two read oppositely.</p>
  <div class="mt-2 flex flex-wrap gap-2" role="group" aria-label="Which strip">
    {#each DEVICES as it (it.value)}
      <button
        class="button min-h-28 w-40 flex-col px-1 {device === it.value ? 'border-ink bg-ink text-paper!' : ''}"
        aria-pressed={device === it.value}
        onclick={() => (look.strip.device = it.value)}
      >
        <svg
          width="120"
          height="56"
          viewBox="-60 -44 120 56"
          aria-hidden="true"
          stroke="currentColor"
          fill="currentColor"
        >
          <g stroke="#777" data-true-colours
            ><rect x="-14" y="2" width="28" height="6" fill="#fff" /><rect
              x="-30"
              y="2"
              width="16"
              height="6"
              fill="#111"
            /><rect x="14" y="2" width="16" height="6" fill="#111" /></g
          >
          {#if it.value === 'bar'}<rect x="-15" y="-14" width="30" height="4" /><line
              x1="-26"
              y1="-42"
              x2="-20"
              y2="2"
              fill="none"
              stroke-dasharray="3 2"
            />
          {:else}<rect x="-46" y="-14" width="34" height="4" /><rect x="12" y="-14" width="34" height="4" /><line
              x1="-26"
              y1="-42"
              x2="19"
              y2="2"
              fill="none"
              stroke-dasharray="3 2"
            />{/if}
          <circle cx="-27" cy="-41" r="3" />
        </svg>
        <span>{it.words}</span>
      </button>
    {/each}
  </div>
  {#if device}
    <p class="mt-3 text-lg">
      The golfer, over the ball: <strong>what does the strip show?</strong> Near is the golfer’s side.
    </p>
    <div class="mt-2 grid gap-2 sm:grid-cols-3" role="group" aria-label="What the strip shows">
      {#each STRIPS as it (it.value)}
        <button
          class="button min-h-24 flex-col gap-1"
          disabled={busy}
          onclick={() => device && keep({ way, device, seen: it.value })}
          >{@render strip(it.value)}<span>{it.words}</span></button
        >
      {/each}
    </div>
  {/if}
  <div class="mt-3 max-w-xs">
    <LengthEntry
      of="turns_m"
      value={look.strip.turns_m}
      error={fault?.about('turns_m')}
      onvalue={(it) => (look.strip.turns_m = it)}
    />
  </div>
{/if}
{#if error}<div class="mt-3"><Trouble {error} /></div>{/if}
<p class="mt-2 text-sm text-faded">
  It tells the side well and the size poorly: an interval on the vial. A string tells of the sighting eye.
</p>

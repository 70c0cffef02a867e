<!-- The green under the putt: its slope, typed or read with a level. -->
<script lang="ts">
  import { about, refusal, type Refusal, type Shapes } from '$lib/data/client'
  import LengthEntry from '$lib/base/LengthEntry.svelte'
  import PercentEntry from '$lib/base/PercentEntry.svelte'
  import Sheet from '$lib/base/Sheet.svelte'
  import LevelHeard from './LevelHeard.svelte'
  import { rollsQuery, slopeQuery } from './queries.svelte'

  interface Props {
    plan: { green_speed_ft: number; falls_forward_percent: number; falls_right_percent: number; falls_doubt_percent: number }
    fault: Refusal | null
  }
  let { plan = $bindable(), fault }: Props = $props()

  const DIRECTIONS = [
    { azimuth_deg: 0, words: 'Along the line, to the hole' },
    { azimuth_deg: 90, words: 'Across, to the right' },
    { azimuth_deg: 45, words: 'Half right' },
    { azimuth_deg: 135, words: 'Half right, back' },
    { azimuth_deg: 180, words: 'Along the line, back' },
    { azimuth_deg: 270, words: 'Across, to the left' },
  ]
  let reading = $state(false)
  let read = $state(DIRECTIONS.slice(0, 2).map((it) => ({ ...it, falls_percent: 0 })))
  const found = slopeQuery(() => read.map(({ azimuth_deg, falls_percent }) => ({ azimuth_deg, falls_percent })), () => reading)
  const next = $derived(DIRECTIONS.find((it) => !read.some((other) => other.azimuth_deg === it.azimuth_deg)))

  let levelled = $state(false)
  /** A wireless level reads both ways at once; its first reading takes the place of the two not yet typed. */
  function takeLevel(along: number, across: number): void {
    const both = [along, across].map((percent, n) => ({ ...DIRECTIONS[n]!, falls_percent: two(percent) }))
    read = levelled || read.some((it) => it.falls_percent) ? [...read, ...both] : both
    levelled = true
  }

  const two = (value: number) => Math.round(value * 100) / 100
  function take(slope: Shapes['Slope']): void {
    plan.falls_forward_percent = two(slope.forward_percent)
    plan.falls_right_percent = two(slope.right_percent)
    plan.falls_doubt_percent = two(Math.max(slope.forward_doubt ?? 0, slope.right_doubt ?? 0))
    reading = rolling = false
  }

  let rolling = $state(false)
  const FIRST_ROLLS = () => [
    { way: 'out' as const, length_m: 3, drift_m: 0 },
    { way: 'back' as const, length_m: 3, drift_m: 0 },
  ]
  let rolls = $state<Shapes['RollIn'][]>(FIRST_ROLLS())
  const rolled = rollsQuery(() => $state.snapshot(rolls), () => plan.green_speed_ft, () => rolling)
</script>

<h2 class="wide mt-5 mb-2 text-lg">The green under it</h2>
<div class="grid grid-cols-2 items-start gap-x-5 gap-y-3 md:grid-cols-3">
  <PercentEntry
    label="Falls to the hole"
    hint="Downhill +, uphill −."
    value={plan.falls_forward_percent}
    error={fault?.about('falls_forward_percent')}
    onvalue={(it) => (plan.falls_forward_percent = it)}
  />
  <PercentEntry
    label="Falls to the right"
    hint="To the left −."
    value={plan.falls_right_percent}
    error={fault?.about('falls_right_percent')}
    onvalue={(it) => (plan.falls_right_percent = it)}
  />
  <PercentEntry
    label="Known to ±"
    hint="One standard deviation; 0 is not known."
    value={plan.falls_doubt_percent}
    error={fault?.about('falls_doubt_percent')}
    onvalue={(it) => (plan.falls_doubt_percent = Math.max(0, it))}
  />
  <button class="button" type="button" onclick={() => (reading = true)}>Read with a level…</button>
  <button class="button" type="button" onclick={() => (rolling = true)}>Roll it both ways…</button>
</div>

<Sheet bind:open={reading} title="Read with a level">
  <p class="mb-3">Lay the level half-way to the hole and read how much it falls each way. Three directions or more tell how sure the slope is.</p>
  <LevelHeard take={takeLevel} />
  <div class="grid gap-3 sm:grid-cols-2">
    {#each read as it, n (n)}
      {@const again = read.slice(0, n).filter((other) => other.azimuth_deg === it.azimuth_deg).length}
      <PercentEntry label="{it.words}{again ? `, reading ${again + 1}` : ''}" value={it.falls_percent} onvalue={(percent) => (it.falls_percent = percent)} />
    {/each}
  </div>
  {#if next}
    <button class="button mt-3" type="button" onclick={() => (read = [...read, { ...next, falls_percent: 0 }])}>One more direction</button>
  {/if}
  <p class="mt-4 text-lg font-semibold" aria-live="polite" data-slope>
    {found.error ? refusal(found.error).message : (found.data?.words ?? '')}
  </p>
  <button class="button primary mt-3 min-h-14 w-full text-lg" type="button" disabled={!found.data} onclick={() => found.data && take(found.data.slope)}>Use this slope</button>
</Sheet>

<Sheet bind:open={rolling} title="Roll it both ways">
  <p class="mb-3">
    Send balls along the line with the same speed each time, off a ramp or with one practised stroke: out to the hole, and from
    there back. Let them come to rest. Two each way or more tell how sure the slope is.
  </p>
  <ol class="grid gap-3" aria-label="Test rolls">
    {#each rolls as it, n (n)}
      <li class="grid grid-cols-[84px_1fr_1fr_auto] items-start gap-2 border-b border-hairline pb-2" data-roll={it.way}>
        <span class="mt-8 font-semibold">{it.way === 'out' ? 'Out ▸' : '◂ Back'}</span>
        <LengthEntry
          of="rolled_m" value={it.length_m}
          error={about(rolled.error, 'length_m')} onvalue={(m) => (it.length_m = m)}
        />
        <LengthEntry
          of="drifted_m" value={it.drift_m}
          onvalue={(m) => (it.drift_m = m)}
        />
        <button class="button plain mt-[22px]" type="button" aria-label="Take out roll {n + 1}" onclick={() => rolls.splice(n, 1)}>✕</button>
      </li>
    {/each}
  </ol>
  <div class="mt-3 flex gap-2">
    <button class="button" type="button" onclick={() => rolls.push({ ...FIRST_ROLLS()[0]! })}>One more out</button>
    <button class="button" type="button" onclick={() => rolls.push({ ...FIRST_ROLLS()[1]! })}>One more back</button>
  </div>
  <p class="mt-4 text-lg font-semibold" aria-live="polite" data-slope>
    {rolled.error ? refusal(rolled.error).message : (rolled.data?.words ?? '')}
  </p>
  <button class="button primary mt-3 min-h-14 w-full text-lg" type="button" disabled={!rolled.data} onclick={() => rolled.data && take(rolled.data.slope)}>
    Use this slope
  </button>
</Sheet>

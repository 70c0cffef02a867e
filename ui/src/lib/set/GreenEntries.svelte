<!-- The green under the putt: its slope, typed or read with a level. -->
<script lang="ts">
  import { hundredths } from '$lib/base/number'
  import { refusal, type Refusal, type Shapes } from '$lib/data/client'
  import PercentEntry from '$lib/base/PercentEntry.svelte'
  import Sheet from '$lib/base/Sheet.svelte'
  import LevelHeard from './LevelHeard.svelte'
  import { slopeQuery } from './queries.svelte'

  interface Props {
    plan: {
      green_speed_ft: number
      falls_forward_percent: number
      falls_right_percent: number
      falls_doubt_percent: number
    }
    fault: Refusal | null
    /** What a level told. */
    take: (slope: Shapes['Slope']) => void
    /** Rolling both ways proves the line too: it stands there. */
    roll: () => void
  }
  let { plan = $bindable(), fault, take, roll }: Props = $props()

  const DIRECTIONS = [
    { azimuth_deg: 0, words: 'Along the line, to the hole' },
    { azimuth_deg: 90, words: 'Across, to the right' },
    { azimuth_deg: 45, words: 'Half right' },
    { azimuth_deg: 135, words: 'Half right, back' },
    { azimuth_deg: 180, words: 'Along the line, back' },
    { azimuth_deg: 270, words: 'Across, to the left' }
  ]
  let reading = $state(false)
  interface Level {
    azimuth_deg: number
    words: string
    /** Null while it was not read. */
    falls_percent: number | null
  }
  let read = $state<Level[]>(DIRECTIONS.slice(0, 2).map((it) => ({ ...it, falls_percent: null })))
  const told = $derived(
    read.flatMap(({ azimuth_deg, falls_percent }) => (falls_percent === null ? [] : [{ azimuth_deg, falls_percent }]))
  )
  const whole = $derived(told.length === read.length)
  const found = slopeQuery(
    () => told,
    () => reading && whole
  )
  const next = $derived(DIRECTIONS.find((it) => !read.some((other) => other.azimuth_deg === it.azimuth_deg)))

  let levelled = $state(false)
  /** A wireless level reads both ways at once; its first reading takes the place of the two not yet typed. */
  function takeLevel(along: number, across: number): void {
    const both = [along, across].map((percent, n) => ({ ...DIRECTIONS[n]!, falls_percent: hundredths(percent) }))
    read = levelled || told.length ? [...read, ...both] : both
    levelled = true
  }
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
  <button class="button" type="button" onclick={roll}>Roll it both ways…</button>
</div>

<Sheet bind:open={reading} title="Read with a level">
  <p class="mb-3">
    Lay the level half-way to the hole and read how much it falls each way. Three directions or more tell how sure the
    slope is.
  </p>
  <LevelHeard take={takeLevel} />
  <div class="grid gap-3 sm:grid-cols-2">
    {#each read as it, n (n)}
      {@const again = read.slice(0, n).filter((other) => other.azimuth_deg === it.azimuth_deg).length}
      <PercentEntry
        label="{it.words}{again ? `, reading ${again + 1}` : ''}"
        value={it.falls_percent}
        onvalue={(percent) => (it.falls_percent = percent)}
      />
    {/each}
  </div>
  {#if next}
    <button class="button mt-3" type="button" onclick={() => (read = [...read, { ...next, falls_percent: null }])}
      >One more direction</button
    >
  {/if}
  <p class="mt-4 text-lg font-semibold" aria-live="polite" data-slope>
    {!whole
      ? 'Read it each way; a level that shows nothing is 0.'
      : found.error
        ? refusal(found.error).message
        : (found.data?.words ?? '')}
  </p>
  <button
    class="button primary mt-3 min-h-14 w-full text-lg"
    type="button"
    disabled={!whole || !found.data}
    onclick={() => {
      if (!found.data) return
      take(found.data.slope)
      reading = false
    }}>Use this slope</button
  >
</Sheet>

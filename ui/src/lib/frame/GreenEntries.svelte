<!-- The green under the putt: its slope, typed or read with a level. -->
<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query'
  import { api, ask, refusal, type Refusal } from '$lib/api/client'
  import PercentEntry from './PercentEntry.svelte'
  import Sheet from './Sheet.svelte'

  interface Props {
    plan: { falls_forward_percent: number; falls_right_percent: number }
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
  const found = createQuery(() => ({
    queryKey: ['slope', $state.snapshot(read)],
    queryFn: () =>
      ask(
        api.POST('/api/green/slope', {
          body: { readings: read.map(({ azimuth_deg, falls_percent }) => ({ azimuth_deg, falls_percent })) },
        }),
      ),
    enabled: reading,
    retry: false,
  }))
  const next = $derived(DIRECTIONS.find((it) => !read.some((other) => other.azimuth_deg === it.azimuth_deg)))

  function use(): void {
    if (!found.data) return
    const two = (value: number) => Math.round(value * 100) / 100
    plan.falls_forward_percent = two(found.data.slope.forward_percent)
    plan.falls_right_percent = two(found.data.slope.right_percent)
    reading = false
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
  <button class="button mt-[22px]" type="button" onclick={() => (reading = true)}>Read with a level…</button>
</div>

<Sheet bind:open={reading} title="Read with a level">
  <p class="mb-3">Lay the level half-way to the hole and read how much it falls each way. Three directions or more tell how sure the slope is.</p>
  <div class="grid gap-3 sm:grid-cols-2">
    {#each read as it (it.azimuth_deg)}
      <PercentEntry label={it.words} value={it.falls_percent} onvalue={(percent) => (it.falls_percent = percent)} />
    {/each}
  </div>
  {#if next}
    <button class="button mt-3" type="button" onclick={() => (read = [...read, { ...next, falls_percent: 0 }])}>One more direction</button>
  {/if}
  <p class="mt-4 text-lg font-semibold" aria-live="polite" data-slope>
    {found.error ? refusal(found.error).message : (found.data?.words ?? '')}
  </p>
  <button class="button primary mt-3 min-h-14 w-full text-lg" type="button" disabled={!found.data} onclick={use}>Use this slope</button>
</Sheet>

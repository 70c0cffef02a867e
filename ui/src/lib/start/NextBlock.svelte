<!-- The next block on the station that stands, or on the same line at another length: what did not move stays proved. -->
<script lang="ts">
  import { v7 } from 'uuid'
  import { net } from '$lib/away/net.svelte'
  import LengthEntry from '$lib/base/LengthEntry.svelte'
  import type { Shapes } from '$lib/data/client'
  import { outbox } from '$lib/data/outbox.svelte'
  import { planOf } from '$lib/set/plan'
  import { keepPlan } from '$lib/set/writes'
  import StartBlock from './StartBlock.svelte'
  import type { Under } from './under'

  interface Props {
    lessonId: string
    golferId: string
    wanted: string[]
    station: Shapes['StationOut'] | undefined
    block: Shapes['BlockOut']
    offered: Under[]
    readsStart: boolean
    closed: boolean
    started: () => void
  }
  let { lessonId, golferId, wanted, station, block, offered, readsStart, closed, started }: Props = $props()

  const NO_LONGER_M = 1e-4
  let told = $state<number | null>(null)
  const distance_m = $derived(told ?? station?.distance_m ?? 0)
  /** Laid once, however often its block was refused. */
  let laid = $state.raw<{ id: string; distance_m: number } | null>(null)
  async function lay(): Promise<string> {
    if (!station || Math.abs(distance_m - station.distance_m) < NO_LONGER_M) return block.station_id
    if (laid?.distance_m === distance_m) return laid.id
    const plan = { ...planOf(station), distance_m }
    const { id } = await outbox.post(
      keepPlan(lessonId, { id: v7(), replaces_id: station.id, plan, seen: [] }),
      () => true
    )
    laid = { id, distance_m }
    return id
  }
</script>

{#if station && !net.gone}
  <div class="mb-2 max-w-xs">
    <LengthEntry of="distance_m" value={distance_m} paced onvalue={(m) => (told = m)} />
  </div>
{/if}
<StartBlock
  {lessonId}
  {golferId}
  {wanted}
  station={lay}
  {offered}
  guides={block.guided}
  watched={block.watched}
  {readsStart}
  like={block}
  {closed}
  {started}
/>

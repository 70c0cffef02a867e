<!-- The drill a block is a run of: its goal while it is putted; once it is full, where the golfer stands in it. -->
<script lang="ts">
  import { drillsQuery } from '$lib/change/queries.svelte'

  interface Props {
    golferId: string
    code: string
    full: boolean
  }
  let { golferId, code, full }: Props = $props()

  const drills = drillsQuery(() => golferId)
  const drill = $derived(drills.data?.find((it) => it.code === code))
  // The last putt is judged by the server: only then is the run one.
  $effect(() => {
    if (full) void drills.refetch()
  })
</script>

{#if drill}
  <p class="text-center leading-snug" data-drill-line={drill.next ?? ''}>
    <b>{drill.name}.</b>
    {full ? drill.progress : `Goal: ${drill.goal}`}
    {#if full && drill.next === 'harder' && drill.harder}Harder: {drill.harder}{/if}
    {#if full && drill.next === 'easier' && drill.easier}Easier: {drill.easier}{/if}
  </p>
{/if}

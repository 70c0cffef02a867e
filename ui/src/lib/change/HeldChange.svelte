<!-- A change as it was chosen: how it should feel, where it stands, its retests, and the next one a tap away. -->
<script lang="ts">
  import { net } from '$lib/away/net.svelte'
  import NeedsNetwork from '$lib/away/NeedsNetwork.svelte'
  import { goto } from '$app/navigation'
  import Trouble from '$lib/base/Trouble.svelte'
  import { day } from '$lib/base/dates'
  import { stamp } from '$lib/data/clock'
  import type { Shapes } from '$lib/data/client'
  import { createWrite } from '$lib/data/write.svelte'
  import { startComparison } from '$lib/start/writes'
  import Why from '$lib/judge/Why.svelte'
  import { dropChange } from './writes'

  interface Props {
    held: Shapes['HeldOut']
    lessonId: string
    sheet: Shapes['LessonSheetOut']
  }
  let { held, lessonId, sheet }: Props = $props()

  const plan = $derived(sheet.stations.find((one) => one.current))
  const ended = $derived(Boolean(sheet.lesson.ended_at || sheet.lesson.voided_at))
  const begun = $derived(held.retests.find((one) => one.lesson_id === lessonId && !one.final))
  const dropping = createWrite((dropped: boolean) => dropChange(held.id, dropped))
  const retesting = createWrite(
    (station: string) =>
      startComparison({
        lesson_id: lessonId,
        conditions: [
          { name: 'as usual', station_id: station, guided: false, factors: {} },
          { name: held.what, station_id: station, guided: false, factors: held.factors }
        ],
        each: held.each,
        order: 'alternating',
        run: 3,
        question: held.asks,
        asks: [],
        hole: true,
        change_id: held.id,
        started_at: stamp()
      }),
    (made) => void goto(`/lessons/${lessonId}/start?block=${made.turn}`)
  )
</script>

<section class="mt-3 border-b border-hairline pb-4" data-held={held.standing}>
  <h2 class="text-[26px] leading-tight font-semibold">{held.what}</h2>
  {#if held.feel}<p class="mt-1 text-xl leading-snug">{held.feel}</p>{/if}
  <p class="mt-1 text-sm text-faded">{held.kind_name} · chosen {day(held.made_at)}</p>
  <p class="mt-2 max-w-prose text-lg" data-standing>{held.words}</p>
  {#if held.retests.length}<Why of={{ golfer: sheet.golfer.id }} key={held.why} name={held.what} />{/if}
  {#if held.left}<p class="mt-1 max-w-prose text-lg" data-left>{held.left}</p>{/if}
  {#each held.retests as one (one.id)}{#if one.felt}<p class="mt-1 max-w-prose leading-snug" data-felt>
        {day(one.started_at)}: {one.felt}
      </p>{/if}{/each}
  {#if held.steps.length && !held.dropped}
    <details class="mt-2 border-y border-hairline" data-steps>
      <summary class="min-h-12 cursor-pointer py-2.5 text-lg font-semibold">How it is done, and when it ends</summary>
      {#if held.trained}<p class="max-w-prose leading-snug font-semibold" data-trained>{held.trained}</p>{/if}
      <ol class="mt-1 list-decimal pb-2 pl-6 text-lg leading-snug">
        {#each held.steps as one (one)}<li>{one}</li>{/each}
      </ol>
      <p class="max-w-prose pb-2 leading-snug">{held.ends}</p>
    </details>
  {/if}
  {#if !held.dropped}
    <h3 class="wide mt-4 text-lg">Retest</h3>
    <p class="max-w-prose leading-snug">{held.retest_words}</p>
    <div class="mt-2 flex flex-wrap gap-2">
      {#if begun}
        <a class="button primary min-h-14 text-lg" href="/lessons/{lessonId}/start">Go on with the retest</a>
      {:else if ended}
        <p class="text-faded">This lesson has ended: it is the first check of the next one.</p>
      {:else if plan && net.gone}
        <NeedsNetwork why="Whose turn it is when is drawn where Libella is: the retest begins there." />
      {:else if plan}
        <button
          class="button primary min-h-14 text-lg"
          disabled={retesting.isPending}
          onclick={() => retesting.mutate(plan.id)}>Retest it now</button
        >
      {:else}
        <a class="button primary min-h-14 text-lg" href="/lessons/{lessonId}/set">Lay a station for the retest</a>
      {/if}
      <button class="button min-h-14" disabled={dropping.isPending} onclick={() => dropping.mutate(true)}
        >Drop it</button
      >
    </div>
  {:else}
    <button class="button mt-2" disabled={dropping.isPending} onclick={() => dropping.mutate(false)}
      >Take it up again</button
    >
  {/if}
  {#if retesting.error ?? dropping.error}<Trouble error={(retesting.error ?? dropping.error)!} />{/if}
</section>

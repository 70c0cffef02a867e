<!-- Aim: the face at address, natural first; ball mark, putter against the mark, and their sum, kept apart. -->
<script lang="ts">
  import { page } from '$app/state'
  import BeginSeries from '$lib/aim/BeginSeries.svelte'
  import SetDowns from '$lib/aim/SetDowns.svelte'
  import { aimChoicesQuery, aimQuery } from '$lib/aim/queries.svelte'
  import type { Shapes } from '$lib/data/client'
  import { lessonQuery } from '$lib/data/queries.svelte'
  import { named as cueNamed } from '$lib/data/vocabulary.svelte'
  import ProveLine from '$lib/set/ProveLine.svelte'
  import Vial from '$lib/drawing/Vial.svelte'
  import Trouble from '$lib/base/Trouble.svelte'

  const id = $derived(page.params.id ?? '')
  const aim = aimQuery(() => id)
  const choices = aimChoicesQuery()
  const lesson = lessonQuery(() => id)
  let current = $state('')
  const sheets = $derived(aim.data?.sheets ?? [])
  const open = $derived(sheets.find((it) => it.series.id === current))
  const setUps = $derived([...new Set(sheets.map((it) => it.series.set_up))])
  const plans = $derived(lesson.data?.stations ?? [])
  const planNow = $derived(plans.find((it) => it.current))
  let proving = $state(false)
  const named = (it: Shapes['AimSheetOut']) => choices.data?.links.find((one) => one.link === it.series.link)?.name ?? ''
</script>

<div class="mx-auto max-w-[1000px] px-5 py-5">
  {#if aim.error}
    <Trouble error={aim.error} again={() => aim.refetch()} />
  {:else if aim.data}
    {#if open}
      <SetDowns lessonId={id} sheet={open} name={named(open)} leave={() => (current = '')} />
    {:else}
      <h1 class="wide mb-4 border-b-2 border-ink pb-1 text-xl">Where does the face aim?</h1>
      <BeginSeries
        lessonId={id} laserRead={Boolean(lesson.data?.lesson.laser_read_at)} natural={sheets.some((it) => it.series.link === 'face' && !it.series.aided && it.found.set_downs)}
        tools={aim.data.tools} {setUps} begun={(series) => (current = series)}
      />
      {#if sheets.length}
        <div class="mt-6 border-t-2 border-ink pt-3" data-sum>
          <h2 class="wide text-lg">The chain to the face</h2>
          <p>{aim.data.sum.words}</p>
          {#if aim.data.aid}<p class="mt-1">{aim.data.aid}</p>{/if}
        </div>
      {/if}
      {#if planNow && sheets.length && !planNow.proved}
        <p class="mt-4 flex flex-wrap items-center gap-3 border-l-4 border-danger pl-3" data-unproved>
          <span class="flex-1 font-semibold">{planNow.proof_words}</span>
          <button class="button" onclick={() => (proving = true)}>Prove the line…</button>
        </p>
        <ProveLine bind:open={proving} lessonId={id} putt={planNow} station={async () => planNow.id} />
      {/if}
      {#each sheets.toReversed() as it (it.series.id)}
        <article class="mt-4 grid items-center gap-x-6 gap-y-1 border-t border-hairline pt-3 md:grid-cols-2" data-aim-series>
          <div>
            <p class="text-faded">{named(it)} · {cueNamed('cue', it.series.cue)} · {it.series.set_up}{it.series.aided ? ', aid in view' : ''} · {it.found.set_downs} of {it.series.planned}</p>
            <p class="wide text-lg">{it.found.headline}</p>
            <p>{it.found.meaning}</p>
            {#if it.series.station_id && it.series.station_id !== planNow?.id}<p class="text-sm text-faded" data-plan-of>Read on another plan: {plans.find((one) => one.id === it.series.station_id)?.words}.</p>{/if}
          </div>
          <div>
            <Vial vial={it.found.vial} words={it.found.headline} size="row" />
            <button class="button mt-1" onclick={() => (current = it.series.id)}>{it.found.final ? 'Read on' : 'Go on reading'}</button>
          </div>
        </article>
      {/each}
    {/if}
  {/if}
</div>

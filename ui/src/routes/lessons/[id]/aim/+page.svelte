<!-- Aim: the face at address, natural first; ball mark, putter against the mark, and their sum, kept apart. -->
<script lang="ts">
  import { page } from '$app/state'
  import Coming from '$lib/base/Coming.svelte'
  import Said from '$lib/base/Said.svelte'
  import BeginSeries from '$lib/aim/BeginSeries.svelte'
  import SetDowns from '$lib/aim/SetDowns.svelte'
  import Compared from '$lib/judge/Compared.svelte'
  import { aimChoicesQuery, aimQuery } from '$lib/aim/queries.svelte'
  import type { Shapes } from '$lib/data/client'
  import { instrumentsQuery, lessonQuery } from '$lib/data/queries.svelte'
  import { named as cueNamed } from '$lib/data/vocabulary.svelte'
  import SchoolsHere from '$lib/schools/SchoolsHere.svelte'
  import Unproved from '$lib/set/Unproved.svelte'
  import Vial from '$lib/drawing/Vial.svelte'
  import { setUpsOf } from '$lib/start/under'
  import Trouble from '$lib/base/Trouble.svelte'

  const id = $derived(page.params.id ?? '')
  const aim = aimQuery(() => id)
  const choices = aimChoicesQuery()
  const instruments = instrumentsQuery()
  const lesson = lessonQuery(() => id)
  let current = $state('')
  const sheets = $derived(aim.data?.sheets ?? [])
  /** A comparison with set-downs to come: its turns lead from one series to the other. */
  const running = $derived(aim.data?.turns.findLast((it) => it.turn))
  let stopped = $state(false)
  const turn = $derived(running && !stopped && (!current || running.series.includes(current)) ? running : undefined)
  const open = $derived(sheets.find((it) => it.series.id === (turn?.turn ?? current)))
  const plans = $derived(lesson.data?.stations ?? [])
  const planNow = $derived(plans.find((it) => it.current))
  const named = (it: Shapes['AimSheetOut']) =>
    choices.data?.links.find((one) => one.link === it.series.link)?.name ?? ''
</script>

<div class="mx-auto max-w-[1000px] px-5 py-5">
  {#if aim.error}
    <Trouble error={aim.error} again={() => aim.refetch()} />
  {:else if aim.data && choices.data && instruments.data}
    {#if open}
      <SetDowns
        lessonId={id}
        sheet={open}
        name={named(open)}
        {turn}
        leave={() => {
          current = ''
          stopped = true
        }}
      />
    {:else}
      <h1 class="wide mb-4 border-b-2 border-ink pb-1 text-xl">Where does the face aim?</h1>
      <BeginSeries
        lessonId={id}
        laserRead={Boolean(lesson.data?.lesson.laser_read_at)}
        natural={sheets.some((it) => it.series.link === 'face' && !it.series.aided && it.found.set_downs)}
        tools={aim.data.tools}
        setUps={setUpsOf(lesson.data)}
        before={sheets.map((it) => it.series)}
        begun={(series) => {
          current = series
          stopped = series !== ''
        }}
      />
      {#if sheets.length}
        <div class="mt-6 border-t-2 border-ink pt-3" data-sum>
          <h2 class="wide text-lg">The chain to the face</h2>
          <p>{aim.data.sum.words}</p>
          {#if aim.data.aid}<p class="mt-1">{aim.data.aid}</p>{/if}
        </div>
      {/if}
      {#if planNow && sheets.length && !planNow.proved}
        <Unproved lessonId={id} plan={planNow} class="mt-4" />
      {/if}
      {#each aim.data.turns.toReversed() as it (it.id)}
        <article class="mt-4 border-t border-hairline pt-3" data-aim-turns>
          <p class="text-faded">{it.question_words} {it.turn_words}</p>
          <Compared found={it.compared} />
          {#if it.turn}<button
              class="button mt-1"
              onclick={() => {
                current = ''
                stopped = false
              }}>Go on in turns</button
            >{/if}
        </article>
      {/each}
      {#each sheets.toReversed() as it (it.series.id)}
        <article
          class="mt-4 grid items-center gap-x-6 gap-y-1 border-t border-hairline pt-3 md:grid-cols-2"
          data-aim-series
        >
          <div>
            <p class="text-faded">
              {named(it)} · {cueNamed('cue', it.series.cue)} · {[it.series.set_up, ...Object.values(it.series.factors)]
                .filter(Boolean)
                .join(', ') || 'as usual'}{it.series.aided ? ', aid in view' : ''} · {it.found.set_downs} of {it.series
                .planned}
            </p>
            <p class="wide text-lg"><Said text={it.found.headline} /></p>
            <p><Said text={it.found.meaning} /></p>
            {#if it.series.station_id && it.series.station_id !== planNow?.id}<p
                class="text-sm text-faded"
                data-plan-of
              >
                Read on another plan: {plans.find((one) => one.id === it.series.station_id)?.words}.
              </p>{/if}
          </div>
          <div>
            <Vial vial={it.found.vial} words={it.found.headline} size="row" />
            <button class="button mt-1" onclick={() => (current = it.series.id)}
              >{it.found.final ? 'Read on' : 'Go on reading'}</button
            >
          </div>
        </article>
      {/each}
      {#if lesson.data}<div class="mt-6">
          <SchoolsHere at="aim" lesson={id} golfer={lesson.data.golfer} />
        </div>{/if}
    {/if}
  {:else}
    <Coming page what="The aim" />
  {/if}
</div>

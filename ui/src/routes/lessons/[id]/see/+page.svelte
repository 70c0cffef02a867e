<!-- See: what a true line looks like to this golfer. Measured, never assumed. -->
<script lang="ts">
  import { page } from '$app/state'
  import Said from '$lib/base/Said.svelte'
  import Stage from '$lib/drawing/Stage.svelte'
  import Vial from '$lib/drawing/Vial.svelte'
  import { drawnChoices } from '$lib/data/vocabulary.svelte'
  import Coming from '$lib/base/Coming.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import Asking from '$lib/see/Asking.svelte'
  import BeginTest from '$lib/see/BeginTest.svelte'
  import MapPart from '$lib/see/MapPart.svelte'
  import QuickPart from '$lib/keep/QuickPart.svelte'
  import EyesPart from '$lib/see/EyesPart.svelte'
  import FeltThere from '$lib/see/FeltThere.svelte'
  import Choice from '$lib/base/Choice.svelte'
  import { lessonQuery } from '$lib/data/queries.svelte'
  import { createWrite } from '$lib/data/write.svelte'
  import { leversQuery, sightsQuery } from '$lib/see/queries.svelte'
  import { askOn, leaveTest } from '$lib/see/writes'
  import FirstLook from '$lib/see/FirstLook.svelte'
  import SchoolsHere from '$lib/schools/SchoolsHere.svelte'
  import Unproved from '$lib/set/Unproved.svelte'
  import { setUpsOf } from '$lib/start/under'
  import type { Shapes } from '$lib/data/client'

  const id = $derived(page.params.id ?? '')
  const sights = sightsQuery(() => id)
  const lesson = lessonQuery(() => id)
  const levers = leversQuery()
  type Part = 'first' | 'straight' | 'eyes' | 'map' | 'check'
  const PARTS = $derived(drawnChoices<Part>('see_part'))
  let chosen = $state<Part | null>(null)
  let position = $state<Record<string, number>>({})
  const plans = $derived(lesson.data?.stations ?? [])
  const putt = $derived(plans.find((it) => it.current))
  let leftTest = $state('')
  const takingUp = createWrite(
    (test: string) => leaveTest(id, test, false),
    () => (leftTest = '')
  )
  /** A place in words, as far as a lever is usually moved: the coach says how far before the test begins. */
  function askThere(it: Shapes['FirstLookOut']): void {
    const lever = levers.data?.find((one) => one.lever === it.lever)
    position = lever ? { [lever.lever]: lever.step * 5 * (it.way === 'plus' ? 1 : -1) } : {}
    chosen = 'straight'
  }
  const breaks = $derived(Boolean(putt && (putt.falls_forward_percent || putt.falls_right_percent)))
  const tests = $derived(sights.data?.tests ?? [])
  const open = $derived(tests.findLast((it) => !it.test.ended_at))
  const shown = $derived(tests.filter((it) => it.test.ended_at).toReversed())
  // A first look comes first; once something was asked at length, that is what is looked at.
  const part = $derived<Part | ''>(chosen ?? (sights.data || sights.error ? (tests.length ? 'straight' : 'first') : ''))
  const goingOn = createWrite((test: string) => askOn(id, test))
</script>

<div class="mx-auto max-w-[1000px] px-5 py-5">
  {#if !open}<div class="mb-4">
      <Choice label="See" options={PARTS} small bind:value={() => part, (it) => (chosen = it || null)} />
    </div>{/if}
  {#if putt && !putt.proved && !open && part !== 'check'}
    <Unproved lessonId={id} plan={putt} class="mb-4" />
  {/if}
  {#if leftTest && !open}
    <p class="mb-4 flex items-center justify-between gap-3" role="status">
      The test was left; nothing of it counts. <button class="button" onclick={() => takingUp.mutate(leftTest)}
        >Take it up again</button
      >
    </p>
  {/if}
  {#if !open && (part === 'first' || part === 'eyes' || !part)}
    {#if !part}<Coming what="What was seen" />{/if}
    <h1 class="sr-only">See: {PARTS.find((it) => it.value === part)?.words ?? 'what this golfer sees'}</h1>
  {/if}
  {#if part === 'first' && !open && lesson.data}
    <FirstLook lessonId={id} askAt={askThere} />
  {:else if part === 'eyes' && !open && lesson.data}
    <EyesPart lessonId={id} golfer={lesson.data.golfer} setUps={setUpsOf(lesson.data)} />
  {:else if part === 'map' && !open && lesson.data}
    <MapPart
      setUps={setUpsOf(lesson.data)}
      lessonId={id}
      golfer={lesson.data.golfer}
      askAt={(at) => {
        position = { ...at }
        chosen = 'straight'
      }}
    />
  {:else if part === 'check' && !open && lesson.data}
    <QuickPart lessonId={id} golfer={lesson.data.golfer} />
  {:else if sights.error}
    <Trouble error={sights.error} again={() => sights.refetch()} />
  {:else if sights.data}
    {#if open}
      <Asking sight={open} left={(test) => (leftTest = test)} />
    {:else}
      <h1 class="wide border-b-2 border-ink pb-1 text-xl">What looks straight to this golfer?</h1>
      <p class="mt-1 mb-2">A rod is laid at angles that Libella knows and the golfer doesn’t.</p>
      <BeginTest
        lessonId={id}
        hand={lesson.data?.golfer.hand ?? 'right'}
        {breaks}
        bind:position
        setUps={setUpsOf(lesson.data)}
        last={tests.at(-1)?.test}
      />
    {/if}
    {#if !open && sights.data.compared}<p class="mt-6 border-t-2 border-ink pt-3 text-lg font-semibold" data-compared>
        {sights.data.compared}
      </p>{/if}
    {#if !open}
      {#each shown as it (it.test.id)}
        <article class="mt-6 border-t border-hairline pt-4" data-sight>
          <p class="text-faded">{it.under} · {it.found.trials} answers</p>
          {#if it.test.station_id && it.test.station_id !== putt?.id}<p class="text-sm text-faded" data-plan-of>
              Asked on another plan: {plans.find((one) => one.id === it.test.station_id)?.words}.
            </p>{/if}
          <h2 class="wide mt-1 text-xl" data-headline><Said text={it.words.headline} /></h2>
          <div class="mt-2 grid items-center gap-5 md:grid-cols-2">
            <Vial vial={it.vial} words={it.words.headline} size="row" />
            <div>
              <p><Said text={it.words.meaning} /></p>
              <p class="mt-1 text-faded"><Said text={it.words.doubt} /></p>
            </div>
          </div>
          {#if it.curve}
            <details class="mt-2">
              <summary class="min-h-11 cursor-pointer py-2 font-semibold">How it looked at each angle</summary>
              <div class="relative h-64"><Stage scene={it.curve} /></div>
            </details>
          {/if}
          {#if Object.keys(it.test.position).length}<div class="mt-2"><FeltThere test={it.test} /></div>{/if}
          <button class="button mt-2" onclick={() => goingOn.mutate(it.test.id)}>Ask on</button>
        </article>
      {/each}
    {/if}
  {/if}
  {#if !open && part && lesson.data}<div class="mt-6">
      <SchoolsHere at="see" lesson={id} golfer={lesson.data.golfer} />
    </div>{/if}
</div>

<!-- The plan a golfer goes by: session by session, why each item is there, what could not be met; or the asking for one. -->
<script lang="ts">
  import { goto } from '$app/navigation'
  import Choice from '$lib/base/Choice.svelte'
  import Coming from '$lib/base/Coming.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { stamp } from '$lib/data/clock'
  import { createWrite, firstError } from '$lib/data/write.svelte'
  import { schoolsQuery } from '$lib/schools/queries.svelte'
  import NextSession from './NextSession.svelte'
  import { planQuery } from './queries.svelte'
  import WeekRows from './WeekRows.svelte'
  import { dropPlan, goOnWith, makePlan } from './writes'

  interface Props {
    golferId: string
    /** The lesson whose findings a new plan works on; none: nothing new is planned here. */
    lessonId?: string
  }
  let { golferId, lessonId }: Props = $props()

  const plan = planQuery(() => golferId)
  const it = $derived(plan.data)
  const DAYS = ['1', '2', '3', '4', '5', '6', '7'].map((n) => ({ value: n, words: n }))
  const MINUTES = ['5', '10', '15', '20', '30', '45', '60'].map((n) => ({ value: n, words: n }))
  const schools = schoolsQuery(() => (lessonId ? { lesson: lessonId } : { golfer: golferId }))
  let days = $derived(String(schools.data?.settings.days_a_week ?? 3))
  let minutes = $derived(String(schools.data?.settings.minutes_a_day ?? 15))
  const PLACES = [
    { value: 'green', words: 'A green' },
    { value: 'floor', words: 'No green at home' }
  ]
  let place = $state('green')
  let asking = $state(false)
  const making = createWrite(
    (lesson: string) =>
      makePlan(golferId, {
        lesson_id: lesson,
        minutes: Array<number>(Number(days)).fill(Number(minutes)),
        weeks: 4,
        starts_at: stamp(),
        made_at: stamp(),
        zone: Intl.DateTimeFormat().resolvedOptions().timeZone,
        no_green: place === 'floor'
      }),
    () => (asking = false)
  )
  const going = createWrite((id: string) => goOnWith(golferId, id))
  const dropping = createWrite((id: string) => dropPlan(golferId, id))
  const error = $derived(firstError([making, going, dropping]))
  const next = $derived(it?.sessions.find((one) => one.number === it.next))
</script>

<section class="mt-6" data-practice>
  <h2 class="wide border-b-2 border-ink pb-1 text-xl">The plan</h2>
  {#if plan.error && it === undefined}
    <Trouble error={plan.error} again={() => plan.refetch()} />
  {:else if it === undefined}
    <Coming what="The plan" />
  {:else}
    {#if lessonId && (!it || asking)}
      <div class="mt-3 grid gap-3" data-ask-plan>
        <Choice label="Days a week" options={DAYS} bind:value={days} />
        <Choice label="Minutes a day" options={MINUTES} bind:value={minutes} />
        <Choice label="Where" options={PLACES} bind:value={place} />
        <div class="flex flex-wrap gap-2">
          <button
            class="button primary min-h-14 px-6 text-lg"
            disabled={making.isPending}
            onclick={() => lessonId && making.mutate(lessonId)}>Plan four weeks</button
          >
          {#if it}<button class="button" onclick={() => (asking = false)}>Leave it as it is</button>{/if}
        </div>
      </div>
    {/if}
    {#if it && !asking}
      <p class="mt-2 text-lg" data-worked>{it.worked}</p>
      {#if it.unmet.length}
        <ul class="mt-1 grid gap-0.5" data-unmet>
          {#each it.unmet as one (one)}<li class="leading-snug">{one}</li>{/each}
        </ul>
      {/if}
      {#if it.missed_words}
        <p class="mt-2 leading-snug" data-missed>{it.missed_words}</p>
        <button class="button mt-1" disabled={going.isPending} onclick={() => it && going.mutate(it.id)}
          >Plan the weeks that are left</button
        >
      {/if}
      {#if next}
        <div class="mt-3 border-2 border-ink p-4" data-next-session={next.number}>
          <NextSession {next} />
          <button
            class="button primary mt-3 min-h-14 px-6 text-lg"
            onclick={() => void goto(`/golfers/${golferId}/practice?session=${next.number}`)}>Start this session</button
          >
        </div>
      {/if}
      <WeekRows sessions={it.sessions} />
      <div class="mt-3 flex flex-wrap gap-2">
        {#if lessonId}<button class="button" onclick={() => (asking = true)}>Plan anew…</button>{/if}
        <a class="button" href="/api/practice-plans/{it.id}/calendar" download="practice.ics">Calendar file</a>
        <button class="button plain" disabled={dropping.isPending} onclick={() => it && dropping.mutate(it.id)}
          >Take the plan away</button
        >
      </div>
    {/if}
    {#if error}<Trouble {error} />{/if}
  {/if}
</section>

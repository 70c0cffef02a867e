<!-- Plan a comparison: what is to be found out, which conditions, how many putts each, in which turns. -->
<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query'
  import { goto } from '$app/navigation'
  import { v7 } from 'uuid'
  import { stamp } from '$lib/data/clock'
  import { api, ask, refusal, type Shapes } from '$lib/data/client'
  import { renew, renewLesson } from '$lib/data/queries.svelte'
  import Choice from '$lib/base/Choice.svelte'
  import PuttLength from '$lib/golfer/PuttLength.svelte'
  import Stepper from '$lib/base/Stepper.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { planOf, type Plan } from '$lib/set/plan'
  import { rulerFor, withUnit } from '$lib/base/length'
  import { settings } from '$lib/base/settings.svelte'

  interface Props {
    lessonId: string
    station: Shapes['StationOut']
    guided: boolean
    asked: string[]
    /** The golfer's own step, metres. */
    step: number | null
    planned: () => void
  }
  let { lessonId, station, guided, asked, step, planned }: Props = $props()

  type Kind = 'conditions' | 'distances' | 'transfer'
  const KINDS: { value: Kind; words: string }[] = [
    { value: 'conditions', words: 'Conditions here' },
    { value: 'distances', words: 'Several distances' },
    { value: 'transfer', words: 'With the aid, without, other side' },
  ]
  const client = useQueryClient()
  const choices = createQuery(() => ({ queryKey: ['comparison-choices'], queryFn: () => ask(api.GET('/api/comparison-choices')), staleTime: Infinity }))
  let kind = $state<Kind>('conditions')
  let names = $state(['as usual', 'wide base'])
  // The first three are near what is laid; the coach changes them.
  // svelte-ignore state_referenced_locally
  let distances = $state([station.distance_m - 1, station.distance_m, station.distance_m + 1.5].map((it) => Math.max(1.2, it)))
  let each = $state(9)
  let run = $state(3)
  let order = $state<Shapes['ComparisonIn']['order']>('alternating')
  let question = $state<Shapes['ComparisonIn']['question']>('line')
  let error = $state<unknown>(null)
  let busy = $state(false)
  const length = (m: number) => {
    const ruler = rulerFor(15, settings.units)
    return withUnit(m, ruler)
  }

  async function lay(change: Partial<Plan>): Promise<string> {
    const body = { ...planOf(station), ...change, lesson_id: lessonId, laid_at: stamp() }
    return (await ask(api.PUT('/api/stations/{id}', { params: { path: { id: v7() } }, body }))).id
  }
  async function conditions(): Promise<Shapes['ConditionIn'][]> {
    if (kind === 'conditions') return names.filter((it) => it.trim()).map((name) => ({ name, station_id: station.id, guided }))
    if (kind === 'distances') {
      const found = []
      for (const distance_m of distances) {
        const near = Math.abs(distance_m - station.distance_m) < 0.005
        found.push({ name: length(distance_m), station_id: near ? station.id : await lay({ distance_m }), guided })
      }
      return found
    }
    const bare = station.aids.length ? await lay({ aids: [] }) : station.id
    const flip = { falls_right_percent: -station.falls_right_percent, read: null, target: 'computed' as const, aids: [] }
    const other = station.falls_right_percent ? await lay(flip) : await lay({ aids: [] })
    return [
      { name: 'with the aid', station_id: station.id, guided: true },
      { name: 'without it', station_id: bare, guided: false },
      { name: 'other side of the hole', station_id: other, guided: false },
    ]
  }
  async function begin(event: SubmitEvent): Promise<void> {
    event.preventDefault()
    busy = true
    error = null
    try {
      const body = {
        lesson_id: lessonId, conditions: await conditions(), each, run, question, asks: asked, hole: true,
        order: kind === 'transfer' ? ('in_order' as const) : order, started_at: stamp(),
      }
      const made = await ask(api.PUT('/api/comparisons/{id}', { params: { path: { id: v7() } }, body }))
      await renew(client, ['comparisons', lessonId])
      await renewLesson(client, lessonId)
      planned()
      await goto(`/lessons/${lessonId}/start?block=${made.turn}`)
    } catch (problem) {
      error = problem
    }
    busy = false
  }
  const about = (field: string) => (error ? refusal(error).about(field) : undefined)
</script>

<form class="grid gap-3" onsubmit={begin}>
  <Choice label="Compare" options={KINDS} bind:value={kind} />
  {#if kind === 'conditions'}
    <div class="grid items-end gap-x-3 gap-y-2 sm:grid-cols-2">
      {#each names as _, n (n)}
        <label class="block"><span class="label">Condition {n + 1}{n ? '' : ', the others’ measure'}</span>
          <input class="entry" bind:value={names[n]} maxlength="80" required /></label>
      {/each}
      <div class="flex gap-2 sm:col-span-2">
        {#if names.length < 5}<button type="button" class="button" onclick={() => (names = [...names, ''])}>One more condition</button>{/if}
        {#if names.length > 2}<button type="button" class="button" onclick={() => (names = names.slice(0, -1))}>One fewer</button>{/if}
      </div>
    </div>
  {:else if kind === 'distances'}
    <div class="grid gap-2 sm:grid-cols-3">
      {#each distances as far, n (n)}
        <div><PuttLength of="usual_length_m" label="Putt {n + 1}" value={far} {step} onvalue={(m) => (distances[n] = m)} /></div>
      {/each}
    </div>
    <p class="text-sm text-faded">The same rig at each distance; the side by distance is told under Judge.</p>
  {:else}
    <p>First with {station.aids.length ? 'what lies beside the rig' : 'the aid in view'}, then without it, then from the other side of the hole: what stays is the golfer’s own.</p>
  {/if}
  <div class="grid gap-3 sm:grid-cols-2">
    <Stepper label="Putts each" unit="" text={String(each)} read={(text) => Math.round(Number(text))} step={(by) => (each = Math.max(3, each + by))} onvalue={(value) => (each = value)} error={about('each')} />
    {#if kind !== 'transfer'}
      <Stepper label="Putts in a run" unit="" text={String(run)} read={(text) => Math.round(Number(text))} step={(by) => (run = Math.max(1, run + by))} onvalue={(value) => (run = value)} error={about('run')} />
    {/if}
  </div>
  {#if choices.data}
    {#if kind !== 'transfer'}
      <Choice label="In turns, so that warming up is no effect" options={Object.entries(choices.data.orders).filter(([it]) => it !== 'in_order').map(([value, words]) => ({ value: value as typeof order, words }))} bind:value={order} />
    {/if}
    <Choice label="The one question it answers" options={Object.entries(choices.data.questions).map(([value, words]) => ({ value: value as typeof question, words }))} bind:value={question} />
  {/if}
  {#if error}<Trouble {error} />{/if}
  <button class="button primary min-h-14 text-lg" disabled={busy}>Start the comparison</button>
</form>

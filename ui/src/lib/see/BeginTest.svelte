<!-- Begin a test of what looks straight: how it is asked, and under what. -->
<script lang="ts">
  import { formOf } from '$lib/base/form'
  import { net } from '$lib/away/net.svelte'
  import NeedsNetwork from '$lib/away/NeedsNetwork.svelte'
  import { stamp } from '$lib/data/clock'
  import { about, refusal, type Shapes } from '$lib/data/client'
  import { createWrite } from '$lib/data/write.svelte'
  import Choice from '$lib/base/Choice.svelte'
  import NameChoice from '$lib/base/NameChoice.svelte'
  import LengthEntry from '$lib/base/LengthEntry.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import ToolTrue from '$lib/set/ToolTrue.svelte'
  import PositionEntry from './PositionEntry.svelte'
  import SeePicture from './SeePicture.svelte'
  import { drawnChoices, named, pictured } from '$lib/data/vocabulary.svelte'
  import { schoolsQuery } from '$lib/schools/queries.svelte'
  import { methodsQuery } from './queries.svelte'
  import { beginTest } from './writes'

  formOf('small')

  interface Props {
    lessonId: string
    hand: Shapes['GolferBrief']['hand']
    /** Whether the lesson's putt breaks: then straight can be asked to its start target. */
    breaks: boolean
    /** Levers moved from the usual set-up for this test. */
    position: Record<string, number>
    /** How it was asked last: the next is asked the same way unless the coach says otherwise. */
    last: Shapes['SightTestOut'] | undefined
    /** Set-ups named in this lesson so far. */
    setUps: string[]
  }
  let { lessonId, hand, breaks, position = $bindable(), last, setUps }: Props = $props()

  const methods = methodsQuery()
  type Test = Shapes['SightTestOut']
  // svelte-ignore state_referenced_locally
  const before = last ?? {
    method: 'directions' as const,
    condition: '',
    trace: 'as_usual' as const,
    eyes: 'both' as const,
    glasses: 'none' as const,
    away_m: 2,
    toward: 'hole' as const
  }
  let method = $state<Test['method']>(before.method)
  let condition = $state(before.condition)
  const schools = schoolsQuery(() => ({ lesson: lessonId }))
  // As it was asked last; for a first one as the school held says.
  let trace = $derived<Test['trace']>(
    last?.trace ?? (schools.data?.settings.trace as Test['trace'] | null | undefined) ?? before.trace
  )
  let eyes = $state<Test['eyes']>(before.eyes)
  let glasses = $state<Test['glasses']>(before.glasses)
  let away_m = $state(before.away_m)
  let toward = $state<Test['toward']>(before.toward)

  const TRACES = drawnChoices<Test['trace']>('trace')
  const TOWARD = drawnChoices<Test['toward']>('toward')
  const EYES = drawnChoices<Test['eyes']>('eyes')
  const GLASSES = drawnChoices<Test['glasses']>('glasses')

  const beginning = createWrite(() =>
    beginTest({
      lesson_id: lessonId,
      method,
      condition,
      trace,
      eyes,
      glasses,
      away_m,
      toward,
      position: $state.snapshot(position),
      station_id: null,
      started_at: stamp()
    })
  )
  const error = $derived(beginning.error)
  function begin(event: SubmitEvent): void {
    event.preventDefault()
    beginning.mutate(undefined)
  }
</script>

<form onsubmit={begin} class="grid gap-3">
  <SeePicture {hand} bind:position bind:eyes {glasses} />
  <div class="grid items-end gap-x-5 gap-y-3 md:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
    <div class="min-h-[92px]">
      <Choice
        label="How to ask"
        options={(methods.data ?? []).map((it) => ({
          value: it.method,
          words: it.name,
          picture: pictured('method', it.method)
        }))}
        small
        bind:value={method}
      />
    </div>
    {#if net.gone}<NeedsNetwork
        why="What is asked next is chosen from the answers, and that is done where Libella is. Until then take a first look."
      />{:else}<button class="button primary min-h-14 text-lg" disabled={beginning.isPending}>Begin asking</button>{/if}
  </div>
  <p class="min-h-6 max-w-2xl text-faded">{methods.data?.find((it) => it.method === method)?.how ?? ''}</p>
  {#if error}<Trouble {error} />{/if}
  <details>
    <summary class="min-h-11 cursor-pointer py-2 font-semibold">
      Under which conditions <span class="font-normal text-faded"
        >{condition || 'as usual'}{glasses === 'none' ? '' : `, glasses ${glasses}`}{trace === 'as_usual'
          ? ''
          : `, traced: ${named('trace', trace)}`}{toward === 'hole' ? '' : ', to the start target'}</span
      >
    </summary>
    <div class="grid gap-x-5 gap-y-4 pt-2 md:grid-cols-2">
      <NameChoice label="The set-up" names={setUps} bind:value={condition} another="Another set-up…" kind="set_up" />
      {#if breaks}<Choice label="Straight at" options={TOWARD} small bind:value={toward} />{/if}
      <Choice label="The golfer traces the line" options={TRACES} small bind:value={trace} />
      <Choice label="Eyes" options={EYES} small bind:value={eyes} />
      <Choice label="Glasses" options={GLASSES} small bind:value={glasses} />
      <LengthEntry of="away_m" value={away_m} error={about(error, 'away_m')} onvalue={(it) => (away_m = it)} />
      <ToolTrue {lessonId} kind="rod_beside" name="The rod" />
    </div>
  </details>
  <details open={Boolean(error)}>
    <summary class="min-h-11 cursor-pointer py-2 font-semibold">
      The place in numbers <span class="font-normal text-faded">head and ball for this test</span>
    </summary>
    <PositionEntry bind:position error={error ? refusal(error) : null} />
  </details>
</form>

<!-- Begin a test of what looks straight: how it is asked, and under what. -->
<script lang="ts">
  import { stamp } from '$lib/data/clock'
  import { about, refusal, type Shapes } from '$lib/data/client'
  import { createWrite } from '$lib/data/write.svelte'
  import Choice from '$lib/base/Choice.svelte'
  import NameChoice from '$lib/base/NameChoice.svelte'
  import LengthEntry from '$lib/base/LengthEntry.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { SET_UP_PICTURES } from '$lib/start/set-ups'
  import ToolTrue from '$lib/set/ToolTrue.svelte'
  import PositionEntry from './PositionEntry.svelte'
  import { choices, named } from '$lib/data/vocabulary.svelte'
  import { methodsQuery } from './queries.svelte'
  import { beginTest } from './writes'

  interface Props {
    lessonId: string
    /** Whether the lesson's putt breaks: then straight can be asked to its start target. */
    breaks: boolean
    /** Levers moved from the usual set-up for this test. */
    position: Record<string, number>
    /** How it was asked last: the next is asked the same way unless the coach says otherwise. */
    last: Shapes['SightTestOut'] | undefined
    /** Set-ups named in this lesson so far. */
    setUps: string[]
  }
  let { lessonId, breaks, position = $bindable(), last, setUps }: Props = $props()

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
  let trace = $state<Test['trace']>(before.trace)
  let eyes = $state<Test['eyes']>(before.eyes)
  let glasses = $state<Test['glasses']>(before.glasses)
  let away_m = $state(before.away_m)
  let toward = $state<Test['toward']>(before.toward)

  const TRACES = choices<Test['trace']>('trace')
  const TOWARD = choices<Test['toward']>('toward')
  const EYES = choices<Test['eyes']>('eyes')
  const GLASSES = choices<Test['glasses']>('glasses')

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

<form onsubmit={begin} class="grid gap-4">
  <div>
    <Choice
      label="How to ask"
      options={(methods.data ?? []).map((it) => ({ value: it.method, words: it.name }))}
      bind:value={method}
    />
    <p class="mt-1 max-w-2xl text-faded">{methods.data?.find((it) => it.method === method)?.how ?? ''}</p>
  </div>
  <PositionEntry bind:position error={error ? refusal(error) : null} />
  {#if error}<Trouble {error} />{/if}
  <div class="grid items-start gap-x-5 gap-y-4 md:grid-cols-2">
    <button class="button primary min-h-14 text-lg md:mt-[23px]" disabled={beginning.isPending}>Begin asking</button>
    <LengthEntry of="away_m" value={away_m} error={about(error, 'away_m')} onvalue={(it) => (away_m = it)} />
  </div>
  <ToolTrue {lessonId} kind="rod_beside" name="The rod" />
  <details>
    <summary class="min-h-11 cursor-pointer py-2 font-semibold">
      Under which conditions <span class="font-normal text-faded"
        >{condition || 'as usual'}{eyes === 'both' ? '' : `, ${eyes} eye alone`}{glasses === 'none'
          ? ''
          : `, glasses ${glasses}`}{trace === 'as_usual' ? '' : `, traced: ${named('trace', trace)}`}{toward === 'hole'
          ? ''
          : ', to the start target'}</span
      >
    </summary>
    <div class="grid gap-x-5 gap-y-4 pt-2 md:grid-cols-2">
      <NameChoice
        label="The set-up"
        names={setUps}
        bind:value={condition}
        another="Another set-up…"
        pictures={SET_UP_PICTURES}
      />
      {#if breaks}<Choice label="Straight at" options={TOWARD} bind:value={toward} />{/if}
      <Choice label="The golfer traces the line" options={TRACES} bind:value={trace} />
      <Choice label="Eyes" options={EYES} bind:value={eyes} />
      <Choice label="Glasses" options={GLASSES} bind:value={glasses} />
    </div>
  </details>
</form>

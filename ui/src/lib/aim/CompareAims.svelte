<!-- Set-downs compared in turns: two cues, two set-ups, or with and without the aid in view; all else stays the same. -->
<script lang="ts">
  import { v7 } from 'uuid'
  import { net } from '$lib/away/net.svelte'
  import NeedsNetwork from '$lib/away/NeedsNetwork.svelte'
  import { stamp } from '$lib/data/clock'
  import { about, type Shapes } from '$lib/data/client'
  import { choices as options, pictured, named, stepped } from '$lib/data/vocabulary.svelte'
  import { createWrite } from '$lib/data/write.svelte'
  import Choice from '$lib/base/Choice.svelte'
  import { typedNumber } from '$lib/base/number'
  import Stepper from '$lib/base/Stepper.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import UnderChoice from '$lib/start/UnderChoice.svelte'
  import { NOT_HERE, setDown, USUAL, type Under } from '$lib/start/under'
  import { compareAims } from './writes'

  interface Props {
    /** As the first way is read: what the others are set against. */
    first: Shapes['AimSeriesIn']
    /** Ways to set it down that are offered. */
    offered: Under[]
    begun: () => void
  }
  let { first, offered, begun }: Props = $props()

  type What = 'cue' | 'set_up' | 'aided'
  let what = $state<What>('cue')
  // svelte-ignore state_referenced_locally
  let cue = $state<Shapes['AimSeriesIn']['cue']>(first.cue === 'line' ? 'near_spot' : 'line')
  // svelte-ignore state_referenced_locally
  let under = $state<Under>(offered.find((it) => it.name && setDown(it).set_up !== first.set_up) ?? USUAL)
  let run = $state(2)
  let question = $state<'line' | 'spread' | 'window'>('line')
  const WHATS = options<What>('aim_comparing')
  const QUESTIONS = options<typeof question>('aim_question')
  const VIEWS = { false: named('aid_seen', 'natural'), true: named('aid_seen', 'aided') }

  const same = $derived({
    cue: first.cue,
    set_up: first.set_up ?? '',
    factors: first.factors ?? {},
    aided: first.aided
  })
  const other = $derived({
    ...same,
    ...(what === 'cue' ? { cue } : what === 'set_up' ? setDown(under) : { aided: !first.aided })
  })
  const nameOf = (it: typeof same) =>
    what === 'cue'
      ? named('cue', it.cue ?? 'line')
      : what === 'set_up'
        ? it.set_up || Object.values(it.factors).join(', ') || 'as usual'
        : VIEWS[`${it.aided ?? false}`]
  const comparing = createWrite(
    () => {
      const { lesson_id, link, kind, sizes, planned } = first
      const ways = [same, other].map((it) => ({ ...it, name: nameOf(it) }))
      return compareAims(v7(), {
        lesson_id,
        link,
        kind,
        sizes,
        each: planned,
        ways,
        run,
        question,
        order: 'alternating',
        station_id: null,
        started_at: stamp()
      })
    },
    () => begun()
  )
</script>

<section class="grid gap-3 border-l-4 border-ink pl-4" data-compare-aims>
  <Choice label="Other in the second way" options={WHATS} bind:value={what} />
  {#if what === 'cue'}<Choice
      label="Against which cue"
      options={options<typeof cue>('cue')
        .filter((it) => it.value !== first.cue)
        .map((it) => ({ ...it, picture: pictured('cue', it.value) }))}
      bind:value={cue}
    />
  {:else if what === 'set_up'}<UnderChoice label="Against what" {offered} without={NOT_HERE} bind:value={under} />{/if}
  <div class="grid items-start gap-3 sm:grid-cols-2">
    <Stepper
      label="Set-downs in a run"
      unit=""
      text={String(run)}
      read={typedNumber}
      step={(by) => (run = stepped('run', run, by))}
      onvalue={(it) => (run = it)}
      error={about(comparing.error, 'run')}
    />
    <Choice label="The one question it answers" options={QUESTIONS} bind:value={question} />
  </div>
  {#if comparing.error}<Trouble error={comparing.error} />{/if}
  {#if net.gone}<NeedsNetwork
      why="Whose turn it is when is drawn where Libella is. Until then read one series each way."
    />{:else}
    <button
      class="button primary min-h-14 max-w-sm text-lg"
      type="button"
      disabled={comparing.isPending || !nameOf(other) || nameOf(other) === nameOf(same)}
      onclick={() => comparing.mutate(undefined)}
    >
      {nameOf(same)} and {nameOf(other) || '…'}, in turns
    </button>{/if}
</section>

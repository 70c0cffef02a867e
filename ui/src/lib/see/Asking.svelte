<!--
  A test while it is asked: where to lay the rod, and the golfer's answer by one tap or key. What was answered before, and what
  it says so far, stays hidden.
-->
<script lang="ts">
  import { stamp } from '$lib/data/clock'
  import type { Shapes } from '$lib/data/client'
  import { choices, named } from '$lib/data/vocabulary.svelte'
  import { createWrite, firstError } from '$lib/data/write.svelte'
  import Stage from '$lib/drawing/Stage.svelte'
  import Flags from '$lib/base/Flags.svelte'
  import Choice from '$lib/base/Choice.svelte'
  import { keys } from '$lib/base/keys.svelte'
  import Looks from './Looks.svelte'
  import { answerKeys, type Look } from './looks'
  import { answerTest, flagAnswer, leaveTest, showTest, undoAnswer } from './writes'
  import LengthEntry from '$lib/base/LengthEntry.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import FeltThere from './FeltThere.svelte'

  interface Props {
    sight: Shapes['SightOut']
    left: (test: string) => void
  }
  let { sight, left }: Props = $props()

  const SIDES = choices<'left' | 'right'>('turned_from')
  let turned = $state(false)
  let beside = $state(0)
  let seen = $state(0.005)
  let from = $state<'left' | 'right'>('left')
  const moved = $derived(Object.keys(sight.test.position).length > 0)
  const valid = $derived(sight.trials.filter((it) => !it.voided))
  const lesson = $derived(sight.test.lesson_id)

  const answering = createWrite((raw: Record<string, string | number>) =>
    answerTest(lesson, { test_id: sight.test.id, raw, taken_at: stamp() })
  )
  const undoing = createWrite((trial: string) => undoAnswer(lesson, sight.test.id, trial))
  const showing = createWrite(() => showTest(lesson, sight.test.id))
  const leaving = createWrite(() => leaveTest(lesson, sight.test.id, true))
  const flagging = createWrite((it: { id: string; flags: string[] }) =>
    flagAnswer(lesson, sight.test.id, it.id, it.flags)
  )
  const all = [answering, undoing, showing, leaving, flagging]
  const busy = $derived(all.some((it) => it.isPending))
  const error = $derived(firstError(all))

  /** Which answer was given last: a question that stands there is answered once, and never left unanswered for being quick. */
  let given = -1
  function answer(looks: Look): void {
    if (!sight.next || given === valid.length || undoing.isPending || showing.isPending || leaving.isPending) return
    given = valid.length
    answering.mutate({ true_deg: sight.next.true_deg, looks }, { onError: () => (given = -1) })
  }
  function read(): void {
    if (busy) return
    const told = { beside_m: beside, seen_m: seen }
    answering.mutate(sight.test.method === 'turn' ? { ...told, from_side: from } : told, {
      onSuccess: () => {
        beside = 0
        from = from === 'left' ? 'right' : 'left'
      }
    })
  }
  /** An undo told while an answer is on its way waits for it: it is that answer that was meant. */
  let undoNext = $state(false)
  function undo(): void {
    undoNext = busy
    const last = valid.at(-1)
    if (!last || busy) return
    given = -1
    undoing.mutate(last.id)
  }
  $effect(() => {
    if (undoNext && !busy) undo()
  })

  $effect(() =>
    keys.add('Asking', () => [
      ...(sight.next ? answerKeys(answer) : []),
      { key: 'u', words: 'Undo the last answer', run: undo }
    ])
  )
</script>

<div class="flex items-baseline justify-between gap-3 border-b-2 border-ink pb-1">
  <h1 class="wide text-xl" data-asked>Answer {valid.length + 1}</h1>
  <p class="text-faded">{sight.under}</p>
</div>
{#if sight.next}
  <p class="mt-3 text-lg" data-lay>
    Lay the rod <strong>{sight.lay}</strong>{#if sight.test.toward === 'start'}<span
        class="block text-[15px] text-faded">The line is {sight.line}.</span
      >{/if}
  </p>
  <div class="relative mt-2 h-56 border-y border-hairline">
    {#if sight.stage}<Stage scene={sight.stage} stretch="true" />{/if}
  </div>
  <p class="mt-3 text-lg">The golfer, over the ball: <strong>where does the rod point?</strong></p>
  <div class="mt-2"><Looks {busy} {answer} /></div>
{:else}
  <p class="mt-3 text-lg">
    {sight.test.method === 'turn'
      ? 'Turn the rod slowly until the golfer calls it straight; read how far its end lies beside the line.'
      : 'The rod lies on the line. Read how far beside the line the golfer points.'}
  </p>
  <div class="mt-3 grid items-start gap-x-5 gap-y-3 md:grid-cols-3">
    <LengthEntry of="beside_m" value={beside} onvalue={(it) => (beside = it)} />
    <LengthEntry of="beside_seen_m" value={seen} onvalue={(it) => (seen = it)} />
    {#if sight.test.method === 'turn'}<Choice label="It was turned" options={SIDES} bind:value={from} />{/if}
  </div>
  <button class="button primary mt-3 min-h-14 w-full text-lg" disabled={busy} onclick={read}>Record it</button>
{/if}
{#if error}<div class="mt-3"><Trouble {error} /></div>{/if}
{#if valid.length}
  {@const last = valid.at(-1)!}
  <details class="mt-2">
    <summary class="min-h-11 cursor-pointer py-2 font-semibold"
      >Answer {valid.length} counts less…
      <span class="font-normal text-faded">{last.flags.map((it) => named('flag', it)).join(', ')}</span></summary
    >
    <Flags label="The last answer was" flags={last.flags} change={(flags) => flagging.mutate({ id: last.id, flags })} />
  </details>
{/if}
<div class="mt-4 flex flex-wrap gap-3">
  <button class="button" disabled={undoing.isPending || !valid.length} onclick={undo}
    >Undo last <kbd class="key">U</kbd></button
  >
  {#if sight.next}<button class="button" onclick={() => (turned = true)}>Turn to the golfer</button>{/if}
  <a class="button" href="/question/{sight.test.lesson_id}" target="_blank" rel="noopener">Golfer’s own screen</a>
  <button
    class="button ml-auto"
    disabled={busy}
    onclick={() => {
      // Told at once: this view goes with the test.
      left(sight.test.id)
      leaving.mutate(undefined)
    }}>Leave it: nothing is kept of it</button
  >
  <button class="button" disabled={busy || valid.length < sight.fewest} onclick={() => showing.mutate(undefined)}>
    {valid.length < sight.fewest ? `${sight.fewest - valid.length} more before it is shown` : 'Show what they say'}
  </button>
</div>
{#if moved}<div class="mt-4 border-t border-hairline pt-3"><FeltThere test={sight.test} /></div>{/if}
<p class="mt-2 text-sm text-faded">
  Earlier answers stay hidden, so that nobody leans on them. The longer you ask, the surer it gets.
</p>

{#if turned}
  <!-- For the golfer's eyes: the question, and nothing else. -->
  <div class="fixed inset-0 z-40 flex flex-col justify-between bg-paper p-8" data-golfer>
    <p class="wide text-center text-4xl">Where does the rod point?</p>
    <Looks {busy} {answer} />
    <button class="button plain mx-auto" onclick={() => (turned = false)}>Back to the coach</button>
  </div>
{/if}

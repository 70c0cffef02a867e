<!--
  A test while it is asked: where to lay the rod, and the golfer's answer by one tap or key. What was answered before, and what
  it says so far, stays hidden.
-->
<script lang="ts">
  import { v7 } from 'uuid'
  import { stamp } from '$lib/data/clock'
  import { api, ask, type Shapes } from '$lib/data/client'
  import Stage from '$lib/drawing/Stage.svelte'
  import Choice from '$lib/base/Choice.svelte'
  import { keys } from '$lib/base/keys.svelte'
  import LengthEntry from '$lib/base/LengthEntry.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import FeltThere from './FeltThere.svelte'
  import { settings } from '$lib/base/settings.svelte'

  interface Props {
    sight: Shapes['SightOut']
    changed: (sight: Shapes['SightOut']) => void
  }
  let { sight, changed }: Props = $props()

  const LOOKS = [
    { looks: 'left', words: '◂ Left', key: '1', arrow: 'ArrowLeft' },
    { looks: 'straight', words: 'Straight', key: '2', arrow: 'ArrowDown' },
    { looks: 'right', words: 'Right ▸', key: '3', arrow: 'ArrowRight' },
  ] as const
  const SIDES = [
    { value: 'left', words: '◂ From the left' },
    { value: 'right', words: 'From the right ▸' },
  ]
  let error = $state<unknown>(null)
  let busy = $state(false)
  let turned = $state(false)
  let beside = $state(0)
  let seen = $state(0.005)
  let from = $state('left')
  const moved = $derived(Object.keys(sight.test.position).length > 0)
  const valid = $derived(sight.trials.filter((it) => !it.voided))
  const units = $derived({ units: settings.units })

  async function say(asked: () => Promise<Shapes['SightOut']>): Promise<void> {
    if (busy) return
    busy = true
    error = null
    try {
      changed(await asked())
    } catch (problem) {
      error = problem
    }
    busy = false
  }
  const keep = (raw: Record<string, string | number>) =>
    say(() =>
      ask(
        api.PUT('/api/sight-trials/{id}', {
          params: { path: { id: v7() }, query: units },
          body: { test_id: sight.test.id, raw, taken_at: stamp() },
        }),
      ),
    )
  const answer = (looks: string) => sight.next && keep({ true_deg: sight.next.true_deg, looks })
  async function read(): Promise<void> {
    await keep(sight.test.method === 'turn' ? { beside_m: beside, seen_m: seen, from_side: from } : { beside_m: beside, seen_m: seen })
    if (!error) {
      beside = 0
      from = from === 'left' ? 'right' : 'left'
    }
  }
  function undo(): void {
    const last = valid.at(-1)
    if (last) void say(() => ask(api.PUT('/api/sight-trials/{id}/voided', { params: { path: { id: last.id }, query: units }, body: { voided: true } })))
  }
  const show = () => say(() => ask(api.PUT('/api/sight-tests/{id}/shown', { params: { path: { id: sight.test.id }, query: units } })))

  $effect(() =>
    keys.add('Asking', () => [
      ...(sight.next
        ? LOOKS.flatMap((it) => [it.key, it.arrow].map((key) => ({ key, words: `It looks ${it.looks}`, run: () => void answer(it.looks) })))
        : []),
      { key: 'u', words: 'Undo the last answer', run: undo },
    ]),
  )
</script>

{#snippet answers()}
  <div class="grid grid-cols-3 gap-3" role="group" aria-label="It looks">
    {#each LOOKS as it (it.looks)}
      <button class="button min-h-24 flex-col text-2xl" disabled={busy} aria-keyshortcuts={it.key} onclick={() => answer(it.looks)}>
        <span class="wide">{it.words}</span><kbd class="key hidden sm:inline">{it.key}</kbd>
      </button>
    {/each}
  </div>
{/snippet}

<div class="flex items-baseline justify-between gap-3 border-b-2 border-ink pb-1">
  <h2 class="wide text-xl" data-asked>Answer {valid.length + 1}</h2>
  <p class="text-faded">{sight.under}</p>
</div>
{#if sight.next}
  <p class="mt-3 text-lg" data-lay>
    Lay the rod <strong>{sight.lay}</strong>{#if sight.test.toward === 'start'}<span class="block text-[15px] text-faded">The line is {sight.line}.</span>{/if}
  </p>
  <div class="relative mt-2 h-56 border-y border-hairline">{#if sight.stage}<Stage scene={sight.stage} stretch="true" />{/if}</div>
  <p class="mt-3 text-lg">The golfer, over the ball: <strong>where does the rod point?</strong></p>
  <div class="mt-2">{@render answers()}</div>
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
<div class="mt-4 flex flex-wrap gap-3">
  <button class="button" disabled={busy || !valid.length} onclick={undo}>Undo last <kbd class="key">U</kbd></button>
  {#if sight.next}<button class="button" onclick={() => (turned = true)}>Turn to the golfer</button>{/if}
  <a class="button" href="/question/{sight.test.lesson_id}" target="_blank" rel="noopener">Golfer’s own screen</a>
  <button class="button ml-auto" disabled={busy || valid.length < sight.fewest} onclick={show}>
    {valid.length < sight.fewest ? `${sight.fewest - valid.length} more before it is shown` : 'Show what they say'}
  </button>
</div>
{#if moved}<div class="mt-4 border-t border-hairline pt-3"><FeltThere test={sight.test} {changed} /></div>{/if}
<p class="mt-2 text-sm text-faded">Earlier answers stay hidden, so that nobody leans on them. The longer you ask, the surer it gets.</p>

{#if turned}
  <!-- For the golfer's eyes: the question, and nothing else. -->
  <div class="fixed inset-0 z-40 flex flex-col justify-between bg-paper p-8" data-golfer>
    <p class="wide text-center text-4xl">Where does the rod point?</p>
    {@render answers()}
    <button class="button plain mx-auto" onclick={() => (turned = false)}>Back to the coach</button>
  </div>
{/if}

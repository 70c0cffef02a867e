<!-- The check for every day, in under two minutes: eyes, one square check, five directions, against the card gone by. -->
<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query'
  import { v7 } from 'uuid'
  import { stamp } from '$lib/data/clock'
  import { api, ask, refusal, type Shapes } from '$lib/data/client'
  import { Latest } from '$lib/data/latest.svelte'
  import { putAnswer } from '$lib/data/queries.svelte'
  import MirrorTap from '$lib/drawing/MirrorTap.svelte'
  import { keys } from '$lib/base/keys.svelte'
  import LengthEntry from '$lib/base/LengthEntry.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { moment } from '$lib/base/dates'
  import { placeWords, type Place } from './place'
  import { settings } from '$lib/base/settings.svelte'

  interface Props {
    lessonId: string
    golfer: Shapes['GolferBrief']
  }
  let { lessonId, golfer }: Props = $props()

  const client = useQueryClient()
  const units = $derived({ units: settings.units })
  const cards = createQuery(() => ({
    queryKey: ['cards', golfer.id, settings.units],
    queryFn: () => ask(api.GET('/api/golfers/{id}/set-up-cards', { params: { path: { id: golfer.id }, query: units } })),
  }))
  const key = $derived(['quick-checks', lessonId, settings.units])
  const checks = createQuery(() => ({
    queryKey: key,
    queryFn: () => ask(api.GET('/api/lessons/{id}/quick-checks', { params: { path: { id: lessonId }, query: units } })),
  }))
  const eyes = createQuery(() => ({
    queryKey: ['eyes', lessonId, settings.units],
    queryFn: () => ask(api.GET('/api/lessons/{id}/eyes', { params: { path: { id: lessonId }, query: units } })),
  }))
  let checkId = $state('')
  let startedAt = $state('')
  let lead = $state<Place | null>(null)
  let trail = $state<Place | null>(null)
  let gap = $state(0)
  let squared = $state(false)
  let answers = $state<('left' | 'straight' | 'right')[]>([])

  const card = $derived(cards.data?.[0])
  const now = $derived(checks.data?.find((it) => it.id === checkId))
  const step = $derived(!checkId ? 'none' : !(lead && trail) ? 'eyes' : !squared ? 'square' : answers.length < 5 ? 'directions' : 'done')
  const wanted = $derived(step === 'eyes' ? (lead ? 'Trail eye' : 'Lead eye') : null)
  const angle = $derived(now?.angles[answers.length])
  const LOOKS = [
    { looks: 'left', words: '◂ Left', key: '1', arrow: 'ArrowLeft' },
    { looks: 'straight', words: 'Straight', key: '2', arrow: 'ArrowDown' },
    { looks: 'right', words: 'Right ▸', key: '3', arrow: 'ArrowRight' },
  ] as const

  // Every step says all of it, one after another: a quick thumb is never ahead of what is kept.
  const saving = new Latest<Shapes['QuickCheckIn']>(async (body) => {
    const found = await ask(api.PUT('/api/quick-checks/{id}', { params: { path: { id: checkId }, query: units }, body }))
    await putAnswer<Shapes['QuickCheckOut'][]>(client, key, (before) => [found, ...(before ?? []).filter((it) => it.id !== found.id)])
  })
  const error = $derived(saving.error)
  async function keep(): Promise<void> {
    if (!card) return
    await saving.set({ lesson_id: lessonId, card_id: card.id, lead, trail, eye_height_m: 1.45, square_m: squared ? gap : null, answers, taken_at: startedAt })
  }
  async function begin(): Promise<void> {
    checkId = v7()
    startedAt = stamp()
    lead = trail = null
    squared = false
    gap = 0
    answers = []
    await keep()
    if (saving.error) checkId = ''
  }
  async function mark(at: Place): Promise<void> {
    if (!lead) {
      lead = at
      return
    }
    trail = at
    await keep()
    if (saving.error) lead = trail = null
  }
  async function square(): Promise<void> {
    squared = true
    await keep()
    if (saving.error) squared = false
  }
  function answer(looks: 'left' | 'straight' | 'right'): void {
    if (angle === undefined || step !== 'directions') return
    answers = [...answers, looks]
    void keep()
  }
  function undo(): void {
    if (answers.length) answers = answers.slice(0, -1)
    else if (squared) squared = false
    else lead = trail = null
    void keep()
  }
  $effect(() =>
    keys.add('Quick check', () =>
      step === 'none'
        ? []
        : [
            ...(step === 'directions'
              ? LOOKS.flatMap((it) => [it.key, it.arrow].map((key) => ({ key, words: `It looks ${it.looks}`, run: () => answer(it.looks) })))
              : []),
            { key: 'u', words: 'Undo the last step', run: undo },
          ],
    ),
  )
</script>

{#if cards.error}<Trouble error={cards.error} again={() => cards.refetch()} />{/if}
{#if cards.data && !card}
  <p class="text-lg">A quick check is held against a set-up card, and {golfer.name} has none yet. Keep one under “What moves it”.</p>
{:else if card}
  <div class="flex flex-wrap items-end justify-between gap-3 border-b-2 border-ink pb-2">
    <div>
      <h1 class="wide text-xl">As on the card?</h1>
      <p class="text-faded">Against the card of {moment(card.kept_at)}: {card.change}.</p>
    </div>
    {#if step === 'none' || step === 'done'}<button class="button primary min-h-14 px-6 text-lg" onclick={begin}>Begin the check</button>{/if}
  </div>
  {#if error}<div class="mt-3"><Trouble {error} /></div>{/if}
  {#if step !== 'none' && step !== 'done'}
    <p class="mt-3 text-faded" data-step>Step {step === 'eyes' ? 1 : step === 'square' ? 2 : 3} of 3</p>
  {/if}
  {#if step === 'eyes' && eyes.data}
    <p class="text-lg"><strong>{wanted}:</strong> on a level mirror, the other eye shut; tap where it shows.</p>
    <MirrorTap
      scene={eyes.data.mirror} hand={golfer.hand} {wanted} said={placeWords} {mark}
      marks={[
        { name: 'Lead eye', at: lead },
        { name: 'Trail eye', at: trail },
      ]}
    />
  {:else if step === 'square'}
    <p class="text-lg">Set the putter down on the line as usual, then slide the square reference up. <strong>Which end gaps, and how far?</strong></p>
    <div class="mt-3 grid max-w-xl items-end gap-3 sm:grid-cols-2">
      <LengthEntry of="square_m" value={gap} error={error ? refusal(error).about('square_m') : undefined} onvalue={(it) => (gap = it)} />
      <button class="button primary min-h-14 text-lg" onclick={square}>{gap === 0 ? 'No gap: square' : 'Record it'}</button>
    </div>
  {:else if step === 'directions' && angle !== undefined}
    <p class="text-lg" data-lay>
      {answers.length + 1} of 5. Lay the rod <strong>{angle === 0 ? 'on the line' : `${angle < 0 ? -angle : angle}° ${angle < 0 ? 'left' : 'right'} of it`}</strong>. The golfer: where does it point?
    </p>
    <div class="mt-3 grid grid-cols-3 gap-3" role="group" aria-label="It looks">
      {#each LOOKS as it (it.looks)}
        <button class="button min-h-24 flex-col text-2xl" aria-keyshortcuts={it.key} onclick={() => answer(it.looks)}>
          <span class="wide">{it.words}</span><kbd class="key hidden sm:inline">{it.key}</kbd>
        </button>
      {/each}
    </div>
  {/if}
  {#if step !== 'none' && step !== 'done'}
    <button class="button mt-3" disabled={!lead} onclick={undo}>Undo last <kbd class="key">U</kbd></button>
  {/if}
  {#each checks.data?.filter((it) => it.id !== checkId || step === 'done') ?? [] as it (it.id)}
    <article class="mt-5 border-t border-hairline pt-3" data-check>
      <p class="text-faded">{moment(it.taken_at)}</p>
      <h2 class="wide text-xl" data-alert>{it.alert}</h2>
      {#each it.drifts as drift (drift.what)}
        <p class="mt-1 {drift.drifted ? 'font-semibold' : ''}"><span class="text-faded">{drift.what}:</span> {drift.words}</p>
      {/each}
    </article>
  {/each}
{/if}

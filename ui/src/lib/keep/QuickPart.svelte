<!-- The check for every day, in under two minutes: eyes, one square check, five directions, against the card gone by. -->
<script lang="ts">
  import { formOf } from '$lib/base/form'
  import { v7 } from 'uuid'
  import { stamp } from '$lib/data/clock'
  import { about, type Shapes } from '$lib/data/client'
  import { cardsQuery } from '$lib/data/queries.svelte'
  import { createWrite } from '$lib/data/write.svelte'
  import MirrorTap from '$lib/drawing/MirrorTap.svelte'
  import { keys } from '$lib/base/keys.svelte'
  import LengthEntry from '$lib/base/LengthEntry.svelte'
  import PercentEntry from '$lib/base/PercentEntry.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { moment } from '$lib/base/dates'
  import Looks from '$lib/see/Looks.svelte'
  import { answerKeys, type Look } from '$lib/see/looks'
  import { placeWords, type Place } from '$lib/see/place'
  import { eyesQuery } from '$lib/see/queries.svelte'
  import { checksQuery } from './queries.svelte'
  import { DIRECTIONS, QuickCheck } from './quick.svelte'
  import { keepCheck } from './writes'

  formOf('small')

  interface Props {
    lessonId: string
    golfer: Shapes['GolferBrief']
  }
  let { lessonId, golfer }: Props = $props()

  const cards = cardsQuery(() => golfer.id)
  const checks = checksQuery(() => lessonId)
  const eyes = eyesQuery(() => lessonId)
  const check = new QuickCheck()
  const card = $derived(cards.data?.[0])
  const now = $derived(checks.data?.find((it) => it.id === check.id))
  const step = $derived(check.step)
  const angle = $derived(now?.angles[check.answers.length])

  const keeping = createWrite((card: string) => keepCheck(check.id, check.told(lessonId, card)))
  const error = $derived(keeping.error)
  /** Keep it as it stands; where the server refuses that, the step is taken back. */
  function keep(back?: () => void): void {
    if (card) keeping.mutate(card.id, back ? { onError: back } : {})
  }
  function begin(): void {
    if (!eyes.data) return
    const { eye_height_m, falls_in_percent, falls_back_percent, level_doubt_percent } = eyes.data.sizes
    check.begin(v7(), stamp(), { eye_height_m, falls_in_percent, falls_back_percent, level_doubt_percent })
    keep(() => (check.id = ''))
  }
  function mark(at: Place): void {
    if (check.mark(at)) keep(() => check.unmark())
  }
  function square(): void {
    check.squared = true
    keep(() => (check.squared = false))
  }
  function answer(look: Look): void {
    if (angle === undefined || step !== 'directions') return
    check.answer(look)
    keep()
  }
  function undo(): void {
    check.undo()
    keep()
  }
  $effect(() =>
    keys.add('Quick check', () =>
      step === 'none'
        ? []
        : [...(step === 'directions' ? answerKeys(answer) : []), { key: 'u', words: 'Undo the last step', run: undo }]
    )
  )
</script>

{#if cards.error}<Trouble error={cards.error} again={() => cards.refetch()} />{/if}
{#if cards.data && !card}
  <p class="text-lg">
    A quick check is held against a set-up card, and {golfer.name} has none yet. Keep one under “What moves it”.
  </p>
{:else if card}
  <div class="flex flex-wrap items-end justify-between gap-3 border-b-2 border-ink pb-2">
    <div>
      <h1 class="wide text-xl">As on the card?</h1>
      <p class="text-faded">Against the card of {moment(card.kept_at)}: {card.change}.</p>
    </div>
    {#if step === 'none' || step === 'done'}<button
        class="button primary min-h-14 px-6 text-lg"
        disabled={!eyes.data}
        onclick={begin}>Begin the check</button
      >{/if}
  </div>
  {#if error}<div class="mt-3"><Trouble {error} /></div>{/if}
  {#if step !== 'none' && step !== 'done'}
    <p class="mt-3 text-faded" data-step>Step {step === 'eyes' ? 1 : step === 'square' ? 2 : 3} of 3</p>
  {/if}
  {#if step === 'eyes' && eyes.data}
    <p class="text-lg"><strong>{check.wanted}:</strong> on the mirror, the other eye shut; tap where it shows.</p>
    <MirrorTap
      scene={eyes.data.mirror}
      hand={golfer.hand}
      wanted={check.wanted}
      said={placeWords}
      {mark}
      marks={[
        { name: 'Lead eye', at: check.lead },
        { name: 'Trail eye', at: check.trail }
      ]}
    />
    <div class="mt-3 grid grid-cols-3 items-start gap-x-5" data-mirror-sizes>
      <PercentEntry
        label="Mirror falls to the golfer"
        value={check.sizes.falls_in_percent}
        error={about(error, 'falls_in_percent')}
        onvalue={(it) => (check.sizes.falls_in_percent = it)}
      />
      <PercentEntry
        label="Falls away from the hole"
        value={check.sizes.falls_back_percent}
        error={about(error, 'falls_back_percent')}
        onvalue={(it) => (check.sizes.falls_back_percent = it)}
      />
      <LengthEntry
        of="eye_height_m"
        value={check.sizes.eye_height_m}
        error={about(error, 'eye_height_m')}
        onvalue={(it) => (check.sizes.eye_height_m = it)}
      />
    </div>
  {:else if step === 'square'}
    <p class="text-lg">
      Set the putter down on the line as usual, then slide the square reference up. <strong
        >Which end gaps, and how far?</strong
      >
    </p>
    <div class="mt-3 grid max-w-xl items-end gap-3 sm:grid-cols-2">
      <LengthEntry
        of="square_m"
        value={check.gap_m}
        error={about(error, 'square_m')}
        onvalue={(it) => (check.gap_m = it)}
      />
      <button class="button primary min-h-14 text-lg" onclick={square}
        >{check.gap_m === 0 ? 'No gap: square' : 'Record it'}</button
      >
    </div>
  {:else if step === 'directions' && angle !== undefined}
    <p class="text-lg" data-lay>
      {check.answers.length + 1} of {DIRECTIONS}. Lay the rod
      <strong
        >{angle === 0 ? 'on the line' : `${angle < 0 ? -angle : angle}° ${angle < 0 ? 'left' : 'right'} of it`}</strong
      >. The golfer: where does it point?
    </p>
    <div class="mt-3"><Looks {answer} /></div>
  {/if}
  {#if step !== 'none' && step !== 'done'}
    <button class="button mt-3" disabled={!check.lead} onclick={undo}>Undo last <kbd class="key">U</kbd></button>
  {/if}
  {#each checks.data?.filter((it) => it.id !== check.id || step === 'done') ?? [] as it (it.id)}
    <article class="mt-5 border-t border-hairline pt-3" data-check>
      <p class="text-faded">{moment(it.taken_at)}</p>
      <h2 class="wide text-xl" data-alert>{it.alert}</h2>
      {#each it.drifts as drift (drift.what)}
        <p class="mt-1 {drift.drifted ? 'font-semibold' : ''}">
          <span class="text-faded">{drift.what}:</span>
          {drift.words}
        </p>
      {/each}
    </article>
  {/each}
{/if}

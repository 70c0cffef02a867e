<!-- Add a golfer, or change what is noted of one. -->
<script lang="ts">
  import { untrack } from 'svelte'
  import { v7 } from 'uuid'
  import { about, type Shapes } from '$lib/data/client'
  import { key } from '$lib/data/key'
  import { levelsQuery } from '$lib/data/queries.svelte'
  import { createSeen, type Seen } from '$lib/data/seen.svelte'
  import { choices } from '$lib/data/vocabulary.svelte'
  import { createWrite } from '$lib/data/write.svelte'
  import Choice from '$lib/base/Choice.svelte'
  import { Draft } from '$lib/base/draft.svelte'
  import LengthEntry from '$lib/base/LengthEntry.svelte'
  import Several from '$lib/base/Several.svelte'
  import Cautions from '$lib/keep/Cautions.svelte'
  import Sheet from '$lib/base/Sheet.svelte'
  import { stepsAre } from '$lib/base/stride.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { missesTapped } from '$lib/change/complaint'
  import { NOBODY, notedOf, type Noted } from './noted'
  import UsualLengths from './UsualLengths.svelte'
  import { noteGolfer } from './writes'

  interface Props {
    open: boolean
    golfer?: Shapes['GolferOut']
    kept?: (golfer: Shapes['GolferOut']) => void
    /** Somebody new can go straight on to a lesson. */
    teach?: (golfer: Shapes['GolferOut']) => void
  }
  let { open = $bindable(), golfer, kept, teach }: Props = $props()

  const levels = levelsQuery()
  const MISSES = choices<Noted['usual_misses'][number]>('miss')
  const LIMITS = choices<Noted['limits'][number]>('limit')
  const WORDINGS = choices<Noted['wording']>('wording')
  const WORN = choices<Noted['glasses']>('worn')
  const HANDS = choices<Shapes['GolferIn']['hand']>('hand')
  /** Somebody new, half noted: there again after a reload. */
  const begun = new Draft<Noted>('golfer', NOBODY)
  let draft = $state<Noted>(NOBODY())
  /** Another hand: lessons had with the first one keep it, unless that is said otherwise. */
  const FROM = choices<NonNullable<Shapes['GolferIn']['hand_from']>>('hand_from')
  const otherHand = $derived(Boolean(golfer) && draft.hand !== golfer?.hand)
  let handFrom = $state<NonNullable<Shapes['GolferIn']['hand_from']> | null>(null)
  const noting = createWrite(
    (id: string) =>
      noteGolfer(id, { ...$state.snapshot(draft), seen: seen.now, hand_from: otherHand ? handFrom : null }),
    (noted) => {
      // Nobody is taken elsewhere who closed the sheet while it waited for the network.
      if (!open) return
      open = false
      if (!golfer) begun.clear()
      if (teaching) teach?.(noted)
      else kept?.(noted)
    }
  )
  const error = $derived(noting.error)
  const seen: Seen<Noted> = createSeen(
    () => (golfer ? notedOf(golfer) : null),
    () => noting.error,
    () => key.golfer(golfer?.id ?? '')
  )

  stepsAre({
    get metres() {
      return draft.step_m
    },
    whose: 'the golfer’s',
    keep: (metres) => (draft.step_m = metres)
  })

  $effect(() => {
    if (!open) return
    untrack(() => noting.reset())
    untrack(() => {
      draft = golfer ? notedOf(golfer) : begun.value
      handFrom = null
      seen.begin()
    })
  })

  /** Which of the two buttons it was kept by. */
  let teaching = false
  function keep(event: SubmitEvent): void {
    event.preventDefault()
    teaching = (event.submitter as HTMLButtonElement | null)?.value === 'teach'
    noting.mutate(golfer?.id ?? v7())
  }
</script>

<Sheet bind:open title={golfer ? 'What is noted' : 'New golfer'}>
  <form onsubmit={keep} class="grid gap-4">
    <label class="block">
      <span class="label">Name</span>
      <input class="entry" bind:value={draft.name} maxlength="80" required autocomplete="off" />
    </label>
    <Choice label="Hand" options={HANDS} bind:value={draft.hand} />
    {#if otherHand}<Choice
        label="From when is it in use?"
        options={FROM}
        bind:value={() => handFrom ?? ('' as 'next'), (it) => (handFrom = it)}
      />{/if}
    <Choice
      label="Level (sizes a rig before anything is measured)"
      options={(levels.data ?? []).map((it) => ({ value: it.level, words: it.name }))}
      bind:value={draft.level}
    />
    <label class="block">
      <span class="label">Notes</span>
      <textarea class="entry" rows="3" maxlength="4000" bind:value={draft.notes}></textarea>
    </label>
    {#if golfer}
      <div>
        {#if draft.step_m === null}
          <button class="button" type="button" onclick={() => (draft.step_m = 0.75)}>Note the golfer’s step…</button>
        {:else}
          <LengthEntry
            of="step_m"
            value={draft.step_m}
            error={about(error, 'step_m')}
            onvalue={(m) => (draft.step_m = m)}
          />
          <button class="button plain" type="button" onclick={() => (draft.step_m = null)}>Take the step out</button>
        {/if}
      </div>
      <Several
        label="Usual miss"
        shown
        options={MISSES}
        values={draft.usual_misses}
        change={(it) => (draft.usual_misses = missesTapped(draft.usual_misses, it))}
      />
      <Several
        label="Spared, where it hurts or gives way"
        shown
        options={LIMITS}
        values={draft.limits}
        change={(it) => (draft.limits = it)}
      />
      <Choice label="Worn while putting" options={WORN} bind:value={draft.glasses} />
      <Choice label="How it is put to them: screen, wall, paper" options={WORDINGS} bind:value={draft.wording} />
      <UsualLengths usual={golfer.usual_lengths} bind:lengths={draft.usual_lengths} {error} />
    {/if}
    {#if error}<Trouble {error} />{/if}
    <!-- Not before the levels have come: they would push it away under the finger. -->
    <div class="grid gap-2 sm:grid-cols-2">
      <button
        class="button primary min-h-14 text-lg {golfer || !teach ? 'sm:col-span-2' : ''}"
        disabled={noting.isPending || levels.isPending || (otherHand && !handFrom)}
        >{golfer ? 'Keep changes' : 'Add golfer'}</button
      >
      {#if !golfer && teach}<button
          class="button min-h-14 text-lg"
          value="teach"
          disabled={noting.isPending || levels.isPending}>Add, and start a lesson</button
        >{/if}
    </div>
  </form>
  {#if golfer}<div class="mt-3"><Cautions at="golfer" golfer={golfer.id} /></div>{/if}
</Sheet>

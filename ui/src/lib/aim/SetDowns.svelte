<!-- A series while it is read: the picture to tap, or an angle to record; step away after each. -->
<script lang="ts">
  import { typedNumber } from '$lib/base/number'
  import { named } from '$lib/data/vocabulary.svelte'
  import { stamp } from '$lib/data/clock'
  import type { Shapes } from '$lib/data/client'
  import { outbox } from '$lib/data/outbox.svelte'
  import { tryQuery } from '$lib/data/queries.svelte'
  import { entry, stepped } from '$lib/data/vocabulary.svelte'
  import { createWrite } from '$lib/data/write.svelte'
  import Vial from '$lib/drawing/Vial.svelte'
  import type { Zone } from '$lib/drawing/zones'
  import { keys } from '$lib/base/keys.svelte'
  import Flags from '$lib/base/Flags.svelte'
  import Stepper from '$lib/base/Stepper.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { ENTRIES } from '$lib/instruments'
  import PutRight from '$lib/set/PutRight.svelte'
  import { flagSetDown, isSetDown, keepSetDown, setDownThing, undoSetDown } from './writes'

  interface Props {
    lessonId: string
    sheet: Shapes['AimSheetOut']
    name: string
    leave: () => void
    /** The comparison whose turn this series has. */
    turn: Shapes['AimTurnsOut'] | undefined
  }
  let { lessonId, sheet, name, leave, turn }: Props = $props()

  const kind = $derived(sheet.series.kind)
  const picture = tryQuery(
    () => kind,
    () => sheet.series.sizes
  )
  const Entry = $derived(picture.data ? ENTRIES[picture.data.entry] : undefined)
  let angle = $state(0)
  let seen = $state(0.5)
  const valid = $derived(sheet.set_downs.filter((it) => !it.voided))
  /** Set-downs on their way: they count at once, a quick thumb is never lost. */
  const waiting = $derived(outbox.of(setDownThing(sheet.series.id)).filter(isSetDown).length)

  const next = $derived(valid.length + waiting + 1)

  const keeping = createWrite((raw: Record<string, number | string>) =>
    keepSetDown(lessonId, { series_id: sheet.series.id, raw, taken_at: stamp() })
  )
  const undoing = createWrite((last: string) => undoSetDown(lessonId, sheet.series.id, last))
  const flagging = createWrite((it: { id: string; flags: string[] }) =>
    flagSetDown(lessonId, sheet.series.id, it.id, it.flags)
  )
  const error = $derived(keeping.error ?? undoing.error ?? flagging.error)
  const keep = (raw: Record<string, number | string>) => keeping.mutate(raw)
  function undo(): void {
    const last = valid.at(-1)
    if (last && !waiting) undoing.mutate(last.id)
  }
  let righting = $state(false)
  $effect(() => keys.add('Aim', () => [{ key: 'u', words: 'Undo the last set-down', run: undo }]))
</script>

<div class="flex flex-wrap items-baseline justify-between gap-3 border-b-2 border-ink pb-1">
  <h1 class="wide text-xl" data-set-count>
    Set-down {next}{next > sheet.series.planned
      ? `, ${sheet.series.planned} were planned`
      : ` of ${sheet.series.planned}`}
  </h1>
  <p class="text-faded">
    {name} · {named('cue', sheet.series.cue)}{sheet.series.aided ? ', aid in view' : ', no aid in view'}
  </p>
</div>
{#if turn}
  <p
    class="mt-2 flex flex-wrap items-center justify-center gap-x-3 border-2 border-ink px-3 py-1 text-center"
    data-turn
    aria-live="polite"
  >
    <span class="wide text-xl">Now: {turn.names[turn.series.indexOf(sheet.series.id)]}</span>
    <span>{turn.turn_words}</span>
  </p>
{/if}
<p class="mt-2 text-lg">
  {valid.length
    ? 'The golfer steps away, comes back and sets the putter down again.'
    : 'The golfer sets the putter down.'}
</p>
<div class="mt-3 grid gap-x-8 gap-y-4 md:grid-cols-[minmax(0,1.4fr)_minmax(0,1fr)]">
  <div>
    {#if kind === null}
      <div class="grid items-end gap-3 sm:grid-cols-2">
        <Stepper
          label={entry('aim_deg').label}
          unit="°"
          hint={entry('aim_deg').hint}
          text={String(angle)}
          read={typedNumber}
          step={(by) => (angle = stepped('aim_deg', angle, by))}
          onvalue={(it) => (angle = it)}
        />
        <Stepper
          label={entry('aim_seen_deg').label}
          unit="°"
          hint="How finely it is really seen."
          text={String(seen)}
          read={typedNumber}
          step={(by) => (seen = stepped('aim_seen_deg', seen, by))}
          onvalue={(it) => (seen = it)}
        />
      </div>
      <button
        class="button primary mt-3 min-h-14 w-full text-lg"
        onclick={() => keep({ angle_deg: angle, seen_deg: seen })}>Record it</button
      >
    {:else if picture.error}
      <Trouble error={picture.error} again={() => picture.refetch()} />
    {:else if Entry && picture.data}
      <div class="relative h-72">
        <div class="absolute inset-0">
          <Entry entry={picture.data} closed={false} record={(zone: Zone) => keep(zone.raw)} />
        </div>
      </div>
    {/if}
    {#if error}<div class="mt-3"><Trouble {error} /></div>{/if}
    {#if valid.length && !waiting}
      {@const last = valid.at(-1)!}
      <details class="mt-2">
        <summary class="min-h-11 cursor-pointer py-2 font-semibold"
          >Set-down {valid.length} counts less…
          <span class="font-normal text-faded">{last.flags.map((it) => named('flag', it)).join(', ')}</span></summary
        >
        <Flags
          label="The last set-down was"
          flags={last.flags}
          change={(flags) => flagging.mutate({ id: last.id, flags })}
        />
      </details>
    {/if}
    <div class="mt-3 flex flex-wrap gap-3">
      <button class="button" disabled={!valid.length || waiting > 0} onclick={undo}
        >Undo last <kbd class="key">U</kbd></button
      >
      {#if kind !== null && sheet.set_downs.length}<button class="button plain" onclick={() => (righting = true)}
          >A size was entered wrong…</button
        >{/if}
      <button class="button ml-auto" onclick={leave}>{sheet.found.final ? 'Done' : 'Leave it open'}</button>
    </div>
  </div>
  <div aria-live="polite">
    <Vial vial={sheet.found.vial} words={sheet.found.headline} />
    <p class="wide mt-2 text-xl" data-aim-headline>{sheet.found.headline}</p>
    <p>{sheet.found.meaning}</p>
    <p class="text-faded">{sheet.found.doubt}</p>
  </div>
</div>
<PutRight bind:open={righting} {lessonId} of="series" id={sheet.series.id} />

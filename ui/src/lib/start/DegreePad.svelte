<!-- An angle that a display shows: its side with its whole degrees, and its tenth, two taps in either order. What is larger
     is typed as it is read: its figures, then the side. -->
<script lang="ts">
  import type { Shapes } from '$lib/data/client'
  import { keys } from '$lib/base/keys.svelte'
  import { shownFigures } from './size'

  interface Props {
    note: Shapes['NoteOut']
    take: (value: number) => void
  }
  let { note, take }: Props = $props()

  const TENTHS = ['0', '1', '2', '3', '4', '5', '6', '7', '8', '9']
  const DIGITS = [...TENTHS.slice(1), '0']
  /** So many whole degrees have a key on each side. */
  const WHOLE = [0, 1, 2, 3]
  const SIDES = [
    ...WHOLE.toReversed().map((degrees) => ({ side: -1, degrees, words: `◂ ${degrees}` })),
    ...WHOLE.map((degrees) => ({ side: 1, degrees, words: `${degrees} ▸` }))
  ]
  let figures = $state('')
  let larger = $state(false)
  const typing = $derived(larger || figures !== '' || note.step >= 1)
  let whole = $state.raw<(typeof SIDES)[number] | null>(null)
  let tenth = $state<string | null>(null)
  /** Both are told: that is the angle. */
  function pick(of: typeof whole, and: typeof tenth): void {
    const told = of !== null && and !== null
    whole = told ? null : of
    tenth = told ? null : and
    if (told) take(of.side * (of.degrees + Number(and) / 10))
  }
  const angle = $derived(shownFigures(figures, note.step))
  const most = $derived(Math.max(-note.low, note.high))
  const tooFar = $derived(angle.value > most)
  function type(digit: string): void {
    if (figures.length < 4) figures = `${figures}${digit}`.replace(/^0+(?=\d)/, '')
  }
  const back = (): string => (figures = figures.slice(0, -1))
  function done(side: -1 | 0 | 1): void {
    if (tooFar || (side === 0) !== (angle.value === 0)) return
    take(side * angle.value)
  }
  $effect(() =>
    keys.add(note.label, () => [
      ...DIGITS.map((it) => ({ key: it, words: `${note.label}: ${it}`, run: () => type(it) })),
      {
        key: 'Backspace',
        words: `${note.label}: take the last figure back`,
        run: back
      },
      { key: 'ArrowLeft', words: `${note.label}: ${note.low_word}`, run: () => done(-1) },
      { key: 'ArrowRight', words: `${note.label}: ${note.high_word}`, run: () => done(1) },
      { key: 'Enter', words: `${note.label}: nothing to either side`, run: () => done(0) }
    ])
  )
</script>

{#if !typing}
  <div class="grid flex-1 grid-cols-4 gap-1.5 sm:grid-cols-8" role="group" aria-label="{note.label}, whole degrees">
    {#each SIDES as it (it.words)}
      <button
        type="button"
        class="button min-h-11 text-xl {whole === it ? 'border-ink bg-ink text-paper!' : ''}"
        aria-pressed={whole === it}
        aria-label="{it.degrees} {it.side < 0 ? note.low_word : note.high_word}"
        onclick={() => pick(it, tenth)}>{it.words}</button
      >
    {/each}
  </div>
  <div class="grid flex-1 grid-cols-6 gap-1.5 sm:grid-cols-12" role="group" aria-label="{note.label}, tenths">
    {#each TENTHS as it (it)}
      <button
        type="button"
        class="button min-h-11 px-1 text-xl {tenth === it ? 'border-ink bg-ink text-paper!' : ''}"
        aria-pressed={tenth === it}
        aria-label="tenth {it}"
        onclick={() => pick(whole, it)}>.{it}</button
      >
    {/each}
    <button
      type="button"
      class="button min-h-11 px-1 text-lg"
      aria-label="0.0°, to neither side"
      onclick={() => take(0)}>0.0°</button
    >
    <button
      type="button"
      class="button min-h-11 px-1 text-lg"
      aria-label="{WHOLE.length}° or more"
      onclick={() => (larger = true)}>{WHOLE.length}°…</button
    >
  </div>
{:else}
  <div class="grid min-h-0 flex-1 grid-cols-5 gap-1.5" role="group" aria-label={note.label}>
    {#each DIGITS as it (it)}
      <button type="button" class="button min-h-11 text-xl" onclick={() => type(it)}>{it}</button>
    {/each}
  </div>
  <div class="grid grid-cols-[2fr_2fr_1fr_2fr] gap-1.5">
    <button
      type="button"
      class="button min-h-14 text-xl"
      disabled={tooFar || !angle.value}
      aria-label="{angle.words} {note.low_word}"
      onclick={() => done(-1)}>◂ <span class="wide">{note.low_word}</span></button
    >
    <button
      type="button"
      class="button min-h-14 text-2xl {angle.value ? 'text-ink! opacity-100!' : ''}"
      data-figures
      disabled={Boolean(angle.value)}
      aria-label={angle.value ? angle.words : `${angle.words}, to neither side`}
      onclick={() => done(0)}><span class="wide">{angle.words}</span></button
    >
    <button
      type="button"
      class="button min-h-14 text-xl"
      aria-label="Take the last figure back"
      disabled={!figures}
      onclick={back}>⌫</button
    >
    <button
      type="button"
      class="button min-h-14 text-xl"
      disabled={tooFar || !angle.value}
      aria-label="{angle.words} {note.high_word}"
      onclick={() => done(1)}><span class="wide">{note.high_word}</span> ▸</button
    >
  </div>
  {#if tooFar}<p class="text-danger" role="alert">{note.label}: at most {most}°.</p>{/if}
{/if}

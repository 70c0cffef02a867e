<!-- An angle that a display shows, typed as it is read: its figures, then the side. "0.4 right" is two taps. -->
<script lang="ts">
  import type { Shapes } from '$lib/data/client'
  import { keys } from '$lib/base/keys.svelte'
  import { shownFigures } from './size'

  interface Props {
    note: Shapes['NoteOut']
    take: (value: number) => void
  }
  let { note, take }: Props = $props()

  const DIGITS = ['1', '2', '3', '4', '5', '6', '7', '8', '9', '0']
  let figures = $state('')
  const angle = $derived(shownFigures(figures, note.step))
  const most = $derived(Math.max(-note.low, note.high))
  const tooFar = $derived(angle.value > most)
  function type(digit: string): void {
    if (figures.length < 4) figures = `${figures}${digit}`.replace(/^0+(?=\d)/, '')
  }
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
        run: () => (figures = figures.slice(0, -1))
      },
      { key: 'ArrowLeft', words: `${note.label}: ${note.low_word}`, run: () => done(-1) },
      { key: 'ArrowRight', words: `${note.label}: ${note.high_word}`, run: () => done(1) },
      { key: 'Enter', words: `${note.label}: nothing to either side`, run: () => done(0) }
    ])
  )
</script>

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
    onclick={() => (figures = figures.slice(0, -1))}>⌫</button
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

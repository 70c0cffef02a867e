<!-- A size to note of a putt: step it with big keys, arrows or a remote; Enter takes it. -->
<script lang="ts" module>
  /** What was taken last, by block, note and side: the next putt is likely to be near it. */
  const last: Record<string, number> = {}
</script>

<script lang="ts">
  import type { Shapes } from '$lib/data/client'
  import { keys } from '$lib/base/keys.svelte'
  import { sizeWords } from './size'

  interface Props {
    note: Shapes['NoteOut']
    /** Its block: what was taken last for one golfer is not another's. */
    block: string
    skip: () => void
    take: (value: number) => void
  }
  let { note, block, skip, take }: Props = $props()

  // A new note is a new component, so what was taken last is looked up once.
  // svelte-ignore state_referenced_locally
  const like = `${block} ${note.note} ${note.low} ${note.high}`
  let value = $state(last[like] ?? first())
  const words = $derived(sizeWords(note.note, value, note))
  /** In the middle where it may go either way, else a few steps from nothing. */
  function first(): number {
    if (note.low < 0 && note.high > 0) return 0
    return Math.min(note.high, Math.max(note.low, (note.high > 0 ? 6 : -6) * note.step))
  }
  function step(by: number): void {
    value = Math.min(note.high, Math.max(note.low, Math.round((value + by * note.step) * 1e4) / 1e4))
  }
  function done(): void {
    last[like] = value
    take(value)
  }
  $effect(() =>
    keys.add(note.label, () => [
      { key: 'ArrowLeft', words: `${note.label}: less`, run: () => step(-1) },
      { key: 'ArrowRight', words: `${note.label}: more`, run: () => step(1) },
      { key: 'Enter', words: `${note.label}: take ${words}`, run: done },
      { key: 's', words: `Skip it for this putt: ${note.label}`, run: skip }
    ])
  )
</script>

<!-- A size that goes two ways is moved with arrows: less of it would be further short. -->
<div class="flex h-full flex-col gap-2" data-note-step={note.note}>
  <div class="flex items-center justify-between gap-3">
    <p class="text-lg font-semibold">{note.question}</p>
    <button type="button" class="button" onclick={skip}>Skip <kbd class="key">S</kbd></button>
  </div>
  <input
    class="h-14 w-full accent-[var(--ink)]"
    type="range"
    min={note.low}
    max={note.high}
    step={note.step}
    bind:value
    tabindex="-1"
    aria-label="{note.label} on a scale: {note.low_word} at the left, {note.high_word} at the right"
    aria-valuetext={words}
  />
  <div class="grid min-h-0 flex-1 grid-cols-[1fr_2fr_1fr] gap-2" role="group" aria-label={note.label}>
    <button type="button" class="button min-h-14 flex-col text-2xl" aria-label="Less" onclick={() => step(-1)}
      >{#if note.low_word}◂{:else}− <kbd class="key hidden sm:inline">◂</kbd>{/if}</button
    >
    <button type="button" class="button min-h-14 flex-col text-2xl" onclick={done}
      ><span class="wide">{words}</span><kbd class="key hidden sm:inline">Enter</kbd></button
    >
    <button type="button" class="button min-h-14 flex-col text-2xl" aria-label="More" onclick={() => step(1)}
      >{#if note.low_word}▸{:else}+ <kbd class="key hidden sm:inline">▸</kbd>{/if}</button
    >
  </div>
</div>

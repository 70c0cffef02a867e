<!-- A size to note of a putt: one tap where it is a usual one, else step it with big keys, arrows or a remote; Enter takes it. -->
<script lang="ts" module>
  /** What was taken last of a size that goes one way, by block and note: the next putt is likely to be near it. */
  const last: Record<string, number> = {}
</script>

<script lang="ts">
  import type { Shapes } from '$lib/data/client'
  import { keys } from '$lib/base/keys.svelte'
  import DegreePad from './DegreePad.svelte'
  import { sizeWords } from './size'

  interface Props {
    note: Shapes['NoteOut']
    /** Its block: what was taken last for one golfer is not another's. */
    block: string
    skip: () => void
    take: (value: number) => void
  }
  let { note, block, skip, take }: Props = $props()

  /** From a display to one side or the other: typed, not stepped. */
  const isTyped = $derived(note.unit === 'deg' && Boolean(note.low_word))
  // A new note is a new component, so what was taken last is looked up once.
  // svelte-ignore state_referenced_locally
  const like = `${block} ${note.note}`
  let value = $state(first())
  /** To two sides it begins at nothing, or as near to it as is left to tell; to one, where the last was, or a few steps on. */
  function first(): number {
    const near = note.low_word ? 0 : (last[like] ?? 6 * note.step)
    return Math.min(note.high, Math.max(note.low, near))
  }
  function done(told: number): void {
    if (!note.low_word) last[like] = told
    take(told)
  }
  const words = $derived(sizeWords(note.note, value, note))
  /** To the side that is left to tell; where both are, the usual sizes would be of neither. */
  const side = $derived(note.low >= 0 ? 1 : note.high <= 0 ? -1 : 0)
  const usual = $derived(note.usual.map((it) => side * it).filter((it) => it && it >= note.low && it <= note.high))
  function step(by: number): void {
    value = Math.min(note.high, Math.max(note.low, Math.round((value + by * note.step) * 1e8) / 1e8))
  }
  $effect(() =>
    keys.add(note.label, () => [
      ...(isTyped
        ? []
        : [
            { key: 'ArrowLeft', words: `${note.label}: less`, run: () => step(-1) },
            { key: 'ArrowRight', words: `${note.label}: more`, run: () => step(1) },
            { key: 'Enter', words: `${note.label}: take ${words}`, run: () => done(value) }
          ]),
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
  {#if isTyped}
    <DegreePad {note} {take} />
  {:else}
    {#if usual.length}
      <div class="flex gap-1.5" role="group" aria-label="{note.label}, usual sizes">
        {#each usual as it (it)}
          <button type="button" class="button min-h-12 flex-1 px-1" onclick={() => done(it)}
            >{sizeWords(note.note, it, note)}</button
          >
        {/each}
      </div>
    {/if}
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
      <button type="button" class="button min-h-14 flex-col text-2xl" onclick={() => done(value)}
        ><span class="wide">{words}</span><kbd class="key hidden sm:inline">Enter</kbd></button
      >
      <button type="button" class="button min-h-14 flex-col text-2xl" aria-label="More" onclick={() => step(1)}
        >{#if note.low_word}▸{:else}+ <kbd class="key hidden sm:inline">▸</kbd>{/if}</button
      >
    </div>
  {/if}
</div>

<!-- One thing to note of a putt: one tap or one key. -->
<script lang="ts">
  import type { Shapes } from '$lib/data/client'
  import { keys } from '$lib/base/keys.svelte'

  interface Props {
    note: Shapes['NoteOut']
    hand: Shapes['GolferOut']['hand']
    /** Nothing of it can be told now: go on without. */
    skip: () => void
    take: (option: string) => void
  }
  let { note, hand, skip, take }: Props = $props()

  const told = $derived(Object.entries(note.options))
  // Row by row from the near side to the far one: a left-hander stands on the other side of the ball.
  const wide = $derived(note.columns || told.length)
  const options = $derived(
    note.mirrors && hand === 'left' ? told.map((_, n) => told[n + wide - 1 - 2 * (n % wide)] as [string, string]) : told
  )
  /** What of it was at once, where more than one is told: each tap adds or takes away, and one takes them. */
  let several = $state<string[] | null>(null)
  function tap(option: string): void {
    if (several === null || option === note.alone) take(option)
    else several = several.includes(option) ? several.filter((it) => it !== option) : [...several, option]
  }
  function takeAll(): void {
    const all = Object.keys(note.options).filter((it) => several?.includes(it))
    if (all.length) take(all.join('+'))
    several = null
  }
  const mark = (option: string, name: string) =>
    option.endsWith('left') ? `◂ ${name}` : option.endsWith('right') ? `${name} ▸` : name
  $effect(() =>
    keys.add(note.label, () => [
      ...options.map(([option, name], n) => ({
        key: String(n + 1),
        words: `${note.label}: ${name}`,
        run: () => tap(option)
      })),
      ...(note.alone
        ? several
          ? [{ key: 'Enter', words: `${note.label}: take these`, run: takeAll }]
          : [{ key: 'm', words: `${note.label}: more than one`, run: () => (several = []) }]
        : []),
      { key: 's', words: `${note.label}: skip it for this putt`, run: skip }
    ])
  )
</script>

<div class="flex h-full flex-col gap-2" data-note-step={note.note}>
  <div class="flex items-center justify-between gap-3">
    <p class="text-lg font-semibold">{note.question}</p>
    <div class="flex gap-2">
      {#if several}
        <button type="button" class="button primary min-h-14" disabled={!several.length} onclick={takeAll}
          >Take these <kbd class="key">Enter</kbd></button
        >
      {:else if note.alone}
        <button type="button" class="button" onclick={() => (several = [])}
          >More than one <kbd class="key">M</kbd></button
        >
      {/if}
      <button type="button" class="button" onclick={skip}>Skip <kbd class="key">S</kbd></button>
    </div>
  </div>
  <div
    class="grid min-h-0 flex-1 gap-2 {note.columns === 3
      ? 'grid-cols-3 border-2 border-ink p-2'
      : options.length === 3
        ? 'grid-cols-3'
        : 'grid-cols-[repeat(auto-fit,minmax(130px,1fr))]'}"
    role="group"
    aria-label={note.label}
  >
    {#each options as [option, name], n (option)}
      <button
        type="button"
        class="button min-h-14 flex-col px-2 text-lg {several?.includes(option) ? 'border-ink bg-ink text-paper!' : ''}"
        aria-keyshortcuts={String(n + 1)}
        aria-pressed={several ? several.includes(option) : undefined}
        onclick={() => tap(option)}
      >
        <span>{mark(option, name)}</span><kbd class="key hidden sm:inline">{n + 1}</kbd>
      </button>
    {/each}
  </div>
  {#if note.note === 'strike'}<p class="text-center text-sm text-faded">
      As seen from behind the ball: {hand === 'left' ? 'toe at the left, heel' : 'heel at the left, toe'} at the right.
    </p>{/if}
</div>

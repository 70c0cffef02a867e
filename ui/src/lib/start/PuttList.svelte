<!-- The last putts, newest first: undo one, or say why one doesn't count. Fewer where a run would have to scroll. -->
<script lang="ts">
  import type { Shapes } from '$lib/data/client'
  import { named } from '$lib/data/vocabulary.svelte'
  import type { Putt } from './putts.svelte'
  import { sizeWords } from './size'

  interface Props {
    putts: Putt[]
    /** What can be noted there: every putt's notes, and those of what is laid. */
    notes: readonly Shapes['NoteOut'][]
    most: number
    /** A putt is being told that is not kept yet: there is a step to undo. */
    begun?: boolean
    undo: () => void
    askReason: (putt: Putt) => void
    restore: (putt: Putt) => void
  }
  let { putts, notes, most, begun = false, undo, askReason, restore }: Props = $props()

  /** What else was noted of a putt, in words. */
  function noted(putt: Putt): string {
    return Object.entries(putt.notes ?? {})
      .map(([name, it]) => {
        const note = notes.find((one) => one.note === name)
        const label = name === 'felt' ? 'felt' : (note?.label ?? name).toLowerCase()
        if (typeof it === 'number') {
          // A length that may be short or past says which; an angle says its side by itself.
          return `${it && name.endsWith('_m') && note?.low_word ? '' : `${label} `}${sizeWords(name, it, note)}`
        }
        const options = it.split('+').map((one) => note?.options[one] ?? one)
        return `${label} ${options.join(' and ')}`
      })
      .join(' · ')
  }

  const numbered = $derived.by(() => {
    let n = 0
    return putts.map((putt) => ({ putt, n: putt.voided ? null : ++n })).toReversed()
  })
  const last = $derived(putts.findLast((it) => !it.voided))
</script>

<div class="flex items-center justify-between gap-2">
  <h2 class="wide text-lg">Last putts</h2>
  <button class="button" disabled={!last && !begun} onclick={undo}>Undo last <kbd class="key">U</kbd></button>
</div>
<ol class="mt-1" aria-label="Putts, newest first">
  {#each numbered.slice(0, most) as { putt, n } (putt.id)}
    <li
      class="flex items-center gap-2 border-b border-hairline max-desk:nth-[n+4]:hidden"
      class:text-faded={putt.voided}
    >
      <span class="w-6 shrink-0 text-right text-faded">{n ?? '–'}</span>
      <span
        class="shrink-0"
        style:color={putt.side === 'left' ? 'var(--left)' : putt.side === 'right' ? 'var(--right)' : undefined}
        aria-hidden="true">{putt.side === 'left' ? '◂' : putt.side === 'right' ? '▸' : '|'}</span
      >
      <span class="min-w-0 flex-1 truncate" class:font-bold={putt.id === last?.id} class:line-through={putt.voided}
        >{putt.words}{#if putt.flags?.length}<span class="block truncate text-sm font-normal" data-flagged
            >{putt.flags.map((it) => named('flag', it)).join(', ')}</span
          >{/if}{#if Object.keys(putt.notes ?? {}).length}<span class="block truncate text-sm font-normal text-faded"
            >{noted(putt)}</span
          >{/if}</span
      >
      {#if putt.voided}
        <span class="truncate text-sm">{putt.void_reason}</span>
        <button class="button plain" onclick={() => restore(putt)}>Restore</button>
      {:else}
        {#if putt.waiting}<span class="text-sm" title="Kept here, on its way">◌</span>{/if}
        <button
          class="button plain text-sm"
          aria-label="Putt {n}, {putt.words}: doubt it"
          onclick={() => askReason(putt)}>Doubt…</button
        >
      {/if}
    </li>
  {/each}
</ol>

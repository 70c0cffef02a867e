<!-- One thing of a set-up: a size to type or step, a side to tap, or a word; beside it what stood before. -->
<script lang="ts">
  import { typedNumber } from '$lib/base/number'
  import type { Shapes } from '$lib/data/client'
  import Stepper from '$lib/base/Stepper.svelte'
  import { rulerFor, shown, typed, wouldDo } from '$lib/base/length'
  import { settings } from '$lib/base/settings.svelte'
  import { stride } from '$lib/base/stride.svelte'
  import { lengths } from '$lib/data/vocabulary.svelte'

  interface Props {
    entry: Shapes['EntryOut']
    value: number | string | undefined
    before: number | string | undefined
    /** What the server says of the change; empty where there is none. */
    change: string
    error?: string | undefined
    onvalue: (value: number | string) => void
  }
  let { entry, value, before, change, error, onvalue }: Props = $props()

  const steps = stride()
  const options = $derived(Object.entries(entry.options))
  // Every length of a set-up is read to millimetres.
  const ruler = $derived(rulerFor(0, settings.units))
  const text = $derived(typeof value !== 'number' ? '' : entry.unit === 'm' ? shown(value, ruler) : String(value))
  const unit = $derived(entry.unit === 'm' ? ruler.unit : entry.unit === 'deg' ? '°' : '%')
  function read(said: string): number {
    return entry.unit === 'm' ? typed(said, ruler, lengths(), steps.metres ?? NaN) : typedNumber(said)
  }
  function step(by: 1 | -1): void {
    // From what stood before, so that a small change is a few taps.
    const start = typeof value === 'number' ? value : typeof before === 'number' ? before : (entry.low + entry.high) / 2
    const next = typeof value === 'number' ? start + by * entry.step : start
    onvalue(
      Math.min(entry.high, Math.max(entry.low, Math.round(Math.round(next / entry.step) * entry.step * 1e4) / 1e4))
    )
  }
</script>

<div class="min-w-0" data-note={entry.name}>
  {#if entry.unit === 'words'}
    <span class="label block">{entry.label}</span>
  {:else}
    <Stepper
      label={entry.label}
      {unit}
      hint={entry.hint}
      {text}
      {read}
      {step}
      {error}
      {onvalue}
      would={entry.unit === 'm' ? wouldDo(ruler) : undefined}
    />
  {/if}
  {#if options.length}
    <div class="mt-1 flex flex-wrap gap-1.5" role="group" aria-label={entry.label}>
      {#each options as [it, name] (it)}
        <button
          type="button"
          class="button min-h-11 px-3 {value === it ? 'border-ink bg-ink text-paper!' : ''}"
          aria-pressed={value === it}
          aria-label="{entry.label}: {name}"
          onclick={() => onvalue(it)}>{it === 'left' ? `◂ ${name}` : it === 'right' ? `${name} ▸` : name}</button
        >
      {/each}
    </div>
  {/if}
  {#if change}<p class="text-[15px] font-semibold" data-change>{change}</p>{/if}
</div>

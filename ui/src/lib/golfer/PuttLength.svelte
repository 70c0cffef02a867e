<!-- The length of a putt: by the tape, or in the golfer's own steps where those were noted. -->
<script lang="ts">
  import { typedNumber } from '$lib/base/number'
  import { rulerFor, withUnit } from '$lib/base/length'
  import { settings } from '$lib/base/settings.svelte'
  import LengthEntry from '$lib/base/LengthEntry.svelte'
  import Stepper from '$lib/base/Stepper.svelte'
  import { entry } from '$lib/data/vocabulary.svelte'

  interface Props {
    of: string
    label?: string
    value: number
    /** The golfer's step, metres; null where it was not noted. */
    step: number | null
    error?: string | undefined
    onvalue: (metres: number) => void
  }
  let { of, label, value, step, error, onvalue }: Props = $props()

  const told = $derived(label ?? entry(of).label)
  const ruler = $derived(rulerFor(0.5, settings.units))
  function paced(steps: number, metres: number): void {
    const { low, high } = entry(of)
    onvalue(Math.min(high, Math.max(low, Math.round(steps * metres * 1e4) / 1e4)))
  }
</script>

<LengthEntry {of} {label} {value} {error} {onvalue} />
{#if step}
  <Stepper
    label="{told}, in steps"
    unit="×"
    hint="Of {withUnit(step, ruler)}."
    text={String(Number((value / step).toFixed(1)))}
    read={(text) => typedNumber(text.replace('×', ''))}
    step={(by) => paced(Math.max(0.5, Math.round((value / step) * 2 + by) / 2), step)}
    onvalue={(steps) => paced(steps, step)}
  />
{/if}

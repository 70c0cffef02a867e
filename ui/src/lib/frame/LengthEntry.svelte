<!-- A length: stored in metres, shown in the coach's units. -->
<script lang="ts">
  import { rulerFor, shown, typed } from '$lib/settings/length'
  import { settings } from '$lib/settings/settings.svelte'
  import Stepper from './Stepper.svelte'

  interface Props {
    label: string
    hint?: string
    value: number
    low: number
    high: number
    step: number
    error?: string | undefined
    onvalue: (metres: number) => void
  }
  let { label, hint = '', value, low, high, step, error, onvalue }: Props = $props()

  const ruler = $derived(rulerFor(high, settings.units))
  // Whole steps of the coach's own unit, so that the figures stay round.
  const size = $derived(settings.units === 'metric' ? step : Math.max(ruler.metres / 10, Math.round(step / 0.00635) * 0.00635))
</script>

<Stepper
  {label}
  {hint}
  unit={ruler.unit}
  text={shown(value, ruler)}
  read={(text) => typed(text, ruler)}
  step={(direction) => onvalue(Math.min(high, Math.max(low, Math.round((value + direction * size) * 1e5) / 1e5)))}
  {error}
  {onvalue}
/>

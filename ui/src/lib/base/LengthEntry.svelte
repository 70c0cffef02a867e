<!-- A length: stored in metres, shown in the coach's units. -->
<script lang="ts">
  import { rulerFor, shown, stepOn, typed, unitBeside } from '$lib/base/length'
  import { settings } from '$lib/base/settings.svelte'
  import { entry, lengths } from '$lib/data/vocabulary.svelte'
  import Stepper from './Stepper.svelte'

  interface Props {
    /** Its entry in the vocabulary, which gives name, hint, limits and step; what is said here goes before. */
    of?: string
    label?: string
    hint?: string
    /** Null while nothing was said: then nothing stands there. */
    value: number | null
    /** Of a dimension of an instrument, which brings its own. */
    limits?: { label: string; hint: string; low: number; high: number; step: number }
    /** Where the thumb starts from while nothing was said, metres. */
    from?: number
    /** One step of the thumb, metres, where it is not the usual one. */
    by?: number
    error?: string | undefined
    onvalue: (metres: number) => void
  }
  let { of = '', label, hint, value, limits, from = 0, by, error, onvalue }: Props = $props()

  const told = $derived(limits ?? entry(of))
  const { low, high } = $derived(told)
  const step = $derived(by ?? told.step)

  const ruler = $derived(rulerFor('fine' in told && told.fine ? 0.5 : high, settings.units))
  // Whole steps of the coach's own unit, so that the figures stay round.
  const size = $derived(stepOn(ruler, step))
</script>

<Stepper
  label={label ?? told.label}
  hint={hint ?? told.hint}
  unit={unitBeside(ruler)}
  typedIn={ruler.unit}
  text={value === null ? '' : shown(value, ruler)}
  read={(text) => typed(text, ruler, lengths())}
  step={(direction) =>
    onvalue(Math.min(high, Math.max(low, Math.round(((value ?? from) + direction * size) * 1e5) / 1e5)))}
  {error}
  {onvalue}
/>

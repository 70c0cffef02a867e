<!-- A length: stored in metres, shown in the coach's units, read as people write it. -->
<script lang="ts">
  import { inSteps, rulerFor, SMALL, shown, stepOn, typed, unitBeside, wouldDo } from '$lib/base/length'
  import { lengthsHere } from '$lib/base/form'
  import { settings } from '$lib/base/settings.svelte'
  import { stride } from '$lib/base/stride.svelte'
  import { entry, lengths } from '$lib/data/vocabulary.svelte'
  import LengthEntry from './LengthEntry.svelte'
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
    /** It is paced off as often as taped: how many steps it is stands beside it, where one is known. */
    paced?: boolean
    error?: string | undefined
    onvalue: (metres: number) => void
  }
  let { of = '', label, hint, value, limits, from = 0, by, paced = false, error, onvalue }: Props = $props()

  const told = $derived(limits ?? entry(of))
  const { low, high } = $derived(told)
  const step = $derived(by ?? told.step)

  const form = lengthsHere()
  const isSmall = $derived(form ? form === 'small' : high <= SMALL || ('fine' in told && told.fine))
  const ruler = $derived(rulerFor(isSmall ? SMALL : Infinity, settings.units))
  // Whole steps of the coach's own unit, so that the figures stay round.
  const size = $derived(stepOn(ruler, step))

  const steps = stride()
  const inStepsToo = $derived(
    paced && steps.metres && value ? `${Number((value / steps.metres).toFixed(1))} steps. ` : ''
  )
  let stepper: Stepper
  /** Something was told in steps, and nobody said yet how long one is. */
  let asking = $state(false)
  let one = $state(0.75)
  function read(text: string): number {
    asking = inSteps(text) && steps.metres === null
    return typed(text, ruler, lengths(), steps.metres ?? NaN)
  }
  function known(): void {
    steps.keep(one)
    stepper.take()
    asking = false
  }
</script>

<Stepper
  bind:this={stepper}
  label={label ?? told.label}
  hint={inStepsToo + (hint ?? told.hint)}
  unit={unitBeside(ruler)}
  typedIn={ruler.unit}
  text={value === null ? '' : shown(value, ruler)}
  {read}
  step={(direction) =>
    onvalue(Math.min(high, Math.max(low, Math.round(((value ?? from) + direction * size) * 1e8) / 1e8)))}
  would={asking ? 'Say below how long a step is.' : wouldDo(ruler)}
  {error}
  {onvalue}
/>
{#if asking}
  <div class="mt-1 border-l-4 border-ink pl-3" data-asks-step>
    <p class="mb-1 text-sm font-semibold">How long is {steps.whose} step? Asked once.</p>
    <LengthEntry of="step_m" label="The step" hint="" by={0.05} value={one} onvalue={(metres) => (one = metres)} />
    <button class="button primary mt-1" type="button" onclick={known}>That is a step</button>
  </div>
{/if}

<!-- A slope in percent. -->
<script lang="ts">
  import { typedNumber } from '$lib/base/number'
  import Stepper from './Stepper.svelte'

  interface Props {
    label: string
    hint?: string
    /** Null while nothing was said. */
    value: number | null
    error?: string | undefined
    onvalue: (percent: number) => void
  }
  let { label, hint = '', value, error, onvalue }: Props = $props()
</script>

<Stepper
  {label}
  {hint}
  unit="%"
  text={value === null ? '' : String(Number(value.toFixed(2)))}
  read={typedNumber}
  step={(direction) => onvalue(Math.round(((value ?? 0) + direction * 0.1) * 100) / 100)}
  {error}
  {onvalue}
/>

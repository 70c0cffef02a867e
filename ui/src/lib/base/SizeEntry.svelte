<!-- One dimension of an instrument, in its own unit: a length to tape, an angle to lean, a percent to level. -->
<script lang="ts">
  import { typedNumber } from '$lib/base/number'
  import type { Shapes } from '$lib/data/client'
  import LengthEntry from './LengthEntry.svelte'
  import Stepper from './Stepper.svelte'

  interface Props {
    dimension: Shapes['Dimension']
    value: number
    error?: string | undefined
    onvalue: (value: number) => void
  }
  let { dimension, value, error, onvalue }: Props = $props()

  const SIGN = { m: 'm', deg: '°', '%': '%' }
  function step(by: number): void {
    const { low, high, step } = dimension
    onvalue(Math.min(high, Math.max(low, Math.round((value + by * step) * 1e4) / 1e4)))
  }
</script>

{#if dimension.unit === 'm'}
  <LengthEntry limits={dimension} {value} {error} {onvalue} />
{:else}
  <Stepper
    label={dimension.label}
    hint={dimension.hint}
    unit={SIGN[dimension.unit]}
    text={String(Number(value.toFixed(2)))}
    read={typedNumber}
    {step}
    {error}
    {onvalue}
  />
{/if}

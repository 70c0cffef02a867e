<!-- One number of an opinion, in its own unit, within what can be held. -->
<script lang="ts">
  import { typedNumber } from '$lib/base/number'
  import LengthEntry from '$lib/base/LengthEntry.svelte'
  import Stepper from '$lib/base/Stepper.svelte'
  import type { OpinionNumber } from './queries.svelte'

  interface Props {
    it: OpinionNumber
    label: string
    value: number
    error?: string | undefined
    onvalue: (value: number) => void
  }
  let { it, label, value, error, onvalue }: Props = $props()

  const SIGN: Partial<Record<OpinionNumber['unit'], string>> = {
    deg: '°',
    share: 'of 100',
    times: '×',
    s: 's',
    min: 'min',
    '%': '%',
    putts_in_100: 'of 100'
  }
  /** A length is entered in metres, whatever it is told in; a share in hundredths. */
  const scale = $derived(it.unit === 'mm' ? 0.001 : it.unit === 'share' ? 100 : 1)
  const isLength = $derived(it.unit === 'm' || it.unit === 'mm')
  const step = $derived(it.step * scale)
  const hint = $derived(`As it stands: ${it.usual_said}.`)
  const rounded = (it: number) => Number(it.toPrecision(6))
  const within = (value: number) => Math.min(it.most, Math.max(it.least, value))
  const told = (entered: number) => onvalue(within(rounded(entered / scale)))
</script>

{#if isLength}
  <LengthEntry
    limits={{ label, hint, low: it.least * scale, high: it.most * scale, step }}
    value={value * scale}
    {error}
    onvalue={told}
  />
{:else}
  <Stepper
    {label}
    {hint}
    unit={SIGN[it.unit] ?? ''}
    text={String(rounded(value * scale))}
    read={typedNumber}
    step={(direction) => told(rounded(value * scale + direction * step))}
    {error}
    onvalue={told}
  />
{/if}

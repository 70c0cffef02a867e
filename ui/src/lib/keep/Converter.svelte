<!-- An angle said in every way coaches say it, at one length: tap a way, say how much, read all the others. -->
<script lang="ts">
  import Choice from '$lib/base/Choice.svelte'
  import LengthEntry from '$lib/base/LengthEntry.svelte'
  import Sheet from '$lib/base/Sheet.svelte'
  import Stepper from '$lib/base/Stepper.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { typedNumber } from '$lib/base/number'
  import { stride } from '$lib/base/stride.svelte'
  import { about } from '$lib/data/client'
  import { choices } from '$lib/data/vocabulary.svelte'
  import type { Shapes } from '$lib/data/client'
  import { convertedQuery } from './queries.svelte'

  let { open = $bindable() }: { open: boolean } = $props()

  type Way = Shapes['SaidOut']['way']
  const WAYS = choices<Way>('convert')
  const STEPS: Record<Way, number> = { deg: 0.1, minutes: 0.1, mm: 5, in: 0.25, edges: 0.25, cups: 0.25, steps: 0.1 }
  const steps = stride()
  let way = $state<Way>('deg')
  let amount = $state(1)
  let length_m = $state(3)
  const said = convertedQuery(() => (open ? { amount, way, length_m, step_m: steps.metres ?? 0.75 } : null))
  /** Another way to say it: the same angle goes on. */
  function turn(to: Way): void {
    const same = said.data?.find((it) => it.way === to)
    if (same) amount = Number(same.amount.toFixed(3))
    way = to
  }
</script>

<Sheet bind:open title="Convert an angle">
  <div class="grid gap-3">
    <Choice label="Said in" options={WAYS} bind:value={() => way, turn} />
    <Stepper
      label="How much, right +"
      unit=""
      text={String(Number(amount.toFixed(3)))}
      read={typedNumber}
      step={(by) => (amount = Math.round((amount + by * STEPS[way]) * 1000) / 1000)}
      error={about(said.error, 'amount')}
      onvalue={(it) => (amount = it)}
    />
    <LengthEntry
      of="convert_length"
      value={length_m}
      error={about(said.error, 'length_m')}
      onvalue={(it) => (length_m = it)}
    />
  </div>
  {#if said.error}<Trouble error={said.error} />{/if}
  <ul class="mt-4 grid gap-1 border-t-2 border-ink pt-3" data-converted>
    {#each said.data ?? [] as it (it.way)}
      <li class="text-xl {it.way === way ? 'font-bold' : ''}" data-way={it.way}>{it.words}</li>
    {/each}
  </ul>
</Sheet>

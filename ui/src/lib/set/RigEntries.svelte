<!-- The rig that watches the start: proposed for the putt and the golfer, or chosen; its dimensions, and how strict it is. -->
<script lang="ts">
  import { formOf } from '$lib/base/form'
  import { typedNumber } from '$lib/base/number'
  import { api, ask, refusal, type Refusal, type Shapes } from '$lib/data/client'
  import { createAsk } from '$lib/data/write.svelte'
  import Choice from '$lib/base/Choice.svelte'
  import LengthEntry from '$lib/base/LengthEntry.svelte'
  import SizeEntry from '$lib/base/SizeEntry.svelte'
  import Stepper from '$lib/base/Stepper.svelte'
  import type { Plan } from './plan'

  formOf('small')

  interface Props {
    plan: Plan
    fault: Refusal | null
    instruments: Shapes['InstrumentOut'][]
    seen: Shapes['Preview'] | undefined
    /** Sizes of each instrument as laid last. */
    laid: Shapes['LessonSheetOut']['laid_last']
    propose: () => void
  }
  let { plan = $bindable(), fault, instruments, seen, laid, propose }: Props = $props()

  /** Typed here: a rig that is turned away from and chosen again lies as it was told. */
  const told: Record<string, Record<string, number>> = {}
  function size(name: string, value: number): void {
    plan.rig_sizes_m = { ...plan.rig_sizes_m, [name]: value }
    told[plan.rig_kind] = plan.rig_sizes_m
  }
  const rig = $derived(instruments.find((it) => it.about.kind === plan.rig_kind))
  const tuning = createAsk(
    (limit_deg: number) => ask(api.POST('/api/stations/tune', { body: { ...$state.snapshot(plan), limit_deg } })),
    (sizes) => (plan.rig_sizes_m = sizes)
  )
</script>

<div class="mb-3 flex items-end gap-3">
  <button class="button primary min-h-14 shrink-0" type="button" onclick={propose}>Propose a rig…</button>
  <p class="text-faded">Say what you want to know; Libella lays what tells it.</p>
</div>
<Choice
  label="What watches the start"
  options={instruments
    .filter((it) => it.about.measures === 'start')
    .toSorted((one, other) => one.usual - other.usual)
    .map((it) => ({ value: it.about.kind, words: it.about.name, picture: it.picture }))}
  bind:value={plan.rig_kind}
  onchange={() => (plan.rig_sizes_m = { ...(told[plan.rig_kind] ?? laid[plan.rig_kind]) })}
/>
{#if rig}
  <div class="mt-3 grid min-[440px]:grid-cols-2 gap-x-5 gap-y-3 md:grid-cols-3">
    {#each rig.dimensions as it (rig.about.kind + it.name)}
      <SizeEntry
        dimension={it}
        value={plan.rig_sizes_m[it.name] ?? it.default}
        error={fault?.about(`rig_sizes_m.${it.name}`)}
        onvalue={(value) => size(it.name, value)}
      />
    {/each}
    {#if rig.about.strict && seen}
      <Stepper
        label="Lets through ±"
        unit="°"
        text={seen.sight.narrowest_deg.toFixed(2)}
        hint="{Math.round(seen.sight.share * 100)} % of the window; its width follows."
        read={typedNumber}
        step={(by) => tuning.mutate(Math.round(((seen?.sight.narrowest_deg ?? 1) + by * 0.1) * 10) / 10)}
        onvalue={(deg) => tuning.mutate(deg)}
        error={tuning.error ? refusal(tuning.error).message : undefined}
      />
    {/if}
    {#if plan.across_m || seen?.remedies.length}
      <LengthEntry
        of="across_m"
        value={plan.across_m}
        error={fault?.about('across_m')}
        onvalue={(it) => (plan.across_m = it)}
      />
    {/if}
  </div>
  <p class="mt-2 text-sm text-faded">Sizes nobody told are usual ones, opinions: put in what lies there.</p>
  <details class="mt-4 border-t border-hairline pt-2">
    <summary class="min-h-11 cursor-pointer py-2 font-semibold">What it tells, and how it misleads</summary>
    <p><strong>Tells:</strong> {rig.about.tells}</p>
    <p class="mt-1"><strong>Can't tell:</strong> {rig.about.cannot}</p>
    <p class="mt-1"><strong>Reading it:</strong> {rig.about.read}</p>
    <ul class="mt-1 list-disc pl-5">
      {#each rig.about.mistakes as it (it)}<li>{it}</li>{/each}
    </ul>
  </details>
{/if}

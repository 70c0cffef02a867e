<!-- What else is laid on the same line, the room for the stroke, and what all of it takes out of the bag. -->
<script lang="ts">
  import { formOf } from '$lib/base/form'
  import type { Refusal, Shapes } from '$lib/data/client'
  import LengthEntry from '$lib/base/LengthEntry.svelte'
  import SizeEntry from '$lib/base/SizeEntry.svelte'
  import type { Plan } from './plan'

  formOf('small')

  interface Props {
    plan: Plan
    fault: Refusal | null
    instruments: Shapes['InstrumentOut'][]
    seen: Shapes['Preview'] | undefined
    propose: () => void
  }
  let { plan = $bindable(), fault, instruments, seen, propose }: Props = $props()

  const known = (kind: string) => instruments.find((it) => it.about.kind === kind)
</script>

<div class="mb-3 flex items-end gap-3">
  <button class="button primary min-h-14 shrink-0" type="button" onclick={propose}>Lay something with it…</button>
  <p class="text-faded">Mirror, string, rods, rails, rings: drawn with the rig, and checked against it.</p>
</div>
{#each plan.aids as aid, n (n)}
  {@const it = known(aid.kind)}
  {#if it}
    <section class="border-t border-hairline py-3" data-beside={aid.kind}>
      <div class="flex items-center justify-between gap-3">
        <h3 class="wide text-lg">
          {it.about.name} <span class="text-base font-normal text-faded">· {it.quantity.name}</span>
        </h3>
        <button
          class="button"
          type="button"
          aria-label="Take away {it.about.name}"
          onclick={() => (plan.aids = plan.aids.filter((_, at) => at !== n))}>Take away</button
        >
      </div>
      {#if fault?.about(`aids.${n}`)}<p class="font-semibold text-danger">{fault.about(`aids.${n}`)}</p>{/if}
      <div class="mt-2 grid min-[440px]:grid-cols-2 gap-x-5 gap-y-3 md:grid-cols-3">
        {#each it.dimensions as dimension (dimension.name)}
          <SizeEntry
            {dimension}
            value={aid.sizes[dimension.name] ?? dimension.default}
            error={fault?.about(`aids.${n}.${dimension.name}`)}
            onvalue={(value) => (aid.sizes = { ...aid.sizes, [dimension.name]: value })}
          />
        {/each}
      </div>
      <p class="mt-2 text-[15px]"><strong>Reading it:</strong> {it.about.read}</p>
    </section>
  {/if}
{:else}
  <p class="border-t border-hairline py-3 text-lg">Nothing lies beside the rig.</p>
{/each}
<div class="grid min-[440px]:grid-cols-2 gap-x-5 gap-y-3 border-t border-hairline pt-3 md:grid-cols-3">
  <LengthEntry
    of="backstroke_m"
    hint={plan.backstroke_m === null ? 'As usual for this putt; an opinion.' : 'As you say.'}
    value={plan.backstroke_m ?? seen?.backstroke_m ?? 0.25}
    error={fault?.about('backstroke_m')}
    onvalue={(it) => (plan.backstroke_m = it)}
  />
  {#if plan.backstroke_m !== null}
    <button class="button mt-[22px] self-start" type="button" onclick={() => (plan.backstroke_m = null)}
      >As usual</button
    >
  {/if}
</div>
{#if seen}
  <section class="mt-4 border-t border-hairline pt-3" data-parts>
    <div class="flex items-center justify-between gap-3">
      <h3 class="wide text-lg">Parts</h3>
      <a class="button" href="/aids/bag">My bag…</a>
    </div>
    <ul class="mt-1 grid min-[440px]:grid-cols-2 gap-x-5 md:grid-cols-3">
      {#each seen.parts as it (it.part)}
        <li class="py-0.5">
          {it.count} × {it.name}
          {#if it.owned !== null && it.owned < it.count}<strong class="text-danger"
              >· {it.owned === 0 ? 'not in the bag' : `only ${it.owned}`}</strong
            >{/if}
        </li>
      {/each}
    </ul>
    {#if seen.parts[0]?.owned === null}<p class="text-sm text-faded">
        Tell what is in your bag, and what is missing shows here.
      </p>{/if}
  </section>
{/if}

<!-- Is the line right? How it was proved, what offset was left, and how well the rig repeats itself. -->
<script lang="ts">
  import { api, ask, type Refusal, type Shapes } from '$lib/data/client'
  import type { Zone } from '$lib/drawing/zones'
  import { ENTRIES } from '$lib/instruments'
  import Choice from '$lib/base/Choice.svelte'
  import LengthEntry from '$lib/base/LengthEntry.svelte'
  import Sheet from '$lib/base/Sheet.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { units } from '$lib/data/key'
  import { createAsk } from '$lib/data/write.svelte'
  import { waysQuery } from './queries.svelte'

  type Plan = Omit<Shapes['CheckIn'], 'raws' | 'known_deg' | 'proof'> & { proof: Shapes['Proof'] }
  interface Props {
    plan: Plan
    fault: Refusal | null
    /** The picture the rig is read on. */
    entry: Shapes['EntryPicture']
  }
  let { plan = $bindable(), fault, entry }: Props = $props()

  const ways = waysQuery()
  const proof = $derived(plan.proof)
  let checking = $state(false)
  let read = $state<Zone[]>([])
  const Entry = $derived(ENTRIES[entry.entry])

  function prove(way: Shapes['Proof']['way']): void {
    const usual = ways.data?.find((it) => it.way === way)?.doubt_m ?? proof.doubt_m
    plan.proof = { ...proof, way, doubt_m: usual }
  }
  const using = createAsk(
    () => ask(api.POST('/api/stations/check', { params: { query: units() }, body: { ...$state.snapshot(plan), raws: read.map((it) => it.raw), known_deg: 0 } })),
    (found) => {
      plan.proof = { ...proof, ...found }
      checking = false
    },
  )
</script>

<h2 class="wide mt-5 mb-2 text-lg">Is the line right?</h2>
<Choice
  label="Proved a second way by"
  options={(ways.data ?? []).map((it) => ({ value: it.way, words: it.name }))}
  bind:value={() => proof.way, prove}
/>
<div class="mt-3 grid grid-cols-2 items-start gap-x-5 gap-y-3 md:grid-cols-3">
  <LengthEntry
    of="offset_m" value={proof.offset_m}
    error={fault?.about('proof.offset_m')} onvalue={(it) => (plan.proof = { ...proof, offset_m: it })}
  />
  <LengthEntry
    of="doubt_m" value={proof.doubt_m}
    error={fault?.about('proof.doubt_m')} onvalue={(it) => (plan.proof = { ...proof, doubt_m: it })}
  />
  <div class="mt-[22px] grid gap-1">
    <button
      class="button"
      type="button"
      onclick={() => {
        read = []
        using.reset()
        checking = true
      }}>Read the rig again and again…</button
    >
    {#if proof.checks}
      <button class="button plain text-sm" type="button" onclick={() => (plan.proof = { ...proof, zero_deg: 0, noise_deg: 0, checks: 0 })}>
        Drop the check of {proof.checks} readings
      </button>
    {/if}
  </div>
</div>

<Sheet bind:open={checking} title="Does the rig repeat itself?">
  <p>Send a ball, or hold a rod, along the proved line and read it; change nothing; again. Three readings or more.</p>
  <div class="relative my-2 h-72">
    {#if Entry}<div class="absolute inset-0"><Entry {entry} closed={false} record={(zone) => read.push(zone)} /></div>{/if}
  </div>
  <ol class="flex flex-wrap gap-2" aria-label="Check readings">
    {#each read as zone, n (n)}
      <li><button class="button" type="button" aria-label="Take out reading {n + 1}, {zone.name}" onclick={() => read.splice(n, 1)}>{zone.name} ✕</button></li>
    {/each}
  </ol>
  {#if using.error}<div class="mt-2"><Trouble error={using.error} /></div>{/if}
  <button class="button primary mt-3 min-h-14 w-full text-lg" type="button" disabled={read.length < 3} onclick={() => using.mutate(undefined)}>
    {read.length < 3 ? `${3 - read.length} more to read` : `Use these ${read.length} readings`}
  </button>
</Sheet>

<!-- Is the line right? What proves it, and how well the rig repeats itself. -->
<script lang="ts">
  import type { Shapes } from '$lib/data/client'
  import type { Zone } from '$lib/drawing/zones'
  import { ENTRIES } from '$lib/instruments'
  import Sheet from '$lib/base/Sheet.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { createAsk, createWrite, firstError } from '$lib/data/write.svelte'
  import { hundredths } from '$lib/base/number'
  import ToolTrue from './ToolTrue.svelte'
  import ProveLine from './ProveLine.svelte'
  import { toolsQuery } from './queries.svelte'
  import { provePlan } from './writes'

  interface Props {
    lessonId: string
    seen: Shapes['Preview']
    putt: { distance_m: number; green_speed_ft: number; rig_kind: string }
    /** The plan as it is kept; undefined before it is. */
    now: Shapes['StationOut'] | undefined
    station: () => Promise<string>
    slope: (it: Shapes['Slope']) => void
    closed: boolean
    /** The sheet on which it is proved stands open. */
    proving: boolean
  }
  let { lessonId, seen, putt, now, station, slope, closed, proving = $bindable() }: Props = $props()

  const proof = $derived(now?.proof)
  /** The ground was rolled both ways; the line laid on it is not measured yet. */
  const ground = $derived(!seen.proved && proof?.way === 'rolled')
  const tools = toolsQuery(() => lessonId)
  /** Those laid here that have a zero of their own. */
  const checkable = $derived(
    [{ kind: putt.rig_kind, sizes: seen.rig_sizes_m }, ...seen.aids].filter((it) =>
      tools.data?.some((tool) => tool.kind === it.kind)
    )
  )
  let checking = $state(false)
  let read = $state<Zone[]>([])
  const Entry = $derived(ENTRIES[seen.entry.entry])

  const keeping = createWrite(
    ({ id, body }: { id: string; body: Shapes['ProofIn'] }) => provePlan(lessonId, id, body),
    () => (checking = false)
  )
  /** The proof of the line stays as it is; `change` says what is other. */
  const laying = createAsk(
    async (change: Partial<Shapes['ProofIn']>) => {
      const { way, evidence } = proof ?? { way: 'none' as const, evidence: null }
      const same = { way, measured: evidence?.measured ?? [], rolls: evidence?.rolls ?? [], raws: null, known_deg: 0 }
      return { id: await station(), body: { ...same, ...change } }
    },
    (it) => keeping.mutate(it)
  )
  const error = $derived(firstError([laying, keeping]))
</script>

<h2 class="wide mt-2 mb-2 text-lg">Is the line right?</h2>
<p class="text-lg font-semibold" data-proof={seen.proved ? 'proved' : ground ? 'ground' : 'open'}>
  {seen.proved ? '✓' : ground ? '½' : '✕'}
  {seen.trust[0]}
</p>
<div class="mt-3 flex flex-wrap gap-2">
  <button class="button primary min-h-14 px-5 text-lg" type="button" disabled={closed} onclick={() => (proving = true)}
    >{seen.proved ? 'Measure it again…' : ground ? 'Measure the line, too…' : 'Prove the line…'}</button
  >
  {#if ground}
    <!-- One tap more: looked at where it ends, and half-way. -->
    <button
      class="button"
      type="button"
      disabled={closed || laying.isPending}
      onclick={() =>
        laying.mutate({
          way: 'string',
          measured: [putt.distance_m, hundredths(putt.distance_m / 2)].map((at_m) => ({ at_m, beside_m: 0 })),
          rolls: []
        })}>A string over ball and hole lies on it</button
    >
  {/if}
  {#if (seen.proved || ground) && now}
    <button class="button" type="button" onclick={() => laying.mutate({ way: 'none', measured: [], rolls: [] })}
      >It is not proved</button
    >
  {/if}
</div>
<h2 class="wide mt-6 mb-2 text-lg">Does the rig repeat itself?</h2>
<div class="flex flex-wrap gap-2">
  <button
    class="button"
    type="button"
    disabled={closed}
    onclick={() => {
      read = []
      keeping.reset()
      checking = true
    }}>Read the rig again and again…</button
  >
  {#if proof?.checks}
    <button class="button plain text-sm" type="button" onclick={() => laying.mutate({ raws: [] })}
      >Drop the check of {proof.checks} readings</button
    >
  {/if}
</div>
{#if checkable.length}
  <h2 class="wide mt-6 mb-2 text-lg">Are the instruments true?</h2>
  <div class="grid gap-2">
    {#each checkable as it (it.kind)}<ToolTrue {lessonId} kind={it.kind} sizes={it.sizes} />{/each}
  </div>
{/if}
{#if error && !checking}<div class="mt-2"><Trouble {error} /></div>{/if}

<ProveLine bind:open={proving} {lessonId} {putt} {station} {slope} />
<Sheet bind:open={checking} title="Does the rig repeat itself?">
  <p>Send a ball, or hold a rod, along the proved line and read it; change nothing; again. Three readings or more.</p>
  <div class="relative my-2 h-72">
    {#if Entry}<div class="absolute inset-0">
        <Entry entry={seen.entry} closed={false} record={(zone) => read.push(zone)} />
      </div>{/if}
  </div>
  <ol class="flex flex-wrap gap-2" aria-label="Check readings">
    {#each read as zone, n (n)}
      <li>
        <button
          class="button"
          type="button"
          aria-label="Take out reading {n + 1}, {zone.name}"
          onclick={() => read.splice(n, 1)}>{zone.name} ✕</button
        >
      </li>
    {/each}
  </ol>
  {#if error}<div class="mt-2"><Trouble {error} /></div>{/if}
  <button
    class="button primary mt-3 min-h-14 w-full text-lg"
    type="button"
    disabled={read.length < 3}
    onclick={() => laying.mutate({ raws: read.map((it) => it.raw) })}
  >
    {read.length < 3 ? `${3 - read.length} more to read` : `Use these ${read.length} readings`}
  </button>
</Sheet>

<!-- Set: choose the putt, the rig and what lies beside it; the stage draws it to scale and says what it can see. -->
<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query'
  import { Tabs } from 'bits-ui'
  import { untrack } from 'svelte'
  import { v7 } from 'uuid'
  import { page } from '$app/state'
  import { stamp } from '$lib/data/clock'
  import { api, ask, refusal, type Shapes } from '$lib/data/client'
  import { instrumentsQuery, lessonQuery, renewLesson } from '$lib/data/queries.svelte'
  import { steady } from '$lib/data/steady.svelte'
  import type { Grip } from '$lib/drawing/Grips.svelte'
  import { sideHeight } from '$lib/drawing/page'
  import Stage from '$lib/drawing/Stage.svelte'
  import StartBlock from '$lib/start/StartBlock.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import BesideEntries from '$lib/set/BesideEntries.svelte'
  import KitCheck from '$lib/set/KitCheck.svelte'
  import { FIRST, laidPart, planOf, puttOf, same, type Plan } from '$lib/set/plan'
  import Prints from '$lib/set/Prints.svelte'
  import ProofEntries from '$lib/set/ProofEntries.svelte'
  import Proposals from '$lib/set/Proposals.svelte'
  import PuttEntries from '$lib/set/PuttEntries.svelte'
  import RigEntries from '$lib/set/RigEntries.svelte'
  import SavedStations from '$lib/set/SavedStations.svelte'
  import { rulerFor, withUnit, stepOn } from '$lib/base/length'
  import { settings } from '$lib/base/settings.svelte'

  const TABS = [
    { value: 'putt', words: 'Putt' },
    { value: 'rig', words: 'Rig' },
    { value: 'beside', words: 'Beside it' },
    { value: 'proof', words: 'Proof' },
    { value: 'print', words: 'Print' },
  ]
  const id = $derived(page.params.id ?? '')
  const client = useQueryClient()
  const lesson = lessonQuery(() => id)
  const instruments = instrumentsQuery()
  const sheet = $derived(lesson.data)
  const known = $derived(instruments.data ?? [])
  let tab = $state('putt')
  let proposing = $state(false)

  // The last station of this lesson, or a first putt that suits most floors.
  let plan = $state<Plan | null>(null)
  $effect(() => {
    if (!sheet || untrack(() => plan)) return
    const last = sheet.stations.at(-1)
    plan = structuredClone(last ? planOf(last) : { ...FIRST, green_speed_ft: sheet.lesson.green_speed_ft })
  })

  // One question at a time: while a tape is pulled, the next is asked as soon as the last is answered.
  let asked = $state.raw<Plan | null>(null)
  const preview = createQuery(() => ({
    queryKey: ['preview', asked, sheet?.golfer.hand, sheet?.golfer.level, settings.units],
    queryFn: () =>
      ask(
        api.POST('/api/stations/preview', {
          params: { query: { units: settings.units } },
          body: { ...(asked as Plan), hand: sheet!.golfer.hand, level: sheet!.golfer.level },
        }),
      ),
    enabled: Boolean(asked && sheet),
    retry: false,
    gcTime: 10_000,
  }))
  $effect(() => {
    const now = $state.snapshot(plan) as Plan | null
    if (now && !preview.isFetching) untrack(() => (!asked || !same(asked, now)) && (asked = now))
  })
  const stood = steady(() => preview.data)
  const seen = $derived(stood.value)
  const fault = $derived(preview.error ? refusal(preview.error) : null)
  /** The tab on which an entry stands. */
  function tabOf(field: string): string {
    if (field.startsWith('aids') || field === 'backstroke_m') return 'beside'
    if (field.startsWith('rig') || field === 'across_m') return 'rig'
    return field.startsWith('proof') ? 'proof' : 'putt'
  }
  const faulty = $derived(new Set(fault?.problem.errors.map((it) => tabOf(it.field ?? ''))))
  const rig = $derived(known.find((it) => it.about.kind === plan?.rig_kind))
  let dropsOpen = $state(false)
  const drops = createQuery(() => ({
    queryKey: ['drops', asked && puttOf(asked), settings.units],
    queryFn: () => ask(api.POST('/api/green/drops', { params: { query: { units: settings.units } }, body: puttOf(asked as Plan) })),
    enabled: Boolean(dropsOpen && asked && seen?.breaks.length && !fault),
    retry: false,
  }))

  // A laser's cautions are read once a lesson, here, before its first block: never in the way of a putt.
  const unread = $derived(Boolean(seen?.laser && !sheet?.lesson.laser_read_at))
  async function tick(): Promise<void> {
    await ask(api.PUT('/api/lessons/{id}/laser-cautions', { params: { path: { id } } }))
    await renewLesson(client, id)
  }
  const good = $derived(seen?.sight.fit === 'good')
  const FIT = { good: 'This rig will do', coarse: 'Too coarse', short: 'Too short', strict: 'Too strict', loose: 'Too wide' }

  function apply(it: Shapes['Remedy']): void {
    if (!plan) return
    if (it.name === 'across_m') plan.across_m = it.value
    else plan.rig_sizes_m = { ...plan.rig_sizes_m, [it.name]: it.value }
  }
  function take(it: Shapes['ProposalOut']): void {
    if (!plan) return
    if (it.watches) {
      plan.rig_kind = it.kind
      plan.rig_sizes_m = it.sizes
      tab = 'rig'
    } else {
      plan.aids = [...plan.aids.filter((aid) => aid.kind !== it.kind), { kind: it.kind, sizes: it.sizes }]
      tab = 'beside'
    }
  }

  /** What pulling a tape changes: the putt's own length, the rig, or what lies beside it. */
  function grip(of: string, whose: number): Grip | null {
    if (!plan) return null
    if (of === 'putt')
      return { label: 'Ball to hole', value: plan.distance_m, low: 0.3, high: 15, step: stepOn(rulerFor(15, settings.units), 0.05), said: tapeSaid(15), pull: (to) => plan && (plan.distance_m = to) }
    const laid = whose ? plan.aids[whose - 1] : { kind: plan.rig_kind, sizes: plan.rig_sizes_m }
    const it = known.find((other) => other.about.kind === laid?.kind)?.dimensions.find((size) => size.name === of)
    if (!laid || !it) return null
    return {
      label: it.label,
      value: laid.sizes[of] ?? it.default,
      low: it.low,
      high: it.high,
      step: it.high > 0.6 ? 0.01 : stepOn(rulerFor(it.high, settings.units), 0.001),
      said: tapeSaid(it.high),
      pull: (to) => {
        if (!plan) return
        const aid = plan.aids[whose - 1]
        if (aid) aid.sizes = { ...aid.sizes, [of]: to }
        else plan.rig_sizes_m = { ...plan.rig_sizes_m, [of]: to }
      },
    }
  }
  const tapeSaid = (high: number) => (metres: number) => withUnit(metres, rulerFor(high, settings.units))

  async function lay(): Promise<string> {
    const whole = { ...($state.snapshot(plan) as Plan), rig_sizes_m: seen?.rig_sizes_m ?? {}, aids: seen?.aids ?? [] }
    const stands = sheet?.stations.find((it) => same(it, whole))
    if (stands) return stands.id
    const body = { ...whole, lesson_id: id, laid_at: stamp() }
    return (await ask(api.PUT('/api/stations/{id}', { params: { path: { id: v7() } }, body }))).id
  }
  let along = $state(0)
</script>

{#if plan && sheet}
  <div class="grid grid-cols-1 desk:h-full desk:min-h-0 desk:grid-cols-[minmax(0,1fr)_320px]">
    <div class="flex flex-col desk:min-h-0">
      <div class="flex shrink-0 flex-col border-b border-hairline {seen?.side ? 'h-[380px]' : 'h-[310px]'}" data-stage>
        <div class="relative min-h-0 flex-1">{#if seen}<Stage scene={seen.stage} stretch="true" {grip} bind:along />{/if}</div>
        {#if seen?.side && along}
          <div class="relative shrink-0 border-t border-hairline" style:height={sideHeight(seen.side, along)} data-side>
            <Stage scene={seen.side} fixed={along} {grip} />
          </div>
        {/if}
      </div>
      <Tabs.Root bind:value={tab} class="flex flex-col desk:min-h-0 desk:flex-1">
        <div class="flex shrink-0 flex-wrap items-end justify-between gap-x-3 border-b-2 border-ink px-5 pt-2">
          <Tabs.List class="flex flex-wrap" aria-label="What to plan">
            {#each TABS as it (it.value)}
              <Tabs.Trigger
                value={it.value}
                class="wide min-h-11 px-4 text-faded data-[state=active]:bg-ink data-[state=active]:text-paper">{it.words}{it.value === 'beside' && plan.aids.length ? ` ${plan.aids.length}` : ''}{#if faulty.has(it.value)}<span class="ml-1" title="Something here can’t be laid">✕</span>{/if}</Tabs.Trigger
              >
            {/each}
          </Tabs.List>
          <SavedStations
            plan={preview.data ? { ...($state.snapshot(plan) as Plan), rig_sizes_m: preview.data.rig_sizes_m, aids: preview.data.aids } : null}
            use={(it) => (plan = structuredClone(laidPart(it)))}
          />
        </div>
        <div class="px-5 py-4 desk:min-h-0 desk:flex-1 desk:overflow-y-auto">
          <Tabs.Content value="putt">{#if tab === 'putt'}<PuttEntries bind:plan {fault} step={sheet.golfer.step_m} />{/if}</Tabs.Content>
          <Tabs.Content value="rig">
            {#if tab === 'rig'}<RigEntries bind:plan {fault} instruments={known} {seen} propose={() => (proposing = true)} />{/if}
          </Tabs.Content>
          <Tabs.Content value="beside">
            {#if tab === 'beside'}<BesideEntries bind:plan {fault} instruments={known} {seen} propose={() => (proposing = true)} />{/if}
          </Tabs.Content>
          <Tabs.Content value="proof">
            {#if tab === 'proof' && seen}<ProofEntries bind:plan {fault} entry={seen.entry} />{/if}
          </Tabs.Content>
          <Tabs.Content value="print">
            {#if tab === 'print'}<Prints {plan} hand={sheet.golfer.hand} title="{sheet.golfer.name}, {sheet.lesson.place}" />{/if}
          </Tabs.Content>
        </div>
      </Tabs.Root>
    </div>

    <aside class="flex flex-col border-hairline max-desk:border-t desk:min-h-0 desk:border-l" aria-label="What this rig can see">
      <!-- svelte-ignore a11y_no_noninteractive_tabindex (what scrolls must be reachable by keyboard) -->
      <div class="flex flex-col gap-4 px-4 py-4 desk:min-h-0 desk:flex-1 desk:overflow-y-auto" role="region" aria-label="Findings" tabindex="0">
        {#if fault && !fault.problem.errors.length}
          <Trouble error={preview.error} again={() => preview.refetch()} />
        {:else if fault}
          <div class="border-l-4 border-danger pl-3" role="alert">
            <p class="font-semibold">This can't be laid. The drawing shows the last that could.</p>
            <p>{fault.message}</p>
          </div>
        {/if}
        {#if seen}
          {#if seen.objections.length}
            <section class="grid gap-2 border-l-4 border-danger pl-3" class:opacity-50={Boolean(fault)} data-objections>
              {#each seen.objections as it (it.words)}
                <p><strong>{it.words}</strong> {it.why}</p>
              {/each}
            </section>
          {/if}
          <section class:opacity-50={Boolean(fault)} data-fit={seen.sight.fit}>
            <h2 class="wide text-xl">{good ? '✓' : '✕'} {FIT[seen.sight.fit]}</h2>
            <p class="mt-1">{seen.sight.words}</p>
            {#if seen.sight.remedies.length}
              <div class="mt-2 flex flex-col gap-2" role="group" aria-label="What would do">
                {#each seen.sight.remedies as it (it.name)}
                  <button class="button justify-start" onclick={() => apply(it)}>Use: {it.words}</button>
                {/each}
              </div>
            {/if}
          </section>
          <section class="grid gap-2 border-t border-hairline pt-3" class:opacity-50={Boolean(fault)} data-breaks>
            {#each seen.breaks as it (it)}<p>{it}</p>{/each}
            {#if seen.remedies.length}
              <div class="flex flex-col gap-2" role="group" aria-label="Where it punishes no good putt">
                {#each seen.remedies as it (it.name)}
                  <button class="button justify-start" onclick={() => apply(it)}>Use: {it.words}</button>
                {/each}
              </div>
            {/if}
            <p>{seen.allows}</p>
          </section>
          {#if seen.breaks.length}
            <details class="border-t border-hairline" bind:open={dropsOpen}>
              <summary class="min-h-11 cursor-pointer py-2 font-semibold">Which starts drop</summary>
              <div class="relative h-52">{#if drops.data}<Stage scene={drops.data} />{/if}</div>
            </details>
          {/if}
          <section class="grid gap-2 border-t border-hairline pt-3" class:opacity-50={Boolean(fault)} data-trust>
            {#each seen.trust as it, n (it)}<p class={n ? '' : 'font-semibold'}>{it}</p>{/each}
          </section>
          {#each seen.cautions as it (it)}
            <!-- What is still to be ticked stands first. -->
            <p class="text-[15px] {unread ? 'order-first' : 'border-t border-hairline pt-3'}"><strong>Caution.</strong> {it}</p>
          {/each}
        {/if}
      </div>
      <div class="shrink-0 border-t-2 border-ink px-4 py-3">
        {#if seen}<KitCheck lessonId={id} items={seen.kit_check} kept={sheet.lesson.kit_checked} />{/if}
        {#if unread}
          <label class="mb-3 flex min-h-11 cursor-pointer items-start gap-3 font-semibold">
            <input type="checkbox" class="mt-1 size-6 shrink-0 accent-[var(--ink)]" checked={false} disabled={!rig} onchange={tick} />
            The laser’s cautions above are read, and everybody here knows them.
          </label>
        {/if}
        <StartBlock
          lessonId={id}
          station={lay}
          conditions={sheet.blocks.map((it) => it.condition)}
          guides={rig?.about.guides ?? false}
          closed={!preview.data || unread}
        />
      </div>
    </aside>
  </div>
  <Proposals bind:open={proposing} {plan} level={sheet.golfer.level} use={take} />
{/if}

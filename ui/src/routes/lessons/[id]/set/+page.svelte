<!-- Set: choose the putt and the rig; the stage draws it to scale and says what it can see. -->
<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query'
  import { untrack } from 'svelte'
  import { v7 } from 'uuid'
  import { page } from '$app/state'
  import { api, ask, refusal, type Shapes } from '$lib/api/client'
  import { instrumentsQuery, lessonQuery, renewLesson } from '$lib/api/queries.svelte'
  import Stage from '$lib/drawing/Stage.svelte'
  import Choice from '$lib/frame/Choice.svelte'
  import GreenEntries from '$lib/frame/GreenEntries.svelte'
  import LengthEntry from '$lib/frame/LengthEntry.svelte'
  import ProofEntries from '$lib/frame/ProofEntries.svelte'
  import SavedStations from '$lib/frame/SavedStations.svelte'
  import StartBlock from '$lib/frame/StartBlock.svelte'
  import Stepper from '$lib/frame/Stepper.svelte'
  import Trouble from '$lib/frame/Trouble.svelte'
  import { settings } from '$lib/settings/settings.svelte'

  const FIRST = {
    distance_m: 2.5,
    past_m: 0.3,
    stimp_ft: 10,
    capture: 'rim_assisted' as const,
    rig_kind: 'board',
    rig_sizes_m: {},
    falls_forward_percent: 0,
    falls_right_percent: 0,
    proof: { way: 'none' as const, offset_m: 0, doubt_m: 0.004, zero_deg: 0, noise_deg: 0, checks: 0 },
  }
  type Plan = Pick<Shapes['StationOut'], keyof typeof FIRST>

  const id = $derived(page.params.id ?? '')
  const client = useQueryClient()
  const lesson = lessonQuery(() => id)
  const instruments = instrumentsQuery()
  const sheet = $derived(lesson.data)

  // The last station of this lesson, or a first putt that suits most floors.
  let plan = $state<Plan | null>(null)
  $effect(() => {
    if (!sheet || untrack(() => plan)) return
    const last = sheet.stations.at(-1)
    plan = last ? planOf(last) : { ...FIRST, stimp_ft: sheet.lesson.stimp_ft }
  })

  const preview = createQuery(() => ({
    queryKey: ['preview', $state.snapshot(plan), sheet?.golfer.hand, sheet?.golfer.level, settings.units],
    queryFn: ({ signal }) =>
      ask(
        api.POST('/api/stations/preview', {
          params: { query: { units: settings.units } },
          body: { ...(plan as Plan), hand: sheet!.golfer.hand, level: sheet!.golfer.level },
          signal,
        }),
      ),
    enabled: Boolean(plan && sheet),
    retry: false,
  }))
  // While an entry can't be used, the last drawing that could stays.
  let lastGood = $state.raw<Shapes['Preview']>()
  $effect(() => {
    if (preview.data) lastGood = preview.data
  })
  const seen = $derived(preview.data ?? lastGood)
  const fault = $derived(preview.error ? refusal(preview.error) : null)
  const rig = $derived(instruments.data?.find((it) => it.about.kind === plan?.rig_kind))
  const drops = createQuery(() => ({
    queryKey: ['drops', plan?.distance_m, plan?.past_m, plan?.stimp_ft, plan?.capture, plan?.falls_forward_percent, plan?.falls_right_percent, settings.units],
    queryFn: () => {
      const { distance_m, past_m, stimp_ft, capture, falls_forward_percent, falls_right_percent } = plan as Plan
      const body = { distance_m, past_m, stimp_ft, capture, falls_forward_percent, falls_right_percent }
      return ask(api.POST('/api/green/drops', { params: { query: { units: settings.units } }, body }))
    },
    enabled: Boolean(seen?.breaks.length && !fault),
    retry: false,
  }))
  // A laser's cautions are read once a lesson, here, before its first block: never in the way of a putt.
  const unread = $derived(Boolean(rig?.about.laser && !sheet?.lesson.laser_read_at))
  async function tick(): Promise<void> {
    await ask(api.PUT('/api/lessons/{id}/laser-cautions', { params: { path: { id } } }))
    await renewLesson(client, id)
  }
  const good = $derived(seen?.sight.fit === 'good')
  const FIT = { good: 'This rig will do', coarse: 'Too coarse', short: 'Too short', strict: 'Too strict', loose: 'Too wide' }

  const sizeOf = (it: Shapes['Dimension']) => plan?.rig_sizes_m[it.name] ?? it.default
  function size(name: string, metres: number): void {
    if (plan) plan.rig_sizes_m = { ...plan.rig_sizes_m, [name]: metres }
  }

  let tuneFault = $state<string | undefined>()
  async function tune(limit_deg: number): Promise<void> {
    if (!plan) return
    try {
      plan.rig_sizes_m = await ask(api.POST('/api/stations/tune', { body: { ...plan, limit_deg } }))
      tuneFault = undefined
    } catch (problem) {
      tuneFault = refusal(problem).message
    }
  }

  async function lay(): Promise<string> {
    const wanted = laidOf({ ...(plan as Plan), rig_sizes_m: seen?.rig_sizes_m ?? {} })
    const same = sheet?.stations.find((it) => laidOf(it) === wanted)
    if (same) return same.id
    const body = { ...(plan as Plan), lesson_id: id, laid_at: new Date().toISOString() }
    return (await ask(api.PUT('/api/stations/{id}', { params: { path: { id: v7() } }, body }))).id
  }
  function planOf(it: Plan): Plan {
    return Object.fromEntries(Object.keys(FIRST).map((name) => [name, $state.snapshot(it[name as keyof Plan])])) as unknown as Plan
  }
  const sorted = (_: string, value: unknown) =>
    value && typeof value === 'object' ? Object.fromEntries(Object.entries(value).sort()) : value
  const laidOf = (it: Plan) => JSON.stringify(planOf(it), sorted)
</script>

{#if plan && sheet}
  <div class="grid grid-cols-1 desk:h-full desk:min-h-0 desk:grid-cols-[minmax(0,1fr)_320px]">
    <div class="flex flex-col desk:min-h-0">
      <div class="relative h-[290px] shrink-0 border-b border-hairline" data-stage>
        {#if seen}<Stage scene={seen.stage} stretch="true" />{/if}
      </div>
      <div class="px-5 py-4 desk:min-h-0 desk:flex-1 desk:overflow-y-auto">
        <div class="mb-2 flex items-center justify-between">
          <h2 class="wide text-lg">The putt</h2>
          <SavedStations plan={preview.data ? { ...plan, rig_sizes_m: preview.data.rig_sizes_m } : null} use={(it) => (plan = planOf({ ...it, proof: FIRST.proof }))} />
        </div>
        <div class="grid grid-cols-2 gap-x-5 gap-y-3 md:grid-cols-3">
          <LengthEntry
            label="Ball to hole" value={plan.distance_m} low={0.3} high={15} step={0.1}
            hint="To the hole's centre." error={fault?.about('distance_m')} onvalue={(it) => plan && (plan.distance_m = it)}
          />
          <LengthEntry
            label="Pace past the hole" value={plan.past_m} low={0} high={3} step={0.05}
            hint="Where it would stop if it missed." error={fault?.about('past_m')} onvalue={(it) => plan && (plan.past_m = it)}
          />
          <Stepper
            label="Green speed" unit="ft" text={String(plan.stimp_ft)} hint="Feet on the ramp."
            read={(text) => Number(text.replace(',', '.'))}
            step={(by) => plan && (plan.stimp_ft = Math.min(16, Math.max(4, plan.stimp_ft + by * 0.5)))}
            onvalue={(it) => plan && (plan.stimp_ft = it)} error={fault?.about('stimp_ft')}
          />
        </div>
        <GreenEntries bind:plan {fault} />
        <h2 class="wide mt-5 mb-2 text-lg">The rig</h2>
        <Choice
          label="What watches the start"
          options={(instruments.data ?? []).filter((it) => it.about.measures === 'start').map((it) => ({ value: it.about.kind, words: it.about.name }))}
          bind:value={plan.rig_kind}
          onchange={() => plan && (plan.rig_sizes_m = {})}
        />
        {#if rig}
          <div class="mt-3 grid grid-cols-2 gap-x-5 gap-y-3 md:grid-cols-3">
            {#each rig.dimensions as it (rig.about.kind + it.name)}
              <LengthEntry
                label={it.label} hint={it.hint} low={it.low} high={it.high} step={it.step} value={sizeOf(it)}
                error={fault?.about(`rig_sizes_m.${it.name}`)} onvalue={(metres) => size(it.name, metres)}
              />
            {/each}
          </div>
          {#if rig.about.strict && seen}
            <div class="mt-3 grid grid-cols-2 gap-x-5 md:grid-cols-3">
              <Stepper
                label="Lets through ±" unit="°" text={seen.sight.narrowest_deg.toFixed(2)}
                hint="{Math.round(seen.sight.share * 100)} % of the window; its width follows."
                read={(text) => Number(text.replace(',', '.').replace('°', ''))}
                step={(by) => tune(Math.round(((seen?.sight.narrowest_deg ?? 1) + by * 0.1) * 10) / 10)}
                onvalue={tune} error={tuneFault}
              />
            </div>
          {/if}
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
        {#if seen}<ProofEntries bind:plan {fault} entry={seen.entry} />{/if}
        <div class="mt-4 max-w-md border-t border-hairline pt-3">
          <Choice
            label="What the hole is taken to allow"
            options={[
              { value: 'rim_assisted', words: 'Rim helps' },
              { value: 'free_fall', words: 'Free fall only' },
            ]}
            bind:value={plan.capture}
          />
        </div>
      </div>
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
        <section class:opacity-50={Boolean(fault)} data-fit={seen.sight.fit}>
          <h2 class="wide text-xl">{good ? '✓' : '✕'} {FIT[seen.sight.fit]}</h2>
          <p class="mt-1">{seen.sight.words}</p>
          {#if seen.sight.remedies.length}
            <div class="mt-2 flex flex-col gap-2" role="group" aria-label="What would do">
              {#each seen.sight.remedies as it (it.name)}
                <button class="button justify-start" onclick={() => size(it.name, it.value)}>Use: {it.words}</button>
              {/each}
            </div>
          {/if}
        </section>
        <section class="grid gap-2 border-t border-hairline pt-3" class:opacity-50={Boolean(fault)} data-breaks>
          {#each seen.breaks as it (it)}<p>{it}</p>{/each}
          <p>{seen.allows}</p>
        </section>
        {#if seen.breaks.length}
          <details class="border-t border-hairline">
            <summary class="min-h-11 cursor-pointer py-2 font-semibold">Which starts drop</summary>
            <div class="relative h-52">{#if drops.data}<Stage scene={drops.data} />{/if}</div>
          </details>
        {/if}
        <section class="grid gap-2 border-t border-hairline pt-3" class:opacity-50={Boolean(fault)} data-trust>
          {#each seen.trust as it, n (it)}<p class={n ? '' : 'font-semibold'}>{it}</p>{/each}
        </section>
      {/if}
      {#each rig?.about.cautions ?? [] as it (it)}
        <!-- What is still to be ticked stands first. -->
        <p class="text-[15px] {unread ? 'order-first' : 'border-t border-hairline pt-3'}"><strong>Caution.</strong> {it}</p>
      {/each}
      </div>
      <div class="shrink-0 border-t-2 border-ink px-4 py-3">
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
{/if}

<!-- Set: choose the putt, the rig and what lies beside it; the stage draws it to scale and says what it can see. -->
<script lang="ts">
  import { Tabs } from 'bits-ui'
  import { onDestroy, untrack } from 'svelte'
  import { page } from '$app/state'
  import { renew } from '$lib/data/cache'
  import { refusal, type Shapes } from '$lib/data/client'
  import { key } from '$lib/data/key'
  import { instrumentsQuery, lessonQuery } from '$lib/data/queries.svelte'
  import { changedElsewhere } from '$lib/data/seen.svelte'
  import { createWrite } from '$lib/data/write.svelte'
  import { sideHeight } from '$lib/drawing/page'
  import Stage from '$lib/drawing/Stage.svelte'
  import Coming from '$lib/base/Coming.svelte'
  import Sheet from '$lib/base/Sheet.svelte'
  import PlanComparison from '$lib/start/PlanComparison.svelte'
  import { offeredUnder } from '$lib/start/under'
  import StartBlock from '$lib/start/StartBlock.svelte'
  import BesideEntries from '$lib/set/BesideEntries.svelte'
  import { keepDraft, takeDraft } from '$lib/set/draft'
  import Cautions from '$lib/keep/Cautions.svelte'
  import Findings from '$lib/set/Findings.svelte'
  import KitCheck from '$lib/set/KitCheck.svelte'
  import { planOf, type Plan } from '$lib/set/plan'
  import { Planning, TABS, tabOf, type ToKeep } from '$lib/set/planning.svelte'
  import PlansHere from '$lib/set/PlansHere.svelte'
  import Prints from '$lib/set/Prints.svelte'
  import ProofEntries from '$lib/set/ProofEntries.svelte'
  import Proposals from '$lib/set/Proposals.svelte'
  import PuttEntries from '$lib/set/PuttEntries.svelte'
  import { lineNowQuery } from '$lib/judge/queries.svelte'
  import { previewQuery } from '$lib/set/queries.svelte'
  import SchoolsHere from '$lib/schools/SchoolsHere.svelte'
  import { schoolsQuery } from '$lib/schools/queries.svelte'
  import RigEntries from '$lib/set/RigEntries.svelte'
  import SavedStations from '$lib/set/SavedStations.svelte'
  import { keepPlan, pickPlan, planOnItsWay, readCautions } from '$lib/set/writes'

  const id = $derived(page.params.id ?? '')
  /** What a check that led here takes, in its address. */
  const wanted = $derived(page.url.searchParams.get('note')?.split(',') ?? [])
  const lesson = lessonQuery(() => id)
  const instruments = instrumentsQuery()
  // What earlier lessons told of this golfer sizes the rig; it never weighs in a verdict.
  const line = lineNowQuery(() => lesson.data?.golfer.id ?? '')
  const sheet = $derived(lesson.data)
  const known = $derived(instruments.data ?? [])
  const schools = schoolsQuery(() => ({ lesson: id }))
  let proposing = $state(false)

  const planning = new Planning()
  $effect(() => {
    if (!sheet || untrack(() => planning.plan)) return
    const asked = page.url.searchParams.get('plan')
    const told = asked ? null : untrack(() => planOnItsWay(id))
    if (told?.plan) planning.goOn(told.plan)
    else {
      const which = asked ?? told?.id
      const stands = sheet.stations.find((it) => (which ? it.id === which : it.current))
      // A first putt is as the schools held would have it: they are known as soon as the lesson, or not at all.
      if (!stands && schools.isLoading) return
      planning.begin(stands, sheet.lesson.green_speed_ft, schools.data?.settings)
    }
    const left = takeDraft(id)
    if (left && !asked) planning.plan = left
    planning.tab = TABS.find((it) => it.value === page.url.searchParams.get('tab'))?.value ?? 'putt'
  })
  const plan = $derived(planning.plan)
  const rig = $derived(known.find((it) => it.about.kind === plan?.rig_kind))
  const laid = $derived(plan ? [plan.rig_kind, ...plan.aids.map((it) => it.kind)] : [])
  /** Whether its heights are worth a view from the side: known before the drawing of this plan has come. */
  const high = $derived(known.some((it) => it.has_heights && laid.includes(it.about.kind)))

  const preview = previewQuery(
    () => id,
    () => {
      const now = $state.snapshot(planning.plan) as Plan | null
      return now && sheet
        ? {
            ...now,
            proof_of: planning.known(sheet.stations),
            lesson_id: id,
            hand: sheet.golfer.hand,
            level: sheet.golfer.level,
            expected_deg: line.data?.spread_deg ?? null
          }
        : null
    }
  )
  const seen = $derived(preview.data)
  const fault = $derived(preview.error ? refusal(preview.error) : null)
  const faulty = $derived(new Set<string>(fault?.problem.errors.map((it) => tabOf(it.field ?? ''))))
  /** The plan as it can be laid, all its sizes told; null until that is known. */
  const whole = $derived(
    seen && !fault && plan && !preview.isPending
      ? { ...($state.snapshot(plan) as Plan), rig_sizes_m: seen.rig_sizes_m, aids: seen.aids }
      : null
  )

  // A laser's cautions are read once a lesson, here, before its first block: never in the way of a putt.
  const unread = $derived(Boolean(seen?.laser && !sheet?.lesson.laser_read_at))
  const reading = createWrite(() => readCautions(id))
  const keeping = createWrite(
    (it: ToKeep) => keepPlan(id, it),
    (_, it) => planning.answered(it)
  )
  // Two changed the same of it: what stands now is shown, beside what was changed.
  const outrun = $derived(changedElsewhere(keeping.error))
  $effect(() => {
    if (!outrun) return
    void renew(key.lesson(id)).then(() => {
      const stands = untrack(() => sheet?.stations.find((it) => it.id === planning.kept?.id))
      if (stands) planning.begin(stands, stands.green_speed_ft)
    })
  })
  const picking = createWrite((it: string) => pickPlan(id, it))
  /** The plan is the lesson's as it is edited: what lies nowhere but on this page is lost with it. */
  function keep(now: Plan): Promise<unknown> | undefined {
    const told = planning.toKeep(now, sheet?.stations ?? [])
    if (!told) return
    planning.told(told)
    return keeping.mutateAsync(told)
  }
  let going: Promise<unknown> | undefined
  let pause: ReturnType<typeof setTimeout> | undefined
  $effect(() => {
    const now = whole
    clearTimeout(pause)
    if (!now || !plan || (!planning.kept && !planning.touched(plan))) return
    // Kept already is not the same as taken: what is on its way is still waited for.
    pause = setTimeout(() => (going = keep(now) ?? going), 300)
  })
  onDestroy(() => {
    clearTimeout(pause)
    const now = $state.snapshot(planning.plan) as Plan | null
    if (!now || !planning.touched(now)) return
    if (fault) keepDraft(id, now)
    else void keep(now)
  })
  /** The plan as it stands in the lesson: kept now, unless it is already. */
  async function lay(): Promise<string> {
    // A tap just after a change: its drawing is on the way, and with it the sizes that come by themselves.
    for (let tries = 0; !whole && !fault && tries < 200; tries += 1)
      await new Promise((resolve) => setTimeout(resolve, 25))
    clearTimeout(pause)
    if (fault || !whole)
      throw fault ?? new Error('The plan could not be drawn just now; it stands as you left it. Try again.')
    going = keep(whole) ?? going
    await going
    return planning.kept?.id ?? ''
  }
  let comparing = $state(false)
  let asking = $state<string[]>([])
  async function compare(asks: () => string[]): Promise<void> {
    await lay()
    asking = asks()
    comparing = true
  }
  function goOn(it: Shapes['StationOut']): void {
    planning.begin(it, it.green_speed_ft)
    picking.mutate(it.id)
  }
  const now = $derived(sheet?.stations.find((it) => it.id === planning.kept?.id))
  let along = $state(0)
</script>

{#if planning.plan && plan && sheet && !instruments.isLoading}
  <h1 class="sr-only">Set: the putt, the rig and what lies beside it</h1>
  <div class="grid grid-cols-1 desk:h-full desk:min-h-0 desk:grid-cols-[minmax(0,1fr)_320px]">
    <div class="flex flex-col desk:min-h-0">
      <!-- Room for the side elevation before it has come: nothing slides away under a finger. -->
      <div
        class="flex shrink-0 flex-col border-b border-hairline {(seen ? seen.side : high) ? 'h-[380px]' : 'h-[310px]'}"
        data-stage
      >
        <div class="relative min-h-0 flex-1">
          {#if seen}<Stage
              scene={seen.stage}
              stretch="true"
              grip={(of, whose) => planning.grip(of, whose, known)}
              bind:along
            />{/if}
        </div>
        {#if seen?.side && along}
          <div class="relative shrink-0 border-t border-hairline" style:height={sideHeight(seen.side, along)} data-side>
            <Stage scene={seen.side} fixed={along} grip={(of, whose) => planning.grip(of, whose, known)} />
          </div>
        {/if}
      </div>
      <Tabs.Root bind:value={planning.tab} class="flex flex-col desk:min-h-0 desk:flex-1">
        <div class="flex shrink-0 flex-wrap items-end justify-between gap-x-3 border-b-2 border-ink px-5 pt-2">
          <Tabs.List class="flex flex-wrap" aria-label="What to plan">
            {#each TABS as it (it.value)}
              <Tabs.Trigger
                value={it.value}
                class="wide min-h-11 px-4 text-faded data-[state=active]:bg-ink data-[state=active]:text-paper"
                >{it.words}{it.value === 'beside' && plan.aids.length
                  ? ` ${plan.aids.length}`
                  : ''}{#if faulty.has(it.value)}<span class="ml-1" title="Something here can’t be laid">✕</span
                  >{/if}</Tabs.Trigger
              >
            {/each}
          </Tabs.List>
          <PlansHere stations={sheet.stations} now={planning.kept?.id} error={keeping.error ?? picking.error} {goOn} />
          <SavedStations
            plan={whole}
            hand={sheet?.golfer.hand ?? 'right'}
            use={(it) => (planning.plan = structuredClone(planOf(it)))}
          />
        </div>
        <div class="px-5 py-4 desk:min-h-0 desk:flex-1 desk:overflow-y-auto">
          <Tabs.Content value="putt"
            >{#if planning.tab === 'putt'}<PuttEntries
                bind:plan={planning.plan}
                {fault}
                take={(it) => planning.slope(it)}
                roll={() => planning.prove()}
              />{/if}</Tabs.Content
          >
          <Tabs.Content value="rig">
            {#if planning.tab === 'rig'}<RigEntries
                bind:plan={planning.plan}
                {fault}
                instruments={known}
                {seen}
                laid={sheet.laid_last}
                propose={() => (proposing = true)}
              />{/if}
          </Tabs.Content>
          <Tabs.Content value="beside">
            {#if planning.tab === 'beside'}<BesideEntries
                bind:plan={planning.plan}
                {fault}
                instruments={known}
                {seen}
                propose={() => (proposing = true)}
              />{/if}
          </Tabs.Content>
          <Tabs.Content value="proof">
            {#if planning.tab === 'proof' && seen}<ProofEntries
                lessonId={id}
                {seen}
                putt={plan}
                {now}
                station={lay}
                slope={(it) => planning.slope(it)}
                closed={Boolean(fault)}
                bind:proving={planning.proving}
              />{/if}
          </Tabs.Content>
          <Tabs.Content value="print">
            {#if planning.tab === 'print'}<Prints
                {plan}
                hand={sheet.golfer.hand}
                title="{sheet.golfer.name}, {sheet.lesson.place}"
                units={sheet.lesson.units}
              />{/if}
          </Tabs.Content>
        </div>
      </Tabs.Root>
    </div>

    <aside
      class="flex flex-col border-hairline max-desk:border-t desk:min-h-0 desk:border-l"
      aria-label="What this rig can see"
    >
      <!-- svelte-ignore a11y_no_noninteractive_tabindex (what scrolls must be reachable by keyboard) -->
      <div
        class="flex flex-col gap-4 px-4 py-4 desk:min-h-0 desk:flex-1 desk:overflow-y-auto"
        role="region"
        aria-label="Findings"
        tabindex="0"
      >
        <Findings
          {seen}
          {fault}
          {plan}
          {unread}
          apply={(it) => planning.apply(it)}
          lean={(it) => planning.lean(it)}
          again={() => preview.refetch()}
          prove={planning.tab === 'proof' ? null : () => planning.prove()}
        />
        <!-- Once the findings above stand: it would slide away under a finger. -->
        {#if seen}<SchoolsHere at="set" lesson={id} golfer={sheet.golfer} />{/if}
        <Cautions at="lesson" lesson={id} besides={seen?.cautions ?? []} />
      </div>
      <div class="shrink-0 border-t-2 border-ink px-4 py-3">
        <KitCheck lessonId={id} items={seen?.kit_check} kept={sheet.lesson.kit_checked} />
        {#if unread}
          <label class="mb-3 flex min-h-11 cursor-pointer items-start gap-3 font-semibold">
            <input
              type="checkbox"
              class="mt-1 size-6 shrink-0 accent-[var(--ink)]"
              checked={false}
              disabled={!rig}
              onchange={() => reading.mutate(undefined)}
            />
            The laser’s cautions above are read, and everybody here knows them.
          </label>
        {/if}
        <StartBlock
          lessonId={id}
          golferId={sheet.golfer.id}
          {wanted}
          station={lay}
          offered={offeredUnder(sheet)}
          guides={rig?.about.guides ?? false}
          watched={seen?.watched ?? []}
          readsStart={seen?.reads_start ?? true}
          like={sheet.blocks.at(-1)}
          folded
          atOnce={page.url.searchParams.has('begin') && Boolean(rig && whole && planning.kept)}
          closed={!seen || Boolean(fault) || unread}
          compare={(asks) => void compare(asks)}
        />
      </div>
    </aside>
  </div>
  {#if now}
    <Sheet bind:open={comparing} title="Compare, in turns" wide>
      <PlanComparison
        lessonId={id}
        hand={sheet?.golfer.hand ?? 'right'}
        station={now}
        guided={rig?.about.guides ?? false}
        asked={asking}
        offered={offeredUnder(sheet)}
        planned={() => (comparing = false)}
      />
    </Sheet>
  {/if}
  <Proposals
    bind:open={proposing}
    {plan}
    proofOf={planning.known(sheet.stations)}
    level={sheet.golfer.level}
    hand={sheet.golfer.hand}
    golfer={sheet.golfer}
    expected={line.data?.spread_deg}
    use={(it) => planning.take(it, sheet?.laid_last)}
  />
{:else if sheet}
  <Coming page what="The putt" />
{/if}

<!-- What do you want to know? Libella proposes the instruments that tell it, laid to suit the putt and the golfer. -->
<script lang="ts">
  import { typedNumber } from '$lib/base/number'
  import { about, type Shapes } from '$lib/data/client'
  import { choices, named } from '$lib/data/vocabulary.svelte'
  import { bagQuery, bandsQuery } from '$lib/data/queries.svelte'
  import Choice from '$lib/base/Choice.svelte'
  import Stage from '$lib/drawing/Stage.svelte'
  import Sheet from '$lib/base/Sheet.svelte'
  import Stepper from '$lib/base/Stepper.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import SchoolMark from '$lib/schools/SchoolMark.svelte'
  import { schoolsQuery } from '$lib/schools/queries.svelte'
  import { puttOf, type Plan } from './plan'
  import { proposalsQuery } from './queries.svelte'

  interface Props {
    open: boolean
    plan: Plan
    /** The lesson's plan that this is: what is proposed is laid on its line. */
    proofOf: string | null
    level: Shapes['GolferBrief']['level']
    hand: Shapes['GolferBrief']['hand']
    /** By whose schools what is laid first is laid first. */
    golfer: { id: string; name: string }
    /** The spread this golfer has shown in earlier lessons, if any told it. */
    expected?: number | null | undefined
    use: (proposal: Shapes['ProposalOut']) => void
  }
  let { open = $bindable(), plan, proofOf, level, hand, golfer, expected, use }: Props = $props()

  const NO_RIG = 'no_rig'
  const MARKS: Partial<Record<Shapes['RigSightOut']['fit'], string>> = { good: '✓', unsure: '!' }
  type Measures = NonNullable<Shapes['WantedIn']['measures']>
  const CHECKS = choices<Measures>('measures')
  let measures = $state<Measures>('start')
  let onlyBag = $state(false)
  let own = $state<number | null>(null)
  const bag = bagQuery()
  const bands = bandsQuery()
  const band = $derived(bands.data?.find((it) => it.level === level))
  const wanted = $derived(own ?? expected ?? band?.spread_deg ?? 1.4)
  const schools = schoolsQuery(() => ({ golfer: golfer.id }))
  const decided = $derived(
    schools.data?.disagreements.filter((it) => it.held && ['line_by', 'gate'].includes(it.code)) ?? []
  )
  const found = proposalsQuery(
    () => ({
      ...puttOf(plan),
      measures,
      level,
      hand,
      golfer: golfer.id,
      wanted_deg: wanted,
      only_bag: onlyBag,
      proof_of: proofOf
    }),
    () => bag.data,
    // Asked once all of it is known, not once for each part that comes.
    () => open && !bag.isPending && !bands.isPending
  )
</script>

<Sheet bind:open title="What do you want to know?">
  <Choice label="Check" options={CHECKS} bind:value={measures} />
  <div class="mt-3 grid grid-cols-2 items-start gap-4">
    <Stepper
      label="As strict as ±"
      unit="°"
      text={String(Number(wanted.toFixed(2)))}
      hint={expected && own === null
        ? `This golfer’s own spread, from earlier lessons: ${expected.toFixed(1)}°.`
        : band
          ? `${band.name}: ${band.strict_deg.toFixed(1)}° to ${band.loose_deg.toFixed(1)}° tell most.`
          : ''}
      read={typedNumber}
      step={(by) => (own = Math.min(6, Math.max(0.2, Math.round((wanted + by * 0.1) * 10) / 10)))}
      onvalue={(it) => (own = it)}
      error={about(found.error, 'wanted_deg')}
    />
    <label class="mt-6 flex min-h-11 items-center gap-3 font-semibold">
      <input type="checkbox" class="size-6 accent-[var(--ink)]" bind:checked={onlyBag} disabled={!bag.data?.told} />
      <span
        >Use only what’s in my bag {#if bag.data && !bag.data.told}<a class="underline" href="/aids/bag"
            >(tell it first)</a
          >{/if}</span
      >
    </label>
  </div>
  {#if found.error}
    <div class="mt-3"><Trouble error={found.error} again={() => found.refetch()} /></div>
  {:else if found.data && !found.data.length}
    <p class="mt-4 text-lg">
      Nothing in the bag tells that. <button class="button ml-2" type="button" onclick={() => (onlyBag = false)}
        >Show all</button
      >
    </p>
  {/if}
  {#each decided as it (it.code)}<SchoolMark of={it.code} whose={{ golfer: golfer.id }} {golfer} />{/each}
  <ol class="mt-3" aria-label="Proposals, the best first">
    {#each found.data ?? [] as it, n (it.kind)}
      <li class="border-t border-hairline py-3" data-proposal={it.kind}>
        <div class="flex items-start justify-between gap-3">
          <p class="wide flex-1 text-lg">
            {it.name}
            {#if it.sight}<span class="text-base {it.sight.fit === 'good' ? '' : 'text-faded'}">
                {MARKS[it.sight.fit] ?? '✕'} {named('fit', it.sight.fit)}</span
              >{/if}
          </p>
          <button
            class="button shrink-0 {n === 0 ? 'primary' : ''}"
            type="button"
            aria-label="{it.watches ? 'Use it' : 'Lay it too'}: {it.name}"
            onclick={() => {
              use(it)
              open = false
            }}>{it.watches ? 'Use it' : 'Lay it too'}</button
          >
          {#if !it.watches && plan.rig_kind !== NO_RIG}
            <button
              class="button shrink-0"
              type="button"
              aria-label="{it.name} alone, no start rig"
              onclick={() => {
                use(it)
                use({ ...it, kind: NO_RIG, sizes: {}, watches: true })
                open = false
              }}>It alone</button
            >
          {/if}
        </div>
        <div class="relative my-1 h-24">
          <Stage scene={it.stage} label="{it.name}: {it.stage.words}" taped={false} />
        </div>
        <p class="text-[15px]">{it.words}</p>
        <p class="text-sm text-faded">
          {it.guides ? 'In the golfer’s view.' : 'Out of the golfer’s view.'}
          {#if it.missing.length}<strong class="text-danger"
              >Not in the bag: {it.missing.map((part) => `${part.count} ${part.name}`).join(', ')}.</strong
            >{/if}
        </p>
      </li>
    {/each}
  </ol>
</Sheet>

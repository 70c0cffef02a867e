<!-- A drill made one's own: a copy with another name, dose or goal; or an own one changed. -->
<script lang="ts">
  import { untrack } from 'svelte'
  import { v7 } from 'uuid'
  import Choice from '$lib/base/Choice.svelte'
  import Sheet from '$lib/base/Sheet.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { about, type Shapes } from '$lib/data/client'
  import { createWrite } from '$lib/data/write.svelte'
  import { keepDrill } from './writes'

  interface Props {
    open: boolean
    of: Shapes['DrillOut']
  }
  let { open = $bindable(), of }: Props = $props()

  type Own = Required<Shapes['DrillIn']>
  const GOALS: { value: Own['goal']; words: string }[] = [
    { value: 'share', words: 'So many of ten, shown' },
    { value: 'count', words: 'A count of one run' },
    { value: 'level', words: 'Within degrees' }
  ]
  const draft = $state(
    untrack(() => ({
      name: of.own ? of.name : `${of.name}, mine`,
      purpose: of.purpose,
      times: of.times,
      minutes: 4,
      days: 3,
      goal: (of.angles ? 'level' : 'share') as Own['goal'],
      goal_size: of.angles ? 0.5 : 7
    }))
  )
  const keeping = createWrite(
    () =>
      keepDrill(of.own ? of.code : v7(), {
        ...$state.snapshot(draft),
        goal_size: draft.goal === 'share' ? draft.goal_size / 10 : draft.goal_size,
        copied_from: of.own ? of.copied_from : of.code,
        steps: of.steps,
        risk: of.risk
      }),
    () => (open = false)
  )
  function keep(event: SubmitEvent): void {
    event.preventDefault()
    keeping.mutate(undefined)
  }
</script>

<Sheet bind:open title={of.own ? 'Your drill' : `After “${of.name}”`}>
  <form class="grid gap-4" onsubmit={keep}>
    <label class="block">
      <span class="label">Name</span>
      <input class="entry" bind:value={draft.name} maxlength="80" required />
    </label>
    <label class="block">
      <span class="label">What it is for</span>
      <input class="entry" bind:value={draft.purpose} maxlength="300" required />
    </label>
    <div class="grid grid-cols-3 gap-3">
      {#each [{ of: 'times' as const, label: 'In a run' }, { of: 'minutes' as const, label: 'Minutes' }, { of: 'days' as const, label: 'Days a week' }] as it (it.of)}
        <label class="block">
          <span class="label">{it.label}</span>
          <input
            class="entry"
            type="number"
            step="any"
            bind:value={draft[it.of]}
            required
            aria-invalid={about(keeping.error, it.of) ? 'true' : undefined}
          />
        </label>
      {/each}
    </div>
    <Choice label="The goal" options={GOALS} bind:value={draft.goal} />
    <label class="block">
      <span class="label"
        >{draft.goal === 'share' ? 'Of ten' : draft.goal === 'count' ? `Of ${draft.times}` : 'Degrees'}</span
      >
      <input class="entry" type="number" step="any" bind:value={draft.goal_size} required />
    </label>
    {#if keeping.error}<Trouble error={keeping.error} />{/if}
    <button class="button primary min-h-14 text-lg" disabled={keeping.isPending}>Keep it</button>
  </form>
</Sheet>

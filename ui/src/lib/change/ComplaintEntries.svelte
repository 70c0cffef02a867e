<!-- What brings the golfer here: where it misses first; the rest once that is said, each one tap, each may be left out. -->
<script lang="ts">
  import Choice from '$lib/base/Choice.svelte'
  import Several from '$lib/base/Several.svelte'
  import { FOOT_M, rulerFor, withUnit } from '$lib/base/length'
  import { settings } from '$lib/base/settings.svelte'
  import { choices, drawnChoices, named } from '$lib/data/vocabulary.svelte'
  import { missesTapped, type Complaint } from './complaint'

  interface Props {
    complaint: Complaint
    /** All of it at once, not only what comes first. */
    whole?: boolean
  }
  let { complaint = $bindable(), whole = false }: Props = $props()

  const MISSES = drawnChoices<Complaint['misses'][number]>('miss')
  const FELT = drawnChoices<NonNullable<Complaint['felt']>>('felt')
  const ABOUT = choices<Complaint['about'][number]>('about')
  const WANTS = choices<NonNullable<Complaint['wants']>>('want')
  const TRUST = choices<string>('score')
  /** As coaches say it: short ones, and from where on it is a matter of pace. */
  const FROM = $derived(
    (settings.units === 'metric' ? [1, 2, 3, 5] : [3, 6, 10, 15].map((it) => it * FOOT_M)).map((m) => ({
      value: String(m),
      words: `from ${withUnit(m, rulerFor(5, settings.units))} on`
    }))
  )
  const more = $derived(whole || complaint.misses.length > 0 || complaint.about.length > 0)
</script>

<div class="grid gap-3" data-complaint>
  <Several
    label="What brings them here"
    shown
    options={MISSES}
    values={complaint.misses}
    change={(it) => (complaint.misses = missesTapped(complaint.misses, it))}
  />
  <Several label="Or they ask" shown options={ABOUT} values={complaint.about} change={(it) => (complaint.about = it)} />
  {#each complaint.about as it (it)}<p class="text-faded" data-tells={it}>{named('about_tells', it)}</p>{/each}
  {#if more}
    <Choice
      label="From what length"
      options={[{ value: '', words: 'At any' }, ...FROM]}
      bind:value={() => String(complaint.from_m ?? ''), (it) => (complaint.from_m = it === '' ? null : Number(it))}
    />
    <Choice
      label="They feel it is"
      small
      options={[{ value: '', words: 'Can’t say' }, ...FELT]}
      bind:value={
        () => complaint.felt ?? '', (it) => (complaint.felt = it === '' ? null : (it as typeof complaint.felt))
      }
    />
    <Choice
      label="They want"
      options={WANTS}
      bind:value={() => complaint.wants ?? ('' as 'to_know'), (it) => (complaint.wants = it)}
    />
    <Choice
      label="Trust over the ball, 5 is whole"
      options={TRUST}
      bind:value={() => String(complaint.trust ?? ''), (it) => (complaint.trust = Number(it))}
    />
    <label class="block">
      <span class="label">In their own words</span>
      <input class="entry" bind:value={complaint.said} maxlength="300" autocomplete="off" />
    </label>
  {/if}
</div>

<!-- One thing on which coaches contradict each other: what this golfer's data say, every side in its own words, who holds which. -->
<script lang="ts">
  import Choice from '$lib/base/Choice.svelte'
  import Sheet from '$lib/base/Sheet.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { createWrite } from '$lib/data/write.svelte'
  import Why from '$lib/judge/Why.svelte'
  import type { Disagreement } from './queries.svelte'
  import { holdSchool } from './writes'

  interface Props {
    open: boolean
    it: Disagreement
    /** For whom a school may be held beside the coach; none: for the coach alone. */
    golfer?: { id: string; name: string } | undefined
  }
  let { open = $bindable(), it, golfer }: Props = $props()

  const holding = createWrite(({ school, of }: { school: string; of?: string | undefined }) =>
    holdSchool(it.code, school, of)
  )
  const sides = $derived(it.schools.map((one) => ({ value: one.code, words: one.name })))
  const ofGolfer = $derived([{ value: '', words: 'As the coach' }, ...sides])
  const ofCoach = $derived([{ value: '', words: 'None' }, ...sides])
</script>

<Sheet bind:open title={it.asks} wide>
  <div class="grid gap-4" data-disagreement={it.code}>
    <p class="leading-snug {it.told_sure ? 'text-lg font-semibold' : 'text-faded'}" data-told>
      {it.told}
      {#if it.stands}<span class="font-normal">{it.stands}</span>{/if}
    </p>
    {#if it.why && it.why_lesson}<p><Why of={{ lesson: it.why_lesson }} key={it.why} name={it.told} /></p>
    {:else if it.why && golfer}<p><Why of={{ golfer: golfer.id }} key={it.why} name={it.told} /></p>{/if}
    <ul class="grid gap-3">
      {#each it.schools as one (one.code)}
        <li
          class="border-l-4 pl-3 {one.code === it.held ? 'border-ink' : 'border-hairline'}"
          data-school={one.code}
          data-held={one.code === it.held ? '' : undefined}
        >
          <p class="text-lg leading-snug font-semibold">
            {one.name}
            {#if one.code === it.held}<span class="text-base font-normal">· {it.by_words}</span>{/if}
          </p>
          <p class="leading-snug">{one.words}</p>
          {#if one.changes.length}
            <ul class="mt-0.5 text-[15px] leading-snug text-faded">
              {#each one.changes as change (change)}<li>{change}</li>{/each}
            </ul>
          {:else}
            <p class="mt-0.5 text-[15px] leading-snug text-faded">
              It sets nothing: it is told, and held against what is read.
            </p>
          {/if}
        </li>
      {/each}
    </ul>
    {#if golfer}
      <Choice
        label="For {golfer.name}"
        options={ofGolfer}
        bind:value={() => it.golfer, (school) => holding.mutate({ school, of: golfer?.id })}
      />
    {/if}
    <Choice label="The coach" options={ofCoach} bind:value={() => it.coach, (school) => holding.mutate({ school })} />
    <p class="text-sm text-faded">An opinion, all of it. A golfer’s own goes before the coach’s.</p>
    {#if holding.error}<Trouble error={holding.error} />{/if}
  </div>
</Sheet>

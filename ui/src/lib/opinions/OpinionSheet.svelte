<!-- One opinion: its numbers to hold at another value, what that would change, and as it was held before. -->
<script lang="ts">
  import { moment } from '$lib/base/dates'
  import Sheet from '$lib/base/Sheet.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { createWrite } from '$lib/data/write.svelte'
  import NumberEntry from './NumberEntry.svelte'
  import { weighed, type Opinion, type Whose } from './queries.svelte'
  import WhatItChanges from './WhatItChanges.svelte'
  import { holdOpinion } from './writes'

  interface Props {
    open: boolean
    it: Opinion
    whose: Whose
    /** Of whom, in words: "everybody". */
    of: string
  }
  let { open = $bindable(), it, whose, of }: Props = $props()

  /** What was changed here, by where in the opinion it stands. */
  let draft = $state<Record<string, number>>({})
  const numbers = $derived({
    ...Object.fromEntries(it.numbers.filter((one) => one.own).map((one) => [one.at, one.value])),
    ...draft
  })
  const body = $derived({
    opinion: it.opinion,
    numbers,
    level: whose.level ?? null,
    golfer_id: whose.golfer ?? null
  })
  const changed = $derived(it.numbers.some((one) => one.at in draft && draft[one.at] !== one.value))
  const own = $derived(it.numbers.some((one) => one.own))
  const holding = createWrite(
    (numbers: Record<string, number>) => holdOpinion({ ...body, numbers }),
    () => (draft = {})
  )
  const upper = (words: string) => words.charAt(0).toUpperCase() + words.slice(1)
</script>

<Sheet bind:open title={it.name} wide>
  <div class="grid gap-4" data-opinion={it.opinion}>
    <p class="text-lg leading-snug">
      Of {of}: <span class="font-semibold">{it.value}</span>
      {#if it.besides}<span class="block text-[15px] text-faded"
          >{#if it.page}<a class="underline" href={it.page}>{it.besides}</a>{:else}{it.besides}{/if}</span
        >{/if}
    </p>
    {#if it.numbers.length}
      <div class="grid gap-3 sm:grid-cols-2">
        {#each it.numbers as one (one.at)}
          <NumberEntry
            it={one}
            label={one.name ? upper(one.name) : 'Held at'}
            value={draft[one.at] ?? one.value}
            onvalue={(value) => (draft = { ...draft, [one.at]: value })}
          />
        {/each}
      </div>
      {#snippet keeping()}
        <button
          type="button"
          class="button primary"
          disabled={!changed || holding.isPending}
          onclick={() => holding.mutate(numbers)}>Hold it so of {of}</button
        >
        {#if own}
          <button type="button" class="button" disabled={holding.isPending} onclick={() => holding.mutate({})}
            >As it stands again</button
          >
        {/if}
      {/snippet}
      {#if changed}<WhatItChanges tried={body} weigh={weighed} {whose}>{@render keeping()}</WhatItChanges>
      {:else}<div class="flex flex-wrap gap-2">{@render keeping()}</div>{/if}
      {#if holding.error}<Trouble error={holding.error} />{/if}
    {/if}
    {#if it.versions.length}
      <div>
        <h3 class="label">As it was held</h3>
        <ul class="grid gap-1">
          {#each it.versions as one (one.kept_at + one.whose)}
            <li class="leading-snug {one.counts ? 'font-semibold' : 'text-faded'}">
              {one.whose}: {one.words}<span class="font-normal text-faded">, since {moment(one.kept_at)}</span>
            </li>
          {/each}
        </ul>
      </div>
    {/if}
    <p class="text-sm text-faded">
      A number nobody measured. A golfer’s goes before the level’s, the level’s before everybody’s; what was read of the
      golfer goes before them all.
    </p>
  </div>
</Sheet>

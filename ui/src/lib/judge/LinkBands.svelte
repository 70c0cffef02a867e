<!-- What counts as fine for whom: bias and spread of each link, and cost, by level. Opinions, kept in versions. -->
<script lang="ts">
  import type { Shapes } from '$lib/data/client'
  import { day } from '$lib/base/dates'
  import Choice from '$lib/base/Choice.svelte'
  import { typedNumber } from '$lib/base/number'
  import Stepper from '$lib/base/Stepper.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { createWrite } from '$lib/data/write.svelte'
  import WhatItChanges from '$lib/opinions/WhatItChanges.svelte'
  import { linkBandsQuery, weighedBands as weigh } from './queries.svelte'
  import { keepLinkBands } from './writes'

  const bands = linkBandsQuery()
  const keeping = createWrite(keepLinkBands, () => drop())
  type Level = Shapes['LevelBandOut']
  let level = $state<Level['level']>('club')
  /** What was changed here and is not kept yet, level by level. */
  let drafts = $state.raw<Partial<Record<Level['level'], Level>>>({})
  const stands = $derived(bands.data?.levels.find((one) => one.level === level))
  const it = $derived(drafts[level] ?? stands)
  const links = $derived(Object.entries(bands.data?.names ?? {}) as [keyof Level['links'], string][])
  const step = (value: number, by: number) => Math.min(6, Math.max(0.2, Math.round((value + by * 0.1) * 10) / 10))
  const whole = (value: number, by: number) => Math.min(40, Math.max(1, Math.round(value + by)))
  const changed = $derived(Boolean(it && stands && JSON.stringify(it) !== JSON.stringify(stands)))
  const levels = $derived(
    Object.fromEntries(
      (bands.data?.levels ?? []).map((one) => {
        const now = one.level === it?.level ? it : one
        return [one.level, { links: now.links, cost: now.cost, lost_inside: now.lost_inside }]
      })
    )
  )

  function change(changed: Partial<Pick<Level, 'cost' | 'lost_inside' | 'links'>>): void {
    if (it) drafts = { ...drafts, [level]: { ...it, ...changed } }
  }
  function drop(): void {
    drafts = { ...drafts, [level]: undefined }
  }
  function link(name: keyof Level['links'], what: 'bias_deg' | 'spread_deg', deg: number): void {
    const now = it?.links[name]
    if (it && now) change({ links: { ...it.links, [name]: { ...now, [what]: deg } } })
  }
</script>

<section class="mt-8" data-link-bands>
  <h2 class="wide border-b-2 border-ink pb-1 text-xl">What is fine for whom</h2>
  <p class="mt-3 max-w-2xl">
    Up to where bias and spread of each link, and what they cost, count as fine. All of it is opinion, and yours to
    change: see first what that changes. What is kept is a version of its own, and all is judged anew by it.
    <span class="text-faded"
      >{bands.data?.number
        ? `Version ${bands.data.number}, ${day(bands.data.kept_at ?? '')}.`
        : 'As usual, nothing changed yet.'}</span
    >
  </p>
  {#if bands.error ?? keeping.error}<div class="mt-3">
      <Trouble error={(bands.error ?? keeping.error)!} again={() => bands.refetch()} />
    </div>{/if}
  {#if it}
    <div class="mt-3">
      <Choice
        label="For"
        options={(bands.data?.levels ?? []).map((one) => ({ value: one.level, words: one.name }))}
        bind:value={level}
      />
    </div>
    <div class="mt-4 grid gap-x-5 gap-y-4 sm:grid-cols-2 lg:grid-cols-4">
      {#each links as [name, said] (name)}
        {@const band = it.links[name]!}
        <Stepper
          label="{said}: bias up to"
          unit="°"
          text={String(Number(band.bias_deg.toFixed(2)))}
          read={typedNumber}
          step={(by) => link(name, 'bias_deg', step(band.bias_deg, by))}
          onvalue={(deg) => link(name, 'bias_deg', deg)}
        />
        {#if name === 'start'}
          <p class="self-center text-faded">Its spread is the one above: ± {band.spread_deg.toFixed(1)}°.</p>
        {:else}
          <Stepper
            label="{said}: spread up to"
            unit="°"
            text={String(Number(band.spread_deg.toFixed(2)))}
            read={typedNumber}
            step={(by) => link(name, 'spread_deg', step(band.spread_deg, by))}
            onvalue={(deg) => link(name, 'spread_deg', deg)}
          />
        {/if}
      {/each}
      <Stepper
        label="A bias may cost up to"
        unit="in 100"
        text={String(it.cost)}
        read={typedNumber}
        step={(by) => change({ cost: whole(it.cost, by) })}
        onvalue={(n) => change({ cost: n })}
      />
      <Stepper
        label="Lost inside the window"
        unit="in 100"
        text={String(it.lost_inside)}
        read={typedNumber}
        step={(by) => change({ lost_inside: whole(it.lost_inside, by) })}
        onvalue={(n) => change({ lost_inside: n })}
      />
    </div>
    {#if changed}
      <div class="mt-4 border-t border-hairline pt-3" data-bands-draft>
        <WhatItChanges tried={levels} {weigh} whose={{ level }}>
          <button
            type="button"
            class="button primary"
            disabled={keeping.isPending}
            onclick={() => keeping.mutate({ levels })}>Keep it so for “{it.name}”</button
          >
          <button type="button" class="button" onclick={drop}>Leave it as it stands</button>
        </WhatItChanges>
      </div>
    {/if}
  {/if}
</section>

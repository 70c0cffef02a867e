<!-- How strict for whom: the spread of the starts expected of a level before anything is measured. An opinion. -->
<script lang="ts">
  import { typedNumber } from '$lib/base/number'
  import Stepper from '$lib/base/Stepper.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { about, type Shapes } from '$lib/data/client'
  import { bandsQuery } from '$lib/data/queries.svelte'
  import { createWrite } from '$lib/data/write.svelte'
  import WhatItChanges from '$lib/opinions/WhatItChanges.svelte'
  import { setBands } from '$lib/set/writes'
  import { linkBandsQuery, weighedBands } from './queries.svelte'

  type Band = Shapes['BandOut']
  const bands = bandsQuery()
  const links = linkBandsQuery()
  const banding = createWrite(setBands, () => (draft = null))
  /** A spread that was changed here and is not kept yet. */
  let draft = $state.raw<{ level: Band['level']; deg: number } | null>(null)
  const drafted = $derived(bands.data?.find((it) => it.level === draft?.level && it.spread_deg !== draft.deg))

  function keep(level: Band['level'], deg: number | null): void {
    const own = (bands.data ?? [])
      .map(
        (it) => [it.level, it.level === level ? deg : it.spread_deg === it.usual_deg ? null : it.spread_deg] as const
      )
      .filter((it): it is readonly [typeof level, number] => it[1] !== null)
    banding.mutate(Object.fromEntries(own))
  }
  const weigh = (lesson: string, { level, deg }: { level: Band['level']; deg: number }) => {
    const of = links.data?.levels.find((it) => it.level === level)
    if (!of) throw new Error('The bands by level have not come yet. Try again.')
    const start = { ...of.links.start!, spread_deg: deg }
    const { links: others, cost, lost_inside } = of
    return weighedBands(lesson, { [level]: { links: { ...others, start }, cost, lost_inside } })
  }
</script>

<h2 class="wide mt-8 border-b-2 border-ink pb-1 text-xl">How strict for whom</h2>
<p class="mt-3 max-w-2xl">
  The spread of start lines you expect before anything is measured. A gate tells most when it lets half of that to one
  and a half times that through. All of it is opinion, and yours to change.
</p>
{#if bands.error ?? banding.error}<div class="mt-3">
    <Trouble error={(bands.error ?? banding.error)!} again={() => bands.refetch()} />
  </div>{/if}
<div class="mt-3 grid gap-x-5 gap-y-4 sm:grid-cols-2 md:grid-cols-4">
  {#each bands.data ?? [] as it (it.level)}
    {@const deg = draft?.level === it.level ? draft.deg : it.spread_deg}
    <div data-band={it.level}>
      <Stepper
        label={it.name}
        unit="°"
        text={String(Number(deg.toFixed(2)))}
        hint={deg === it.spread_deg
          ? `Gates from ± ${it.strict_deg.toFixed(1)}° to ± ${it.loose_deg.toFixed(1)}°.`
          : `Kept now: ${Number(it.spread_deg.toFixed(2))}°.`}
        read={typedNumber}
        step={(by) =>
          (draft = { level: it.level, deg: Math.min(6, Math.max(0.2, Math.round((deg + by * 0.1) * 10) / 10)) })}
        onvalue={(deg) => (draft = { level: it.level, deg })}
        error={about(banding.error, `spreads_deg.${it.level}`)}
      />
      {#if it.spread_deg !== it.usual_deg && deg === it.spread_deg}
        <button class="button plain text-sm" onclick={() => keep(it.level, null)}>Back to {it.usual_deg}°</button>
      {/if}
    </div>
  {/each}
</div>
{#if draft && drafted}
  {@const now = draft}
  <div class="mt-4 border-t border-hairline pt-3" data-spread-draft>
    <WhatItChanges tried={now} {weigh} whose={{ level: now.level }}>
      <button type="button" class="button primary" disabled={banding.isPending} onclick={() => keep(now.level, now.deg)}
        >Keep {now.deg}° for “{drafted.name}”</button
      >
      <button type="button" class="button" onclick={() => (draft = null)}>Leave it as it stands</button>
    </WhatItChanges>
  </div>
{/if}

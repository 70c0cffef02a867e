<!-- A set while it is read: the picture to tap, or an angle to record; step away after each. -->
<script lang="ts">
  import { named } from '$lib/data/vocabulary.svelte'
  import { createQuery } from '@tanstack/svelte-query'
  import { v7 } from 'uuid'
  import { stamp } from '$lib/data/clock'
  import { api, ask, type Shapes } from '$lib/data/client'
  import Vial from '$lib/drawing/Vial.svelte'
  import type { Zone } from '$lib/drawing/zones'
  import { keys } from '$lib/base/keys.svelte'
  import Stepper from '$lib/base/Stepper.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { ENTRIES } from '$lib/instruments'
  import { settings } from '$lib/base/settings.svelte'

  interface Props {
    sheet: Shapes['AimSheetOut']
    name: string
    changed: (aim: Shapes['AimOut']) => void
    leave: () => void
  }
  let { sheet, name, changed, leave }: Props = $props()

  const kind = $derived(sheet.set.kind)
  const picture = createQuery(() => ({
    queryKey: ['try', kind, sheet.set.sizes, settings.units],
    queryFn: () =>
      ask(api.POST('/api/instruments/entry', { params: { query: { units: settings.units } }, body: { kind: kind ?? '', sizes: sheet.set.sizes } })),
    enabled: kind !== null,
    staleTime: Infinity,
  }))
  const Entry = $derived(picture.data ? ENTRIES[picture.data.entry] : undefined)
  let error = $state<unknown>(null)
  let waiting = $state(0)
  let angle = $state(0)
  let seen = $state(0.5)
  const valid = $derived(sheet.set_downs.filter((it) => !it.voided))

  let queue: Promise<unknown> = Promise.resolve()
  /** One after another, so that a quick thumb is never lost. */
  function say(asked: () => Promise<Shapes['AimOut']>): void {
    waiting += 1
    queue = queue.then(async () => {
      try {
        changed(await asked())
        error = null
      } catch (problem) {
        error = problem
      }
      waiting -= 1
    })
  }
  function keep(raw: Record<string, number | string>): void {
    const [id, body] = [v7(), { set_id: sheet.set.id, raw, taken_at: stamp() }]
    say(() => ask(api.PUT('/api/set-downs/{id}', { params: { path: { id }, query: { units: settings.units } }, body })))
  }
  function undo(): void {
    const last = valid.at(-1)
    if (!last || waiting) return
    say(() => ask(api.PUT('/api/set-downs/{id}/voided', { params: { path: { id: last.id }, query: { units: settings.units } }, body: { voided: true } })))
  }
  $effect(() => keys.add('Aim', () => [{ key: 'u', words: 'Undo the last set-down', run: undo }]))
</script>

<div class="flex flex-wrap items-baseline justify-between gap-3 border-b-2 border-ink pb-1">
  <h1 class="wide text-xl" data-set-count>Set-down {valid.length + 1} of {sheet.set.planned}</h1>
  <p class="text-faded">{name} · {named('cue', sheet.set.cue)}{sheet.set.aided ? ', aid in view' : ', no aid in view'}</p>
</div>
<p class="mt-2 text-lg">{valid.length ? 'The golfer steps away, comes back and sets the putter down again.' : 'The golfer sets the putter down.'}</p>
<div class="mt-3 grid gap-x-8 gap-y-4 md:grid-cols-[minmax(0,1.4fr)_minmax(0,1fr)]">
  <div>
    {#if kind === null}
      <div class="grid items-end gap-3 sm:grid-cols-2">
        <Stepper
          label="Angle" unit="°" hint="Right +, left −." text={String(angle)} read={(text) => Number(text.trim().replace('−', '-').replace(',', '.').replace('°', ''))}
          step={(by) => (angle = Math.round((angle + by * 0.5) * 10) / 10)} onvalue={(it) => (angle = it)}
        />
        <Stepper
          label="Read to ±" unit="°" hint="How finely it is really seen." text={String(seen)} read={(text) => Number(text.trim().replace(',', '.').replace('°', ''))}
          step={(by) => (seen = Math.max(0.1, Math.round((seen + by * 0.1) * 10) / 10))} onvalue={(it) => (seen = it)}
        />
      </div>
      <button class="button primary mt-3 min-h-14 w-full text-lg" onclick={() => keep({ angle_deg: angle, seen_deg: seen })}>Record it</button>
    {:else if picture.error}
      <Trouble error={picture.error} again={() => picture.refetch()} />
    {:else if Entry && picture.data}
      <div class="relative h-72"><div class="absolute inset-0"><Entry entry={picture.data} closed={false} record={(zone: Zone) => keep(zone.raw)} /></div></div>
    {/if}
    {#if error}<div class="mt-3"><Trouble {error} /></div>{/if}
    <div class="mt-3 flex gap-3">
      <button class="button" disabled={!valid.length || waiting > 0} onclick={undo}>Undo last <kbd class="key">U</kbd></button>
      <button class="button ml-auto" onclick={leave}>{sheet.found.final ? 'Done' : 'Leave it open'}</button>
    </div>
  </div>
  <div aria-live="polite">
    <Vial vial={sheet.found.vial} words={sheet.found.headline} />
    <p class="wide mt-2 text-xl" data-aim-headline>{sheet.found.headline}</p>
    <p>{sheet.found.meaning}</p>
    <p class="text-faded">{sheet.found.doubt}</p>
  </div>
</div>

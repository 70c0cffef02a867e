<!-- Where the eyes are: each marked on the mirror with the other closed, corrected for the mirror's level. -->
<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query'
  import { v7 } from 'uuid'
  import { stamp } from '$lib/data/clock'
  import { api, ask, refusal, type Shapes } from '$lib/data/client'
  import { putAnswer } from '$lib/data/queries.svelte'
  import MirrorTap from '$lib/drawing/MirrorTap.svelte'
  import Vial from '$lib/drawing/Vial.svelte'
  import Choice from '$lib/base/Choice.svelte'
  import LengthEntry from '$lib/base/LengthEntry.svelte'
  import PercentEntry from '$lib/base/PercentEntry.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { rulerFor, withUnit } from '$lib/base/length'
  import { placeWords, type Place } from './place'
  import SideLook from './SideLook.svelte'
  import { settings } from '$lib/base/settings.svelte'

  interface Props {
    lessonId: string
    golfer: Shapes['GolferBrief']
  }
  let { lessonId, golfer }: Props = $props()

  const client = useQueryClient()
  const key = $derived(['eyes', lessonId, settings.units])
  const eyes = createQuery(() => ({
    queryKey: key,
    queryFn: () => ask(api.GET('/api/lessons/{id}/eyes', { params: { path: { id: lessonId }, query: { units: settings.units } } })),
  }))
  let lead = $state<Place | null>(null)
  let trail = $state<Place | null>(null)
  let way = $state<'mirror' | 'plumb' | 'string' | 'strip'>('mirror')
  let rereading = $state(false)
  let level = $state({ falls_in_percent: 0, falls_back_percent: 0, level_doubt_percent: 0.1 })
  let eye_height_m = $state(1.45)
  let seen_m = $state(0.005)
  let error = $state<unknown>(null)
  let zoneError = $state<unknown>(null)
  let busy = $state(false)
  const fault = $derived(error ? refusal(error) : null)
  const sheet = $derived(eyes.data)
  const wanted = $derived(lead ? (trail ? null : 'Trail eye') : 'Lead eye')
  const WAYS = [
    { value: 'mirror' as const, words: 'In the mirror' },
    { value: 'plumb' as const, words: 'By plumb' },
    { value: 'string' as const, words: 'By a string' },
    { value: 'strip' as const, words: 'By a strip' },
  ]
  const SIGHTING = [
    { value: '' as const, words: 'Not known' },
    { value: 'left' as const, words: 'Left' },
    { value: 'right' as const, words: 'Right' },
  ]
  const SCHOOLS = [
    { value: 'over' as const, words: 'Over the line' },
    { value: 'inside' as const, words: 'A little inside' },
    { value: 'own' as const, words: 'Where straight looks straight' },
  ]
  const ruler = $derived(rulerFor(0.3, settings.units))
  function mark(at: Place): void {
    if (!lead) lead = at
    else trail = at
  }
  function again(): void {
    lead = trail = null
    error = null
  }
  // What can be read again: the newest look that was not itself a second reading.
  const rereadable = $derived(sheet?.takes.findLast((it) => !it.voided && it.inside_m !== null && !it.reread_of))
  function seen(it: Shapes['EyeTakeOut']): string {
    if (it.inside_m !== null && it.behind_m !== null) return placeWords({ inside_m: it.inside_m, behind_m: it.behind_m })
    const edge = (mm: number) => `${withUnit((mm < 0 ? -mm : mm) / 1000, ruler)} ${mm < 0 ? 'outside' : 'inside'}`
    if (it.low_mm === null) return `${it.way}: beyond ${edge(it.high_mm ?? 0)}`
    if (it.high_mm === null) return `${it.way}: beyond ${edge(it.low_mm)}`
    return `${it.way}: ${edge(it.low_mm)} to ${edge(it.high_mm)}`
  }

  async function say(asked: Promise<Shapes['EyesSheetOut']>): Promise<boolean> {
    busy = true
    error = null
    try {
      await putAnswer(client, key, await asked)
      return true
    } catch (problem) {
      error = problem
      return false
    } finally {
      busy = false
    }
  }
  async function keep(): Promise<void> {
    if (!lead || !trail || way === 'string' || way === 'strip') return
    const reread_of = rereading ? (rereadable?.id ?? null) : null
    const body = { lesson_id: lessonId, lead, trail, way, reread_of, ...level, eye_height_m, seen_m, taken_at: stamp() }
    const params = { path: { id: v7() }, query: { units: settings.units } }
    if (await say(ask(api.PUT('/api/eye-takes/{id}', { params, body })))) {
      again()
      rereading = false
    }
  }
  const voided = (id: string, voided: boolean) =>
    say(ask(api.PUT('/api/eye-takes/{id}/voided', { params: { path: { id }, query: { units: settings.units } }, body: { voided } })))
  async function want(
    school: Shapes['EyesSheetOut']['school'],
    zone_mm: [number, number] | null,
    sighting_eye: Shapes['EyesSheetOut']['sighting_eye'] | null = null,
  ): Promise<void> {
    zoneError = null
    try {
      await ask(api.PUT('/api/golfers/{id}/eyes', { params: { path: { id: golfer.id } }, body: { school, zone_mm, sighting_eye } }))
    } catch (problem) {
      zoneError = problem
    }
    await eyes.refetch()
  }
  const edge = (n: 0 | 1, mm: number) => {
    const zone = sheet?.zone_mm as [number, number] | null | undefined
    if (sheet && zone) void want(sheet.school, n ? [zone[0], mm] : [mm, zone[1]])
  }
</script>

{#if eyes.error}
  <Trouble error={eyes.error} again={() => eyes.refetch()} />
{:else if sheet}
  <div class="grid gap-x-8 gap-y-4 md:grid-cols-[minmax(0,1.3fr)_minmax(0,1fr)]">
    <div>
      <div class="mb-4"><Choice label="How they are found" options={WAYS} bind:value={way} /></div>
      {#if way === 'string' || way === 'strip'}
        <SideLook {lessonId} hand={golfer.hand} {way} sightingEye={sheet.sighting_eye} eyeHeight={eye_height_m} kept={(it) => putAnswer(client, key, it)} />
      {:else}
      <p class="text-lg" data-wanted>
        {#if rereading}<span class="font-semibold">Read the same look again, nothing moved. </span>{/if}
        {#if wanted}
          <strong>{wanted}:</strong> the golfer shuts the other one; tap where it {way === 'mirror' ? 'shows in the mirror' : 'hangs'}.
        {:else}
          Both eyes are marked.
        {/if}
      </p>
      <MirrorTap
        scene={sheet.mirror} hand={golfer.hand} {wanted} said={placeWords} {mark}
        marks={[
          { name: 'Lead eye', at: lead },
          { name: 'Trail eye', at: trail },
        ]}
      />
      <div class="mt-3 grid grid-cols-2 gap-x-5 gap-y-3">
        {#each [{ name: 'Lead eye', at: lead, set: (at: Place) => (lead = at), field: 'lead' }, { name: 'Trail eye', at: trail, set: (at: Place) => (trail = at), field: 'trail' }] as it (it.name)}
          <LengthEntry
            of="eye_inside_m" label="{it.name} inside" value={it.at?.inside_m ?? 0}
            error={fault?.about(`${it.field}.inside_m`) ?? fault?.about(it.field)} onvalue={(m) => it.set({ behind_m: it.at?.behind_m ?? 0, inside_m: m })}
          />
          <LengthEntry
            of="eye_behind_m" label="{it.name} behind" value={it.at?.behind_m ?? 0}
            error={fault?.about(`${it.field}.behind_m`)} onvalue={(m) => it.set({ inside_m: it.at?.inside_m ?? 0, behind_m: m })}
          />
        {/each}
      </div>
      {#if error}<div class="mt-3"><Trouble {error} /></div>{/if}
      <div class="mt-3 flex gap-3">
        <button class="button primary min-h-14 flex-1 text-lg" disabled={busy || !lead || !trail} onclick={keep}>Keep this look</button>
        <button class="button" disabled={!lead} onclick={again}>Mark again</button>
      </div>
      {#if rereadable}
        <label class="mt-2 flex min-h-11 items-center gap-3">
          <input type="checkbox" class="size-6 accent-(--ink)" bind:checked={rereading} />
          <span>This reads the last look once more, by you or a second reader: it tells how well it is read.</span>
        </label>
      {/if}
      <div class="mt-4 grid grid-cols-2 gap-x-5 gap-y-3 border-t border-hairline pt-3">
        <LengthEntry
          of="eye_seen_m" value={seen_m}
          error={fault?.about('seen_m')} onvalue={(it) => (seen_m = it)}
        />
        {#if way === 'mirror'}
          <PercentEntry
            label="Mirror falls to the golfer" hint="By the bubble, across the line." value={level.falls_in_percent}
            error={fault?.about('falls_in_percent')} onvalue={(it) => (level.falls_in_percent = it)}
          />
          <PercentEntry
            label="Falls away from the hole" hint="By the bubble, along the line." value={level.falls_back_percent}
            error={fault?.about('falls_back_percent')} onvalue={(it) => (level.falls_back_percent = it)}
          />
          <PercentEntry
            label="Level read to ±" hint="What it leaves unknown is drawn as a patch." value={level.level_doubt_percent}
            error={fault?.about('level_doubt_percent')} onvalue={(it) => (level.level_doubt_percent = it)}
          />
          <LengthEntry
            of="eye_height_m" value={eye_height_m}
            error={fault?.about('eye_height_m')} onvalue={(it) => (eye_height_m = it)}
          />
        {/if}
      </div>
      {/if}
    </div>
    <div>
      <Vial vial={sheet.vial} words={sheet.words.join(' ')} />
      <div class="mt-3 grid gap-1.5" aria-live="polite" data-eye-words>
        {#each sheet.words as it, n (it)}<p class={n ? '' : 'wide text-xl'}>{it}</p>{/each}
      </div>
      {#if sheet.takes.length}
        <ol class="mt-4" aria-label="Looks, newest first">
          {#each sheet.takes.toReversed() as it (it.id)}
            <li class="flex items-center justify-between gap-3 border-t border-hairline py-1 {it.voided ? 'text-faded line-through' : ''}">
              <span>{seen(it)}{it.reread_of ? ', read again' : ''}</span>
              <button class="button plain" disabled={busy} onclick={() => voided(it.id, !it.voided)}>{it.voided ? 'Restore' : 'Void'}</button>
            </li>
          {/each}
        </ol>
      {/if}
      <div class="mt-5 border-t-2 border-ink pt-3">
        <Choice
          label="Sighting eye" options={SIGHTING}
          bind:value={() => sheet.sighting_eye, (it) => want(sheet.school, (sheet.zone_mm as [number, number] | null) ?? null, it)}
        />
        <p class="mt-1 mb-4 text-sm text-faded">Both eyes open, a far mark through a gap between the hands; shut one: with the sighting eye it stays.</p>
        <Choice label="Where {golfer.name}’s eyes are wanted: an opinion" options={SCHOOLS} bind:value={() => sheet.school, (it) => want(it, null)} />
        {#if sheet.zone_mm}
          <div class="mt-3 grid grid-cols-2 gap-x-5">
            {#each [0, 1] as const as n (n)}
              <LengthEntry
                of="eye_inside_m" label={n ? 'To, inside' : 'From, inside'} value={(sheet.zone_mm[n] ?? 0) / 1000} by={0.005}
                onvalue={(metres) => edge(n, Math.round(metres * 1e4) / 10)} error={zoneError ? refusal(zoneError).about(`zone_mm.${n}`) : undefined}
              />
            {/each}
          </div>
        {/if}
      </div>
    </div>
  </div>
{/if}

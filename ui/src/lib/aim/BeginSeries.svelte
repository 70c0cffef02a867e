<!-- Begin a series of set-downs: which link of the aim, read with what, under which cue, an aid in view or none. -->
<script lang="ts">
  import { formOf } from '$lib/base/form'
  import { v7 } from 'uuid'
  import { stamp } from '$lib/data/clock'
  import { about, type Shapes } from '$lib/data/client'
  import { instrumentsQuery } from '$lib/data/queries.svelte'
  import { createWrite } from '$lib/data/write.svelte'
  import { drawnChoices, entry, pictured, stepped } from '$lib/data/vocabulary.svelte'
  import Choice from '$lib/base/Choice.svelte'
  import SizeEntry from '$lib/base/SizeEntry.svelte'
  import Stepper from '$lib/base/Stepper.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { readCautions } from '$lib/set/writes'
  import { schoolsQuery } from '$lib/schools/queries.svelte'
  import { aimChoicesQuery } from './queries.svelte'
  import UnderChoice from '$lib/start/UnderChoice.svelte'
  import { NOT_HERE, setDown, USUAL, waysToStand, type Under } from '$lib/start/under'
  import ToolTrue from '$lib/set/ToolTrue.svelte'
  import CompareAims from './CompareAims.svelte'
  import { beginSeries } from './writes'

  type Series = Shapes['AimSeriesOut']
  formOf('small')

  interface Props {
    lessonId: string
    /** The laser's cautions were read in this lesson. */
    laserRead: boolean
    /** A natural face aim was read in this lesson already. */
    natural: boolean
    /** Sizes of what reads the face: as laid here, else as read with last; the likeliest first. */
    tools: Shapes['AimOut']['tools']
    /** Set-ups named in this lesson so far. */
    setUps: string[]
    /** Series of this lesson: how they were set down is offered again. */
    before: Series[]
    begun: (series: string) => void
  }
  let { lessonId, laserRead, natural, tools, setUps, before, begun }: Props = $props()

  const choices = aimChoicesQuery()
  const instruments = instrumentsQuery()
  let link = $state<Series['link']>('face')
  const schools = schoolsQuery(() => ({ lesson: lessonId }))
  // As it was set down to last; for a first one as the school held says.
  let cue = $derived<Series['cue']>(before.at(-1)?.cue ?? (schools.data?.settings.cue as Series['cue']) ?? 'line')
  // What is laid here, or was read with last, is what it is read with again.
  // svelte-ignore state_referenced_locally
  let kind = $state(Object.keys(tools)[0] ?? 'face_mirror')
  let changed = $state<Record<string, Record<string, number>>>({})
  const sizes = $derived({ ...tools[kind], ...changed[kind] })
  let under = $state<Under>(USUAL)
  const offered = $derived(waysToStand(setUps, before))
  let view = $state<'natural' | 'aided'>('natural')
  /** What is slid in once the golfer has set up is read naturally first; else what stands in view guides from the start. */
  function seenAt(kind: string): 'natural' | 'aided' {
    const about = kinds.find((one) => one.about.kind === kind)?.about
    return about?.guides && (natural || !about.slid_in) ? 'aided' : 'natural'
  }
  let planned = $state(7)
  const VIEWS = drawnChoices<typeof view>('aid_seen')
  const CUES = drawnChoices<Series['cue']>('cue')
  /** So many tools are shown at first: what was read with last, then in their usual order. */
  const USUAL_KINDS = 5
  const had = (kind: string) =>
    kind in tools
      ? Object.keys(tools).indexOf(kind)
      : Object.keys(tools).length + (choices.data?.kinds.indexOf(kind) ?? 0)
  const kinds = $derived(
    (instruments.data ?? [])
      .filter((it) => choices.data?.kinds.includes(it.about.kind))
      .sort((one, other) => had(one.about.kind) - had(other.about.kind))
  )
  const chosen = $derived(kinds.find((it) => it.about.kind === kind))

  // A laser's cautions are read once a lesson, before it is first on.
  const unread = $derived(Boolean(link === 'face' && chosen?.about.laser && !laserRead))
  const reading = createWrite(() => readCautions(lessonId))
  const told = $derived<Shapes['AimSeriesIn']>({
    lesson_id: lessonId,
    link,
    cue,
    aided: view === 'aided',
    planned,
    kind: link === 'face' ? kind : null,
    sizes: link === 'face' ? sizes : {},
    ...setDown(under),
    station_id: null,
    started_at: ''
  })
  const beginning = createWrite(
    (id: string) => beginSeries(id, { ...told, started_at: stamp() }),
    (_, id) => begun(id)
  )
  let inTurns = $state(false)
  function begin(event: SubmitEvent): void {
    event.preventDefault()
    beginning.mutate(v7())
  }
</script>

<form onsubmit={begin} class="grid gap-3">
  <div>
    <Choice
      label="Which link"
      options={(choices.data?.links ?? []).map((it) => ({
        value: it.link,
        words: it.name,
        picture: pictured('link', it.link)
      }))}
      bind:value={link}
    />
    <p class="mt-1 text-faded">{choices.data?.links.find((it) => it.link === link)?.how ?? ''}</p>
  </div>
  {#if link === 'face'}
    <div>
      <Choice
        label="Read with"
        options={kinds.map((it) => ({ value: it.about.kind, words: it.about.name, picture: it.picture }))}
        first={USUAL_KINDS}
        bind:value={kind}
        onchange={(it) => (view = seenAt(it))}
      />
      {#if chosen}
        <p class="mt-1 max-w-2xl text-faded">
          {chosen.about.read} <strong>It can’t tell:</strong>
          {chosen.about.cannot}
        </p>
        <!-- Asked once; read with it before, they stand folded away. -->
        {#key kind}
          <details open={!(kind in tools) || Boolean(beginning.error)}>
            <summary class="min-h-11 cursor-pointer py-2 font-semibold">
              Sizes, and is it true <span class="font-normal text-faded">as it was read with last</span>
            </summary>
            <div
              class="grid min-[440px]:grid-cols-2 items-start gap-x-5 gap-y-3 md:grid-cols-4"
              role="group"
              aria-label="Sizes as laid"
            >
              {#each chosen.dimensions as dimension (dimension.name)}
                <SizeEntry
                  {dimension}
                  value={sizes[dimension.name] ?? dimension.default}
                  error={about(beginning.error, dimension.name)}
                  onvalue={(value) => (changed = { ...changed, [kind]: { ...changed[kind], [dimension.name]: value } })}
                />
              {/each}
            </div>
            <div class="mt-2"><ToolTrue {lessonId} {kind} {sizes} /></div>
          </details>
        {/key}
      {/if}
    </div>
  {/if}
  <div class="grid items-start gap-x-5 gap-y-3 sm:grid-cols-2">
    {#if link === 'face'}
      <div>
        <Choice label="The golfer sees" options={VIEWS} small bind:value={view} />
        {#if view === 'natural' && chosen?.about.slid_in}
          <p class="mt-1" data-slide-in>Let the golfer set up first, then slide it in.</p>
        {/if}
        {#if view === 'aided' && !natural}
          <p class="mt-1 font-semibold" data-natural-first>
            Natural first: once the aid was seen, the aim is no longer the golfer’s own.
          </p>
        {/if}
      </div>
    {/if}
    <UnderChoice label="Set down" {offered} without={NOT_HERE} small bind:value={under} />
    <Choice label="Cue on the ball" options={CUES} small bind:value={cue} />
    <Stepper
      label="Set-downs to the verdict"
      unit=""
      text={String(planned)}
      read={(text) => Number(text)}
      hint="Stepping away between; {entry('set_downs').low} to {entry('set_downs').high}."
      step={(by) => (planned = stepped('set_downs', planned, by))}
      error={about(beginning.error, 'planned')}
      onvalue={(it) => (planned = it)}
    />
  </div>
  {#if unread}
    <div class="grid gap-1 border-t border-hairline pt-3">
      {#each chosen?.cautions ?? [] as it (it)}<p><strong>Caution.</strong> {it}</p>{/each}
      <label class="flex min-h-11 cursor-pointer items-start gap-3 font-semibold">
        <input
          type="checkbox"
          class="mt-1 size-6 shrink-0 accent-[var(--ink)]"
          checked={false}
          onchange={() => reading.mutate(undefined)}
        />
        The laser’s cautions above are read, and everybody here knows them.
      </label>
    </div>
  {/if}
  {#if beginning.error ?? reading.error}<Trouble error={beginning.error ?? reading.error} />{/if}
  {#if inTurns}
    <CompareAims first={told} {offered} begun={() => begun('')} />
    <button class="button justify-self-start" type="button" onclick={() => (inTurns = false)}>One way only</button>
  {:else}
    <div class="flex gap-2">
      <button class="button primary min-h-14 w-full max-w-sm text-lg" disabled={beginning.isPending || unread}
        >Begin the set-downs</button
      >
      <button class="button min-h-14 px-3" type="button" disabled={unread} onclick={() => (inTurns = true)}
        >Compare…</button
      >
    </div>
  {/if}
</form>

<!-- Stand: the set-up, noted as far as the coach wants, drawn to scale beside the one before. -->
<script lang="ts">
  import { v7 } from 'uuid'
  import { page } from '$app/state'
  import { stamp } from '$lib/data/clock'
  import { refusal } from '$lib/data/client'
  import { createWrite, saying } from '$lib/data/write.svelte'
  import NameChoice from '$lib/base/NameChoice.svelte'
  import Coming from '$lib/base/Coming.svelte'
  import Stage from '$lib/drawing/Stage.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import Photos from '$lib/keep/Photos.svelte'
  import SchoolsHere from '$lib/schools/SchoolsHere.svelte'
  import { lessonQuery } from '$lib/data/queries.svelte'
  import NoteEntry from '$lib/stand/NoteEntry.svelte'
  import WhatToNote from '$lib/stand/WhatToNote.svelte'
  import { setUpEntriesQuery, standQuery } from '$lib/stand/queries.svelte'
  import { noteSetUp, setUpThing, voidSetUp, WANTED, wantEntries } from '$lib/stand/writes'
  import { setUpsOf } from '$lib/start/under'
  import { moment } from '$lib/base/dates'

  const id = $derived(page.params.id ?? '')
  const lesson = lessonQuery(() => id)
  const stand = standQuery(() => id)
  const entries = setUpEntriesQuery()

  interface Draft {
    id: string
    name: string
    again_of: string | null
    taken_at: string
    values: Record<string, number | string>
  }
  const fresh = (again_of: string | null, name = ''): Draft => ({
    id: v7(),
    name,
    again_of,
    taken_at: stamp(),
    values: {}
  })
  let begun = $state<Draft | null>(null)
  let choosing = $state(false)
  const sheet = $derived(stand.data)
  const noting = createWrite((it: Draft) =>
    noteSetUp(it.id, { lesson_id: id, values: it.values, name: it.name, again_of: it.again_of, taken_at: it.taken_at })
  )
  const voiding = createWrite(
    (it: { id: string; voided: boolean }) => voidSetUp(id, it.id, it.voided),
    () => (begun = null)
  )
  const wanting = createWrite(wantEntries)
  /** As it stands here: begun now, or the last kept with what of it still waits to be kept. */
  const draft = $derived.by<Draft>(() => {
    const last =
      begun ?? (sheet?.now ? { ...sheet.now } : { id: '', name: '', again_of: null, taken_at: '', values: {} })
    return begun ? last : { ...last, ...saying<Pick<Draft, 'values' | 'name'>>(setUpThing(last.id)) }
  })
  const wanted = $derived(saying<{ names: string[] }>(WANTED)?.names ?? sheet?.wanted ?? [])
  const fault = $derived(noting.error ? refusal(noting.error) : null)
  // What is noted stays in view even when it is no longer asked for.
  const asked = $derived((entries.data ?? []).filter((it) => wanted.includes(it.name) || it.name in draft.values))
  const run = $derived(
    (sheet?.taken ?? []).filter((it) => sheet?.now && (it.id === sheet.now.id || it.again_of === sheet.now.id))
  )

  /** Its name stands with its sizes: wherever it is named, in See, Aim and Start, they belong to it. */
  function call(name: string): void {
    if (name === draft.name) return
    begun = { ...(draft.id ? draft : fresh(null)), name }
    if (Object.keys(begun.values).length) noting.mutate($state.snapshot(begun))
  }

  function note(name: string, value: number | string): void {
    const now = draft.id ? draft : fresh(null)
    begun = { ...now, values: { ...now.values, [name]: value } }
    noting.mutate($state.snapshot(begun))
  }
</script>

<div class="mx-auto max-w-[1060px] px-5 py-5">
  {#if stand.error}
    <Trouble error={stand.error} again={() => stand.refetch()} />
  {:else if sheet && !entries.isLoading}
    <div class="flex flex-wrap items-end justify-between gap-3 border-b-2 border-ink pb-2">
      <h1 class="wide text-xl">
        {draft.again_of
          ? `Stepped away and back: time ${run.some((it) => it.id === draft.id) ? run.length : run.length + 1}`
          : 'How the golfer stands'}
      </h1>
      <div class="flex flex-wrap gap-2">
        <button class="button" onclick={() => (choosing = true)}>What to note</button>
        {#if sheet.now}
          <button class="button" onclick={() => (begun = fresh(null))}>New set-up</button>
          <button class="button primary" onclick={() => (begun = fresh(sheet.now?.id ?? null, sheet.now?.name))}
            >Step away and back</button
          >
        {/if}
      </div>
    </div>
    {#if voiding.error}<div class="mt-3"><Trouble error={voiding.error} /></div>{/if}
    {#if wanting.error}<div class="mt-3"><Trouble error={wanting.error} /></div>{/if}
    {#if fault && !fault.problem.errors.length}<div class="mt-3"><Trouble error={noting.error} /></div>{/if}
    <div class="mt-4 grid gap-x-8 gap-y-5 md:grid-cols-[minmax(0,1fr)_minmax(0,1.1fr)]">
      <div class="grid content-start gap-3">
        <div class="relative h-72 border border-hairline" data-above><Stage scene={sheet.above} /></div>
        <div class="relative h-80 border border-hairline" data-behind><Stage scene={sheet.behind} /></div>
        <p class="text-sm text-faded">
          True to scale, from above and from behind the ball.{sheet.before
            ? ` Broken lines: the set-up of ${moment(sheet.before.taken_at)}.`
            : ''} What was not noted is drawn as is usual.
        </p>
      </div>
      <div>
        <div class="mb-3">
          <NameChoice
            label="This set-up is"
            names={setUpsOf(lesson.data)}
            bind:value={() => draft.name, call}
            another="Another set-up…"
            kind="set_up"
            small
          />
        </div>
        <div class="grid gap-x-5 gap-y-3 sm:grid-cols-2">
          {#each asked as it (it.name)}
            {@const row = sheet.noted.find((noted) => noted.name === it.name)}
            <NoteEntry
              entry={it}
              value={draft.values[it.name]}
              before={(draft.again_of ? sheet.now : sheet.before)?.values[it.name]}
              change={draft.again_of ? '' : (row?.change ?? '')}
              error={fault?.about(`values.${it.name}`)}
              onvalue={(value) => note(it.name, value)}
            />
          {:else}
            <p class="text-lg">Nothing is asked for. Choose under “What to note”.</p>
          {/each}
        </div>
        {#if run.length > 1}
          <div class="mt-5 border-t-2 border-ink pt-3" aria-live="polite" data-wander>
            <h2 class="wide text-lg">From one time to the next</h2>
            {#each sheet.wander as it (it.name)}<p class={it.wandering >= 0.8 ? 'font-semibold' : ''}>
                {it.words}
              </p>{:else}<p>Three times tell how far it wanders.</p>{/each}
            <ol class="mt-2" aria-label="Times">
              {#each run as it, n (it.id)}
                <li
                  class="flex items-center justify-between border-t border-hairline {it.voided
                    ? 'text-faded line-through'
                    : ''}"
                >
                  <span>Time {n + 1}, {moment(it.taken_at)}: {Object.keys(it.values).length} noted</span>
                  {#if it.again_of}<button
                      class="button plain"
                      onclick={() => voiding.mutate({ id: it.id, voided: !it.voided })}
                      >{it.voided ? 'Restore' : 'Void'}</button
                    >{/if}
                </li>
              {/each}
            </ol>
          </div>
        {/if}
      </div>
    </div>
    {#if lesson.data}<div class="mt-5">
        <SchoolsHere at="stand" lesson={id} golfer={lesson.data.golfer} />
      </div>{/if}
    {#if lesson.data}<Photos golferId={lesson.data.golfer.id} lessonId={id} />{/if}
    <WhatToNote bind:open={choosing} entries={entries.data ?? []} {wanted} want={(names) => wanting.mutate(names)} />
  {:else}
    <Coming page what="The set-up" />
  {/if}
</div>

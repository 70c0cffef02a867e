<!-- Stand: the set-up, noted as far as the coach wants, drawn to scale beside the one before. -->
<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query'
  import { v7 } from 'uuid'
  import { page } from '$app/state'
  import { stamp } from '$lib/data/clock'
  import { api, ask, refusal } from '$lib/data/client'
  import { Latest } from '$lib/data/latest.svelte'
  import { putAnswer, renew } from '$lib/data/queries.svelte'
  import Stage from '$lib/drawing/Stage.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import NoteEntry from '$lib/stand/NoteEntry.svelte'
  import WhatToNote from '$lib/stand/WhatToNote.svelte'
  import { moment } from '$lib/base/dates'
  import { settings } from '$lib/base/settings.svelte'

  const id = $derived(page.params.id ?? '')
  const client = useQueryClient()
  const key = $derived(['stand', id, settings.units])
  const units = $derived({ units: settings.units })
  const stand = createQuery(() => ({
    queryKey: key,
    queryFn: () => ask(api.GET('/api/lessons/{id}/stand', { params: { path: { id }, query: units } })),
  }))
  const entries = createQuery(() => ({
    queryKey: ['set-up-entries'],
    queryFn: () => ask(api.GET('/api/set-up-entries')),
    staleTime: Infinity,
  }))

  interface Draft {
    id: string
    again_of: string | null
    taken_at: string
    values: Record<string, number | string>
  }
  const fresh = (again_of: string | null): Draft => ({ id: v7(), again_of, taken_at: stamp(), values: {} })
  let begun = $state<Draft | null>(null)
  let choosing = $state(false)
  const sheet = $derived(stand.data)
  const draft = $derived<Draft>(begun ?? (sheet?.now ? { ...sheet.now } : { id: '', again_of: null, taken_at: '', values: {} }))
  const saving = new Latest<Draft>(async (it) => {
    const body = { lesson_id: id, values: it.values, again_of: it.again_of, taken_at: it.taken_at }
    await putAnswer(client, key, await ask(api.PUT('/api/set-ups/{id}', { params: { path: { id: it.id }, query: units }, body })))
    void renew(client, ['lesson', id])
  })
  const wanting = new Latest<string[]>(async (names) => {
    await ask(api.PUT('/api/set-up-entries', { body: { names } }))
    await stand.refetch()
  })
  const wanted = $derived(wanting.value ?? sheet?.wanted ?? [])
  const fault = $derived(saving.error ? refusal(saving.error) : null)
  // What is noted stays in view even when it is no longer asked for.
  const asked = $derived((entries.data ?? []).filter((it) => wanted.includes(it.name) || it.name in draft.values))
  const run = $derived((sheet?.taken ?? []).filter((it) => sheet?.now && (it.id === sheet.now.id || it.again_of === sheet.now.id)))

  function note(name: string, value: number | string): void {
    const now = draft.id ? draft : fresh(null)
    begun = { ...now, values: { ...now.values, [name]: value } }
    void saving.set(begun)
  }
  async function voided(at: string, value: boolean): Promise<void> {
    const params = { path: { id: at }, query: units }
    await putAnswer(client, key, await ask(api.PUT('/api/set-ups/{id}/voided', { params, body: { voided: value } })))
    void renew(client, ['lesson', id])
    begun = null
  }
</script>

<div class="mx-auto max-w-[1060px] px-5 py-5">
  {#if stand.error}
    <Trouble error={stand.error} again={() => stand.refetch()} />
  {:else if sheet}
    <div class="flex flex-wrap items-end justify-between gap-3 border-b-2 border-ink pb-2">
      <h1 class="wide text-xl">
        {draft.again_of ? `Stepped away and back: time ${run.some((it) => it.id === draft.id) ? run.length : run.length + 1}` : 'How the golfer stands'}
      </h1>
      <div class="flex flex-wrap gap-2">
        <button class="button" onclick={() => (choosing = true)}>What to note</button>
        {#if sheet.now}
          <button class="button" onclick={() => (begun = fresh(null))}>New set-up</button>
          <button class="button primary" onclick={() => (begun = fresh(sheet.now?.id ?? null))}>Step away and back</button>
        {/if}
      </div>
    </div>
    {#if fault && !fault.problem.errors.length}<div class="mt-3"><Trouble error={saving.error} /></div>{/if}
    <div class="mt-4 grid gap-x-8 gap-y-5 md:grid-cols-[minmax(0,1fr)_minmax(0,1.1fr)]">
      <div class="grid content-start gap-3">
        <div class="relative h-72 border border-hairline" data-above><Stage scene={sheet.above} /></div>
        <div class="relative h-80 border border-hairline" data-behind><Stage scene={sheet.behind} /></div>
        <p class="text-sm text-faded">
          True to scale, from above and from behind the ball.{sheet.before ? ` Broken lines: the set-up of ${moment(sheet.before.taken_at)}.` : ''} What was not noted is drawn as is usual.
        </p>
      </div>
      <div>
        <div class="grid gap-x-5 gap-y-3 sm:grid-cols-2">
          {#each asked as it (it.name)}
            {@const row = sheet.noted.find((noted) => noted.name === it.name)}
            <NoteEntry
              entry={it} value={draft.values[it.name]} before={(draft.again_of ? sheet.now : sheet.before)?.values[it.name]}
              change={draft.again_of ? '' : (row?.change ?? '')} error={fault?.about(`values.${it.name}`)} onvalue={(value) => note(it.name, value)}
            />
          {:else}
            <p class="text-lg">Nothing is asked for. Choose under “What to note”.</p>
          {/each}
        </div>
        {#if run.length > 1}
          <div class="mt-5 border-t-2 border-ink pt-3" aria-live="polite" data-wander>
            <h2 class="wide text-lg">From one time to the next</h2>
            {#each sheet.wander as it (it.name)}<p class={it.wandering >= 0.8 ? 'font-semibold' : ''}>{it.words}</p>{:else}<p>Three times tell how far it wanders.</p>{/each}
            <ol class="mt-2" aria-label="Times">
              {#each run as it, n (it.id)}
                <li class="flex items-center justify-between border-t border-hairline {it.voided ? 'text-faded line-through' : ''}">
                  <span>Time {n + 1}, {moment(it.taken_at)}: {Object.keys(it.values).length} noted</span>
                  {#if it.again_of}<button class="button plain" onclick={() => voided(it.id, !it.voided)}>{it.voided ? 'Restore' : 'Void'}</button>{/if}
                </li>
              {/each}
            </ol>
          </div>
        {/if}
      </div>
    </div>
    <WhatToNote bind:open={choosing} entries={entries.data ?? []} {wanted} want={(names) => wanting.set(names)} />
  {/if}
</div>

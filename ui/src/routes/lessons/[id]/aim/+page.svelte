<!-- Aim: the face at address, natural first; ball mark, putter against the mark, and their sum, kept apart. -->
<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query'
  import { page } from '$app/state'
  import BeginSet from '$lib/aim/BeginSet.svelte'
  import SetDowns from '$lib/aim/SetDowns.svelte'
  import { api, ask, type Shapes } from '$lib/data/client'
  import { lessonQuery, putAnswer, renew } from '$lib/data/queries.svelte'
  import Vial from '$lib/drawing/Vial.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { settings } from '$lib/base/settings.svelte'

  const id = $derived(page.params.id ?? '')
  const client = useQueryClient()
  const key = $derived(['aim', id, settings.units])
  const aim = createQuery(() => ({
    queryKey: key,
    queryFn: () => ask(api.GET('/api/lessons/{id}/aim', { params: { path: { id }, query: { units: settings.units } } })),
  }))
  const choices = createQuery(() => ({ queryKey: ['aim-choices'], queryFn: () => ask(api.GET('/api/aim-choices')), staleTime: Infinity }))
  const lesson = lessonQuery(() => id)
  let current = $state('')
  const sheets = $derived(aim.data?.sheets ?? [])
  const open = $derived(sheets.find((it) => it.set.id === current))
  const named = (it: Shapes['AimSheetOut']) => choices.data?.links.find((one) => one.link === it.set.link)?.name ?? ''

  function changed(found: Shapes['AimOut']): void {
    void putAnswer(client, key, found)
    void renew(client, ['lesson', id], ['map'])
  }
</script>

<div class="mx-auto max-w-[1000px] px-5 py-5">
  {#if aim.error}
    <Trouble error={aim.error} again={() => aim.refetch()} />
  {:else if aim.data}
    {#if open}
      <SetDowns sheet={open} name={named(open)} {changed} leave={() => (current = '')} />
    {:else}
      <h1 class="wide mb-4 border-b-2 border-ink pb-1 text-xl">Where does the face aim?</h1>
      <BeginSet
        lessonId={id} laserRead={Boolean(lesson.data?.lesson.laser_read_at)} natural={sheets.some((it) => it.set.link === 'face' && !it.set.aided && it.found.set_downs)}
        begun={(found) => {
          const before = sheets.map((it) => it.set.id)
          changed(found)
          current = found.sheets.find((it) => !before.includes(it.set.id))?.set.id ?? ''
        }}
      />
      {#if sheets.length}
        <div class="mt-6 border-t-2 border-ink pt-3" data-sum>
          <h2 class="wide text-lg">The chain to the face</h2>
          <p>{aim.data.sum.words}</p>
          {#if aim.data.aid}<p class="mt-1">{aim.data.aid}</p>{/if}
        </div>
      {/if}
      {#each sheets.toReversed() as it (it.set.id)}
        <article class="mt-4 grid items-center gap-x-6 gap-y-1 border-t border-hairline pt-3 md:grid-cols-2" data-aim-set>
          <div>
            <p class="text-faded">{named(it)} · {it.set.cue}{it.set.aided ? ', aid in view' : ''} · {it.found.set_downs} of {it.set.planned}</p>
            <p class="wide text-lg">{it.found.headline}</p>
            <p>{it.found.meaning}</p>
          </div>
          <div>
            <Vial vial={it.found.vial} words={it.found.headline} size="row" />
            <button class="button mt-1" onclick={() => (current = it.set.id)}>{it.found.final ? 'Read on' : 'Go on reading'}</button>
          </div>
        </article>
      {/each}
    {/if}
  {/if}
</div>

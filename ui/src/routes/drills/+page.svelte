<!-- Drills: what each is for, drawn to scale, its goal; copied and changed by the coach, or retired. -->
<script lang="ts">
  import { notesQuery } from '$lib/data/queries.svelte'
  import { goto } from '$app/navigation'
  import { page } from '$app/state'
  import { v7 } from 'uuid'
  import Choice from '$lib/base/Choice.svelte'
  import Coming from '$lib/base/Coming.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { place } from '$lib/base/place.svelte'
  import Cautions from '$lib/keep/Cautions.svelte'
  import DrillDrawn from '$lib/change/DrillDrawn.svelte'
  import OwnDrill from '$lib/change/OwnDrill.svelte'
  import { drillsQuery } from '$lib/change/queries.svelte'
  import { retireDrill } from '$lib/change/writes'
  import type { Shapes } from '$lib/data/client'
  import { createWrite, firstError } from '$lib/data/write.svelte'
  import { stamp } from '$lib/data/clock'
  import { startBlock } from '$lib/start/writes'
  import { planOf } from '$lib/set/plan'
  import { keepPlan } from '$lib/set/writes'

  const golfer = $derived(page.url.searchParams.get('golfer') ?? undefined)
  /** The lesson it may be laid in; its golfer putts there now. */
  const lesson = $derived(page.url.searchParams.get('lesson'))
  const drills = drillsQuery(() => golfer)
  const notes = notesQuery()
  const putting = createWrite(
    ({ lesson, block }: { lesson: string; block: Shapes['BlockIn'] }) => startBlock(lesson, block, notes.data ?? []),
    (block) => void goto(`/lessons/${block.lesson_id}/start?block=${block.id}`)
  )
  interface Laid {
    id: string
    station: string
    drill: Shapes['DrillOut']
  }
  /** A drill that scores itself is putted at once; of any other the station alone is laid. */
  const laying = createWrite(
    ({ id, station, drill }: Laid) =>
      keepPlan(id, { id: station, replaces_id: null, plan: planOf(drill.laid), seen: [] }),
    (_, { id, station, drill }) => {
      if (!drill.read_in_lesson) void goto(`/lessons/${id}/set`)
      else
        putting.mutate({
          lesson: id,
          block: {
            station_id: station,
            condition: drill.name,
            factors: {},
            guided: drill.guided,
            planned: drill.times,
            asks: drill.notes,
            hole: true,
            path_model: '',
            ball_ahead_m: 0,
            drill: drill.code,
            started_at: stamp()
          }
        })
    }
  )
  let search = $state('')
  let serves = $state('all')
  let copying = $state<Shapes['DrillOut'] | null>(null)
  let open = $state(false)
  const kinds = $derived([
    { value: 'all', words: 'All' },
    ...[
      ...new Map(
        (drills.data ?? []).flatMap((it) => it.serves.map((code, n) => [code, it.serves_names[n] ?? code] as const))
      )
    ].map(([value, words]) => ({ value, words }))
  ])
  const found = $derived(
    (drills.data ?? []).filter(
      (it) =>
        (serves === 'all' || it.serves.includes(serves)) &&
        `${it.name} ${it.purpose}`.toLowerCase().includes(search.trim().toLowerCase())
    )
  )
  const retiring = createWrite(({ id, retired }: { id: string; retired: boolean }) => retireDrill(id, retired))
  const error = $derived(firstError([retiring, laying, putting]))
  $effect(() => place.set([{ words: 'Today', href: '/' }, { words: 'Drills' }], false))
</script>

<svelte:head><title>Drills · Libella</title></svelte:head>

<div class="mx-auto max-w-[1100px] px-5 py-6">
  <div class="flex flex-wrap items-end gap-3 border-b-2 border-ink pb-1">
    <h1 class="wide mr-auto text-2xl">Drills</h1>
    <input class="entry w-64!" type="search" placeholder="Find a drill" aria-label="Find a drill" bind:value={search} />
  </div>
  {#if drills.error && !drills.data}
    <Trouble error={drills.error} again={() => drills.refetch()} />
  {:else if drills.data}
    <div class="mt-3"><Choice label="For" options={kinds} bind:value={serves} first={7} /></div>
    <div class="mt-3"><Cautions at="drill" /></div>
    {#if !found.length}<p class="mt-4 text-lg">No drill like that. Copy one and make it yours.</p>{/if}
    <ul class="mt-4 grid gap-x-8 gap-y-6 sm:grid-cols-2">
      {#each found as it (it.code)}
        <li class="border-t border-hairline pt-3 {it.retired ? 'text-faded' : ''}">
          <h2 class="wide text-xl">{it.name}</h2>
          <p class="text-sm text-faded">{it.serves_names.join(' · ')}{it.retired ? ' · retired' : ''}</p>
          <DrillDrawn drill={it} />
          <div class="mt-2 flex flex-wrap gap-2">
            {#if golfer && it.event === 'round'}<a class="button primary" href="/golfers/{golfer}">Tell a round there</a
              >
            {:else if golfer && !it.retired}<a class="button primary" href="/golfers/{golfer}/practice?drill={it.code}"
                >Run it</a
              >{/if}
            {#if lesson && !it.retired && it.event === 'putt'}<button
                class="button"
                disabled={laying.isPending || putting.isPending}
                onclick={() => lesson && laying.mutate({ id: lesson, station: v7(), drill: it })}
                >{it.read_in_lesson ? 'Putt it in this lesson' : 'Lay it in this lesson'}</button
              >{/if}
            <button
              class="button"
              onclick={() => {
                copying = it
                open = true
              }}>{it.own ? 'Change it…' : 'Make it yours…'}</button
            >
            {#if it.own}<button
                class="button plain"
                disabled={retiring.isPending}
                onclick={() => retiring.mutate({ id: it.code, retired: !it.retired })}
                >{it.retired ? 'Bring it back' : 'Retire it'}</button
              >{/if}
          </div>
        </li>
      {/each}
    </ul>
    {#if error}<Trouble {error} />{/if}
    {#if copying}{#key copying.code}<OwnDrill bind:open of={copying} />{/key}{/if}
  {:else}
    <Coming page what="The drills" />
  {/if}
</div>

<!-- A session of the plan, item by item; or one drill by itself. The golfer alone needs no more than a thumb, a key or a pedal. -->
<script lang="ts">
  import { page } from '$app/state'
  import Coming from '$lib/base/Coming.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { day } from '$lib/base/dates'
  import { Draft } from '$lib/base/draft.svelte'
  import { place } from '$lib/base/place.svelte'
  import Cautions from '$lib/keep/Cautions.svelte'
  import DrillDrawn from '$lib/change/DrillDrawn.svelte'
  import { Rest } from '$lib/change/rest.svelte'
  import RunDrill from '$lib/change/RunDrill.svelte'
  import { drillsQuery, planQuery } from '$lib/change/queries.svelte'
  import type { Shapes } from '$lib/data/client'
  import { firstError } from '$lib/data/write.svelte'
  import { golferQuery } from '$lib/golfer/queries.svelte'

  /** The drills that are run when it feels different: see `core/change/drills`. */
  const CHECK = 'by_the_card'
  const LOOK = 'still_picture'
  const id = $derived(page.params.id ?? '')
  const golfer = golferQuery(() => id)
  const plan = planQuery(() => id)
  const drills = drillsQuery(
    () => id,
    () => golfer.data?.hand ?? 'right'
  )
  const error = $derived(firstError([golfer, plan, drills]))
  const alone = $derived(page.url.searchParams.get('drill'))
  /** The session that was next when this was opened: with its first run kept another one is. */
  let first = $state(0)
  $effect(() => {
    if (!first && plan.data?.next) first = plan.data.next
  })
  const wanted = $derived(Number(page.url.searchParams.get('session')) || first)
  const session = $derived(plan.data?.sessions.find((one) => one.number === wanted))
  type Item = Shapes['SessionOut']['items'][number]
  const ONE = { kind: 'drill', words: '', why: '', minutes: 0, bare: true }
  /** The set-up feels different today: the check first, and if that is off what looks straight, before anything else. */
  let different = $state(false)
  let off = $state(false)
  const items = $derived.by<Item[]>(() => {
    if (alone) return [{ ...ONE, drill: alone }]
    const told = session?.items ?? []
    if (!different) return told
    const check = told.find((it) => it.kind === 'check') ?? {
      ...ONE,
      kind: 'check',
      drill: CHECK,
      words: 'Quick check by the card, without a putt.',
      why: 'It feels different today.'
    }
    const look = {
      ...ONE,
      drill: LOOK,
      words: 'What does a true line look like from there?',
      why: 'The check was off.'
    }
    return [check, ...(off ? [look] : []), ...told.filter((it) => it !== check)]
  })
  const rest = new Rest()
  let away = $state(0)
  /** Where in it the golfer is: there again after a reload. */
  const reached = new Draft<Record<string, number>>('session', () => ({}))
  const which = $derived(alone ?? `${plan.data?.id} ${wanted}`)
  const at = $derived(alone ? away : (reached.value[which] ?? 0))
  let said = $state<string[]>([])
  const item = $derived(items[at])
  const drill = $derived(drills.data?.find((one) => one.code === item?.drill))
  const ended = $derived(items.length > 0 && at >= items.length)
  const next = (words = '') => {
    if (words) said = [...said, words]
    rest.worked()
    if (alone) away += 1
    else reached.value = { ...reached.value, [which]: at + 1 }
  }
  $effect(() => {
    const who = golfer.data
    if (who)
      place.set(
        [{ words: 'Today', href: '/' }, { words: who.name, href: `/golfers/${id}` }, { words: 'Practice' }],
        who.invented
      )
  })
</script>

<svelte:head><title>{golfer.data?.name ?? 'Golfer'}, practice · Libella</title></svelte:head>

<div class="mx-auto max-w-[720px] px-5 py-5" data-practising>
  {#if error}
    <Trouble
      {error}
      again={() => {
        for (const it of [golfer, plan, drills]) void it.refetch()
      }}
    />
  {:else if plan.data === undefined || !drills.data || !golfer.data}
    <Coming page what="The session" />
  {:else if !items.length}
    <h1 class="wide text-2xl">Nothing to practise here</h1>
    <p class="mt-2 text-lg">No session is planned. Choose a drill by itself, or plan the weeks after a lesson.</p>
    <a class="button primary mt-3 min-h-14 text-lg" href="/drills?golfer={id}">Drills</a>
  {:else if ended}
    <h1 class="wide text-2xl" data-session-done>{alone ? 'Kept' : 'That was the session'}</h1>
    <ul class="mt-2 grid gap-1.5 text-lg">
      {#each said as one, n (n)}<li class="leading-snug">{one}</li>{/each}
    </ul>
    <a class="button primary mt-4 min-h-14 text-lg" href="/golfers/{id}">Back to {golfer.data.name}</a>
  {:else if item}
    {#if session && !alone}<p class="text-faded">
        {day(session.day)} · {at + 1} of {items.length} · {session.words}
      </p>{/if}
    <h1 class="wide text-2xl leading-tight" data-item={item.kind}>{drill && alone ? drill.name : item.words}</h1>
    {#if item.why}<p class="text-lg text-faded">{item.why}</p>{/if}
    {#if at === 0 && !alone && !different}
      <button class="button mt-2" onclick={() => (different = true)}>It feels different today…</button>
    {/if}
    {#if different && at === 0}
      <p class="mt-2 max-w-prose text-lg leading-snug" data-different>
        The quick check comes first. If it is off, look at what a true line looks like from there before anything else.
      </p>
    {/if}
    {#if rest.due}
      <p class="mt-2 flex flex-wrap items-center gap-3 border-2 border-ink p-3 text-lg font-semibold" data-rest>
        Eight minutes: straighten up, a minute’s rest. Stop at pain.
        <button class="button" onclick={() => rest.rested()}>Rested</button>
      </p>
    {/if}
    {#if drill}
      <div class="mt-3"><DrillDrawn {drill} /></div>
      <div class="mt-2"><Cautions at="drill" golfer={id} /></div>
      {#key at}
        <RunDrill
          {drill}
          golferId={id}
          bare={item.bare}
          plan={plan.data && session && !alone ? { id: plan.data.id, number: session.number } : undefined}
          done={(it, told) => {
            if (item.kind === 'check' && told.includes(0)) off = true
            next(`${drill.name}: ${it.words}`)
          }}
        />
      {/key}
    {:else if item.kind === 'drill'}
      <p class="mt-3 text-lg">This drill is gone.</p>
    {/if}
    <div class="mt-4 flex flex-wrap gap-2 border-t border-hairline pt-3">
      {#if !drill && item.kind !== 'drill'}<button class="button primary min-h-14 px-6 text-lg" onclick={() => next()}
          >Done</button
        >{/if}
      <button class="button min-h-14" onclick={() => next()}>{drill ? 'Leave it out today' : 'Not today'}</button>
    </div>
  {/if}
</div>

/** What views of several rooms ask the server; what one room alone asks stands in that room. */
import { createQuery } from '@tanstack/svelte-query'
import { cache, renew } from './cache'
import { api, ask, type Shapes } from './client'
import { every, inUnits, key, units, type Key } from './key'
import { outbox } from './outbox.svelte'

const ONCE = { staleTime: Infinity } as const

/** One lesson with everything that stands in it. */
export function lessonQuery(id: () => string) {
  return createQuery(() => ({
    queryKey: inUnits(key.lesson(id())),
    queryFn: () => ask(api.GET('/api/lessons/{id}', { params: { path: { id: id() }, query: units() } }))
  }))
}

/**
 * Readings of these blocks that the server confirmed are asked for again by whatever shows them, wherever in the lesson one
 * stands by then; until that has come they stay laid over it.
 */
export function catchUp(blocks: () => readonly string[]): void {
  let asking = $state(false)
  $effect(() => {
    const news = outbox.confirmed.filter((it) => it.reading && blocks().includes(it.reading.block))
    if (!news.length || asking) return
    asking = true
    const judged = [...new Set(news.map((it) => it.reading?.block ?? ''))].map((it) => key.judged(it))
    const shows = (it: Key) => cache.getQueryCache().findAll({ queryKey: it, type: 'active' }).length > 0
    // What was read of a block that is not judged here stands in the lesson.
    const asked = judged.every(shows) ? judged : [...judged, every(key.lesson)]
    const again = (it: Key) => cache.refetchQueries({ queryKey: it, type: 'active' }, { throwOnError: true })
    void Promise.all(asked.map(again))
      .then(
        () => outbox.forget(news),
        () => new Promise((resolve) => setTimeout(resolve, 2000))
      )
      .then(() => {
        asking = false
        if (!outbox.waiting.length) void renew(every(key.lesson), every(key.comparisons))
      })
  })
}

/** One block judged. */
export function judgedQuery(id: () => string | undefined) {
  return createQuery(() => ({
    queryKey: inUnits(key.judged(id() ?? '')),
    queryFn: () => ask(api.GET('/api/blocks/{id}/judgement', { params: { path: { id: id() ?? '' }, query: units() } })),
    enabled: Boolean(id()),
    // Another block's numbers must not stand under this block's name.
    placeholderData: (before) => (before?.block.id === id() ? before : undefined),
    staleTime: 0
  }))
}

/** The judgement of any block as it was last asked, and when. */
export function lastJudged(id: string) {
  return cache.getQueryState<Shapes['JudgedOut']>(inUnits(key.judged(id)))
}

/** The comparisons planned in a lesson, oldest first. */
export function comparisonsQuery(id: () => string) {
  return createQuery(() => ({
    queryKey: inUnits(key.comparisons(id())),
    queryFn: () => ask(api.GET('/api/lessons/{id}/comparisons', { params: { path: { id: id() }, query: units() } })),
    placeholderData: (before) => before
  }))
}

/** The sensors of a lesson and what they told. */
export function sensorsQuery(id: () => string) {
  return createQuery(() => ({
    queryKey: key.sensors(id()),
    queryFn: () => ask(api.GET('/api/lessons/{id}/sensors', { params: { path: { id: id() } } })),
    refetchInterval: 4000
  }))
}

/** The picture a block's readings are taken on. */
export function entryQuery(id: () => string | undefined) {
  return createQuery(() => ({
    queryKey: inUnits(key.entry(id() ?? '')),
    queryFn: () => ask(api.GET('/api/blocks/{id}/entry', { params: { path: { id: id() ?? '' }, query: units() } })),
    enabled: Boolean(id()),
    ...ONCE
  }))
}

/** The picture an instrument of these sizes is read on. */
export function tryQuery(kind: () => string | null, sizes: () => Record<string, number>) {
  return createQuery(() => ({
    queryKey: inUnits(key.tryAid(kind() ?? ''), sizes()),
    queryFn: () =>
      ask(
        api.POST('/api/instruments/entry', { params: { query: units() }, body: { kind: kind() ?? '', sizes: sizes() } })
      ),
    enabled: kind() !== null,
    ...ONCE
  }))
}

export function instrumentsQuery() {
  return createQuery(() => ({
    queryKey: inUnits(key.instruments()),
    queryFn: () => ask(api.GET('/api/instruments', { params: { query: units() } })),
    ...ONCE
  }))
}

export function levelsQuery() {
  return createQuery(() => ({ queryKey: key.levels(), queryFn: () => ask(api.GET('/api/levels')), ...ONCE }))
}

/** What else can be noted of a putt, in the order in which it happens. */
export function notesQuery() {
  return createQuery(() => ({
    queryKey: inUnits(key.notes()),
    queryFn: () => ask(api.GET('/api/notes', { params: { query: units() } })),
    ...ONCE
  }))
}

/** What is in the coach's bag. */
export function bagQuery() {
  return createQuery(() => ({ queryKey: key.bag(), queryFn: () => ask(api.GET('/api/bag')) }))
}

/** Which strictness suits which level: the coach's opinion. */
export function bandsQuery() {
  return createQuery(() => ({ queryKey: key.bands(), queryFn: () => ask(api.GET('/api/bands')) }))
}

/** When to break off in a lesson; told anew with every putt. */
export function pausesQuery(id: () => string, putts: () => number | undefined, asked: () => boolean = () => true) {
  return createQuery(() => ({
    queryKey: [...key.pauses(id()), putts()],
    queryFn: () => ask(api.GET('/api/lessons/{id}/pauses', { params: { path: { id: id() } } })),
    refetchInterval: 20_000,
    enabled: asked(),
    placeholderData: (before) => before
  }))
}

/** A golfer's set-up cards, newest first. */
export function cardsQuery(golfer: () => string) {
  return createQuery(() => ({
    queryKey: inUnits(key.cards(golfer())),
    queryFn: () =>
      ask(api.GET('/api/golfers/{id}/set-up-cards', { params: { path: { id: golfer() }, query: units() } }))
  }))
}

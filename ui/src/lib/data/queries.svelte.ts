/** What views ask the server, each under one name. */
import { createQuery, useQueryClient, type QueryClient, type QueryKey, type Updater } from '@tanstack/svelte-query'
import { settings } from '$lib/base/settings.svelte'
import { api, ask } from './client'
import { outbox } from './outbox.svelte'

/** Sentences and drawings in the coach's units. */
const units = () => ({ query: { units: settings.units } })

/** One lesson with everything that stands in it. */
export function lessonQuery(id: () => string) {
  return createQuery(() => ({
    queryKey: ['lesson', id(), settings.units],
    queryFn: () => ask(api.GET('/api/lessons/{id}', { params: { path: { id: id() }, ...units() } })),
  }))
}

/** One block judged. Asked again when writes of it were confirmed; until that has come they stay laid over it. */
export function judgedQuery(id: () => string | undefined) {
  const client = useQueryClient()
  let renewing = $state(false)
  $effect(() => {
    const news = outbox.confirmed.filter((it) => it.blockId === id())
    if (!news.length || renewing) return
    renewing = true
    void judged.refetch().then(async ({ isSuccess }) => {
      if (isSuccess) outbox.forget(news)
      else await new Promise((resolve) => setTimeout(resolve, 2000))
      renewing = false
      if (outbox.waiting.length) return
      void renew(client, ['lesson'], ['comparisons'])
    })
  })
  const judged = createQuery(() => ({
    queryKey: ['judged', id(), settings.units],
    queryFn: () => ask(api.GET('/api/blocks/{id}/judgement', { params: { path: { id: id() ?? '' }, ...units() } })),
    enabled: Boolean(id()),
    // Another block's numbers must not stand under this block's name.
    placeholderData: (before) => (before?.block.id === id() ? before : undefined),
    staleTime: 0,
  }))
  return judged
}

/** The tables behind a block's judgement; asked again when a putt of it is new. */
export function tablesQuery(id: () => string | undefined, putts: () => number | undefined) {
  return createQuery(() => ({
    queryKey: ['tables', id(), settings.units, putts()],
    queryFn: () => ask(api.GET('/api/blocks/{id}/tables', { params: { path: { id: id() ?? '' }, ...units() } })),
    enabled: Boolean(id()),
    placeholderData: (before, query) => (query?.queryKey[1] === id() ? before : undefined),
  }))
}

/** The comparisons planned in a lesson, oldest first. */
export function comparisonsQuery(id: () => string) {
  return createQuery(() => ({
    queryKey: ['comparisons', id()],
    queryFn: () => ask(api.GET('/api/lessons/{id}/comparisons', { params: { path: { id: id() } } })),
    placeholderData: (before) => before,
  }))
}

/** The sensors of a lesson and what they told. */
export function sensorsQuery(id: () => string) {
  return createQuery(() => ({
    queryKey: ['sensors', id()],
    queryFn: () => ask(api.GET('/api/lessons/{id}/sensors', { params: { path: { id: id() } } })),
    refetchInterval: 4000,
  }))
}

/** The picture a block's readings are taken on. */
export function entryQuery(id: () => string | undefined) {
  return createQuery(() => ({
    queryKey: ['entry', id(), settings.units],
    queryFn: () => ask(api.GET('/api/blocks/{id}/entry', { params: { path: { id: id() ?? '' }, ...units() } })),
    enabled: Boolean(id()),
    staleTime: Infinity,
  }))
}

export function instrumentsQuery() {
  return createQuery(() => ({
    queryKey: ['instruments', settings.units],
    queryFn: () => ask(api.GET('/api/instruments', { params: units() })),
    staleTime: Infinity,
  }))
}

export function levelsQuery() {
  return createQuery(() => ({ queryKey: ['levels'], queryFn: () => ask(api.GET('/api/levels')), staleTime: Infinity }))
}

/** What else can be noted of a putt, in the order in which it happens. */
export function notesQuery() {
  return createQuery(() => ({ queryKey: ['notes'], queryFn: () => ask(api.GET('/api/notes')), staleTime: Infinity }))
}

/** What is in the coach's bag. */
export function bagQuery() {
  return createQuery(() => ({ queryKey: ['bag'], queryFn: () => ask(api.GET('/api/bag')) }))
}

/** Which strictness suits which level: the coach's opinion. */
export function bandsQuery() {
  return createQuery(() => ({ queryKey: ['bands'], queryFn: () => ask(api.GET('/api/bands')) }))
}

/**
 * Ask these again wherever they show. A first question still on its way is let go too: it may have been asked before what
 * makes this necessary, and its answer would stand as the newest.
 */
export async function renew(client: QueryClient, ...queryKeys: QueryKey[]): Promise<void> {
  await Promise.all(
    queryKeys.map(async (queryKey) => {
      await client.cancelQueries({ queryKey, predicate: ({ state }) => state.data === undefined })
      await client.invalidateQueries({ queryKey })
    }),
  )
}

/**
 * Put what a write was answered where views read it. What was asked before it is let go, or its older answer would come
 * later and undo on the page what was just kept; if there was such a question it is asked again.
 */
export async function putAnswer<T>(client: QueryClient, queryKey: QueryKey, answer: T | ((before: T | undefined) => T)): Promise<void> {
  const asked = client.isFetching({ queryKey }) > 0
  await client.cancelQueries({ queryKey })
  client.setQueryData<T>(queryKey, answer as Updater<T | undefined, T | undefined>)
  if (asked) void renew(client, queryKey)
}

/** Everything about a lesson and its blocks is asked again. */
export async function renewLesson(client: QueryClient, id: string): Promise<void> {
  await renew(client, ['lesson', id], ['judged'], ['comparisons', id], ['today'])
}

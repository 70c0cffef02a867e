/** What is asked of golfers. */
import { createInfiniteQuery, createQuery } from '@tanstack/svelte-query'
import { api, ask } from '$lib/data/client'
import { inUnits, key, units } from '$lib/data/key'

const PAGES = {
  initialPageParam: null as string | null,
  getNextPageParam: (page: { next: string | null }) => page.next
}

export function golferQuery(id: () => string) {
  return createQuery(() => ({
    queryKey: key.golfer(id()),
    queryFn: () => ask(api.GET('/api/golfers/{id}', { params: { path: { id: id() } } })),
    enabled: Boolean(id())
  }))
}

/** Golfers by name, the last seen first, each with the last block. */
export function golfersQuery(search: () => string) {
  return createInfiniteQuery(() => ({
    queryKey: inUnits(key.golfers(), search()),
    queryFn: ({ pageParam }) =>
      ask(api.GET('/api/golfers', { params: { query: { q: search(), after: pageParam, ...units() } } })),
    placeholderData: (before) => before,
    ...PAGES
  }))
}

/** The golfers of the newest lessons, for whoever putts next. */
export function seenLastQuery(search: () => string) {
  return createQuery(() => ({
    queryKey: [...key.golfers(), 'seen last', search()],
    queryFn: () => ask(api.GET('/api/golfers-seen-last', { params: { query: { q: search() } } })),
    placeholderData: (before) => before,
    staleTime: 0
  }))
}

/** A golfer's lessons, newest first. */
export function golferLessonsQuery(id: () => string) {
  return createInfiniteQuery(() => ({
    queryKey: inUnits(key.golferLessons(id())),
    queryFn: ({ pageParam }) =>
      ask(
        api.GET('/api/golfers/{id}/lessons', {
          params: { path: { id: id() }, query: { after: pageParam, ...units() } }
        })
      ),
    ...PAGES
  }))
}

/** The lessons that stand open. */
export function todayQuery() {
  return createInfiniteQuery(() => ({
    queryKey: inUnits(key.today()),
    queryFn: ({ pageParam }) => ask(api.GET('/api/today', { params: { query: { after: pageParam, ...units() } } })),
    ...PAGES
  }))
}

/** What a golfer has in hand, and since when what. */
export function kitQuery(id: () => string) {
  return createQuery(() => ({
    queryKey: inUnits(key.kit(id())),
    queryFn: () => ask(api.GET('/api/golfers/{id}/kit', { params: { path: { id: id() }, query: units() } }))
  }))
}

/** What views ask the server, each under one name. */
import { createQuery, type QueryClient } from '@tanstack/svelte-query'
import { settings } from '$lib/settings/settings.svelte'
import { api, ask } from './client'

const units = () => ({ query: { units: settings.units } })

/** One lesson with everything that stands in it. */
export function lessonQuery(id: () => string) {
  return createQuery(() => ({
    queryKey: ['lesson', id(), settings.units],
    queryFn: () => ask(api.GET('/api/lessons/{id}', { params: { path: { id: id() }, ...units() } })),
  }))
}

/** One block judged; asked again after every confirmed putt. */
export function judgedQuery(id: () => string | undefined) {
  return createQuery(() => ({
    queryKey: ['judged', id(), settings.units],
    queryFn: () => ask(api.GET('/api/blocks/{id}/judgement', { params: { path: { id: id() ?? '' }, ...units() } })),
    enabled: Boolean(id()),
    // Another block's numbers must not stand under this block's name.
    placeholderData: (before) => (before?.block.id === id() ? before : undefined),
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
    queryKey: ['instruments'],
    queryFn: () => ask(api.GET('/api/instruments')),
    staleTime: Infinity,
  }))
}

export function levelsQuery() {
  return createQuery(() => ({ queryKey: ['levels'], queryFn: () => ask(api.GET('/api/levels')), staleTime: Infinity }))
}

/** Everything about a lesson and its blocks is asked again. */
export async function renewLesson(client: QueryClient, id: string): Promise<void> {
  await Promise.all([
    client.invalidateQueries({ queryKey: ['lesson', id] }),
    client.invalidateQueries({ queryKey: ['judged'] }),
    client.invalidateQueries({ queryKey: ['today'] }),
  ])
}

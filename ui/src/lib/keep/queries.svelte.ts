/** What Keep asks the server: files of putts on their way in. */
import { createQuery } from '@tanstack/svelte-query'
import { api, ask } from '$lib/data/client'
import { inUnits, key, units } from '$lib/data/key'
import type { paths } from '$lib/data/schema'

/** The files given for a golfer, newest first. */
export function filesQuery(golfer: () => string) {
  return createQuery(() => ({
    queryKey: key.files(golfer()),
    queryFn: () => ask(api.GET('/api/golfers/{id}/imports', { params: { path: { id: golfer() } } }))
  }))
}

/** One file, and how its columns are read. */
export function fileQuery(id: () => string) {
  return createQuery(() => ({
    queryKey: inUnits(key.file(id())),
    queryFn: () => ask(api.GET('/api/imports/{id}', { params: { path: { id: id() }, query: units() } }))
  }))
}

/** How far the work on a file is. */
export function fileProgressQuery(id: () => string) {
  return createQuery(() => ({
    queryKey: inUnits(key.fileProgress(id())),
    queryFn: () => ask(api.GET('/api/imports/{id}/progress', { params: { path: { id: id() }, query: units() } })),
    refetchInterval: (query) =>
      query.state.data && ['checking', 'taking'].includes(query.state.data.phase) ? 250 : false
  }))
}

/** A golfer's photographs, newest first. */
export function photosQuery(golfer: () => string) {
  return createQuery(() => ({
    queryKey: key.photos(golfer()),
    queryFn: () => ask(api.GET('/api/golfers/{id}/photos', { params: { path: { id: golfer() } } }))
  }))
}

/** The quick checks of a lesson, newest first. */
export function checksQuery(lesson: () => string) {
  return createQuery(() => ({
    queryKey: inUnits(key.checks(lesson())),
    queryFn: () =>
      ask(api.GET('/api/lessons/{id}/quick-checks', { params: { path: { id: lesson() }, query: units() } }))
  }))
}

/** A lesson as it is taken home. */
export function summaryQuery(lesson: () => string) {
  return createQuery(() => ({
    queryKey: inUnits(key.summary(lesson())),
    queryFn: () => ask(api.GET('/api/lessons/{id}/summary', { params: { path: { id: lesson() }, query: units() } })),
    staleTime: 0
  }))
}

type Converting = NonNullable<paths['/api/converted']['get']['parameters']['query']>
/** An angle in every way; nothing is asked while nobody looks. */
export function convertedQuery(of: () => Converting | null) {
  return createQuery(() => ({
    queryKey: key.converted(of()),
    queryFn: () => ask(api.GET('/api/converted', { params: { query: of() ?? { amount: 0 } } })),
    enabled: of() !== null,
    placeholderData: (before) => before,
    retry: false
  }))
}

/** What Keep asks the server: files of putts on their way in. */
import { createInfiniteQuery, createQuery } from '@tanstack/svelte-query'
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
    queryKey: key.summary(lesson()),
    queryFn: () => ask(api.GET('/api/lessons/{id}/summary', { params: { path: { id: lesson() } } })),
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

type Cautioned = NonNullable<paths['/api/cautions']['get']['parameters']['query']>
/** What to mind where it is told: of a lesson, of a golfer, of a record. */
export function cautionsQuery(at: () => Cautioned['at'], of: () => { lesson?: string; golfer?: string }) {
  return createQuery(() => ({
    queryKey: key.cautions(at(), of().lesson ?? '', of().golfer ?? ''),
    queryFn: () => ask(api.GET('/api/cautions', { params: { query: { at: at(), ...of() } } })),
    staleTime: 0
  }))
}

/** What is due today. */
export function dueQuery() {
  return createQuery(() => ({
    queryKey: key.due(),
    queryFn: () => ask(api.GET('/api/due')),
    staleTime: 0
  }))
}

export type Sought = Pick<
  NonNullable<paths['/api/logbook']['get']['parameters']['query']>,
  'q' | 'sorts' | 'golfer' | 'since' | 'until'
>
/** The logbook, a page at a time, newest first. */
export function logbookQuery(sought: () => Sought) {
  return createInfiniteQuery(() => ({
    queryKey: inUnits(key.logbook(sought())),
    queryFn: ({ pageParam }) =>
      ask(api.GET('/api/logbook', { params: { query: { ...sought(), after: pageParam, ...units() } } })),
    initialPageParam: null as string | null,
    getNextPageParam: (page: { next: string | null }) => page.next,
    placeholderData: (before) => before,
    staleTime: 0
  }))
}

/** The guide. */
export function guideQuery() {
  return createQuery(() => ({
    queryKey: key.guide(),
    queryFn: () => ask(api.GET('/api/guide')),
    staleTime: Infinity
  }))
}

const WORKING = ['making', 'checking', 'taking']
/** How far an archive is. */
export function archiveQuery(id: () => string | null) {
  return createQuery(() => ({
    queryKey: key.archive(id() ?? ''),
    queryFn: () => ask(api.GET('/api/archives/{id}', { params: { path: { id: id() ?? '' } } })),
    enabled: id() !== null,
    refetchInterval: (query) => (query.state.data && WORKING.includes(query.state.data.phase) ? 250 : false)
  }))
}

/** What Start alone asks the server. */
import { createQuery, keepPreviousData } from '@tanstack/svelte-query'
import { api, ask, type Shapes } from '$lib/data/client'
import { inUnits, key, units } from '$lib/data/key'

/** The simulated devices of the demo. */
export function standinsQuery() {
  return createQuery(() => ({ queryKey: key.standins(), queryFn: () => ask(api.GET('/api/standins')) }))
}

/** What a block's putts are weighed with where no server is in reach. */
export function likelihoodQuery(block: () => string | undefined) {
  return createQuery(() => ({
    queryKey: inUnits(key.likelihood(block() ?? '')),
    queryFn: () =>
      ask(api.GET('/api/blocks/{id}/likelihood', { params: { path: { id: block() ?? '' }, query: units() } })),
    enabled: Boolean(block())
  }))
}

/** The last putt, for a screen on the wall. */
export function wallQuery(lesson: () => string) {
  return createQuery(() => ({
    queryKey: inUnits(key.wall(lesson())),
    queryFn: () => ask(api.GET('/api/lessons/{id}/wall', { params: { path: { id: lesson() }, query: units() } })),
    // Told of every putt at once; asked now and then all the same, should the line be silent.
    refetchInterval: 10_000,
    refetchIntervalInBackground: true
  }))
}

/** Conditions to be compared, drawn to one scale; those drawn last stay until the new ones are. */
export function conditionsDrawnQuery(of: () => Shapes['ConditionsDrawnIn']) {
  return createQuery(() => ({
    queryKey: inUnits(key.conditionsDrawn(of())),
    queryFn: () => ask(api.POST('/api/conditions-drawn', { params: { query: units() }, body: of() })),
    placeholderData: keepPreviousData,
    staleTime: Infinity
  }))
}

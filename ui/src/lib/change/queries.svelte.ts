/** What Change asks the server. */
import { createQuery } from '@tanstack/svelte-query'
import { api, ask } from '$lib/data/client'
import { inUnits, key, units } from '$lib/data/key'

/** What a lesson comes to for its golfer: what they came with, the answer, the one change. */
export function changeQuery(id: () => string, wanted: () => boolean = () => true) {
  return createQuery(() => ({
    queryKey: inUnits(key.change(id())),
    queryFn: () => ask(api.GET('/api/lessons/{id}/change', { params: { path: { id: id() }, query: units() } })),
    enabled: wanted() && Boolean(id()),
    staleTime: 0
  }))
}

/** Every drill, with where a golfer stands in each; those that serve a finding first where one is named. */
export function drillsQuery(
  golfer: () => string | undefined,
  hand: () => 'right' | 'left' = () => 'right',
  serves: () => string = () => ''
) {
  return createQuery(() => ({
    queryKey: inUnits(key.drills(golfer() ?? ''), hand(), serves()),
    queryFn: () =>
      ask(
        api.GET('/api/drills', {
          params: { query: { golfer_id: golfer() ?? null, hand: hand(), serves: serves(), ...units() } }
        })
      )
  }))
}

/** The plan a golfer goes by; null before the first. */
export function planQuery(golfer: () => string) {
  return createQuery(() => ({
    queryKey: key.practice(golfer()),
    queryFn: () => ask(api.GET('/api/golfers/{id}/practice-plan', { params: { path: { id: golfer() } } })),
    enabled: Boolean(golfer())
  }))
}

/** A golfer's putts by length, in practice and on the course. */
export function courseQuery(golfer: () => string) {
  return createQuery(() => ({
    queryKey: inUnits(key.course(golfer())),
    queryFn: () =>
      ask(api.GET('/api/golfers/{id}/on-the-course', { params: { path: { id: golfer() }, query: units() } })),
    staleTime: 0
  }))
}

/** What a golfer may expect on the course. */
export function expectedQuery(golfer: () => string) {
  return createQuery(() => ({
    queryKey: inUnits(key.expected(golfer())),
    queryFn: () => ask(api.GET('/api/golfers/{id}/expected', { params: { path: { id: golfer() }, query: units() } }))
  }))
}

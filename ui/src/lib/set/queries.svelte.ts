/** What Set asks the server: most of it is worked out for a plan that is not laid yet. */
import { createInfiniteQuery, createQuery, keepPreviousData } from '@tanstack/svelte-query'
import { api, ask, type Shapes } from '$lib/data/client'
import { inUnits, key, units } from '$lib/data/key'
import { createReckoned } from '$lib/data/reckoned.svelte'
import { puttOf, type Plan } from './plan'

/** The plan drawn to scale, and what it can see. */
export const previewQuery = (lesson: () => string, asked: () => Shapes['PreviewIn'] | null) =>
  createReckoned(
    () => inUnits(key.preview(lesson())),
    asked,
    (body) => ask(api.POST('/api/stations/preview', { params: { query: units() }, body }))
  )

/** An instrument by itself with these sizes: its picture, and what each reading stands for. */
export const triedQuery = (kind: () => string, sizes: () => Record<string, number>) =>
  createReckoned(
    () => inUnits(key.tryAid(kind())),
    sizes,
    (sizes) => ask(api.POST('/api/instruments/entry', { params: { query: units() }, body: { kind: kind(), sizes } }))
  )

/** Which starts drop. */
export const dropsQuery = (plan: () => Plan, shown: () => boolean) =>
  createReckoned(
    () => inUnits(key.drops()),
    () => (shown() ? puttOf(plan()) : null),
    (body) => ask(api.POST('/api/green/drops', { params: { query: units() }, body }))
  )

/** The instruments that tell what is wanted, the best first. `bag`: what the bag holds, for it changes the answer. */
export function proposalsQuery(wanted: () => Shapes['WantedIn'], bag: () => unknown, asked: () => boolean) {
  return createQuery(() => ({
    queryKey: inUnits(key.proposals(), wanted(), bag()),
    queryFn: () => ask(api.POST('/api/stations/propose', { params: { query: units() }, body: wanted() })),
    enabled: asked(),
    // What was proposed stands till other is, and can be used as it stands: nothing goes away under a tap because the plan
    // was kept, or what this golfer showed before has come.
    placeholderData: keepPreviousData,
    retry: false
  }))
}

/** The slope from readings of a level. */
export function slopeQuery(readings: () => Shapes['LevelReadingIn'][], asked: () => boolean) {
  return createQuery(() => ({
    queryKey: [...key.slope(), readings()],
    queryFn: () => ask(api.POST('/api/green/slope', { body: { readings: readings() } })),
    enabled: asked(),
    retry: false
  }))
}

/** The slope from balls rolled both ways. */
export function rollsQuery(rolls: () => Shapes['RollIn'][], speed_ft: () => number, asked: () => boolean) {
  return createQuery(() => ({
    queryKey: [...key.rolls(), rolls(), speed_ft()],
    queryFn: () => ask(api.POST('/api/green/rolls', { body: { rolls: rolls(), green_speed_ft: speed_ft() } })),
    enabled: asked(),
    retry: false
  }))
}

/** The ways to prove a line. */
export function waysQuery() {
  return createQuery(() => ({
    queryKey: key.ways(),
    queryFn: () => ask(api.GET('/api/stations/ways')),
    staleTime: Infinity
  }))
}

/** What can be printed of a plan. */
export function printsQuery() {
  return createQuery(() => ({
    queryKey: key.prints(),
    queryFn: () => ask(api.GET('/api/prints')),
    staleTime: Infinity
  }))
}

/** The stations kept under a name. */
export function savedQuery(search: () => string, shown: () => boolean, hand: () => Shapes['GolferBrief']['hand']) {
  return createInfiniteQuery(() => ({
    queryKey: inUnits(key.saved(), search(), hand()),
    queryFn: ({ pageParam }) =>
      ask(
        api.GET('/api/saved-stations', {
          params: { query: { q: search(), after: pageParam, hand: hand(), ...units() } }
        })
      ),
    initialPageParam: null as string | null,
    getNextPageParam: (page) => page.next,
    enabled: shown(),
    placeholderData: (before) => before
  }))
}

/** What a string over the line covers for these eyes. */
export const stringQuery = (eyes: () => Shapes['StringIn']) =>
  createReckoned(
    () => inUnits(key.string()),
    eyes,
    (body) => ask(api.POST('/api/instruments/string', { params: { query: units() }, body }))
  )

/** Where the sighting eye is, by what an upright string covers. */
export function stringEyesQuery(covers: () => Shapes['CoverIn']) {
  return createQuery(() => ({
    queryKey: inUnits(key.stringEyes(), covers()),
    queryFn: () => ask(api.POST('/api/instruments/string/eyes', { params: { query: units() }, body: covers() })),
    retry: false
  }))
}

/** Instruments that can be checked by themselves, each as it was checked last in a lesson. */
export function toolsQuery(lesson: () => string) {
  return createQuery(() => ({
    queryKey: inUnits(key.tools(lesson())),
    queryFn: () => ask(api.GET('/api/lessons/{id}/tools', { params: { path: { id: lesson() }, query: units() } }))
  }))
}

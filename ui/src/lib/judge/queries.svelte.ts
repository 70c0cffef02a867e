/** What Judge alone asks the server. */
import { createQuery } from '@tanstack/svelte-query'
import { api, ask, type Shapes } from '$lib/data/client'
import { inUnits, key, units } from '$lib/data/key'

/** Everything that was read of a block's putts; asked again when one of them is new. */
export function readQuery(id: () => string | undefined, putts: () => number | undefined) {
  return createQuery(() => ({
    queryKey: inUnits(key.read(id() ?? ''), putts()),
    queryFn: () => ask(api.GET('/api/blocks/{id}/read', { params: { path: { id: id() ?? '' }, query: units() } })),
    enabled: Boolean(id()),
    placeholderData: (before, query) => (query?.queryKey[1] === id() ? before : undefined)
  }))
}

/** What more putts would tell, once the planned ones are in. */
export function furtherQuery(id: () => string | undefined, judgement: () => Shapes['JudgementOut'] | undefined) {
  return createQuery(() => ({
    queryKey: [...key.further(id() ?? ''), judgement()?.putts, judgement()?.planned],
    queryFn: () => ask(api.GET('/api/blocks/{id}/further', { params: { path: { id: id() ?? '' } } })),
    enabled: Boolean(judgement()?.final)
  }))
}

/** A lesson judged whole. What was read since is judged when it is asked again. */
export function findingsQuery(id: () => string, wanted: () => boolean = () => true) {
  return createQuery(() => ({
    queryKey: inUnits(key.findings(id())),
    queryFn: () => ask(api.GET('/api/lessons/{id}/findings', { params: { path: { id: id() }, query: units() } })),
    enabled: wanted(),
    staleTime: 0,
    placeholderData: (before, query) => (query?.queryKey[1] === id() ? before : undefined)
  }))
}

/** What a lesson comes to, as its golfer is shown it. */
export function shownQuery(id: () => string) {
  return createQuery(() => ({
    queryKey: inUnits(key.shown(id())),
    queryFn: () => ask(api.GET('/api/lessons/{id}/finding-shown', { params: { path: { id: id() }, query: units() } })),
    staleTime: 0,
    placeholderData: (before, query) => (query?.queryKey[1] === id() ? before : undefined)
  }))
}

/** Two lessons of a golfer, or blocks of them, beside each other in every link. */
export function sidesQuery(
  first: () => string | undefined,
  second: () => string,
  blocks: () => { first?: string | undefined; second?: string | undefined }
) {
  return createQuery(() => ({
    queryKey: inUnits(key.sides(first() ?? '', second()), blocks().first, blocks().second),
    queryFn: () =>
      ask(
        api.GET('/api/compare-sides', {
          params: {
            query: {
              first: first() ?? '',
              second: second(),
              first_block: blocks().first,
              second_block: blocks().second
            }
          }
        })
      ),
    enabled: Boolean(first()) && (first() !== second() || blocks().first !== blocks().second),
    staleTime: 0
  }))
}

/** What counts as fine for whom: the version that holds. */
export function linkBandsQuery() {
  return createQuery(() => ({ queryKey: key.linkBands(), queryFn: () => ask(api.GET('/api/link-bands')) }))
}

/** What one lesson would say otherwise, were these the bands. */
export const weighedBands = (lesson: string, levels: Shapes['LinkBandsIn']['levels']) =>
  ask(
    api.POST('/api/lessons/{id}/weighed-bands', {
      params: { path: { id: lesson }, query: units() },
      body: { levels }
    })
  )

type Block = Pick<Shapes['BlockOut'], 'id' | 'putts'>
/** A golfer's links, each pooled over all lessons. */
export function golferLineQuery(golfer: () => string) {
  return createQuery(() => ({
    queryKey: inUnits(key.golferLine(golfer())),
    queryFn: () => ask(api.GET('/api/golfers/{id}/line', { params: { path: { id: golfer() }, query: units() } })),
    enabled: Boolean(golfer())
  }))
}

/** What a golfer's last lesson found, in one line. */
export function foundQuery(golfer: () => string) {
  return createQuery(() => ({
    queryKey: inUnits(key.golferLine(golfer()), 'found'),
    queryFn: () => ask(api.GET('/api/golfers/{id}/found', { params: { path: { id: golfer() }, query: units() } }))
  }))
}

/** Where a golfer's starts lie now, and what to plan the next lesson for. */
export function lineNowQuery(golfer: () => string) {
  return createQuery(() => ({
    queryKey: inUnits([...key.golferLine(golfer()), 'now']),
    queryFn: () => ask(api.GET('/api/golfers/{id}/line-now', { params: { path: { id: golfer() }, query: units() } })),
    enabled: Boolean(golfer())
  }))
}

/** Two of a golfer's lines of one link beside each other. */
export function linesBesideQuery(
  golfer: () => string,
  first: () => string | undefined,
  second: () => string | undefined
) {
  return createQuery(() => ({
    queryKey: inUnits(key.golferLine(golfer()), first(), second()),
    queryFn: () =>
      ask(
        api.GET('/api/golfers/{id}/lines-beside', {
          params: { path: { id: golfer() }, query: { first: first() ?? '', second: second() ?? '', ...units() } }
        })
      ),
    enabled: Boolean(first() && second())
  }))
}

/** Two blocks set beside each other, under one question. */
export function comparedQuery(
  one: () => Block,
  other: () => Block | undefined,
  question: () => Shapes['ComparisonIn']['question']
) {
  return createQuery(() => ({
    queryKey: inUnits(key.compared(one().id, other()?.id ?? ''), question(), one().putts, other()?.putts),
    queryFn: () =>
      ask(
        api.GET('/api/compare', {
          params: { query: { blocks: [one().id, other()?.id ?? ''], question: question(), ...units() } }
        })
      ),
    enabled: Boolean(other())
  }))
}

/**
 * Whose claim is opened: a golfer’s over the lessons, a lesson’s, a block’s alone, that of two sides, of two lines
 * beside each other, or of a lesson’s perception map.
 */
export type Opened =
  | { golfer: string }
  | { lesson: string; block?: string | undefined }
  | { sides: Sides }
  | { lines: { of: string; first: string; second: string } }
  | { map: string }
/** Two sides set beside each other: lessons, or blocks of them. */
export type Sides = {
  first: string
  second: string
  first_block?: string | undefined
  second_block?: string | undefined
}

/** Something that is said, opened; asked again with what it is said of. */
export function explainedQuery(of: () => Opened, what: () => string, wanted: () => boolean) {
  const opened = (it: Opened, query: { claim: string } & ReturnType<typeof units>) => {
    if ('golfer' in it) return api.GET('/api/golfers/{id}/explained', { params: { path: { id: it.golfer }, query } })
    if ('sides' in it) return api.GET('/api/compare-sides/explained', { params: { query: { ...it.sides, ...query } } })
    if ('map' in it) return api.GET('/api/lessons/{id}/map/explained', { params: { path: { id: it.map }, query } })
    if ('lines' in it) {
      const { of: id, ...lines } = it.lines
      return api.GET('/api/golfers/{id}/lines-beside/explained', {
        params: { path: { id }, query: { ...lines, ...units() } }
      })
    }
    return it.block
      ? api.GET('/api/blocks/{id}/explained', { params: { path: { id: it.block }, query } })
      : api.GET('/api/lessons/{id}/explained', { params: { path: { id: it.lesson }, query } })
  }
  return createQuery(() => ({
    queryKey: inUnits([...key.explained(JSON.stringify(of()), what())]),
    queryFn: () => ask(opened(of(), { claim: what(), ...units() })),
    enabled: wanted(),
    staleTime: 0
  }))
}

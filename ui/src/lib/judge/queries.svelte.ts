/** What Judge alone asks the server. */
import { createQuery } from '@tanstack/svelte-query'
import { api, ask, type Shapes } from '$lib/data/client'
import { inUnits, key, units } from '$lib/data/key'

/** The tables behind a block's judgement; asked again when a putt of it is new. */
export function tablesQuery(id: () => string | undefined, putts: () => number | undefined) {
  return createQuery(() => ({
    queryKey: inUnits(key.tables(id() ?? ''), putts()),
    queryFn: () => ask(api.GET('/api/blocks/{id}/tables', { params: { path: { id: id() ?? '' }, query: units() } })),
    enabled: Boolean(id()),
    placeholderData: (before, query) => (query?.queryKey[1] === id() ? before : undefined),
  }))
}

/** What more putts would tell, once the planned ones are in. */
export function furtherQuery(id: () => string | undefined, judgement: () => Shapes['JudgementOut'] | undefined) {
  return createQuery(() => ({
    queryKey: [...key.further(id() ?? ''), judgement()?.putts, judgement()?.planned],
    queryFn: () => ask(api.GET('/api/blocks/{id}/further', { params: { path: { id: id() ?? '' } } })),
    enabled: Boolean(judgement()?.final),
  }))
}

type Block = Pick<Shapes['BlockOut'], 'id' | 'putts'>
/** Two blocks set beside each other, under one question. */
export function comparedQuery(one: () => Block, other: () => Block | undefined, question: () => 'line' | 'spread' | 'window') {
  return createQuery(() => ({
    queryKey: inUnits(key.compared(one().id, other()?.id ?? ''), question(), one().putts, other()?.putts),
    queryFn: () => ask(api.GET('/api/compare', { params: { query: { blocks: [one().id, other()?.id ?? ''], question: question(), ...units() } } })),
    enabled: Boolean(other()),
  }))
}

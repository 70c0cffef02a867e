/** Golfers deleted for good, and for how long the others are kept: the owner's. */
import { createQuery } from '@tanstack/svelte-query'
import { v7 } from 'uuid'
import { putAnswer } from '$lib/data/cache'
import { api, ask, type Shapes } from '$lib/data/client'
import { key } from '$lib/data/key'
import { proof } from './proof.svelte'

export type Removals = Shapes['RemovalsOut']

export function removalsQuery(wanted: () => boolean = () => true) {
  return createQuery(() => ({
    queryKey: key.removals(),
    queryFn: () => ask(api.GET('/api/removals')),
    enabled: wanted()
  }))
}

/** Everything of a golfer, for good: at once or not at all, and never later by itself. */
export const deleteGolfer = (golfer_id: string, name: string) =>
  proof.before(() => api.PUT('/api/removals/{id}', { params: { path: { id: v7() } }, body: { golfer_id, name } }))

export async function keepFor(years: number | null): Promise<Removals> {
  const kept = await proof.before(() => api.PUT('/api/kept-years', { body: { years } }))
  await putAnswer(key.removals(), kept)
  return kept
}

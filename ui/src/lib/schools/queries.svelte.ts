/** What is asked of schools: of a lesson, of a golfer, or of the coach alone. */
import { createQuery } from '@tanstack/svelte-query'
import { api, ask, type Shapes } from '$lib/data/client'
import { inUnits, key, units } from '$lib/data/key'

export interface Whose {
  lesson?: string
  golfer?: string
}
export type Disagreement = Shapes['DisagreementOut']

const told = ({ lesson, golfer }: Whose): Promise<Shapes['SchoolsOut']> => {
  const query = units()
  if (lesson) return ask(api.GET('/api/lessons/{id}/schools', { params: { path: { id: lesson }, query } }))
  if (golfer) return ask(api.GET('/api/golfers/{id}/schools', { params: { path: { id: golfer }, query } }))
  return ask(api.GET('/api/schools', { params: { query } }))
}

export function schoolsQuery(whose: () => Whose, wanted: () => boolean = () => true) {
  return createQuery(() => ({
    queryKey: inUnits(key.schools(whose().lesson ?? '', whose().golfer ?? '')),
    queryFn: () => told(whose()),
    enabled: wanted()
  }))
}

/** Every number that is an opinion, and whose claims one would change. */
import { createQuery } from '@tanstack/svelte-query'
import { api, ask, type Shapes } from '$lib/data/client'
import { inUnits, key, units } from '$lib/data/key'

export type Opinion = Shapes['OpinionOut']
export type OpinionNumber = Shapes['OpinionNumberOut']
type Level = Shapes['LevelOut']['level']

/** Of whom opinions are held: of one golfer, of a level, or, with neither, of everybody. */
export interface Whose {
  level?: Level
  golfer?: string
}

export function opinionsQuery(whose: () => Whose) {
  return createQuery(() => ({
    queryKey: inUnits(key.opinions(), whose()),
    queryFn: () => ask(api.GET('/api/opinions', { params: { query: { ...whose(), ...units() } } })),
    placeholderData: (before) => before
  }))
}

/** The lessons of those of whom it is held, the golfers seen last first. */
export const lessonsConcerned = (whose: Whose) => ask(api.GET('/api/opinions-concern', { params: { query: whose } }))

/** What one lesson would say otherwise. */
export const weighed = (lesson: string, body: Shapes['OpinionIn']) =>
  ask(api.POST('/api/lessons/{id}/weighed', { params: { path: { id: lesson }, query: units() }, body }))

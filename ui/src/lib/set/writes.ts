/** What Set has the server keep. */
import { v7 } from 'uuid'
import { every, key, units } from '$lib/data/key'
import { ofLesson } from '$lib/data/cache'
import { path, pathInUnits, put, remove, type Sent } from '$lib/data/letter'
import { laidPart, type Plan } from './plan'

/** Lay a plan in a lesson. */
export const layStation = (body: Sent<'/api/stations/{id}'>) => {
  const id = v7()
  return put('/api/stations/{id}', { ...path(id), body }, { thing: `station ${id}`, words: 'The station' })
}

/** The laser's cautions are read in this lesson. */
export const readCautions = (lesson: string) =>
  put('/api/lessons/{id}/laser-cautions', { ...path(lesson) }, {
    thing: `cautions ${lesson}`, words: 'The laser’s cautions', renews: ofLesson(lesson),
  })

export const kitThing = (lesson: string) => `kit ${lesson}`
export const tickKit = (lesson: string, ticked: string[]) =>
  put('/api/lessons/{id}/kit', { ...path(lesson), body: { ticked } }, {
    thing: kitThing(lesson), words: 'The kit check', whole: true, renews: [key.lesson(lesson)],
  })

const saved = (id: string, words: string) => ({ thing: `saved ${id}`, words, renews: [key.saved()] })
/** Keep a plan under a name. */
export const saveStation = (id: string, name: string, plan: Plan) =>
  put('/api/saved-stations/{id}', { ...pathInUnits(id), body: { ...laidPart(plan), name } }, saved(id, `The station “${name}”`))
export const putAwayStation = (id: string) => remove('/api/saved-stations/{id}', { ...pathInUnits(id) }, saved(id, 'Putting a station away'))
export const bringStationBack = (id: string) => put('/api/saved-stations/{id}/back', { ...pathInUnits(id) }, saved(id, 'Bringing a station back'))

export const BAG = 'bag'
/** What is in the coach's bag: all of it. */
export const tellBag = (parts: Record<string, number>) =>
  put('/api/bag', { body: { parts } }, { thing: BAG, words: 'The bag', whole: true, answers: key.bag(), renews: [every(key.preview), key.proposals()] })
export const forgetBag = () => remove('/api/bag', {}, { thing: BAG, words: 'Forgetting the bag', answers: key.bag(), renews: [every(key.preview), key.proposals()] })

/** Which spread suits which level: those the coach sees otherwise. */
export const setBands = (spreads_deg: Record<string, number>) =>
  put('/api/bands', { body: { spreads_deg } }, { thing: 'bands', words: 'How strict for whom', whole: true, answers: key.bands() })


/** What Aim has the server keep. */
import { v7 } from 'uuid'
import { every, inUnits, key, units } from '$lib/data/key'
import { put, type Sent } from '$lib/data/letter'

const path = (id: string) => ({ path: { id }, query: units() })
export const setDownThing = (set: string) => `set-downs ${set}`
const ofAim = (lesson: string, set: string) => ({
  thing: setDownThing(set), answers: inUnits(key.aim(lesson)), renews: [key.lesson(lesson), every(key.map)],
})

export const beginSet = (id: string, body: Sent<'/api/aim-sets/{id}'>) =>
  put('/api/aim-sets/{id}', { params: path(id), body }, { ...ofAim(body.lesson_id, id), words: 'The set of set-downs' })

export const keepSetDown = (lesson: string, body: Sent<'/api/set-downs/{id}'>) =>
  put('/api/set-downs/{id}', { params: path(v7()), body }, { ...ofAim(lesson, body.set_id), words: 'The set-down' })

export const undoSetDown = (lesson: string, set: string, id: string) =>
  put('/api/set-downs/{id}/voided', { params: path(id), body: { voided: true } }, { ...ofAim(lesson, set), words: 'Undoing the last set-down' })

/** What Stand has the server keep. */
import { every, inUnits, key } from '$lib/data/key'
import { pathInUnits, put, type Sent } from '$lib/data/letter'

const ofStand = (lesson: string, id: string) => ({
  thing: setUpThing(id),
  answers: inUnits(key.stand(lesson)),
  renews: [key.lesson(lesson)]
})
export const setUpThing = (id: string) => `set-up ${id}`

/** All that is noted of one set-up. */
export const noteSetUp = (id: string, body: Sent<'/api/set-ups/{id}'>) =>
  put(
    '/api/set-ups/{id}',
    { ...pathInUnits(id), body },
    { ...ofStand(body.lesson_id, id), words: 'The set-up', whole: true }
  )

export const voidSetUp = (lesson: string, id: string, voided: boolean) =>
  put(
    '/api/set-ups/{id}/voided',
    { ...pathInUnits(id), body: { voided } },
    {
      ...ofStand(lesson, id),
      words: voided ? 'Voiding a set-up' : 'Restoring a set-up'
    }
  )

export const WANTED = 'set-up entries'
/** What the coach wants to note of a set-up. */
export const wantEntries = (names: string[]) =>
  put(
    '/api/set-up-entries',
    { body: { names } },
    { thing: WANTED, words: 'What is noted of a set-up', whole: true, renews: [every(key.stand)] }
  )

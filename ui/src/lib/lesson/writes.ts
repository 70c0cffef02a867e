/** What is kept of a lesson as a whole. */
import { v7 } from 'uuid'
import { blankOf, inTheseUnits, knownAs } from '$lib/away/standing'
import { ofLesson } from '$lib/data/cache'
import type { Shapes } from '$lib/data/client'
import { stamp } from '$lib/data/clock'
import { every, key } from '$lib/data/key'
import { path, put, remove, type Sent } from '$lib/data/letter'

const of = (id: string, words: string) => ({
  thing: `lesson ${id}`,
  words,
  renews: [...ofLesson(id), every(key.golferLessons)]
})

/** How it shows, told otherwise, where there is no network. */
const known = (id: string, more: Record<string, unknown> = {}) => ({
  stands: knownAs(id, more, inTheseUnits(`/api/lessons/${id}`), inTheseUnits('/api/today'))
})
/** A lesson begun with somebody. */
export const startLesson = (
  body: Sent<'/api/lessons/{id}'>,
  golfer: Pick<Shapes['GolferOut'], 'id' | 'name' | 'hand'>
) => {
  const id = v7()
  const stands = {
    blank: blankOf('lesson', { hand: golfer.hand }),
    marks: { golfer: golfer.id, name: golfer.name, lesson: id, place: body.place },
    of: id
  }
  return put('/api/lessons/{id}', { ...path(id), body }, { ...of(id, `The lesson at ${body.place}`), stands })
}
export const noteLesson = (id: string, body: Sent<'/api/lessons/{id}'>) =>
  put('/api/lessons/{id}', { ...path(id), body }, { ...of(id, `The lesson at ${body.place}`), ...known(id) })
/** What a set-up of the lesson is called from now on. */
export const callSetUp = (id: string, name: string, called: string) =>
  put(
    '/api/lessons/{id}/set-up-names',
    { ...path(id), body: { name, called } },
    {
      ...of(id, `The set-up “${called}”`),
      renews: [...ofLesson(id), every(key.sights), every(key.eyes), every(key.aim)]
    }
  )
export const endLesson = (id: string, ended_at: string) =>
  put('/api/lessons/{id}/end', { ...path(id), body: { ended_at } }, { ...of(id, 'Ending the lesson'), ...known(id) })
export const reopenLesson = (id: string) =>
  remove('/api/lessons/{id}/end', path(id), { ...of(id, 'Opening the lesson again'), ...known(id, { ended_at: null }) })
export const voidLesson = (id: string, reason: string) =>
  put(
    '/api/lessons/{id}/voided',
    { ...path(id), body: { voided: true, reason } },
    { ...of(id, 'Voiding the lesson'), ...known(id, { voided_at: stamp(), void_reason: reason }) }
  )
export const restoreLesson = (id: string) =>
  put(
    '/api/lessons/{id}/voided',
    { ...path(id), body: { voided: false, reason: '' } },
    { ...of(id, 'Restoring the lesson'), ...known(id, { voided_at: null, void_reason: null }) }
  )

/** What is kept of a lesson as a whole. */
import { v7 } from 'uuid'
import { ofLesson } from '$lib/data/cache'
import { every, key } from '$lib/data/key'
import { path, put, remove, type Sent } from '$lib/data/letter'

const of = (id: string, words: string) => ({
  thing: `lesson ${id}`,
  words,
  renews: [...ofLesson(id), every(key.golferLessons)]
})

export const startLesson = (body: Sent<'/api/lessons/{id}'>) => noteLesson(v7(), body)
export const noteLesson = (id: string, body: Sent<'/api/lessons/{id}'>) =>
  put('/api/lessons/{id}', { ...path(id), body }, of(id, `The lesson at ${body.place}`))
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
  put('/api/lessons/{id}/end', { ...path(id), body: { ended_at } }, of(id, 'Ending the lesson'))
export const reopenLesson = (id: string) =>
  remove('/api/lessons/{id}/end', path(id), of(id, 'Opening the lesson again'))
export const voidLesson = (id: string, reason: string) =>
  put('/api/lessons/{id}/voided', { ...path(id), body: { voided: true, reason } }, of(id, 'Voiding the lesson'))
export const restoreLesson = (id: string) =>
  put('/api/lessons/{id}/voided', { ...path(id), body: { voided: false, reason: '' } }, of(id, 'Restoring the lesson'))

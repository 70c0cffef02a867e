/** What Aim has the server keep. */
import { v7 } from 'uuid'
import { blankOf } from '$lib/away/standing'
import { every, inUnits, key } from '$lib/data/key'
import { pathInUnits, put, type Sent } from '$lib/data/letter'

export const setDownThing = (series: string) => `set-downs ${series}`
const ofAim = (lesson: string, series: string) => ({
  thing: setDownThing(series),
  answers: inUnits(key.aim(lesson)),
  renews: [key.lesson(lesson), every(key.map)]
})

export const beginSeries = (id: string, body: Sent<'/api/aim-series/{id}'>) =>
  put(
    '/api/aim-series/{id}',
    { ...pathInUnits(id), body },
    {
      ...ofAim(body.lesson_id, id),
      words: 'The series of set-downs',
      stands: {
        blank: blankOf('series', { lesson: body.lesson_id }),
        marks: { series: id },
        of: id
      }
    }
  )

export const keepSetDown = (lesson: string, body: Sent<'/api/set-downs/{id}'>) =>
  put(
    '/api/set-downs/{id}',
    { ...pathInUnits(v7()), body },
    { ...ofAim(lesson, body.series_id), words: 'The set-down' }
  )

/** A set-down itself, among what is sent of its series. */
export const isSetDown = ({ path }: { path: string }): boolean => /^\/api\/set-downs\/[^/]+$/.test(path)

export const undoSetDown = (lesson: string, series: string, id: string) =>
  put(
    '/api/set-downs/{id}/voided',
    { ...pathInUnits(id), body: { voided: true } },
    { ...ofAim(lesson, series), words: 'Undoing the last set-down' }
  )

/** What lowers the weight of a set-down. */
export const flagSetDown = (lesson: string, series: string, id: string, flags: string[]) =>
  put(
    '/api/set-downs/{id}/flags',
    { ...pathInUnits(id), body: { flags } },
    { ...ofAim(lesson, series), words: 'What is said of a set-down' }
  )

/** Set-downs compared in turns: a series for each way. */
export const compareAims = (id: string, body: Sent<'/api/aim-turns/{id}'>) =>
  put(
    '/api/aim-turns/{id}',
    { ...pathInUnits(id), body },
    { ...ofAim(body.lesson_id, id), words: 'The comparison of the set-downs' }
  )

/** What Change has the server keep. */
import { v7 } from 'uuid'
import { every, key } from '$lib/data/key'
import { path, pathInUnits, put, type Sent } from '$lib/data/letter'

/** What the golfer came with. */
export const tellComplaint = (lesson: string, body: Sent<'/api/lessons/{id}/complaint'>) =>
  put(
    '/api/lessons/{id}/complaint',
    { ...path(lesson), body },
    { thing: `complaint ${lesson}`, words: 'What brings the golfer here', whole: true, renews: [key.change(lesson)] }
  )

const OF_CHANGE = [every(key.change), every(key.golferLine), every(key.lesson)]

/** The one change. */
export const chooseChange = (body: Sent<'/api/chosen-changes/{id}'>) => {
  const id = v7()
  return put(
    '/api/chosen-changes/{id}',
    { ...path(id), body },
    { thing: id, words: `The change “${body.what}”`, renews: OF_CHANGE }
  )
}

/** The coach's word on it, whatever was putted. */
export const dropChange = (id: string, dropped: boolean) =>
  put(
    '/api/chosen-changes/{id}/dropped',
    { ...path(id), body: { dropped } },
    { thing: id, words: dropped ? 'Dropping a change' : 'Taking a change up again', renews: OF_CHANGE }
  )

/** The weeks after a lesson, planned for the days there are. */
export const makePlan = (golfer: string, body: Sent<'/api/practice-plans/{id}'>) => {
  const id = v7()
  return put(
    '/api/practice-plans/{id}',
    { ...path(id), body },
    { thing: id, words: 'The plan', renews: [key.practice(golfer)] }
  )
}

/** The weeks that are left, planned anew from what was done. */
export const goOnWith = (golfer: string, before: string) => {
  const id = v7()
  return put(
    '/api/practice-plans/{id}/on-from/{before}',
    { params: { path: { id, before } } },
    { thing: id, words: 'The plan of what is left', renews: [key.practice(golfer)] }
  )
}

export const dropPlan = (golfer: string, id: string) =>
  put(
    '/api/practice-plans/{id}/voided',
    { ...path(id), body: { voided: true } },
    { thing: id, words: 'Taking the plan away', renews: [key.practice(golfer)] }
  )

/** A run of a drill, told event by event. */
export const tellRun = (body: Sent<'/api/drill-runs/{id}'>) => {
  const id = v7()
  return put(
    '/api/drill-runs/{id}',
    { ...pathInUnits(id), body },
    {
      thing: id,
      words: 'A run of a drill',
      renews: [
        key.practice(body.golfer_id),
        key.course(body.golfer_id),
        key.expected(body.golfer_id),
        every(key.drills)
      ]
    }
  )
}

/** A drill of the coach's own. */
export const keepDrill = (id: string, body: Sent<'/api/drills/{id}'>) =>
  put(
    '/api/drills/{id}',
    { ...path(id), body },
    { thing: `drill ${id}`, words: `The drill “${body.name}”`, whole: true, renews: [every(key.drills)] }
  )

export const retireDrill = (id: string, voided: boolean) =>
  put(
    '/api/drills/{id}/retired',
    { ...path(id), body: { voided } },
    {
      thing: `retired ${id}`,
      words: voided ? 'Retiring a drill' : 'Bringing a drill back',
      renews: [every(key.drills)]
    }
  )

/** A round, as it is told afterwards. */
export const tellRound = (body: Sent<'/api/rounds/{id}'>) => {
  const id = v7()
  return put(
    '/api/rounds/{id}',
    { ...path(id), body },
    { thing: id, words: 'The round', renews: [key.course(body.golfer_id), key.expected(body.golfer_id)] }
  )
}

export const voidRound = (golfer: string, id: string, voided: boolean) =>
  put(
    '/api/rounds/{id}/voided',
    { ...path(id), body: { voided } },
    {
      thing: id,
      words: voided ? 'Taking a round back' : 'Bringing a round back',
      renews: [key.course(golfer), key.expected(golfer)]
    }
  )

/** What Change has the server keep. */
import { v7 } from 'uuid'
import { every, key } from '$lib/data/key'
import { path, put, type Sent } from '$lib/data/letter'

/** What the golfer came with. */
export const tellComplaint = (lesson: string, body: Sent<'/api/lessons/{id}/complaint'>) =>
  put(
    '/api/lessons/{id}/complaint',
    { ...path(lesson), body },
    { thing: `complaint ${lesson}`, words: 'What brings the golfer here', whole: true, renews: [key.change(lesson)] }
  )

const OF_CHANGE = [every(key.change), every(key.golferLine)]

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

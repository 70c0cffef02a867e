/** What is kept of golfers. */
import { every, key } from '$lib/data/key'
import { put, type Sent } from '$lib/data/letter'

export const noteGolfer = (id: string, body: Sent<'/api/golfers/{id}'>) =>
  put(
    '/api/golfers/{id}',
    { params: { path: { id } }, body },
    {
      thing: `golfer ${id}`,
      words: `The golfer “${body.name}”`,
      renews: [key.golfers(), key.golfer(id), key.today(), every(key.lesson), every(key.preview)]
    }
  )

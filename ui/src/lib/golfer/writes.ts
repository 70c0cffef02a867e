/** What is kept of golfers. */
import { every, key } from '$lib/data/key'
import { blankOf, knownAs } from '$lib/away/standing'
import { v7 } from 'uuid'
import { pathInUnits, put, type Sent } from '$lib/data/letter'

export const noteGolfer = (id: string, body: Sent<'/api/golfers/{id}'>) =>
  put(
    '/api/golfers/{id}',
    { params: { path: { id } }, body },
    {
      thing: `golfer ${id}`,
      words: `The golfer “${body.name}”`,
      renews: [key.golfers(), key.golfer(id), key.today(), every(key.lesson), every(key.preview)],
      stands: body.seen
        ? knownAs(id, {}, `/api/golfers/${id}`)
        : { blank: blankOf('golfer', { hand: body.hand }), marks: { golfer: id, name: body.name }, of: id }
    }
  )

const ofKit = (golfer: string) => [key.kit(golfer), every(key.golferLine), every(key.judged)]

/** What is in hand from now on. */
export const noteKit = (body: Sent<'/api/kits/{id}'>) => {
  const id = v7()
  return put(
    '/api/kits/{id}',
    { ...pathInUnits(id), body },
    { thing: id, words: 'What is in hand', renews: ofKit(body.golfer_id) }
  )
}

export const voidKit = (golfer: string, id: string, voided: boolean) =>
  put(
    '/api/kits/{id}/voided',
    { ...pathInUnits(id), body: { voided } },
    { thing: id, words: voided ? 'Taking a kit back' : 'Bringing a kit back', renews: ofKit(golfer) }
  )

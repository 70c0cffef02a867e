/** What Judge has the server keep. */
import { every, key, type Key } from '$lib/data/key'
import { v7 } from 'uuid'
import { path, put, type Sent } from '$lib/data/letter'

export const shareThing = (block: string) => `share ${block}`
/** The share of the face in the start; null lets the putts tell it. */
export const setShareOfFace = (block: string, k: number | null) =>
  put(
    '/api/blocks/{id}/share-of-face',
    { params: { path: { id: block } }, body: { k } },
    {
      thing: shareThing(block),
      words: 'The share of the face',
      whole: true,
      renews: [key.read(block), key.judged(block)]
    }
  )

/** What the coach says of a finding: the tool's own view stays beside it. */
export const answerFinding = (body: Sent<'/api/finding-answers/{id}'>) => {
  const id = v7()
  return put(
    '/api/finding-answers/{id}',
    { ...path(id), body },
    {
      thing: `finding ${body.lesson_id} ${body.cause}`,
      words: 'What you say of a finding',
      renews: [key.findings(body.lesson_id)]
    }
  )
}

const TAKEN_BACK = { voided: true }
const of = (thing: string, words: string, renews: Key) => ({ thing, words, renews: [renews] })

export const voidAnswer = (lesson: string, id: string) =>
  put(
    '/api/finding-answers/{id}/voided',
    { ...path(id), body: TAKEN_BACK },
    of(id, 'Taking back what you said', key.findings(lesson))
  )

/** What a name meant that was typed before factors were known; null: it was as usual. */
export const sortOut = (lesson: string, body: Sent<'/api/unsorted'>) =>
  put(
    '/api/unsorted',
    { body },
    {
      thing: `unsorted ${body.name}`,
      words: `What “${body.name}” meant`,
      renews: [key.findings(lesson), key.lesson(lesson), key.golferLine(body.golfer_id)]
    }
  )

/** A new version of what counts as fine for whom. */
export const keepLinkBands = (body: Sent<'/api/link-bands/{id}'>) =>
  put(
    '/api/link-bands/{id}',
    { ...path(v7()), body },
    { thing: 'link bands', words: 'The bands by level', answers: key.linkBands(), renews: [every(key.findings)] }
  )

/** A day on which something of a golfer was changed. */
export const noteChange = (body: Sent<'/api/changes/{id}'>) => {
  const id = v7()
  return put(
    '/api/changes/{id}',
    { ...path(id), body },
    { thing: id, words: `The change “${body.words}”`, renews: [key.golferLine(body.golfer_id)] }
  )
}

/** Two lines of one link pooled as one from now on. */
export const joinLines = (body: Sent<'/api/line-joins/{id}'>) => {
  const id = v7()
  return put(
    '/api/line-joins/{id}',
    { ...path(id), body },
    { thing: id, words: 'Pooling two lines', renews: [key.golferLine(body.golfer_id)] }
  )
}

export const partLines = (golfer: string, id: string) =>
  put(
    '/api/line-joins/{id}/voided',
    { ...path(id), body: TAKEN_BACK },
    of(id, 'Taking two lines apart', key.golferLine(golfer))
  )

export const voidChange = (golfer: string, id: string) =>
  put(
    '/api/changes/{id}/voided',
    { ...path(id), body: TAKEN_BACK },
    of(id, 'Taking back a change', key.golferLine(golfer))
  )

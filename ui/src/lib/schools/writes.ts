/** Which school is held: by the coach, or for a golfer. */
import { every, key, units } from '$lib/data/key'
import { put, type Sent } from '$lib/data/letter'

/** What a school may change: what is offered, weighed, wanted and said. */
const RENEWED = [
  // Of lessons it comes again with the lesson.
  ['schools'],
  every(key.lesson),
  every(key.golfer),
  every(key.golfers),
  every(key.eyes),
  every(key.change),
  every(key.findings),
  every(key.proposals),
  every(key.drills),
  every(key.judged),
  every(key.aim),
  every(key.golferLine),
  every(key.today),
  every(key.wall)
]

/** An empty school drops what was held. */
export const holdSchool = (disagreement: string, school: string, golfer?: string) => {
  const about = {
    thing: `school ${disagreement} ${golfer ?? ''}`,
    words: 'A school',
    whole: true,
    renews: RENEWED
  }
  const body: Sent<'/api/schools/{disagreement}'> = { school }
  return golfer
    ? put(
        '/api/golfers/{id}/schools/{disagreement}',
        { params: { path: { id: golfer, disagreement }, query: units() }, body },
        about
      )
    : put('/api/schools/{disagreement}', { params: { path: { disagreement }, query: units() }, body }, about)
}

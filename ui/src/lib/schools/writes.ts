/** Which school is held: by the coach, or for a golfer. */
import { units, WEIGHED } from '$lib/data/key'
import { put, type Sent } from '$lib/data/letter'

/** An empty school drops what was held. */
export const holdSchool = (disagreement: string, school: string, golfer?: string) => {
  const about = {
    thing: `school ${disagreement} ${golfer ?? ''}`,
    words: 'A school',
    whole: true,
    renews: WEIGHED
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

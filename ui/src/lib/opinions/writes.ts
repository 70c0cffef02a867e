/** An opinion as it is held from now on. */
import { v7 } from 'uuid'
import { key, units, WEIGHED } from '$lib/data/key'
import { put, type Sent } from '$lib/data/letter'

export const holdOpinion = (body: Sent<'/api/opinions/{id}'>) =>
  put(
    '/api/opinions/{id}',
    { params: { path: { id: v7() }, query: units() }, body },
    {
      thing: `opinion ${body.opinion} ${body.level ?? ''} ${body.golfer_id ?? ''}`,
      words: 'An opinion',
      whole: true,
      // Whatever is weighed may be weighed otherwise.
      renews: [key.opinions(), ...WEIGHED]
    }
  )

/** What Judge has the server keep. */
import { key } from '$lib/data/key'
import { put } from '$lib/data/letter'

export const shareThing = (block: string) => `share ${block}`
/** The share of the face in the start; null lets the putts tell it. */
export const setShareOfFace = (block: string, k: number | null) =>
  put('/api/blocks/{id}/share-of-face', { params: { path: { id: block } }, body: { k } }, {
    thing: shareThing(block), words: 'The share of the face', whole: true, renews: [key.tables(block), key.judged(block)],
  })

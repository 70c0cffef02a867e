/** What golfers, or guardians, agreed to. */
import { createQuery } from '@tanstack/svelte-query'
import { v7 } from 'uuid'
import { api, ask, type Shapes } from '$lib/data/client'
import { stamp } from '$lib/data/clock'
import { key } from '$lib/data/key'
import { path, put, type Sent } from '$lib/data/letter'

export type Asked = Shapes['AskedOut']
type Answer = Omit<Sent<'/api/consents/{id}'>, 'said_at'>

export function consentsQuery(golfer: () => string) {
  return createQuery(() => ({
    queryKey: key.consents(golfer()),
    queryFn: () => ask(api.GET('/api/golfers/{id}/consents', { params: { path: { id: golfer() } } })),
    enabled: Boolean(golfer())
  }))
}

/** Under what an answer waits that the server has not yet. */
export const thingOf = (golfer: string, asks: Asked['asks']) => `consent ${golfer} ${asks}`

export const answer = (name: string, told: Answer) =>
  put(
    '/api/consents/{id}',
    { ...path(v7()), body: { ...told, said_at: stamp() } },
    {
      thing: thingOf(told.golfer_id, told.asks),
      words: `${name}: ${told.given ? 'agreed' : 'not agreed'}`,
      answers: key.consents(told.golfer_id)
    }
  )

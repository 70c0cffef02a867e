/** What is begun without a network stands beside what was there, in the words that were told. */
import 'fake-indexeddb/auto'
import { beforeEach, describe, expect, it } from 'vitest'
import type { Letter } from '$lib/data/letter'
import { heldOf, holdFor } from './asking'
import { kept } from './kept'
import { beside, standIn, type Stands } from './standing'
import { vault } from './vault.svelte'

const letter = (stands: Stands, body: unknown): Letter =>
  ({ id: '1', thing: 't', path: '/p', method: 'PUT', body, stands }) as Letter

beforeEach(async () => {
  await vault.heard(false)
  await kept.clear()
})

describe('what stands', () => {
  it('puts a list after what was there, and in the server’s order where the server knew it all', () => {
    expect(beside([{ id: 1 }, { id: 2 }], [{ id: 1 }, { id: 3 }])).toEqual([{ id: 2 }, { id: 1 }, { id: 3 }])
    expect(beside([{ lesson: { id: 1 } }], [{ lesson: { id: 2 } }, { lesson: { id: 1 } }])).toEqual([
      { lesson: { id: 2 } },
      { lesson: { id: 1 } }
    ])
  })

  it('leaves what is known as it is, and says what nobody knew', () => {
    expect(beside({ stand: 'narrow', set: '–', set_ups: ['a'] }, { stand: '', set: '2.5 m', set_ups: [] })).toEqual({
      stand: 'narrow',
      set: '2.5 m',
      set_ups: []
    })
  })

  it('has one current plan', () => {
    expect(beside([{ id: 1, current: true }], [{ id: 2, current: true }])).toEqual([
      { id: 1, current: false },
      { id: 2, current: true }
    ])
  })

  it('fills in the marks, also inside sentences, and what was told', async () => {
    const answers = [
      { address: '/api/lessons/L', answer: { lesson: { id: 'L', place: 'P' }, said: 'G has no putts' } },
      { address: '/api/list', answer: [{ id: 'L' }] }
    ]
    await holdFor(
      { address: '/api/blank' },
      { marks: { lesson: 'L', name: 'G' }, answer: { id: 'L', place: 'P' }, answers }
    )
    await holdFor({ address: '/api/list' }, [{ id: 'before' }])
    const marks = { lesson: 'real', name: 'Ada “the \\ hook”' }
    const stands: Stands = { blank: { address: '/api/blank' }, marks, of: 'real' }
    expect(await standIn(letter(stands, { place: 'Green' }))).toEqual({ id: 'real', place: 'Green' })
    expect(await heldOf({ address: '/api/lessons/real' })).toEqual({
      lesson: { id: 'real', place: 'Green' },
      said: 'Ada “the \\ hook” has no putts'
    })
    expect(await heldOf({ address: '/api/list' })).toEqual([{ id: 'before' }, { id: 'real' }])
  })

  it('says of something known what was told of it', async () => {
    await holdFor({ address: '/api/lessons/x' }, { lesson: { id: 'x', ended_at: null, place: 'Green' } })
    const stands: Stands = { blank: null, marks: {}, of: 'x', shows: ['/api/lessons/x', '/api/unknown'] }
    expect(await standIn(letter(stands, { ended_at: 'now' }))).toEqual({ id: 'x', ended_at: 'now', place: 'Green' })
    expect(await heldOf({ address: '/api/lessons/x' })).toEqual({
      lesson: { id: 'x', ended_at: 'now', place: 'Green' }
    })
  })

  it('does not stand where nobody said how', async () => {
    expect(
      await standIn(letter({ blank: { address: '/api/none' }, marks: {}, of: 'x' }, { place: 'Green' }))
    ).toBeUndefined()
  })
})

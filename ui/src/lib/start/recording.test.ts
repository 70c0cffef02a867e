/** A block while it is recorded, a comparison while it is planned, and whose turn it is. */
import { beforeEach, describe, expect, it } from 'vitest'
import type { Shapes } from '$lib/data/client'
import type { Draft, Letter } from '$lib/data/letter'
import type { Zone } from '$lib/drawing/zones'
import { FIRST } from '$lib/set/plan'
import { Comparing } from './comparing.svelte'
import { laidOver } from './putts.svelte'
import { Recording, type Known } from './recording.svelte'
import { turnIn } from './turn'

const note = (name: string, when: 'before' | 'after') =>
  ({
    note: name,
    when,
    label: name,
    options: { a: 'A' },
    told_by: name === 'finish' ? ['finish_m'] : [],
    after: '',
    halves: {}
  }) as unknown as Shapes['NoteOut']
const zone = {
  name: '1° left',
  raw: { zone: 'left' },
  key: null,
  low: -1.5,
  high: -0.5,
  at: -1,
  side: 'left',
  meaning: '',
  left_mm: 0,
  right_mm: 1
} as Zone
const reading = (id: string, voided = false) =>
  ({ id, voided, void_reason: null, low_deg: 0, high_deg: 0, words: id, notes: {} }) as unknown as Shapes['ReadingLine']
const block = (more: Partial<Shapes['BlockOut']> = {}) =>
  ({ id: 'b', planned: 3, noted: [], readings: [], ...more }) as unknown as Shapes['BlockOut']

let posted: Draft[] = []
let known: Known
const recorded = () => posted.map((it) => it.body)
beforeEach(() => {
  posted = []
  known = {
    block: block(),
    blockId: 'b',
    told: new Set(),
    elsewhere: undefined,
    closed: false,
    post: (it) => posted.push(it)
  }
})

describe('a putt', () => {
  it('is one tap where nothing else is noted', () => {
    new Recording(() => known).read(zone)
    expect(recorded()).toMatchObject([{ block_id: 'b', raw: { zone: 'left' }, notes: {} }])
    expect(posted[0]).toMatchObject({
      thing: 'b',
      words: 'Putt 1° left',
      reading: { block: 'b', shown: { side: 'left', words: '1° left' } }
    })
  })

  it('is kept once what was felt, the reading and the rest are told', () => {
    known.block = block({ noted: [note('felt', 'before'), note('finish', 'after')] })
    const it = new Recording(() => known)
    expect(it.noting?.note).toBe('felt')
    it.note('a')
    expect(it.noting).toBeUndefined()
    it.read(zone)
    expect([it.noting?.note, posted.length]).toEqual(['finish', 0])
    it.note('')
    // What was skipped is no note.
    expect(recorded()).toMatchObject([{ notes: { felt: 'a' } }])
    expect(it.pending.begun).toBe(false)
  })

  it('is taken back step by step, and then the last putt', () => {
    known.block = block({ noted: [note('felt', 'before'), note('finish', 'after')], readings: [reading('r')] })
    const it = new Recording(() => known)
    it.note('a')
    it.read(zone)
    it.undo()
    expect(it.noting).toBeUndefined()
    it.undo()
    expect(it.noting?.note).toBe('felt')
    it.undo()
    expect(posted).toMatchObject([{ path: '/api/readings/r/voided', body: { voided: true, reason: 'undone' } }])
  })

  it('undoes the newest putt of a comparison, whichever block has it', () => {
    known.block = block({ readings: [reading('r1')] })
    known.elsewhere = { block: 'other', id: 'r2' }
    new Recording(() => known).undo()
    known.elsewhere = { block: 'other', id: 'r0' }
    new Recording(() => known).undo()
    expect(posted).toMatchObject([
      { path: '/api/readings/r2/voided', reading: { block: 'other' } },
      { path: '/api/readings/r1/voided', reading: { block: 'b' } }
    ])
  })

  it('asks only what is left to tell by what was noted', () => {
    const finish = {
      ...note('finish', 'after'),
      told_by: [],
      options: { short: 'short', holed: 'holed', right: 'right' }
    }
    const size = { low: -2, high: 5, step: 0.1, after: 'finish', halves: { short: 'low', holed: 'none' } as const }
    known.block = { ...block(), noted: [finish, { ...note('ran_past_m', 'after'), ...size }] }
    const it = new Recording(() => known)
    it.read(zone)
    it.note('short')
    expect(it.noting).toMatchObject({ note: 'ran_past_m', low: -2, high: -0.1 })
    it.undo()
    it.note('right')
    expect(it.noting).toMatchObject({ note: 'ran_past_m', low: -2, high: 5 })
    it.undo()
    it.note('holed')
    expect(recorded()).toMatchObject([{ notes: { finish: 'holed' } }])
  })

  it('asks nothing that a sensor tells', () => {
    known.block = block({ noted: [note('felt', 'before'), note('finish', 'after')] })
    known.told = new Set(['finish_m'])
    expect(new Recording(() => known).asked.map((it) => it.note)).toEqual(['felt'])
  })

  it('is not recorded beyond the plan, nor when it is not the turn', () => {
    known.block = block({ planned: 1, readings: [reading('r')] })
    new Recording(() => known).read(zone)
    known.block = block({ readings: [reading('r', true)] })
    known.closed = true
    new Recording(() => known).read(zone)
    expect(posted).toEqual([])
  })

  it('is read by a sensor only after what was felt', () => {
    known.block = block({ noted: [note('felt', 'before')] })
    const it = new Recording(() => known)
    expect(it.heard(0.4)).toBe(false)
    it.note('a')
    expect(it.heard(0.4)).toBe(true)
    expect(recorded()).toMatchObject([{ raw: { read_deg: 0.4 }, notes: { felt: 'a' } }])
  })
})

describe('putts on their way', () => {
  const letter = (id: string, about: string, shown: Shapes['ReadingLine'] | null, method: 'PUT' | 'DELETE' = 'PUT') =>
    ({ id, method, body: { reason: 'talked' }, reading: { block: 'b', id: about, shown } }) as unknown as Letter

  it('are laid over what the server has, in the order they were tapped', () => {
    const letters = [
      letter('1', 'new', reading('new')),
      letter('2', 'old', null),
      letter('3', 'new', null),
      letter('4', 'old', null, 'DELETE')
    ]
    const putts = laidOver([reading('old')], letters, new Set(['1']))
    expect(putts.map((it) => [it.id, it.voided, it.void_reason, it.waiting])).toEqual([
      ['old', false, null, false],
      ['new', true, 'talked', false]
    ])
  })

  it('show once when the server knows them already', () => {
    expect(laidOver([reading('r')], [letter('1', 'r', reading('r'))], new Set()).length).toBe(1)
  })
})

describe('a turn', () => {
  const plan = ['a', 'a', 'b', 'b', 'a', 'b'].map((block_id, n, all) => ({
    block_id,
    nth: all.slice(0, n + 1).filter((it) => it === block_id).length
  }))
  const turn = (a: number, b: number) => turnIn(plan, (it) => (it === 'a' ? a : b))

  it('is that of the first putt that is open', () => {
    expect(turn(0, 0)).toEqual({ block: 'a', left: 2, then: 'b' })
    expect(turn(2, 1)).toEqual({ block: 'b', left: 1, then: 'a' })
    expect(turn(3, 2)).toEqual({ block: 'b', left: 1, then: null })
    expect(turn(3, 3)).toEqual({ block: null, left: 0, then: null })
  })

  it('goes back to a putt that was voided', () => {
    expect(turn(1, 2)).toEqual({ block: 'a', left: 2, then: 'b' })
  })
})

describe('a comparison', () => {
  const length = (m: number) => `${m} m`
  const station = { ...FIRST, distance_m: 2, falls_right_percent: 1, aids: [{ kind: 'gate', sizes: {} }] }

  it('says in what each condition is not as usual', () => {
    const it = new Comparing(2)
    expect(it.conditions(station, true, length)).toEqual([
      { name: 'as usual', factors: {}, guided: true, lay: null },
      { name: 'wide base', factors: { set_up: 'wide base' }, guided: true, lay: null }
    ])
  })

  it('lays only the lengths that do not stand', () => {
    const it = new Comparing(2)
    it.vary('length')
    const found = it.conditions(station, false, length)
    expect(found.map((one) => [one.name, one.lay?.distance_m])).toEqual([
      ['1.2 m', 1.2],
      ['2 m', undefined],
      ['3.5 m', 3.5]
    ])
  })

  it('takes the aid away and then goes to the other side of the hole', () => {
    const it = new Comparing(2)
    it.vary('guide')
    const found = it.conditions(station, true, length)
    expect(found.map((one) => one.guided)).toEqual([true, false, false])
    expect(found[1]?.lay).toMatchObject({ aids: [], falls_right_percent: 1 })
    expect(found[2]?.lay).toMatchObject({ aids: [], falls_right_percent: -1, read: null })
    expect(it.turns.order).toBe('in_order')
  })

  it('has two to five conditions', () => {
    const it = new Comparing(2)
    for (let n = 0; n < 9; n++) it.more()
    expect([it.under.length, it.grows]).toEqual([5, false])
    for (let n = 0; n < 9; n++) it.fewer()
    expect([it.under.length, it.shrinks]).toEqual([2, false])
  })
})

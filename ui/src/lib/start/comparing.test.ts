import { describe, expect, it } from 'vitest'
import { Comparing, isUsual } from './comparing.svelte'

const on = (station_id: string, name: string) => ({ name, station_id, guided: false, factors: {} })
const usual = {
  lesson_id: 'l',
  conditions: [on('s', 'as usual'), on('s', 'wide base')],
  ...new Comparing(2.5).turns,
  asks: [],
  hole: true,
  started_at: 'now'
}

describe('a comparison that the server said before how it stands', () => {
  it('is two ways on one station, as it is planned where nobody says otherwise', () => {
    expect(isUsual(usual)).toBe(true)
    expect(isUsual({ ...usual, conditions: [on('s', 'as usual'), on('other', '4 m')] })).toBe(false)
    expect(isUsual({ ...usual, conditions: [...usual.conditions, on('s', 'blank')] })).toBe(false)
    for (const other of [{ each: 12 }, { run: 1 }, { order: 'shuffled' as const }, { question: 'roll' as const }])
      expect(isUsual({ ...usual, ...other }), JSON.stringify(other)).toBe(false)
  })

  it('asks what varies first, and offers the ways of that alone', () => {
    const base = { name: 'wide base', factors: { set_up: 'wide base' } }
    const mallet = { name: 'mallet', factors: { kit: 'mallet' } }
    const plan = new Comparing(2.5, [{ name: '', factors: {} }, base, mallet])
    expect([plan.varies, plan.under.map((one) => one.name), plan.differIn]).toEqual([
      'set_up',
      ['', 'wide base'],
      ['set_up']
    ])
    plan.vary('kit')
    expect(plan.ways.map((one) => one.name)).toEqual(['', 'mallet'])
    expect(plan.differIn).toEqual(['kit'])
    plan.vary('hole_side')
    expect([plan.typed, plan.under[1]?.factors]).toEqual([false, { hole_side: 'other' }])
    // Nothing of it was done before: both ways are as usual until another is typed.
    plan.vary('routine')
    expect([plan.typed, plan.alike, plan.differIn]).toEqual([true, true, []])
    plan.vary('length')
    expect(plan.kind).toBe('distances')
  })

  it('says when two ways differ in more than what was asked', () => {
    const plan = new Comparing(2.5)
    plan.under[1] = { name: 'wide base, mallet', factors: { set_up: 'wide base', kit: 'mallet' } }
    expect(plan.differIn).toEqual(['set_up', 'kit'])
  })

  it('knows two ways of one name', () => {
    const plan = new Comparing(2.5)
    expect(plan.alike).toBe(false)
    plan.under = [
      { name: '', factors: {} },
      { name: '', factors: {} }
    ]
    expect(plan.alike).toBe(true)
  })
})

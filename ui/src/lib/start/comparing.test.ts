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

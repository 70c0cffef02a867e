import { describe, expect, it } from 'vitest'
import { weighed } from './weighed'

const STEP = 0.02
const about = (end: number): number[] =>
  Array.from({ length: 2 * Math.round(end / STEP) + 1 }, (_, n) => n * STEP - end)
/** Readings told with a standard deviation of 1 about their middle, whatever the spread; nothing believed before. */
const away = about(8)
const FLAT = { away, log: away.map((it) => [0, 0, 0].map(() => Math.round(-500 * it * it))) }
const row = (at: number) => ({ low: at - 0.5, high: at + 0.5, curve: 0, at, facing: 0, open: false })
const SHEET = {
  table: {
    first: -4,
    step: STEP,
    before: about(4).map(() => 0),
    log_spreads: [-1, 0, 1],
    spreads_before: [-20, 0, -20],
    to_one: 1000,
    rows: [row(-1), row(0), row(1), { low: 1.5, high: null, curve: 0, at: 1.5, facing: 1, open: true }],
    curves: [FLAT],
    shared: [1]
  },
  flags: { rough: 0.5 }
}
const read = (at: number, ...flags: string[]) => ({ low_deg: at - 0.5, high_deg: at + 0.5, flags })
const NINETY = 1.645

describe('putts weighed without a server', () => {
  it('stand where the table puts them, as wide as what is not known', () => {
    const found = weighed(SHEET, [read(1), read(1), read(0), read(0)])
    expect(found?.bubble_at).toBeCloseTo(0.5, 3)
    expect(found?.bubble_low).toBeCloseTo(0.5 - NINETY / 2, 2)
    expect(found?.bubble_high).toBeCloseTo(0.5 + NINETY / 2, 2)
    expect((found?.film_high ?? 0) - (found?.bubble_at ?? 0)).toBeCloseTo(1, 2)
  })

  it('count less where something lowers their weight', () => {
    expect(weighed(SHEET, [read(1), read(-1, 'rough')])?.bubble_at).toBeCloseTo(1 / 3, 3)
  })

  it('are blurred by what all of them share', () => {
    const sd = 0.5
    const weights = about(4 * sd).map((it) => Math.exp(-0.5 * (it / sd) ** 2))
    const whole = weights.reduce((one, other) => one + other, 0)
    const table = { ...SHEET.table, shared: weights.map((it) => it / whole) }
    const found = weighed({ ...SHEET, table }, [read(0)])
    expect(found?.bubble_at).toBeCloseTo(0, 3)
    expect(found?.bubble_high).toBeCloseTo(NINETY * Math.hypot(1, sd), 2)
  })

  it('have no middle where half of them can’t say how far they lie', () => {
    const beyond = { low_deg: 1.5, high_deg: null, flags: [] }
    expect(weighed(SHEET, [read(1), beyond])).toBeNull()
    expect(weighed(SHEET, [read(1), read(0), beyond])).not.toBeNull()
  })

  it('say nothing where one of them is none that the table knows, or nothing reads the start', () => {
    expect(weighed(SHEET, [read(0), { low_deg: 0.1, high_deg: 0.2, flags: [] }])).toBeNull()
    expect(weighed({ table: null, flags: {} }, [read(0)])).toBeNull()
    expect(weighed(SHEET, [])).toBeNull()
  })
})

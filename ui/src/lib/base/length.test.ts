/** Lengths as typed and as shown: what is shown is read back, in either system. */
import { readFileSync } from 'node:fs'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { typedNumber } from './number'
import { inSteps, rulerFor, shown, stepOn, taped, typed, withUnit } from './length'

const [IN, FT] = [0.0254, 0.3048]
const UNITS = {
  ...{ mm: 0.001, cm: 0.01, m: 1, metres: 1, yd: 0.9144 },
  ...{ in: IN, inch: IN, inches: IN, '"': IN, ft: FT, foot: FT, feet: FT, "'": FT }
}

describe('a length', () => {
  it('is shown in eighths of an inch, as a ruler shows it', () => {
    const ruler = rulerFor(0.3, 'feet')
    expect(shown(0.025, ruler)).toBe('1')
    expect(shown(0.0627, ruler)).toBe('2 1/2')
    expect(shown(-0.00635, ruler)).toBe('−1/4')
    expect(shown(0, ruler)).toBe('0')
  })
  it('is shown in feet and inches where it is long', () => {
    const ruler = rulerFor(5, 'feet')
    expect(shown(2.5, ruler)).toBe('8′ 2 1/2″')
    expect(shown(2.4384, ruler)).toBe('8′')
    expect(shown(0.019, ruler)).toBe('3/4″')
    expect(shown(-0.4572, ruler)).toBe('−1′ 6″')
    expect(withUnit(2.5, ruler)).toBe('8 ft 2 1/2 in')
    expect(typed('−1′ 6″', ruler, UNITS)).toBeCloseTo(-0.4572)
    expect(typed('8.5', ruler, UNITS)).toBeCloseTo(2.5908)
  })
  it('is said as from a tape, as sentences say it', () => {
    const said = [0.0627, 0.4, 0.995, 1.5].map((it) => taped(it, 'metric'))
    expect(said).toEqual(['62.7 mm', '40 cm', '99.5 cm', '1.50 m'])
    expect(taped(2.5, 'feet')).toBe('8 ft 2 1/2 in')
  })
  it('is read as it is shown, whatever it is', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('metric' as const, 'feet' as const),
        fc.constantFrom(0.3, 5),
        fc.double({ min: -6, max: 30, noNaN: true }),
        (units, high, metres) => {
          const ruler = rulerFor(high, units)
          const text = shown(metres, ruler)
          expect(shown(typed(text, ruler, UNITS), ruler)).toBe(text)
          expect(shown(typed(withUnit(metres, ruler), rulerFor(5, 'metric'), UNITS), ruler)).toBe(text)
        }
      )
    )
  })
  it('is the same length however people write it', () => {
    const marks = [
      ["'", '"'],
      ['′', '″'],
      ['’', '”'],
      ['´', "''"],
      [' ft', ' in'],
      ['ft ', 'in'],
      [' feet, ', ' inches'],
      [' foot and ', ' "'],
      ["'", ''],
      [' ft ', '']
    ] as const
    const parts = [
      ['', 0],
      [' 1/2', 0.5],
      ['½', 0.5],
      [' ¾', 0.75],
      ['-1/8', 0.125],
      ['.25', 0.25],
      [',5', 0.5]
    ] as const
    fc.assert(
      fc.property(
        fc.nat(40),
        fc.nat(11),
        fc.constantFrom(...parts),
        fc.constantFrom(...marks),
        fc.constantFrom('metric' as const, 'feet' as const),
        (feet, inches, [part, size], [foot, inch], units) => {
          const ruler = rulerFor(5, units)
          const metres = feet * 0.3048 + (inches + size) * 0.0254
          expect(typed(`${feet}${foot}${inches}${part}${inch}`, ruler, UNITS)).toBeCloseTo(metres, 9)
          if (inch) expect(typed(`${inches}${part}${inch} ${feet}${foot.trim()}`, ruler, UNITS)).toBeCloseTo(metres, 9)
        }
      )
    )
  })
  it('comes back as it was typed, in whatever form', () => {
    const metric = fc.oneof(
      fc.integer({ min: 10, max: 999 }).map((n) => [`${n / 10} mm`, n * 1e-4] as const),
      fc.integer({ min: 100, max: 999 }).map((n) => [`${n / 10} cm`, n * 1e-3] as const),
      fc.integer({ min: 100, max: 30_000 }).map((n) => [`${n / 1000}`, n * 1e-3] as const),
      fc.tuple(fc.nat(20), fc.integer({ min: 10, max: 99 })).map(([m, cm]) => [`${m} m ${cm}`, m + cm / 100] as const)
    )
    const parts = fc.constantFrom(['', 0], ['½', 1 / 2], [' 1/4', 1 / 4], ['⅜', 3 / 8], [' 5/16', 5 / 16], ['.4', 0.4])
    const feet = fc.oneof(
      fc.integer({ min: 100, max: 4000 }).map((n) => [`${n / 100} ft`, (n / 100) * FT] as const),
      fc.integer({ min: 1, max: 40 }).map((n) => [`${n}`, n * FT] as const),
      fc
        .tuple(fc.integer({ min: 1, max: 30 }), fc.integer({ min: 1, max: 11 }), parts)
        .map(([ft, n, [part, size]]) => [`${ft}′ ${n}${part}″`, ft * FT + (n + Number(size)) * IN] as const),
      fc
        .tuple(fc.integer({ min: 1, max: 200 }), parts)
        .map(([n, [part, size]]) => [`${n}${part} in`, (n + Number(size)) * IN] as const)
    )
    let apart = 0
    for (const [units, some] of [
      ['metric', metric],
      ['feet', feet]
    ] as const)
      fc.assert(
        fc.property(some, ([text, metres]) => {
          const read = typed(text, rulerFor(15, units), UNITS)
          expect(read).toBeCloseTo(metres, 9)
          for (const it of [taped(read, units), withUnit(read, rulerFor(15, units))])
            if (Math.abs(typed(it, rulerFor(15, 'metric'), UNITS) - metres) > 1e-9) apart += 1
        }),
        { numRuns: 10_000 }
      )
    expect(apart).toBe(0)
  }, 120_000)
  it('is said as the sentences of the server say it', () => {
    const said = JSON.parse(readFileSync('../tests/core/measure/lengths.json', 'utf8')) as [number, string, string][]
    for (const [metres, metric, feet] of said)
      expect([taped(metres, 'metric'), taped(metres, 'feet')], String(metres)).toEqual([metric, feet])
  })
  it('is paced off by a step that is known', () => {
    const ruler = rulerFor(5, 'feet')
    for (const [text, count] of [
      ['6 steps', 6],
      ['5½ steps', 5.5],
      ['5 and a half paces', 5.5],
      ['1 step', 1]
    ] as const) {
      expect(typed(text, ruler, UNITS, 0.8)).toBeCloseTo(count * 0.8)
      expect(typed(text, ruler, UNITS)).toBeNaN()
      expect(inSteps(text)).toBe(true)
    }
    expect(inSteps('6 ft')).toBe(false)
  })
  it('may be typed with units of its own', () => {
    const ruler = rulerFor(5, 'metric')
    expect(typed('8 ft 2 1/2 in', ruler, UNITS)).toBeCloseTo(2.5019)
    expect(typed('50 cm', ruler, UNITS)).toBe(0.5)
    expect(typed('3/4 in', ruler, UNITS)).toBeCloseTo(0.01905)
    expect(typed('2,5', ruler, UNITS)).toBe(2.5)
    expect(typed('2 metres', ruler, UNITS)).toBe(2)
    expect(typed('8’2”', ruler, UNITS)).toBeCloseTo(2.4892)
    expect(typed('3yd', ruler, UNITS)).toBeCloseTo(2.7432)
    expect(typed('2 m 30', ruler, UNITS)).toBeCloseTo(2.3)
    expect(typed('2 6', rulerFor(5, 'feet'), UNITS)).toBeCloseTo(0.762)
  })
  it('is stepped by whole parts of its ruler', () => {
    const inches = rulerFor(0.2, 'feet')
    expect(shown(0.0603 + stepOn(inches, 0.001), inches)).toBe('2 1/2')
    expect(stepOn(rulerFor(5, 'feet'), 0.1)).toBeCloseTo(0.1524)
    expect(stepOn(rulerFor(5, 'metric'), 0.1)).toBe(0.1)
  })
  it('that is none is not guessed at', () => {
    for (const text of [
      '',
      'far',
      '2 m or so',
      '1.2.3',
      '2 miles',
      '2 m 3',
      'm',
      '2 6',
      '2 m 3 m',
      '8 ft 14',
      '6 steps',
      '−',
      '1/0'
    ])
      expect(typed(text, rulerFor(5, 'metric'), UNITS)).toBeNaN()
  })
})

describe('a number', () => {
  it('is read with its sign, its fraction and the unit behind it', () => {
    for (const [text, value] of [
      ['−1,5°', -1.5],
      ['2 deg', 2],
      ['2½ degrees', 2.5],
      ['+0.3', 0.3],
      ['4 %', 4],
      ['4 percent', 4],
      ['3 ×', 3],
      ['9.5 ft', 9.5]
    ] as const)
      expect(typedNumber(text)).toBe(value)
    fc.assert(
      fc.property(fc.integer({ min: -9999, max: 9999 }), (n) => {
        expect(typedNumber(String(n / 100))).toBe(n / 100)
      })
    )
  })
  it('is not made of nothing', () => {
    for (const text of ['', ' ', '-', '°', 'two', '1 2', '1.2.3']) expect(typedNumber(text)).toBeNaN()
  })
})

/** Lengths as typed and as shown: what is shown is read back, in either system. */
import { describe, expect, it } from 'vitest'
import { rulerFor, shown, stepOn, typed, withUnit } from './length'

const UNITS = { mm: 0.001, cm: 0.01, m: 1, metres: 1, in: 0.0254, '"': 0.0254, ft: 0.3048, "'": 0.3048, yd: 0.9144 }

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
    expect(shown(2.5, ruler)).toBe('8′ 2 3/8″')
    expect(shown(2.4384, ruler)).toBe('8′')
    expect(shown(0.019, ruler)).toBe('3/4″')
    expect(shown(-0.4572, ruler)).toBe('−1′ 6″')
    expect(withUnit(2.5, ruler)).toBe('8 ft 2 3/8 in')
    expect(typed('−1′ 6″', ruler, UNITS)).toBeCloseTo(-0.4572)
    expect(typed('8.5', ruler, UNITS)).toBeCloseTo(2.5908)
  })
  it('is read as it is shown', () => {
    for (const units of ['metric', 'feet'] as const)
      for (const high of [0.3, 5])
        for (const metres of [-0.2, 0, 0.003175, 0.0254, 0.1, 0.2667]) {
          const ruler = rulerFor(high, units)
          const text = shown(metres, ruler)
          expect(shown(typed(text, ruler, UNITS), ruler)).toBe(text)
        }
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
  })
  it('is stepped by whole parts of its ruler', () => {
    const inches = rulerFor(0.2, 'feet')
    expect(shown(0.0603 + stepOn(inches, 0.001), inches)).toBe('2 1/2')
    expect(stepOn(rulerFor(5, 'feet'), 0.1)).toBeCloseTo(0.1524)
    expect(stepOn(rulerFor(5, 'metric'), 0.1)).toBe(0.1)
  })
  it('that is none is not guessed at', () => {
    for (const text of ['', 'far', '2 m or so', '1.2.3', '2 miles', '2 m 3', 'm'])
      expect(typed(text, rulerFor(5, 'metric'), UNITS)).toBeNaN()
  })
})

/** A quick check, as it is made tap by tap. */
import { describe, expect, it } from 'vitest'
import { QuickCheck } from './quick.svelte'

const at = (inside_m: number) => ({ inside_m, behind_m: 0 })

describe('a quick check', () => {
  const begun = () => {
    const check = new QuickCheck()
    check.begin('id', 'then', check.sizes)
    return check
  }

  it('goes through its steps, each once the last is done', () => {
    const check = new QuickCheck()
    expect(check.step).toBe('none')
    check.begin('id', 'then', check.sizes)
    expect([check.step, check.wanted]).toEqual(['eyes', 'Lead eye'])
    expect(check.mark(at(0))).toBe(false)
    expect(check.wanted).toBe('Trail eye')
    expect(check.mark(at(0))).toBe(true)
    expect(check.step).toBe('square')
    check.squared = true
    for (const look of ['left', 'straight', 'right', 'left'] as const) check.answer(look)
    expect(check.step).toBe('directions')
    check.answer('right')
    expect(check.step).toBe('done')
  })

  it('takes back one step at a time', () => {
    const check = begun()
    check.mark(at(0))
    check.mark(at(0))
    check.squared = true
    check.answer('left')
    check.undo()
    expect(check.step).toBe('directions')
    check.undo()
    expect(check.step).toBe('square')
    check.undo()
    expect([check.step, check.wanted]).toEqual(['eyes', 'Lead eye'])
  })

  it('tells of the eyes only when both are marked, and of the square only when it was checked', () => {
    const check = begun()
    check.mark(at(0.01))
    check.gap_m = 0.002
    expect(check.told('l', 'c')).toMatchObject({
      lead: null,
      trail: null,
      square_m: null,
      answers: [],
      taken_at: 'then'
    })
    check.mark(at(0.02))
    check.squared = true
    expect(check.told('l', 'c')).toMatchObject({ lead: at(0.01), trail: at(0.02), square_m: 0.002 })
  })
})

/** A look at the eyes, as it is made tap by tap. */
import { describe, expect, it } from 'vitest'
import { EyesLook, rereadable } from './eyes.svelte'
import type { Shapes } from '$lib/data/client'

const at = (inside_m: number) => ({ inside_m, behind_m: 0 })
const take = (id: string, more: Partial<Shapes['EyeTakeOut']> = {}) =>
  ({ id, voided: false, set_up: '', inside_m: 0, reread_of: null, ...more }) as Shapes['EyeTakeOut']

describe('a look at the eyes', () => {
  it('wants the lead eye, then the trail eye, and then marks the trail eye again', () => {
    const look = new EyesLook()
    expect(look.wanted).toBe('Lead eye')
    look.mark(at(0.01))
    expect(look.wanted).toBe('Trail eye')
    look.mark(at(0.02))
    look.mark(at(0.03))
    expect(look.wanted).toBeNull()
    expect(look.told('l', [], 'now')).toMatchObject({ lead: at(0.01), trail: at(0.03), reread_of: null, way: 'mirror' })
  })

  it('tells nothing before both eyes are marked, nor where only a side is told', () => {
    const look = new EyesLook()
    look.mark(at(0))
    expect(look.told('l', [], 'now')).toBeNull()
    look.mark(at(0))
    look.way = 'string'
    expect(look.told('l', [], 'now')).toBeNull()
  })

  it('is read with the sizes as laid, also where they are laid otherwise since', () => {
    const sizes = {
      falls_in_percent: 0,
      falls_back_percent: 0,
      level_doubt_percent: 0.1,
      eye_height_m: 1.5,
      seen_m: 0.005,
      string_height_m: 0.2,
      lean_deg: 0,
      strip: null,
      turns_m: 0.015
    }
    const look = new EyesLook()
    look.begin({ sizes, set_up: '' })
    look.set_up = 'taller'
    look.string.string_height_m = 0.25
    look.begin({ sizes, set_up: '' })
    expect([look.set_up, look.string.string_height_m]).toEqual(['taller', 0.25])
    look.begin({ sizes: { ...sizes, lean_deg: 1.4 }, set_up: '' })
    expect([look.set_up, look.string]).toEqual(['taller', { string_height_m: 0.2, lean_deg: 1.4 }])
  })

  it('reads a strip as the plan laid it, and as last time without one', () => {
    const sizes = {
      falls_in_percent: 0,
      falls_back_percent: 0,
      level_doubt_percent: 0.1,
      eye_height_m: 1.5,
      seen_m: 0.005,
      string_height_m: 0.2,
      lean_deg: 0
    }
    const look = new EyesLook()
    look.begin({ sizes: { ...sizes, strip: 'slot', turns_m: 0.021 }, set_up: '' })
    expect(look.strip).toEqual({ device: 'slot', turns_m: 0.021 })
    look.begin({ sizes: { ...sizes, strip: null, turns_m: 0.015 }, set_up: '' })
    expect(look.strip).toEqual({ device: 'slot', turns_m: 0.015 })
  })

  it('reads again the newest look that stands, is a place, and is no second reading itself', () => {
    const takes = [take('1'), take('2', { voided: true }), take('3', { inside_m: null }), take('4', { reread_of: '1' })]
    expect(rereadable(takes)?.id).toBe('1')
    const look = new EyesLook()
    look.set_up = ''
    look.rereading = true
    look.mark(at(0))
    look.mark(at(0))
    expect(look.told('l', takes, 'now')?.reread_of).toBe('1')
    look.set_up = 'taller'
    expect(look.told('l', takes, 'now')?.reread_of, 'another set-up is another place').toBeNull()
  })
})

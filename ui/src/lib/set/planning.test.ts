/** A plan while it is edited: which plan of the lesson it is, and when it becomes a new one. */
import { beforeEach, describe, expect, it } from 'vitest'
import type { Shapes } from '$lib/data/client'
import { FIRST, type Plan } from './plan'
import { Planning } from './planning.svelte'

const station = (id: string, more: Partial<Shapes['StationOut']> = {}) =>
  ({ ...FIRST, id, used: false, current: true, replaces_id: null, ...more }) as unknown as Shapes['StationOut']
const planned = (planning: Planning, more: Partial<Plan> = {}): Plan => ({ ...(planning.plan as Plan), ...more })

let planning: Planning
beforeEach(() => (planning = new Planning()))

describe('the plan of a lesson', () => {
  it('is none until something was planned', () => {
    planning.begin(undefined, 9)
    expect(planning.touched(planned(planning))).toBe(false)
    // A size of the rig alone is a plan, too.
    expect(planning.touched(planned(planning, { rig_sizes_m: { distance_m: 0.5 } }))).toBe(true)
    expect(planning.touched(planned(planning, { distance_m: 2.4 }))).toBe(true)
    expect(planning.toKeep(planned(planning, { distance_m: 2.4 }), [])).toMatchObject({
      replaces_id: null,
      plan: { distance_m: 2.4, green_speed_ft: 9 }
    })
  })

  it('is kept under one name as it is edited, and not again where it is the same', () => {
    planning.begin(station('p'), 10)
    expect(planning.toKeep(planned(planning), [station('p')])).toBeNull()
    expect(planning.toKeep(planned(planning, { distance_m: 3 }), [station('p')])).toMatchObject({
      id: 'p',
      replaces_id: null,
      plan: { distance_m: 3 }
    })
  })

  it('is a new one in its place once something was read on it', () => {
    planning.begin(station('p'), 10)
    const told = planning.toKeep(planned(planning, { distance_m: 3 }), [station('p', { used: true })])
    expect(told).toMatchObject({ replaces_id: 'p', plan: { distance_m: 3 } })
    expect(told?.id).not.toBe('p')
    planning.kept = told
    // From then on that one is edited, though the server has not told of it yet.
    expect(planning.toKeep(planned(planning, { distance_m: 4 }), [station('p', { used: true })])).toMatchObject({
      id: told?.id,
      replaces_id: 'p'
    })
  })

  it('tells what it was when its editing began, and what it was told since without an answer', () => {
    planning.begin(station('p'), 10)
    const lengths = (it: { seen: Plan[] } | null | undefined) => it?.seen.map((one) => one.distance_m)
    const tell = (distance_m: number) => {
      const it = planning.toKeep(planned(planning, { distance_m }), [station('p')])
      if (it) planning.told(it)
      return it
    }
    const first = tell(3)
    expect(lengths(first)).toEqual([2.5])
    expect(lengths(tell(4))).toEqual([2.5, 3])
    if (first) planning.answered(first)
    expect(lengths(tell(5))).toEqual([3, 4])
    // However many go without an answer, where it began is not forgotten.
    for (let n = 0; n < 30; n += 1) tell(6 + n)
    const seen = lengths(tell(50)) ?? []
    expect([seen[0], seen.at(-1), seen.length]).toEqual([3, 35, 12])
  })

  it('is not another one because a page does not know the sizes that came by themselves', () => {
    planning.begin(station('p', { rig_sizes_m: { distance_m: 1 }, used: true }), 10)
    const plain = planned(planning, { rig_sizes_m: {} })
    expect(planning.touched(plain)).toBe(false)
    expect(planning.toKeep(plain, [station('p', { used: true })])).toBeNull()
    expect(planning.touched(planned(planning, { rig_sizes_m: { distance_m: 1.5 } }))).toBe(true)
  })

  it('is not another one because it was left before the sizes that come by themselves were known', () => {
    const told = { ...FIRST, rig_sizes_m: { distance_m: 1 } }
    planning.goOn({ id: 'p', replaces_id: null, plan: told, seen: [told] })
    const whole = { distance_m: 1, mark_m: 0.005 }
    const stands = station('p', { rig_sizes_m: whole, used: true })
    expect(planning.toKeep(planned(planning, { rig_sizes_m: whole }), [stands])).toBeNull()
    // A size that is set by hand is a change, whether it came by itself before or not.
    const finer = { ...whole, mark_m: 0.002 }
    expect(planning.toKeep(planned(planning, { rig_sizes_m: finer }), [stands])).toMatchObject({ replaces_id: 'p' })
  })

  it('leans the posts of the string that is laid, and nothing else', () => {
    planning.begin(
      station('p', {
        aids: [
          { kind: 't_mark', sizes: {} },
          { kind: 'elevated_string', sizes: { string_height_m: 0.2 } }
        ]
      }),
      10
    )
    planning.lean(1.5)
    expect(planning.plan?.aids).toEqual([
      { kind: 't_mark', sizes: {} },
      { kind: 'elevated_string', sizes: { string_height_m: 0.2, lean_deg: 1.5 } }
    ])
  })
})

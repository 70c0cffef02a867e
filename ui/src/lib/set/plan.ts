/** A station as it is being planned, in the words of the API. */
import { FOOT_M, INCH_M } from '$lib/base/length'
import type { Units } from '$lib/base/settings.svelte'
import type { Shapes } from '$lib/data/client'

export type Plan = Omit<Shapes['SavedOut'], 'id' | 'name' | 'words' | 'proof' | 'stage'>

/** A first putt that suits most floors. */
export const FIRST: Plan = {
  distance_m: 2.5,
  past_m: 0.35,
  green_speed_ft: 10,
  capture: 'rim_assisted',
  rig_kind: 'board',
  rig_sizes_m: {},
  falls_forward_percent: 0,
  falls_right_percent: 0,
  falls_doubt_percent: 0,
  read: null,
  target: 'computed',
  across_m: 0,
  backstroke_m: null,
  aids: [],
  golfer_says: { read: null, falls_forward_percent: null, falls_right_percent: null }
}

/** A first putt as people say it in these units: 2.5 m and 35 cm past, or 8 ft and 14 in. */
export const firstIn = (units: Units): Plan =>
  units === 'metric' ? FIRST : { ...FIRST, distance_m: 8 * FOOT_M, past_m: 14 * INCH_M }

/** Only what a plan is, of a row that holds more. */
export function planOf(row: Plan): Plan {
  return Object.fromEntries(Object.keys(FIRST).map((name) => [name, row[name as keyof Plan]])) as unknown as Plan
}

/** The part of a plan that is the putt alone. */
export function puttOf(plan: Plan): Shapes['PuttIn'] {
  const {
    distance_m,
    past_m,
    green_speed_ft,
    capture,
    falls_forward_percent,
    falls_right_percent,
    falls_doubt_percent,
    read,
    target
  } = plan
  return {
    distance_m,
    past_m,
    green_speed_ft,
    capture,
    falls_forward_percent,
    falls_right_percent,
    falls_doubt_percent,
    read,
    target
  }
}

/** A plan with the sizes nobody set taken from another of it, where the same things are laid. */
export function filledFrom(plan: Plan, whole: Plan): Plan {
  const aids = plan.aids.map((it, n) =>
    whole.aids[n]?.kind === it.kind ? { ...it, sizes: { ...whole.aids[n]?.sizes, ...it.sizes } } : it
  )
  const rig_sizes_m =
    plan.rig_kind === whole.rig_kind ? { ...whole.rig_sizes_m, ...plan.rig_sizes_m } : plan.rig_sizes_m
  return { ...plan, rig_sizes_m, aids }
}

/** True where two plans lay the same thing; the order of their entries is of no account. */
export function same(one: Plan, other: Plan): boolean {
  const sorted = (_: string, value: unknown) =>
    value && typeof value === 'object' && !Array.isArray(value)
      ? Object.fromEntries(Object.entries(value).sort())
      : value
  return JSON.stringify(planOf(one), sorted) === JSON.stringify(planOf(other), sorted)
}

/** Places of the eyes, in words. */
import type { Shapes } from '$lib/data/client'
import { rulerFor, withUnit } from '$lib/base/length'
import { settings } from '$lib/base/settings.svelte'

export interface Place {
  inside_m: number
  behind_m: number
}

/** "12 mm outside, 30 mm behind", in the coach's units. */
export function placeWords(at: Place): string {
  const size = (m: number) => withUnit(m < 0 ? -m : m, rulerFor(0.3, settings.units))
  return `${size(at.inside_m)} ${at.inside_m < 0 ? 'outside' : 'inside'}, ${size(at.behind_m)} ${at.behind_m < 0 ? 'ahead' : 'behind'}`
}

/** A look at the eyes: a place, or the interval a look that tells the side leaves. */
export function lookWords(
  it: Pick<Shapes['EyeTakeOut'], 'inside_m' | 'behind_m' | 'low_mm' | 'high_mm' | 'way'>
): string {
  if (it.inside_m !== null && it.behind_m !== null) return placeWords({ inside_m: it.inside_m, behind_m: it.behind_m })
  const ruler = rulerFor(0.3, settings.units)
  const edge = (mm: number) => `${withUnit(Math.abs(mm) / 1000, ruler)} ${mm < 0 ? 'outside' : 'inside'}`
  if (it.low_mm === null) return `${it.way}: beyond ${edge(it.high_mm ?? 0)}`
  if (it.high_mm === null) return `${it.way}: beyond ${edge(it.low_mm)}`
  return `${it.way}: ${edge(it.low_mm)} to ${edge(it.high_mm)}`
}

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

type Look = Pick<Shapes['EyeTakeOut'], 'inside_m' | 'behind_m' | 'along' | 'low_mm' | 'high_mm' | 'way'>

/** A look at the eyes: a place, or what a look leaves that tells less. */
export function lookWords(it: Look): string {
  if (it.inside_m !== null && it.behind_m !== null) return placeWords({ inside_m: it.inside_m, behind_m: it.behind_m })
  const ruler = rulerFor(0.3, settings.units)
  const [more, less] = it.along === 'inside' ? ['inside', 'outside'] : ['behind', 'ahead']
  const edge = (mm: number) => `${withUnit(Math.abs(mm) / 1000, ruler)} ${mm < 0 ? less : more}`
  const { low_mm: low, high_mm: high, way } = it
  if (way === 'mirror' || way === 'plumb') {
    if (low === null || high === null) return `${low === null ? less : more}, how far not read`
    if (low < 0 && high > 0) return it.along === 'inside' ? 'over the line' : 'level with the ball'
    return edge((low + high) / 2)
  }
  if (low === null || high === null) return `${way}: beyond ${edge(low ?? high ?? 0)}`
  return `${way}: ${edge(low)} to ${edge(high)}`
}

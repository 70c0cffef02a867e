/** A place in the mirror, in words. */
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

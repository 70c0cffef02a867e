/** Where a check is done. */
import type { Shapes } from '$lib/data/client'

/** Its step, with what is noted of every putt for it; putts go where a block stands, and are planned where none does. */
export function wayTo(lesson: string, check: Shapes['CheckOut'], putted: boolean): string {
  const step = check.step === 'start' && !putted ? 'set' : check.step
  return `/lessons/${lesson}/${step}${check.notes.length ? `?note=${check.notes.join(',')}` : ''}`
}

/** What a golfer came with, while it is told. */
import type { Shapes } from '$lib/data/client'

export type Complaint = Required<Shapes['ComplaintIn']>

export const NOTHING_SAID = (): Complaint => ({
  misses: [],
  about: [],
  from_m: null,
  to_m: null,
  felt: null,
  trust: null,
  wants: null,
  said: ''
})

export const isSaid = (it: Complaint): boolean => JSON.stringify(it) !== JSON.stringify(NOTHING_SAID())

type Miss = Complaint['misses'][number]
/** Both sides stand for left and right: what was tapped last holds. */
export function missesTapped(before: readonly Miss[], now: Miss[]): Miss[] {
  const added = now.find((it) => !before.includes(it))
  if (added === 'both') return now.filter((it) => it !== 'left' && it !== 'right')
  if (added === 'left' || added === 'right')
    return now.includes('left') && now.includes('right')
      ? [...now.filter((it) => it !== 'left' && it !== 'right' && it !== 'both'), 'both']
      : now.filter((it) => it !== 'both')
  return now
}

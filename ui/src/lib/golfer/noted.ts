/** What is noted of a golfer, as it is edited and kept whole. */
import type { Shapes } from '$lib/data/client'

export type Noted = Required<Shapes['GolferNoted']>

export const NOBODY = (): Noted => ({
  name: '',
  hand: 'right',
  level: 'club',
  notes: '',
  usual_lengths: null,
  step_m: null,
  usual_misses: [],
  glasses: '',
  limits: [],
  wording: ''
})

export const notedOf = (it: Shapes['GolferOut']): Noted => ({
  name: it.name,
  hand: it.hand,
  level: it.level,
  notes: it.notes,
  usual_lengths: it.usual_noted ? it.usual_lengths : null,
  step_m: it.step_m,
  usual_misses: it.usual_misses,
  glasses: it.glasses,
  limits: it.limits,
  wording: it.wording
})

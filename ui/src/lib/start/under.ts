/** Under what something is putted: what the coach calls it, and in which factors it is not as usual. The name decides nothing. */
import type { Shapes } from '$lib/data/client'
import { named } from '$lib/data/vocabulary.svelte'

export interface Under {
  name: string
  factors: Record<string, string>
}

export const USUAL: Under = { name: '', factors: {} }
const OFTEN: Under[] = [
  { name: 'wide base', factors: { set_up: 'wide base' } },
  { name: 'no line on the ball', factors: { cue: 'blank' } },
  { name: 'near spot', factors: { cue: 'near_spot' } }
]
const MOST = 6
const LONGEST = 80

const otherwise = (factors: Under['factors'], name = ''): Under[] =>
  Object.keys(factors).length ? [{ name: name || Object.values(factors).join(', '), factors }] : []
const stood = (setUps: readonly string[]): Under[] =>
  setUps.filter(Boolean).map((name) => ({ name, factors: { set_up: name } }))
/** As usual and these, each name once. */
function offered(some: Under[]): Under[] {
  const found = new Map<string, Under>()
  for (const it of [USUAL, ...some]) if (!found.has(it.name)) found.set(it.name, it)
  return [...found.values()].slice(0, MOST)
}

/** Set-ups by name: those of this lesson, then those of the golfer's cards. */
export const setUpsOf = (sheet: Pick<Shapes['LessonSheetOut'], 'set_ups' | 'set_ups_kept'> | undefined): string[] =>
  sheet ? [...sheet.set_ups, ...sheet.set_ups_kept] : []

/** The same with other factors: it is called by what it was, and by what was added. */
export function withFactors(it: Under, factors: Under['factors']): Under {
  const added = Object.entries(factors).filter(([name, level]) => it.factors[name] !== level)
  const kept = it.name && Object.entries(it.factors).every(([name, level]) => factors[name] === level) ? [it.name] : []
  const words = added.map(([name, level]) => named(name, level))
  const name =
    [...kept, ...words].join(', ') ||
    Object.entries(factors)
      .map(([one, level]) => named(one, level))
      .join(', ')
  return { name: name.slice(0, LONGEST), factors }
}

const cued = (cues: readonly string[]): Under[] => cues.map((it) => ({ name: named('cue', it), factors: { cue: it } }))

/**
 * What is offered: as usual first, then what was putted in this lesson, then cues of its set-downs and set-ups named in
 * other steps, then the common ones.
 */
export const offeredUnder = (sheet: Shapes['LessonSheetOut']): Under[] =>
  offered([
    ...sheet.blocks.flatMap((it) => otherwise(it.factors, it.condition)),
    ...cued(sheet.cues),
    ...stood(setUpsOf(sheet)),
    ...OFTEN
  ])

/** What is not asked of a set-down: its cue has a picture of its own, and it is no putt. */
export const NOT_HERE = ['cue', 'hole_side']

/** How set-downs can be made: as usual, as this lesson named it so far, as is common. */
export const waysToStand = (setUps: readonly string[], before: { factors: Under['factors'] }[]): Under[] =>
  offered([...stood([...setUps, 'wide base']), ...before.flatMap((it) => otherwise(it.factors))])

/** The same as a series of set-downs tells it: its set-up by name, all else as factors. */
export function setDown(it: Under): { set_up: string; factors: Record<string, string> } {
  const { set_up = '', ...factors } = it.factors
  return { set_up, factors }
}

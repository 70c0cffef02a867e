/** Under what something is putted: what the coach calls it, and in which factors it is not as usual. The name decides nothing. */
import type { Shapes } from '$lib/data/client'

export interface Under {
  name: string
  factors: Record<string, string>
}

export const USUAL: Under = { name: '', factors: {} }
const OFTEN: Under[] = [
  { name: 'wide base', factors: { set_up: 'wide base' } },
  { name: 'no line on the ball', factors: { cue: 'blank' } },
]
const MOST = 6

/** What is offered: as usual first, then what was putted in this lesson, then set-ups named in other steps, then the common ones. */
export function offeredUnder(blocks: Pick<Shapes['BlockOut'], 'condition' | 'factors'>[], setUps: readonly string[]): Under[] {
  const used = blocks.filter((it) => Object.keys(it.factors).length).map((it) => ({ name: it.condition || Object.values(it.factors).join(', '), factors: it.factors }))
  const stood = setUps.filter(Boolean).map((name) => ({ name, factors: { set_up: name } }))
  const found = new Map<string, Under>()
  for (const it of [USUAL, ...used, ...stood, ...OFTEN]) if (!found.has(it.name)) found.set(it.name, it)
  return [...found.values()].slice(0, MOST)
}

/** What is not asked of a set-down: its cue has a picture of its own, and it is no putt. */
export const NOT_HERE = ['cue', 'hole_side']

/** How set-downs can be made: as usual, as this lesson named it so far, as is common. */
export function waysToStand(setUps: readonly string[], before: { set_up: string; factors: Record<string, string> }[]): Under[] {
  const used = before.filter((it) => Object.keys(it.factors).length).map((it) => ({ name: Object.values(it.factors).join(', '), factors: it.factors }))
  const stood = [...setUps.filter(Boolean), 'wide base'].map((name) => ({ name, factors: { set_up: name } }))
  const found = new Map<string, Under>()
  for (const it of [USUAL, ...stood, ...used]) if (!found.has(it.name)) found.set(it.name, it)
  return [...found.values()].slice(0, MOST)
}

/** The same as a series of set-downs tells it: its set-up by name, all else as factors. */
export function setDown(it: Under): { set_up: string; factors: Record<string, string> } {
  const { set_up = '', ...factors } = it.factors
  return { set_up, factors }
}

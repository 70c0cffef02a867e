/** Lengths as a coach types and reads them. Inside, everything is metres. */
import { FIGURE, plain } from './number'
import type { Units } from './settings.svelte'

/** `decimals` are those of what was computed; what was typed is shown to `finest`, where that tells it whole. */
export interface Ruler {
  unit: string
  metres: number
  decimals: number
  finest: number
}

const MM: Ruler = { unit: 'mm', metres: 0.001, decimals: 1, finest: 1 }
const CM: Ruler = { unit: 'cm', metres: 0.01, decimals: 1, finest: 2 }
const M: Ruler = { unit: 'm', metres: 1, decimals: 2, finest: 4 }
export const INCH_M = 0.0254
export const FOOT_M = 0.3048
const IN: Ruler = { unit: 'in', metres: INCH_M, decimals: 2, finest: 2 }
const FT: Ruler = { unit: 'ft', metres: FOOT_M, decimals: 2, finest: 2 }
/** How far the double of what was typed may be off its figure, metres. */
const DOUBT_M = 1e-8

/** Entries up to so many metres are read in the small unit. */
export const SMALL = 0.6

/** The unit in which an entry that may be as long as `high` metres is shown. */
export function rulerFor(high: number, units: Units): Ruler {
  if (units === 'metric') return high <= SMALL ? MM : M
  return high <= SMALL ? IN : FT
}

/** One step of a length, metres, as a whole part of the ruler's own unit: figures stay round, inches stay in eighths. */
export function stepOn(ruler: Ruler, metres: number): number {
  const part = ruler === FT ? 0.1524 : ruler === IN ? 0.003175 : 0
  if (!part) return metres
  return Math.max(ruler === FT ? part / 2 : part, Math.round(metres / part) * part)
}

/**
 * A length as it stands in an entry: in the ruler's unit, inches in parts, feet folded into feet and inches (8′ 2 1/2″).
 * What is round in the ruler's system is shown as it was typed.
 */
export function shown(metres: number, ruler: Ruler): string {
  if (ruler === IN) return inches(metres)
  if (ruler === FT) return folded(metres, '′', '″')
  return String(Number((metres / ruler.metres).toFixed(decimalsOf(metres, ruler) ?? ruler.decimals)))
}

/** The same with its unit, to be read. */
export function withUnit(metres: number, ruler: Ruler): string {
  return ruler === FT ? folded(metres, ' ft', ' in') : `${shown(metres, ruler)} ${ruler.unit}`
}

/** A length as read from a tape, as sentences say it: mm under 10 cm, cm under 1 m, else m; feet and inches. */
export function taped(metres: number, units: Units): string {
  if (units !== 'metric') return withUnit(metres, FT)
  if (Math.abs(metres) >= 1) return `${metres.toFixed(decimalsOf(metres, M) === 3 ? 3 : 2)} m`
  return withUnit(metres, Math.abs(metres) < 0.1 ? MM : { ...CM, finest: 1 })
}

/** The unit beside an entry; none where what stands in it has its own. */
export const unitBeside = (ruler: Ruler): string => (ruler === FT ? '' : ruler.unit)

/** How many decimals of a ruler's unit tell it whole; none where its finest don't. */
function decimalsOf(metres: number, ruler: Ruler): number | undefined {
  for (let it = 0; it <= ruler.finest; it++) if (isWhole(metres, ruler.metres / 10 ** it)) return it
  return undefined
}

const isWhole = (metres: number, one: number): boolean => Math.abs(metres - Math.round(metres / one) * one) < DOUBT_M

/** The parts of an inch that tell it whole: eighths, else sixteenths, else 32nds. */
const partsOf = (metres: number): number | undefined => [8, 16, 32].find((it) => isWhole(metres, IN.metres / it))

/** Feet and inches: as it was typed where it is round, else to the half inch, under a foot to the eighth. */
function folded(metres: number, foot: string, inch: string): string {
  const [sign, size] = [metres < 0 ? '−' : '', Math.abs(metres)]
  const parts = partsOf(size)
  const decimals = parts || size < FT.metres ? undefined : decimalsOf(size, FT)
  if (decimals !== undefined) return `${sign}${(size / FT.metres).toFixed(decimals)}${foot}`
  const finer = parts ? undefined : decimalsOf(size, IN)
  if (finer !== undefined) {
    const feet = Math.floor(size / FT.metres)
    return `${sign}${feet ? `${feet}${foot} ` : ''}${(size / IN.metres - 12 * feet).toFixed(finer)}${inch}`
  }
  const of = parts ?? (size < FT.metres ? 8 : 2)
  const count = Math.round((size / IN.metres) * of)
  const [feet, rest] = [Math.floor(count / (12 * of)), count % (12 * of)]
  const said = [feet ? `${feet}${foot}` : '', rest || !feet ? `${fraction(rest, of)}${inch}` : '']
  return (count ? sign : '') + said.filter(Boolean).join(' ')
}

/** Inches alone, as a ruler shows them. */
function inches(metres: number): string {
  const [sign, size] = [metres < 0 ? '−' : '', Math.abs(metres)]
  const parts = partsOf(size)
  const decimals = parts ? undefined : decimalsOf(size, IN)
  if (decimals !== undefined) return sign + (size / IN.metres).toFixed(decimals)
  const count = Math.round((size / IN.metres) * (parts ?? 8))
  return (count ? sign : '') + fraction(count, parts ?? 8)
}

/** So many parts of an inch, as a ruler shows them: "2 7/16". */
function fraction(count: number, parts: number): string {
  const [whole, rest] = [Math.floor(count / parts), count % parts]
  const common = [32, 16, 8, 4, 2].find((it) => parts % it === 0 && rest % it === 0) ?? 1
  const part = rest ? `${rest / common}/${parts / common}` : ''
  return [whole || !rest ? String(whole) : '', part].filter(Boolean).join(' ')
}

/** Two figures side by side, without a unit: feet and inches, where feet are typed. */
const FEET_INCHES = /^(\d+) (\d+(?:\.\d+)?)$/

/** Whether something is told in steps. */
export const inSteps = (text: string): boolean => /\d\s*(step|pace)s?\b/.test(plain(text))

/**
 * Metres of what was typed: a bare number in the ruler's unit, or with units of its own in any order ("8 ft 2 in", "8′ 2",
 * "2½″", "50 cm", "2 m 30", "6 steps"); NaN for what can't be read. `units` are all ways to write one, each with its
 * metres; `step` is a step's length, metres, NaN while nobody knows it.
 */
export function typed(text: string, ruler: Ruler, units: Record<string, number>, step = NaN): number {
  const said = plain(text)
  // A sign before feet and inches is that of both.
  if (said.startsWith('-')) return -typed(said.slice(1), ruler, units, step)
  if (FIGURE.test(said)) return Number(said) * ruler.metres
  const pair = ruler === FT ? FEET_INCHES.exec(said) : null
  if (pair) return Number(pair[2]) < 12 ? Number(pair[1]) * FT.metres + Number(pair[2]) * IN.metres : NaN
  const all: Record<string, number> = { ...units, step, steps: step, pace: step, paces: step }
  // Longer words first, or "metres" were read as "m".
  const words = Object.keys(all).sort((a, b) => b.length - a.length)
  const part = new RegExp(`\\s*(\\d*\\.?\\d+)\\s*(${words.join('|')})(?![a-z])\\s*`, 'y')
  let [sum, end, last] = [0, 0, 0]
  const sizes = new Set<number>()
  while (end < said.length) {
    part.lastIndex = end
    const found = part.exec(said)
    const unit = found ? (all[found[2] as string] as number) : under(last, said.slice(end))
    // The same unit twice is a slip, and no sum.
    if (!unit || sizes.has(unit)) return NaN
    sizes.add(unit)
    sum += Number(found ? found[1] : said.slice(end)) * unit
    last = unit
    end = found ? part.lastIndex : said.length
  }
  return end ? sum : NaN
}

/** The unit of a last figure that has none: inches after feet, centimetres after metres where there are two of them. */
function under(last: number, figure: string): number | undefined {
  if (last === FT.metres && FIGURE.test(figure) && Number(figure) < 12) return IN.metres
  return last === M.metres && /^\d\d$/.test(figure) ? CM.metres : undefined
}

/** What would do where something could not be read. */
export function wouldDo(ruler: Ruler): string {
  if (ruler === FT) return 'Write feet and inches (8 ft 2 1/2), or with another unit (2.5 m, 6 steps).'
  if (ruler === IN) return 'Write inches (2 1/2), or with another unit (6 cm, 1 ft 3).'
  if (ruler === MM) return 'Write millimetres (65), or with another unit (6.5 cm, 2 1/2 in).'
  return 'Write metres (2.5), or with another unit (250 cm, 8 ft 2, 6 steps).'
}

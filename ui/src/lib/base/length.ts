/** Lengths as a coach types and reads them. Inside, everything is metres. */
import type { Units } from './settings.svelte'

interface Ruler {
  unit: string
  metres: number
  decimals: number
}

const MM: Ruler = { unit: 'mm', metres: 0.001, decimals: 1 }
const M: Ruler = { unit: 'm', metres: 1, decimals: 2 }
const IN: Ruler = { unit: 'in', metres: 0.0254, decimals: 2 }
const FT: Ruler = { unit: 'ft', metres: 0.3048, decimals: 2 }
const EIGHTH_M = 0.0254 / 8
const FOOT = 96

/** The unit in which an entry that may be as long as `high` metres is shown. */
export function rulerFor(high: number, units: Units): Ruler {
  if (units === 'metric') return high <= 0.6 ? MM : M
  return high <= 0.6 ? IN : FT
}

/** One step of a length, metres, as a whole part of the ruler's own unit: figures stay round, inches stay in eighths. */
export function stepOn(ruler: Ruler, metres: number): number {
  const part = ruler === FT ? 0.1524 : ruler === IN ? 0.003175 : 0
  if (!part) return metres
  return Math.max(ruler === FT ? part / 2 : part, Math.round(metres / part) * part)
}

/** A length as it stands in an entry: in the ruler's unit, inches in eighths, feet folded into feet and inches (8′ 2 1/2″). */
export function shown(metres: number, ruler: Ruler): string {
  if (ruler === IN) return eighths(Math.round(metres / EIGHTH_M))
  if (ruler === FT) return folded(metres, '′', '″')
  return String(Number((metres / ruler.metres).toFixed(ruler.decimals)))
}

/** The same with its unit, to be read. */
export function withUnit(metres: number, ruler: Ruler): string {
  return ruler === FT ? folded(metres, ' ft', ' in') : `${shown(metres, ruler)} ${ruler.unit}`
}

/** The unit beside an entry; none where what stands in it has its own. */
export const unitBeside = (ruler: Ruler): string => (ruler === FT ? '' : ruler.unit)

/** Feet and inches, to the eighth: "8 ft 2 1/2 in", "8 ft", "3/4 in". */
function folded(metres: number, foot: string, inch: string): string {
  const count = Math.round(metres / EIGHTH_M)
  const [feet, rest] = [Math.floor(Math.abs(count) / FOOT), Math.abs(count) % FOOT]
  const parts = [feet ? `${feet}${foot}` : '', rest || !feet ? `${eighths(rest)}${inch}` : '']
  return (count < 0 ? '−' : '') + parts.filter(Boolean).join(' ')
}

function eighths(count: number): string {
  const [whole, rest] = [Math.floor(Math.abs(count) / 8), Math.abs(count) % 8]
  const common = rest % 4 === 0 ? 4 : rest % 2 === 0 ? 2 : 1
  const part = rest ? `${rest / common}/${8 / common}` : ''
  return (count < 0 ? '−' : '') + [whole || !rest ? String(whole) : '', part].filter(Boolean).join(' ')
}

/** "2 3/4" and "3/4" as numbers that can be read on. */
function unfolded(said: string): string {
  return said.replace(/(?:(\d+)\s+)?(\d+)\/(\d+)/g, (_, whole: string | undefined, part: string, of: string) =>
    String(Number(whole ?? 0) + Number(part) / Number(of))
  )
}

/**
 * Metres of what was typed: a bare number in the ruler's unit, or with units of its own ("8 ft 2 in", "50 cm"); `units`
 * are all ways to write one, each with its metres.
 */
export function typed(text: string, ruler: Ruler, units: Record<string, number>): number {
  const plain = text
    .trim()
    .toLowerCase()
    .replaceAll(',', '.')
    .replace(/[′’‘]/g, "'")
    .replace(/[″”“]/g, '"')
    .replace(/^[−–]/, '-')
  // A sign before feet and inches is that of both.
  if (plain.startsWith('-')) return -typed(plain.slice(1), ruler, units)
  const said = unfolded(plain)
  if (/^\d*\.?\d+$/.test(said)) return Number(said) * ruler.metres
  // Longer words first, or "metres" were read as "m".
  const words = Object.keys(units).sort((a, b) => b.length - a.length)
  const part = new RegExp(`\\s*(\\d*\\.?\\d+)\\s*(${words.join('|')})(?![a-z])\\s*`, 'y')
  let [sum, end] = [0, 0]
  while (end < said.length) {
    part.lastIndex = end
    const found = part.exec(said)
    if (!found) return NaN
    sum += Number(found[1]) * (units[found[2] as string] as number)
    end = part.lastIndex
  }
  return end ? sum : NaN
}

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
const TYPED: Record<string, number> = {
  mm: 0.001,
  cm: 0.01,
  m: 1,
  in: 0.0254,
  '"': 0.0254,
  ft: 0.3048,
  "'": 0.3048,
}

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

/** A length in a ruler's unit, without needless zeros; inches in eighths, as a ruler shows them. */
export function shown(metres: number, ruler: Ruler): string {
  if (ruler === IN) return eighths(Math.round((metres / ruler.metres) * 8))
  return String(Number((metres / ruler.metres).toFixed(ruler.decimals)))
}

/** The same with its unit, to be read. */
export function withUnit(metres: number, ruler: Ruler): string {
  return `${shown(metres, ruler)} ${ruler.unit}`
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
    String(Number(whole ?? 0) + Number(part) / Number(of)),
  )
}

/** Metres of what was typed: a bare number in the ruler's unit, or with units of its own ("8 ft 2 in", "50 cm"). */
export function typed(text: string, ruler: Ruler): number {
  const said = unfolded(text.trim().toLowerCase().replaceAll(',', '.').replaceAll('−', '-'))
  if (/^-?\d*\.?\d+$/.test(said)) return Number(said) * ruler.metres
  const parts = [...said.matchAll(/(-?\d*\.?\d+)\s*(mm|cm|m|in|ft|"|')/g)]
  if (!parts.length || parts.map((it) => it[0]).join('').replaceAll(' ', '') !== said.replaceAll(' ', '')) return NaN
  return parts.reduce((sum, [, number, unit]) => sum + Number(number) * (TYPED[unit as string] as number), 0)
}

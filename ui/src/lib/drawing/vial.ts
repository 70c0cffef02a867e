/** Where the parts of a vial stand on a tube of some width. */
import { scaleLinear } from 'd3-scale'
import type { Shapes } from '$lib/data/client'

export type VialShape = Shapes['Vial']

export interface Tick {
  x: number
  side: 'left' | 'right' | 'middle'
  /** Where the reading says only "beyond". */
  open: 'left' | 'right' | 'both' | null
  height: number
  off: boolean
}

const clamp = (value: number, low: number, high: number) => Math.min(high, Math.max(low, value))

/** Geometry of a vial in a tube from x = 0 to `width`, ticks up to `tall` px. */
export function vialGeometry(vial: VialShape, width: number, tall: number) {
  const scale = scaleLinear([-vial.reach, vial.reach], [0, width])
  const inside = (value: number) => clamp(scale(value), 0, width)
  const span = (low: number | null, high: number | null, least: number) => {
    if (low === null || high === null) return null
    const middle = clamp((scale(low) + scale(high)) / 2, least / 2, width - least / 2)
    const left = Math.min(inside(low), middle - least / 2)
    const right = Math.max(inside(high), middle + least / 2)
    return { x: left, width: right - left }
  }
  const newest = vial.ticks.length - 1
  return {
    marks: [scale(vial.mark_left), scale(vial.mark_right)],
    centre: scale(0),
    graduations: scale.ticks(Math.max(4, Math.floor(width / 26))).map((value) => ({ x: scale(value), value })),
    bubble: span(vial.bubble_low, vial.bubble_high, 9),
    at: vial.bubble_at === null ? null : inside(vial.bubble_at),
    film: span(vial.film_low, vial.film_high, 4),
    off:
      vial.bubble_at === null || Math.abs(vial.bubble_at) <= vial.reach ? null : vial.bubble_at < 0 ? 'left' : 'right',
    ticks: vial.ticks.map((it, n): Tick => {
      const open = it.low === null ? (it.high === null ? 'both' : 'left') : it.high === null ? 'right' : null
      const holdsLine = (it.low ?? -Infinity) <= 0 && (it.high ?? Infinity) >= 0
      return {
        x: inside(it.at),
        side: holdsLine ? 'middle' : it.at < 0 ? 'left' : 'right',
        open,
        height: tall * (n === newest ? 1 : clamp(0.72 - (newest - n) * 0.03, 0.34, 0.72)),
        off: Math.abs(it.at) > vial.reach
      }
    })
  }
}

/** From a scene's millimetres to the screen's pixels. */
import type { Shapes } from '$lib/data/client'

export type Scene = Shapes['Scene']
export type Shape = Scene['shapes'][number]

/** How many times the drawing may be wider than true. */
export const STRETCHES = [1, 5, 20]

export interface Page {
  width: number
  height: number
  /** How many times wider than long the drawing is: 1 is true to scale. */
  across: number
  x: (mm: number) => number
  y: (mm: number) => number
  /** Pixels per mm along and across. */
  along: number
  over: number
}

/**
 * Lay a scene on a page of `width` × `height` px.
 *
 * True to scale it fits both ways and is centred; exaggerated it fills the width, keeps the page's y = 0 in the middle
 * and lets what lies further out fall off the edge. `fixed` px per mm keep it at the scale of a drawing beside it.
 */
export function layOut(scene: Scene, width: number, height: number, across: number, fixed = 0): Page {
  const wide = scene.right - scene.left
  const tall = scene.bottom - scene.top
  const along = fixed || (across === 1 ? Math.min(width / wide, height / tall) : width / wide)
  const over = along * across
  const x0 = (width - along * wide) / 2 - along * scene.left
  const y0 = across === 1 ? (height - over * tall) / 2 - over * scene.top : height / 2
  return { width, height, across, along, over, x: (mm) => x0 + mm * along, y: (mm) => y0 + mm * over }
}

/** The most a page can be exaggerated and still show where the ball goes, and every putt but the odd mishit. */
export function fittingStretch(scene: Scene, width: number, height: number): number {
  const reach = scene.shapes.flatMap((it) => (it.shape === 'ray' ? [Math.abs(it.y_at)] : [])).sort((a, b) => a - b)
  const most = reach[Math.ceil(reach.length * 0.9) - 1]
  if (most === undefined) return 1
  const path = scene.shapes.flatMap((it) => (it.shape === 'curve' ? it.points.map(([, y]) => Math.abs(y ?? 0)) : []))
  const widest = Math.max(most, ...path)
  return STRETCHES.findLast((it) => layOut(scene, width, height, it).over * widest < height / 2 - 56) ?? 1
}

type Tape = Extract<Shape, { shape: 'tape' }>
const LANE = 30
const FIRST = 14

/** How far a tape is set off from the drawing, px: down or to the right is positive. */
export function setOff(tape: Tape): number {
  return tape.lane * LANE + (tape.lane > 0 ? FIRST : -FIRST)
}

/** Where a tape's far end is on the screen, on the tape itself; and which way it is pulled, per px, in mm. */
export function farEnd(tape: Tape, page: Page) {
  const level = tape.y1 === tape.y2
  const [x, y] = [page.x(tape.x2), page.y(tape.y2)]
  return level
    ? { x, y: y + setOff(tape), level, mm: Math.sign(tape.x2 - tape.x1 || 1) / page.along }
    : { x: x + setOff(tape), y, level, mm: Math.sign(tape.y2 - tape.y1 || 1) / page.over }
}

/** The height a side elevation takes at a scale, as CSS, with room for a figure over it. */
export function sideHeight(scene: Scene, along: number): string {
  return `${Math.min(150, (scene.bottom - scene.top) * along + 52)}px`
}

/** From a scene's millimetres to the screen's pixels. */
import type { Shapes } from '$lib/api/client'

export type Scene = Shapes['Scene']
export type Shape = Scene['shapes'][number]

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
 * and lets what lies further out fall off the edge.
 */
export function layOut(scene: Scene, width: number, height: number, across: number): Page {
  const wide = scene.right - scene.left
  const tall = scene.bottom - scene.top
  const along = across === 1 ? Math.min(width / wide, height / tall) : width / wide
  const over = along * across
  const x0 = (width - along * wide) / 2 - along * scene.left
  const y0 = across === 1 ? (height - over * tall) / 2 - over * scene.top : height / 2
  return { width, height, across, along, over, x: (mm) => x0 + mm * along, y: (mm) => y0 + mm * over }
}

/** A direction on the screen, radians: how a label follows a slanted tape. */
export function slant(x1: number, y1: number, x2: number, y2: number): number {
  return Math.atan2(y2 - y1, x2 - x1)
}

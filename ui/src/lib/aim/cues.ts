/** What the ball shows, in small: from above, the line going up. */
import type { Shapes } from '$lib/data/client'
import type { Scene } from '$lib/drawing/page'

const R = 21
const ball = { shape: 'circle', x: 0, y: 0, r: R, role: 'ball' } as const
const across = (x1: number, y1: number, x2: number, y2: number, role: 'limit' | 'line' = 'limit') =>
  ({ shape: 'line', x1, y1, x2, y2, role }) as const
const scene = (...shapes: Scene['shapes']): Scene => ({ left: -50, right: 50, top: -46, bottom: 24, words: '', shapes })

export const CUE_PICTURES: Record<Shapes['AimSeriesIn']['cue'] & string, Scene> = {
  line: scene(ball, across(0, -R, 0, R)),
  stripe: scene(ball, across(-4, -R + 1, -4, R - 1), across(4, -R + 1, 4, R - 1)),
  logo: scene(ball, {
    shape: 'area',
    points: [
      [-6, 5],
      [0, -8],
      [6, 5]
    ],
    role: 'post'
  }),
  blank: scene(ball),
  near_spot: scene(ball, { shape: 'circle', x: 0, y: -40, r: 3, role: 'post' }, across(0, -R - 3, 0, -34, 'line'))
}

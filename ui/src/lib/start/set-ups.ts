/** What the usual set-ups are, in small: from above, the line running to the right. */
import type { Scene } from '$lib/drawing/page'

type Part = Scene['shapes'][number]
const scene = (...shapes: Scene['shapes']): Scene => ({ left: -60, right: 60, top: -40, bottom: 22, words: '', shapes })
const ball = { shape: 'circle', x: 0, y: 6, r: 7, role: 'ball' } as const
const foot = (x: number): Part => ({
  shape: 'area',
  points: [
    [x - 6, -34],
    [x + 6, -34],
    [x + 6, -10],
    [x - 6, -10]
  ],
  role: 'post'
})
const spot = { shape: 'circle', x: 34, y: 6, r: 3, role: 'limit' } as const
const line = { shape: 'line', x1: -7, y1: 6, x2: 7, y2: 6, role: 'limit' } as const

export const SET_UP_PICTURES: Record<string, Scene> = {
  '': scene(foot(-16), foot(16), ball, line),
  'no line on the ball': scene(foot(-16), foot(16), ball),
  'near spot': scene(foot(-16), foot(16), ball, spot),
  'wide base': scene(foot(-38), foot(38), ball, line)
}

const head: Part = { shape: 'circle', x: 0, y: -30, r: 9, role: 'ghost' }
const putter = { shape: 'line', x1: -16, y1: -4, x2: -16, y2: 18, role: 'limit' } as const
const path: Part = {
  shape: 'curve',
  points: [
    [-50, 14],
    [-20, 8],
    [10, 6],
    [48, 0]
  ],
  role: 'path'
}
const hole: Part = { shape: 'circle', x: 48, y: 6, r: 8, role: 'hole' }

/** What it is that differs, in small: where the golfer stands, what the ball shows, how it is gone about, with what. */
export const FACTOR_PICTURES: Record<string, Scene> = {
  set_up: scene(foot(-34), foot(30), head, ball),
  cue: scene(ball, line, { shape: 'line', x1: -40, y1: 6, x2: 44, y2: 6, role: 'line' }),
  routine: scene(foot(-16), foot(16), ball, path),
  kit: scene(ball, putter),
  trial: scene(foot(-16), foot(16), ball, putter, path),
  hole_side: scene(ball, hole, { shape: 'line', x1: 48, y1: -34, x2: 48, y2: 20, role: 'ghost' })
}

/** What the usual set-ups are, in small: from above, the line running to the right. */
import type { Scene } from '$lib/drawing/page'

type Part = Scene['shapes'][number]
const scene = (...shapes: Scene['shapes']): Scene => ({ left: -60, right: 60, top: -40, bottom: 22, words: '', shapes })
const ball = { shape: 'circle', x: 0, y: 6, r: 7, role: 'ball' } as const
const foot = (x: number): Part => ({ shape: 'area', points: [[x - 6, -34], [x + 6, -34], [x + 6, -10], [x - 6, -10]], role: 'post' })
const line = { shape: 'line', x1: -7, y1: 6, x2: 7, y2: 6, role: 'limit' } as const

export const SET_UP_PICTURES: Record<string, Scene> = {
  'as usual': scene(foot(-16), foot(16), ball, line),
  'no line on the ball': scene(foot(-16), foot(16), ball),
  'wide base': scene(foot(-38), foot(38), ball, line),
}

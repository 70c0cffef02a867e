/** The ways of finding the eyes in small: from behind, the golfer's side on the left. */
import type { Scene } from '$lib/drawing/page'
import type { Way } from './eyes.svelte'

type Part = Scene['shapes'][number]
const scene = (...shapes: Scene['shapes']): Scene => ({ left: -50, right: 50, top: -44, bottom: 10, words: '', shapes })
const eye = { shape: 'circle', x: -14, y: -38, r: 4, role: 'post' } as const
const ground = { shape: 'line', x1: -46, y1: 4, x2: 46, y2: 4, role: 'ground' } as const
const ray = (x1: number, y1: number, x2: number, y2: number) =>
  ({ shape: 'line', x1, y1, x2, y2, role: 'line' }) as const
const box = (x1: number, x2: number, role: 'post' | 'board'): Part => ({
  shape: 'area',
  points: [
    [x1, -4],
    [x2, -4],
    [x2, 4],
    [x1, 4]
  ],
  role
})

export const WAY_PICTURES: Record<Way, Scene> = {
  mirror: scene(ground, eye, box(-34, 34, 'board'), ray(-14, -34, -14, -4)),
  plumb: scene(ground, eye, ray(-14, -34, -14, -8), { shape: 'circle', x: -14, y: -4, r: 4, role: 'post' }),
  string: scene(
    ground,
    eye,
    { shape: 'circle', x: 0, y: -18, r: 2, role: 'post' },
    { shape: 'circle', x: 0, y: -4, r: 8, role: 'ball' },
    ray(-14, -38, 12, 0)
  ),
  strip: scene(ground, eye, box(-34, -12, 'post'), box(-12, 12, 'board'), box(12, 34, 'post'), ray(-14, -38, -4, -4))
}

/** States of the shared drawings, with invented numbers. */
import type { VialShape } from '$lib/drawing/vial'
import type { Scene } from '$lib/drawing/page'

const empty: VialShape = {
  unit: 'deg',
  reach: 2.5,
  mark_left: -1,
  mark_right: 1,
  bubble_at: null,
  bubble_low: null,
  bubble_high: null,
  film_low: null,
  film_high: null,
  ticks: [],
  settled: false
}
const ticks = (...at: number[]) => at.map((it) => ({ low: it - 0.1, high: it + 0.1, at: it }))
const at = (bubble: number, doubt: number, spread: number, of: VialShape['ticks'], settled = true): VialShape => ({
  ...empty,
  bubble_at: bubble,
  bubble_low: bubble - doubt,
  bubble_high: bubble + doubt,
  film_low: bubble - spread,
  film_high: bubble + spread,
  ticks: of,
  settled
})
const open = [
  { low: 1, high: null, at: 1 },
  { low: null, high: -1, at: -1 },
  { low: 1, high: null, at: 1 },
  { low: null, high: null, at: 0 }
]

export const VIALS: { name: string; vial: VialShape; words: string }[] = [
  { name: 'empty', vial: empty, words: 'No putts yet.' },
  { name: 'one reading', vial: at(0.4, 1.6, 1, ticks(0.6), false), words: 'So far 0.4° right.' },
  {
    name: 'settled',
    vial: at(0.8, 0.3, 0.7, ticks(0.2, 1.4, 0.9, 0.6, 1.1, 0.3, 1.2)),
    words: '0.8° right, clear. About 35 mm at the hole.'
  },
  { name: 'open intervals only', vial: at(0.3, 1.2, 1.5, open), words: '0.3° right, can’t tell yet.' },
  {
    name: 'far off scale',
    vial: at(-4.2, 0.8, 1, ticks(-4, -4.6, -3.9, 0.2)),
    words: '4.2° left, clear. About 180 mm at the hole.'
  },
  { name: 'very narrow', vial: at(0.05, 0.02, 0.05, ticks(0.05, 0.04, 0.06)), words: 'On the line, no tendency.' },
  {
    name: 'long text',
    vial: at(-0.9, 0.6, 1.3, ticks(-0.5, -1.7, -2.2, 0.4)),
    words:
      'Maximiliana-Theodora Featherstonehaugh-Cholmondeley: 0.9° left, likely. About 40 mm at the hole, under the condition “eyes closed while setting the putter down, then one look”.'
  }
]

const ground: Scene['shapes'] = [
  {
    shape: 'area',
    role: 'window',
    points: [
      [0, 0],
      [2500, -43],
      [2500, 43]
    ]
  },
  { shape: 'circle', role: 'hole', x: 2500, y: 0, r: 54 },
  { shape: 'line', role: 'line', x1: 0, y1: 0, x2: 2500, y2: 0 },
  { shape: 'circle', role: 'ball', x: 0, y: 0, r: 21.3 }
]
const scene = (words: string, shapes: Scene['shapes']): Scene => ({
  left: -260,
  top: -430,
  right: 2660,
  bottom: 430,
  words,
  shapes: [...ground, ...shapes]
})

export const STAGES: { name: string; scene: Scene }[] = [
  { name: 'bare ground', scene: scene('A ball and a hole.', []) },
  {
    name: 'taped',
    scene: scene('A ball, a hole and two taped lengths.', [
      { shape: 'tape', x1: 0, y1: 0, x2: 500, y2: 0, text: '50 cm', lane: 1, of: '', per: 1, whose: 0 },
      { shape: 'tape', x1: 0, y1: 0, x2: 2500, y2: 0, text: '2.50 m', lane: 2, of: '', per: 1, whose: 0 },
      { shape: 'tape', x1: 500, y1: -30, x2: 500, y2: 30, text: '60 mm', lane: 1, of: '', per: 1, whose: 0 }
    ])
  },
  {
    name: 'rays',
    scene: scene('Three putts as rays.', [
      { shape: 'ray', x: 0, y: 0, x_end: 2500, y_at: -60, y_low: -70, y_high: -50, side: 'left', age: 2 },
      { shape: 'ray', x: 0, y: 0, x_end: 2500, y_at: 90, y_low: 80, y_high: null, side: 'right', age: 1 },
      { shape: 'ray', x: 0, y: 0, x_end: 2500, y_at: 10, y_low: -5, y_high: 25, side: 'neither', age: 0 }
    ])
  }
]

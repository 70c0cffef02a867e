/** Where zones lie on a screen: all of them on it, each as wide as a thumb where there is room. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Shapes } from '$lib/data/client'
import { placeZones } from './zones'

function entry(widths: number[]): Shapes['EntryPicture'] {
  const edges = widths.reduce<number[]>((all, it) => [...all, all.at(-1)! + it], [0])
  const zones = widths.map((_, n) => ({ name: `zone ${n}`, left_mm: edges[n], right_mm: edges[n + 1] }))
  return {
    picture: { left: 0, right: edges.at(-1), top: -60, bottom: 0, shapes: [] },
    zones
  } as unknown as Shapes['EntryPicture']
}

describe('zones on a screen', () => {
  it('lie on it whole, in order, and as wide as asked or as there is room for', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 200 }), { minLength: 2, maxLength: 12 }),
        fc.integer({ min: 320, max: 1280 }),
        fc.constantFrom(0, 60),
        (widths, width, least) => {
          const placed = placeZones(entry(widths), width, 280, least)
          expect(placed[0]!.left).toBe(0)
          expect(placed.at(-1)!.right).toBeCloseTo(width, 6)
          const wide = Math.min(least, width / widths.length)
          for (const [n, it] of placed.entries()) {
            expect(it.right - it.left).toBeGreaterThanOrEqual(wide - 1e-6)
            if (n) expect(it.left).toBe(placed[n - 1]!.right)
          }
        }
      )
    )
  })
})

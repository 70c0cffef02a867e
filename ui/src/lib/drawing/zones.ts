/** Where an instrument's zones lie on the screen, each wide enough for a thumb. */
import type { Shapes } from '$lib/data/client'
import { layOut } from './page'

export type Zone = Shapes['ZoneOut']

export interface PlacedZone {
  zone: Zone
  left: number
  right: number
}

/**
 * Zones of an entry picture laid on `width` × `height` px, left to right.
 *
 * Zones true to the picture, then widened from the middle outward until each has `least` px (0: leave them), or as much as
 * there is for each where that is less: none lies off the screen. The outer ones reach the edges.
 */
export function placeZones(entry: Shapes['EntryPicture'], width: number, height: number, least: number): PlacedZone[] {
  const page = layOut(entry.picture, width, height, 1)
  const edges = [...entry.zones.map((it) => page.x(it.left_mm)), page.x(entry.zones.at(-1)?.right_mm ?? 0)]
  const middle = Math.floor(entry.zones.length / 2)
  const wide = Math.min(least, width / entry.zones.length)
  for (let n = middle + 1; n < edges.length; n++) edges[n] = Math.max(edges[n]!, edges[n - 1]! + wide)
  for (let n = middle; n >= 0; n--) edges[n] = Math.min(edges[n]!, edges[n + 1]! - wide)
  // What was pushed past an edge comes back, and pushes what lies before it.
  for (let n = edges.length - 1, most = width; n >= 0; n--, most -= wide) edges[n] = Math.min(edges[n]!, most)
  for (let n = 0, fewest = 0; n < edges.length; n++, fewest += wide) edges[n] = Math.max(edges[n]!, fewest)
  edges[0] = Math.min(edges[0]!, 0)
  edges[edges.length - 1] = Math.max(edges.at(-1)!, width)
  return entry.zones.map((zone, n) => ({ zone, left: edges[n]!, right: edges[n + 1]! }))
}

/** From how many px on a zone's name has room in it; narrower ones are named while they are held. */
export const NAMED_PX = 52

/** The zone under a point of the screen. */
export function zoneAt(zones: PlacedZone[], x: number): PlacedZone | undefined {
  return zones.find((it) => x < it.right) ?? zones.at(-1)
}

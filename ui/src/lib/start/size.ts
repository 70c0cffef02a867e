/** Angles and sizes of a stroke, in words. */
import { rulerFor, withUnit } from '$lib/base/length'
import { settings } from '$lib/base/settings.svelte'

/** An angle with its side as a shape: "◂ 0.6°", "0.6° ▸". */
export function sided(angle: number): string {
  const size = Math.abs(angle).toFixed(1)
  return size === '0.0' ? '0.0°' : `${angle < 0 ? '◂ ' : ''}${size}°${angle > 0 ? ' ▸' : ''}`
}

/** A noted size with its unit; names of sizes end in theirs. */
export function sizeWords(name: string, value: number): string {
  if (!name.endsWith('_m')) return `${Math.abs(value).toFixed(1)}°${value ? (value < 0 ? ' left' : ' right') : ''}`
  const ruler = rulerFor(0.5, settings.units)
  return withUnit(value, ruler)
}

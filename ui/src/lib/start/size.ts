/** Angles and sizes of a stroke, in words. */
import { rulerFor, withUnit } from '$lib/base/length'
import { settings } from '$lib/base/settings.svelte'
import type { Shapes } from '$lib/data/client'

/** An angle with its side as a shape: "◂ 0.6°", "0.6° ▸". */
export function sided(angle: number): string {
  const size = Math.abs(angle).toFixed(1)
  return size === '0.0' ? '0.0°' : `${angle < 0 ? '◂ ' : ''}${size}°${angle > 0 ? ' ▸' : ''}`
}

/** A noted size with its unit, and which way where it has two; names of sizes end in theirs. */
export function sizeWords(
  name: string,
  value: number,
  note?: Pick<Shapes['NoteOut'], 'low_word' | 'high_word'>
): string {
  if (!name.endsWith('_m')) return `${Math.abs(value).toFixed(1)}°${value ? (value < 0 ? ' left' : ' right') : ''}`
  const ruler = rulerFor(0.5, settings.units)
  if (!note?.low_word) return withUnit(value, ruler)
  return `${withUnit(Math.abs(value), ruler)}${value ? ` ${value < 0 ? note.low_word : note.high_word}` : ''}`
}

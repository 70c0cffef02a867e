/** Angles and sizes of a stroke, in words. */
import { taped } from '$lib/base/length'
import { settings } from '$lib/base/settings.svelte'
import type { Shapes } from '$lib/data/client'

/** An angle with its side as a shape: "◂ 0.6°", "0.6° ▸". */
export function sided(angle: number): string {
  const size = Math.abs(angle).toFixed(1)
  return size === '0.0' ? '0.0°' : `${angle < 0 ? '◂ ' : ''}${size}°${angle > 0 ? ' ▸' : ''}`
}

/** Figures as they are typed from a display: the last of them are its decimals. "4" is 0.4°, "12" is 1.2°. */
export function shownFigures(figures: string, step: number): { value: number; words: string } {
  const decimals = step < 1 ? 1 : 0
  const value = Number(figures || '0') / 10 ** decimals
  return { value, words: `${value.toFixed(decimals)}°` }
}

/** A noted size with its unit, and which way where it has two; names of sizes end in theirs. */
export function sizeWords(
  name: string,
  value: number,
  note?: Pick<Shapes['NoteOut'], 'low_word' | 'high_word'>
): string {
  if (!name.endsWith('_m')) return `${Math.abs(value).toFixed(1)}°${value ? (value < 0 ? ' left' : ' right') : ''}`
  if (!note?.low_word) return taped(value, settings.units)
  return `${taped(Math.abs(value), settings.units)}${value ? ` ${value < 0 ? note.low_word : note.high_word}` : ''}`
}

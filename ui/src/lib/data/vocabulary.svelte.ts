/** What can be chosen and entered, in words and with its limits: asked for once, before the first page is drawn. */
import type { Scene } from '$lib/drawing/page'
import { api, ask, type Shapes } from './client'

type Entry = Shapes['EntryWords']

let told = $state<Shapes['Vocabulary'] | null>(null)

/** Ask for it; without an answer it is asked again, for no page can do without. */
export async function loadVocabulary(): Promise<void> {
  for (let tries = 0; !told; tries += 1) {
    try {
      told = await ask(api.GET('/api/vocabulary'))
    } catch {
      await new Promise((again) => setTimeout(again, Math.min(3000, 300 * (tries + 1))))
    }
  }
}

/** A size to enter: its label, hint, unit, limits and step. */
export function entry(name: string): Entry {
  const found = told?.entries[name]
  if (!found) throw new Error(`the vocabulary has no entry ${name}`)
  return found
}

/** What can be chosen, in the order it is shown. */
export function choices<T extends string>(kind: string): { value: T; words: string }[] {
  const found = told?.choices[kind]
  if (!found) throw new Error(`the vocabulary has no choice ${kind}`)
  return Object.entries(found).map(([value, words]) => ({ value: value as T, words }))
}

/** The name of one code. */
export function named(kind: string, code: string): string {
  return told?.choices[kind]?.[code] ?? code
}

let hand = $state<Shapes['GolferOut']['hand']>('right')
/** Whose drawings are shown from now on: a left-hander stands on the other side of the line. */
export function drawFor(golfer: Shapes['GolferOut']['hand']): void {
  hand = golfer
}

/** What a choice looks like, from the side of the golfer whose lesson it is; nothing where it has no drawing. */
export function pictured(kind: string, code: string, whose = hand): Scene | undefined {
  return told?.pictures[whose]?.[kind]?.[code] as Scene | undefined
}

/** What can be chosen, each with its drawing. */
export const drawnChoices = <T extends string>(kind: string) =>
  choices<T>(kind).map((it) => ({ ...it, picture: pictured(kind, it.value) }))

/** The words of the job that a tap opens. */
export function glossary(): Shapes['TermOut'][] {
  return told?.glossary ?? []
}

/** Every way to write a unit of length, each with its metres. */
export function lengths(): Record<string, number> {
  return told?.lengths ?? {}
}

/** How the names of files of putts end, as a browser asks for them. */
export function fileEndings(): string {
  return told?.file_endings.join(',') ?? ''
}

/** One step of the thumb inside the limits. */
export function stepped(name: string, value: number, direction: number): number {
  const { low, high, step } = entry(name)
  return Math.min(high, Math.max(low, Math.round((value + direction * step) * 1e5) / 1e5))
}

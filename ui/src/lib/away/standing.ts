/**
 * What stands for something that was begun without a network: the server said in the morning how it would show it, with marks
 * in place of what it could not know. Here the marks are filled in, what was told is written over, and what was begun
 * before stays beside it.
 */
import type { Letter } from '$lib/data/letter'
import type { Shapes } from '$lib/data/client'
import { units } from '$lib/data/key'
import { heldOf, holdFor, type Asked } from './asking'

/** How a write shows before the server has it. */
export interface Stands {
  /** Where the server said how it would show it; null where something known is told otherwise. */
  blank: Asked | null
  /** What stands for each mark. */
  marks: Record<string, string>
  /** Whose entries say what was told. */
  of: string
  /** Entries that go by what was told, and are not told so themselves. */
  more?: Record<string, unknown>
  /** What was told of others that are begun with it, by id. */
  also?: Record<string, Record<string, unknown>>
  /** Where something known shows. */
  shows?: string[]
}

/** Where the server said in the morning how something begun would stand, in the units in use. */
export const blankOf = (what: string, about: Record<string, string>, body?: unknown): Asked => ({
  address: inTheseUnits(`/api/away/${what}`, about),
  ...(body === undefined ? {} : { body })
})

/** Something known, told otherwise: `more` beside what the write itself says, wherever it shows. */
export const knownAs = (of: string, more: Record<string, unknown>, ...shows: string[]): Stands => ({
  blank: null,
  marks: {},
  of,
  more,
  shows
})

/** What is answered in the units in use, by its address. */
export const inTheseUnits = (address: string, about: Record<string, string> = {}): string =>
  `${address}?${new URLSearchParams({ ...about, ...units() })}`

type Blank = Shapes['BlankOut']
type Tree = Record<string, unknown>
const isTree = (it: unknown): it is Tree => typeof it === 'object' && it !== null && !Array.isArray(it)

/** Have it stand; gives what the write is answered for now, or nothing where it can't be had without the server. */
export async function standIn(letter: Letter): Promise<unknown> {
  const { stands, body } = letter
  if (!stands) return undefined
  const told = { ...(isTree(body) ? body : {}), ...stands.more }
  if (!stands.blank) return overwritten(stands, told)
  const blank = (await heldOf(stands.blank)) as Blank | undefined
  if (!blank) return undefined
  const filled = filledIn(blank, stands.marks)
  const whole = (it: unknown) =>
    Object.entries({ ...stands.also, [stands.of]: told }).reduce((now, [id, of]) => said(now, id, of), it)
  for (const { address, answer } of filled.answers) {
    const now = whole(answer)
    const before = await heldOf({ address })
    await holdFor({ address }, before === undefined ? now : beside(before, now))
  }
  return whole(filled.answer)
}

/** Something known, told otherwise: wherever it shows. */
async function overwritten(stands: Stands, told: Tree): Promise<unknown> {
  let found: unknown
  for (const address of stands.shows ?? []) {
    const before = await heldOf({ address })
    if (before === undefined) continue
    const now = said(before, stands.of, told)
    found ??= within(now, stands.of)
    await holdFor({ address }, now)
  }
  return found
}

function filledIn(blank: Blank, marks: Record<string, string>): Pick<Blank, 'answer' | 'answers'> {
  let text = JSON.stringify({ answer: blank.answer, answers: blank.answers })
  for (const [name, mark] of Object.entries(blank.marks)) {
    const real = marks[name]
    if (real !== undefined) text = text.replaceAll(mark, JSON.stringify(real).slice(1, -1))
  }
  return JSON.parse(text) as Pick<Blank, 'answer' | 'answers'>
}

/** The same with what was told in every entry of that id. */
function said(it: unknown, id: string, told: Tree): unknown {
  if (Array.isArray(it)) return it.map((one) => said(one, id, told))
  if (!isTree(it)) return it
  const now = Object.fromEntries(Object.entries(it).map(([name, value]) => [name, said(value, id, told)]))
  if (it.id !== id) return now
  for (const name of Object.keys(now)) if (name in told) now[name] = told[name]
  return now
}

function within(it: unknown, id: string): unknown {
  if (Array.isArray(it)) return it.map((one) => within(one, id)).find((one) => one !== undefined)
  if (!isTree(it)) return undefined
  return it.id === id ? it : within(Object.values(it), id)
}

const nameIn = (it: unknown): unknown =>
  isTree(it)
    ? (it.id ?? [it.lesson, it.series, it.golfer].map((one) => (isTree(one) ? one.id : undefined)).find(Boolean))
    : undefined

/** Said of nothing yet. */
const EMPTY = new Set<unknown>([null, undefined, '', '–'])

/** What was there, and what has come beside it. */
export function beside(before: unknown, now: unknown): unknown {
  if (Array.isArray(before) && Array.isArray(now)) return lists(before, now)
  if (isTree(before) && isTree(now)) {
    const both = { ...now, ...before }
    for (const name of Object.keys(now)) if (name in before) both[name] = beside(before[name], now[name])
    return both
  }
  return EMPTY.has(before) ? now : before
}

function lists(before: unknown[], now: unknown[]): unknown[] {
  if (![...before, ...now].every((it) => nameIn(it) !== undefined)) return now
  const old = new Map(before.map((it) => [nameIn(it), it]))
  const names = new Set(now.map(nameIn))
  const merged = now.map((it) => (old.has(nameIn(it)) ? beside(old.get(nameIn(it)), it) : it))
  // Where the server knew all that was there, they stand in its order; else what is new comes last.
  const all = [...old.keys()].every((it) => names.has(it))
    ? merged
    : [...before.filter((it) => !names.has(nameIn(it))), ...merged]
  const come = now.find((it) => isTree(it) && it.current === true && !old.has(it.id))
  // One is the current one.
  return come ? all.map((it) => (isTree(it) && nameIn(it) !== nameIn(come) ? { ...it, current: false } : it)) : all
}

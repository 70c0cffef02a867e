/**
 * The outbox: what was tapped, kept on this device until the server has it.
 *
 * A tap is shown and written here first and sent at once; without an answer it waits and is sent again, in the order it
 * was tapped, also after the page was closed. Writes are idempotent, so sending twice does no harm.
 */
import Dexie, { type EntityTable } from 'dexie'
import { v7 } from 'uuid'
import { settings } from '$lib/base/settings.svelte'
import { hear } from './clock'
import { problemOf, type Problem, type Shapes } from './client'

/** One write on its way. Ids sort by the time they were made. */
export interface Letter {
  id: string
  method: 'PUT' | 'DELETE'
  path: string
  body: unknown
  blockId: string
  /** The reading it concerns. */
  about: string
  /** What to show of a new reading until the server confirms it; null for voiding and restoring. */
  shown: Shapes['ReadingLine'] | null
  /** Why the server refused it; such a letter stays until the coach has seen it. */
  refused: Problem | null
}

type Book = Dexie & { letters: EntityTable<Letter, 'id'> }

const PAUSES_MS = [400, 1000, 2000, 4000]
/** No refusal of what was written: who writes is not known, it came too slowly, or too much came at once. */
const LATER = new Set([401, 408, 429])

class Outbox {
  letters = $state<Letter[]>([])
  /** Taps being written to this device's own book: until that is done, closing the page could lose them. */
  keeping = $state(0)
  /** Whether the last try got through. */
  reached = $state(true)
  /** The server does not know who is writing: everything waits for a sign-in. */
  stranger = $state(false)
  /** Confirmed, but not yet in what a view last asked for: a view lays them over that until it has asked again. */
  confirmed = $state<Letter[]>([])

  #book: Book
  #busy = false
  #failures = 0
  #timer: ReturnType<typeof setTimeout> | undefined

  constructor() {
    this.#book = new Dexie('libella') as Book
    this.#book.version(1).stores({ letters: 'id' })
    void this.#open()
    addEventListener('online', () => this.#hurry())
  }

  get refused(): Letter[] {
    return this.letters.filter((it) => it.refused)
  }

  get waiting(): Letter[] {
    return this.letters.filter((it) => !it.refused)
  }

  /** Keep a write and send it. */
  post(letter: Omit<Letter, 'id' | 'refused'>): void {
    const kept: Letter = { ...letter, id: v7(), refused: null }
    this.letters.push(kept)
    // A device that forbids storage still sends; it only can't remember across a closed page.
    this.keeping += 1
    void this.#book.letters
      .add(kept)
      .catch(() => undefined)
      .finally(() => (this.keeping -= 1))
    this.#hurry()
  }

  /** Take a letter out: confirmed, or refused and seen. */
  async dismiss(id: string): Promise<void> {
    this.letters = this.letters.filter((it) => it.id !== id)
    await this.#book.letters.delete(id).catch(() => undefined)
  }

  /** What a block's view has to show beyond what the server last told it, in the order it was tapped. */
  over(blockId: string | undefined): Letter[] {
    return [...this.confirmed, ...this.waiting].filter((it) => it.blockId === blockId)
  }

  /** The view has asked again since these were confirmed. */
  forget(seen: Letter[]): void {
    const ids = new Set(seen.map((it) => it.id))
    this.confirmed = this.confirmed.filter((it) => !ids.has(it.id))
  }

  async #open(): Promise<void> {
    const kept = await this.#book.letters.orderBy('id').toArray().catch(() => [])
    this.letters = [...kept.filter((it) => !this.letters.some((other) => other.id === it.id)), ...this.letters]
    if (kept.length) this.#hurry()
  }

  #hurry(): void {
    clearTimeout(this.#timer)
    this.#failures = 0
    void this.#send()
  }

  async #send(): Promise<void> {
    if (this.#busy) return
    this.#busy = true
    try {
      for (let next = this.waiting[0]; next; next = this.waiting[0]) {
        if (!(await this.#deliver(next))) {
          const pause = PAUSES_MS[Math.min(this.#failures, PAUSES_MS.length - 1)] as number
          this.#failures += 1
          this.#timer = setTimeout(() => void this.#send(), pause)
          return
        }
        this.#failures = 0
      }
    } finally {
      this.#busy = false
    }
  }

  /** True when the letter is done with: taken, or refused for good. */
  async #deliver(letter: Letter): Promise<boolean> {
    const asked = Date.now()
    const answer = await fetch(letter.path, {
      method: letter.method,
      headers: { 'content-type': 'application/json', 'libella-units': settings.units },
      ...(letter.body === null ? {} : { body: JSON.stringify(letter.body) }),
    }).catch(() => null)
    if (answer) hear(answer, asked)
    this.reached = answer !== null && answer.status < 500 && !LATER.has(answer.status)
    this.stranger = answer?.status === 401
    if (!answer || !this.reached) return false
    if (answer.ok) {
      this.confirmed.push(letter)
      await this.dismiss(letter.id)
    } else {
      const refused = problemOf(await answer.json().catch(() => null), answer.status)
      this.letters = this.letters.map((it) => (it.id === letter.id ? { ...it, refused } : it))
      await this.#book.letters.update(letter.id, { refused }).catch(() => undefined)
    }
    return true
  }
}

export const outbox = new Outbox()

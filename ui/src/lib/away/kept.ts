/** Answers of the server as this device keeps them, closed: what was seen, or fetched for the day, is there without a network. */
import Dexie, { type EntityTable } from 'dexie'
import { vault, type Sealed } from './vault.svelte'

/** One answer; under what it was asked, which tells nobody what that was. */
interface Row {
  name: string
  at: number
  told: Sealed | string
}

/** An answer, and when it came. */
export interface Kept {
  at: number
  body: unknown
}

/** What nobody asked again for so long is let go. */
const LONGEST_MS = 9 * 24 * 3600 * 1000

class Book {
  readonly #book = new Dexie('libella kept') as Dexie & { answers: EntityTable<Row, 'name'> }

  constructor() {
    this.#book.version(1).stores({ answers: 'name, at' })
  }

  async get(asked: string): Promise<Kept | null> {
    const row = await this.#noted(async () => this.#book.answers.get(await named(asked)))
    const body = row && (await vault.unseal(row.told))
    return row && body !== undefined ? { at: row.at, body } : null
  }

  /** `open`: the program's own words, which anybody may read. */
  async put(asked: string, body: unknown, open: boolean): Promise<void> {
    const told = open ? JSON.stringify(body) : await vault.seal(body)
    await this.#noted(async () => this.#book.answers.put({ name: await named(asked), at: Date.now(), told }))
  }

  /** Let go what is too old to be of use. */
  async tidy(): Promise<void> {
    await this.#noted(() =>
      this.#book.answers
        .where('at')
        .below(Date.now() - LONGEST_MS)
        .delete()
    )
  }

  async clear(): Promise<void> {
    await this.#noted(() => this.#book.answers.clear())
  }

  async count(): Promise<number> {
    return (await this.#noted(() => this.#book.answers.count())) ?? 0
  }

  /** One that forbids storage, or is full, keeps nothing: everything works while the network is there. */
  async #noted<T>(change: () => PromiseLike<T>): Promise<T | undefined> {
    try {
      return await change()
    } catch {
      return undefined
    }
  }
}

async function named(asked: string): Promise<string> {
  const digest = await crypto.subtle.digest('SHA-256', new TextEncoder().encode(asked))
  return Array.from(new Uint8Array(digest), (it) => it.toString(16).padStart(2, '0')).join('')
}

export const kept = new Book()

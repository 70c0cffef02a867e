/**
 * The outbox: every write, kept on this device until the server has it.
 *
 * What was tapped is written down here first and sent at once; without an answer it waits and is sent again, the writes of
 * one thing in the order they were made, also after the page was closed. Writes are idempotent, so sending twice does no
 * harm. A refused write is told to the view that made it; where that has gone it stays here until the coach has seen it.
 */
import Dexie, { type EntityTable } from 'dexie'
import { v7 } from 'uuid'
import { net, NOBODY } from '$lib/away/net.svelte'
import { standIn } from '$lib/away/standing'
import { vault, type Sealed } from '$lib/away/vault.svelte'
import { settings } from '$lib/base/settings.svelte'
import { putAnswer, renew } from './cache'
import { hear } from './clock'
import { problemOf, Refusal, SILENT } from './client'
import type { Draft, Letter } from './letter'

/** A letter as it is kept: closed, where people sign in. */
interface Kept {
  id: string
  told: Sealed | string
  /** It reached the server: known also while it is closed. */
  taken?: boolean
}
type Book = Dexie & { letters: EntityTable<Kept, 'id'> }

/** Who waits for what becomes of a letter. */
interface Waiter {
  took: (answer: unknown) => void
  refused: (why: Refusal) => void
  /** The view that made it still stands and says itself what was wrong. */
  here: () => boolean
}

const PAUSES_MS = [400, 1000, 2000, 4000]
/** No refusal of what was written: who writes is not known, it came too slowly, or too much came at once. */
const LATER = new Set([401, 408, 429])

export class Outbox {
  letters = $state.raw<Letter[]>([])
  /** Writes being noted in this device's own book: until that is done, closing the page could lose them. */
  keeping = $state(0)
  /** Whether the last try got through. */
  reached = $state(true)
  /** Letters that can't be read before whoever wrote them has opened what this device keeps; null: not counted yet. */
  closed = $state<number | null>(null)
  /** The server does not know who is writing: everything waits for a sign-in. */
  stranger = $state(false)
  /** Readings confirmed, but not yet in what a view last asked for: a view lays them over that until it has asked again. */
  confirmed = $state.raw<Letter[]>([])

  readonly #book: Book
  readonly #waiters = new Map<string, Waiter[]>()
  /** Things of which a letter is on its way. */
  readonly #busy = new Map<string, string>()
  /** This device keeps nothing. */
  #forgetful = false
  #failures = 0
  /** Letters that wait for a network, or were made behind such: sent one after another, in the order they were made. */
  readonly #backlog = new Set<string>()
  /** Things over which the server stumbled: they hold up nothing but themselves, and what is about them. */
  readonly #stumbling = new Set<string>()
  #standing: Promise<void> = Promise.resolve()
  #writing: Promise<unknown> = Promise.resolve()
  #timer: ReturnType<typeof setTimeout> | undefined

  constructor(name = 'libella') {
    this.#book = new Dexie(name) as Book
    this.#book.version(1).stores({ letters: 'id' })
    // Once the outbox knew readings alone.
    this.#book.version(2).upgrade((book) =>
      book
        .table('letters')
        .toCollection()
        .modify((it: Record<string, unknown>) => {
          const more = { thing: it.blockId, words: 'Putt', answers: null, renews: [], whole: false, now: false }
          Object.assign(it, more, { reading: { block: it.blockId, id: it.about, shown: it.shown } })
        })
    )
    // Once they stood there open.
    this.#book.version(3).upgrade((book) =>
      book
        .table('letters')
        .toCollection()
        .modify((it, row) => (row.value = { id: it.id, told: JSON.stringify(it) }))
    )
    void this.#open()
    globalThis.addEventListener?.('online', () => this.#hurry())
    // A page closed now would lose what its device can't remember: the browser asks first.
    globalThis.addEventListener?.('beforeunload', (event) => {
      if (this.keeping || (this.#forgetful && this.waiting.length)) event.preventDefault()
    })
  }

  /** There is nobody to say anything of what was written, or asked. */
  get away(): boolean {
    return net.gone || !this.reached
  }

  get refused(): Letter[] {
    return this.letters.filter((it) => it.refused)
  }

  get waiting(): Letter[] {
    return this.letters.filter((it) => !it.refused)
  }

  /** How many are lost where this device throws away what it keeps, those that can't be read with them. */
  get unsent(): number {
    return this.letters.length + (this.closed ?? 0)
  }

  /** Writes of a thing that are not taken yet, oldest first. */
  of(thing: string): Letter[] {
    return this.waiting.filter((it) => it.thing === thing)
  }

  /** Keep a write and send it; gives what it is answered. `here` says whether the caller still shows what is refused. */
  post<A>(draft: Draft<A>, here: () => boolean = () => false): Promise<A> {
    const kept: Letter = { ...(plain(draft) as Draft), id: v7(), refused: null, taken: false, stood: false }
    const answered = new Promise<A>((took, refused) => {
      this.#waiters.set(kept.id, [{ took: took as (answer: unknown) => void, refused, here }])
    })
    answered.catch(() => undefined)
    if (draft.whole) this.#replace(kept)
    if (!this.reached || this.#backlog.size) this.#backlog.add(kept.id)
    this.letters = [...this.letters, kept]
    if (!this.reached) void this.#stand()
    if (!draft.now) {
      this.keeping += 1
      void this.#keep(kept).finally(() => (this.keeping -= 1))
    }
    this.#hurry()
    return answered
  }

  /** Take a letter out: taken, or refused and seen. */
  async dismiss(id: string): Promise<void> {
    this.#backlog.delete(id)
    this.letters = this.letters.filter((it) => it.id !== id)
    await this.#noted((letters) => letters.delete(id))
  }

  /** What a block's view has to show beyond what the server last told it, in the order it was tapped. */
  over(block: string | undefined): Letter[] {
    return [...this.confirmed, ...this.waiting].filter((it) => it.reading?.block === block)
  }

  /** The view has asked again since these were confirmed. */
  forget(seen: Letter[]): void {
    const ids = new Set(seen.map((it) => it.id))
    this.confirmed = this.confirmed.filter((it) => !ids.has(it.id))
    void this.#noted((letters) => letters.bulkDelete([...ids]))
  }

  async #open(): Promise<void> {
    const rows = (await this.#noted((letters) => letters.orderBy('id').toArray())) ?? []
    const unsent = rows.filter((it) => !it.taken).length
    this.closed = rows.filter((it) => !it.taken && typeof it.told !== 'string').length
    const told = (await Promise.all(rows.map((it) => vault.unseal(it.told)))) as (Letter | undefined)[]
    const kept = told.filter((it) => it !== undefined)
    this.closed = unsent - kept.filter((it) => !it.taken).length
    const known = new Set([...this.letters, ...this.confirmed].map((it) => it.id))
    const older = kept.filter((it) => !known.has(it.id))
    this.confirmed = [...older.filter((it) => it.taken), ...this.confirmed]
    this.letters = [...older.filter((it) => !it.taken), ...this.letters]
    for (const it of this.waiting) this.#backlog.add(it.id)
    if (kept.length) this.#hurry()
  }

  /** Note a letter in this device's own book, as it stands now. */
  async #keep(letter: Letter): Promise<void> {
    const { id, taken } = letter
    await this.#noted(async (letters) => letters.put({ id, told: await vault.seal(letter), taken }))
  }

  /** Whoever was here has gone: what was not sent is nobody's any more. */
  async clear(): Promise<void> {
    this.letters = []
    this.confirmed = []
    this.closed = 0
    await this.#noted((letters) => letters.clear())
  }

  /** A newer whole takes the place of the last of its thing, if that says the same and is not on its way. */
  #replace(newer: Letter): void {
    const last = this.of(newer.thing).at(-1)
    if (
      !last?.whole ||
      last.path !== newer.path ||
      last.method !== newer.method ||
      this.#busy.get(last.thing) === last.id
    )
      return
    this.#waiters.set(newer.id, [...(this.#waiters.get(last.id) ?? []), ...(this.#waiters.get(newer.id) ?? [])])
    this.#waiters.delete(last.id)
    void this.dismiss(last.id)
  }

  #hurry(): void {
    clearTimeout(this.#timer)
    this.#failures = 0
    this.#send()
  }

  /** Have what can't be sent now stand as the server said it would, oldest first: what is begun on it finds it so. */
  #stand(): Promise<void> {
    return (this.#standing = this.#standing.then(async () => {
      for (const letter of this.waiting.filter((it) => it.stands && !it.stood)) {
        const answer = await standIn(letter)
        if (answer === undefined || !this.letters.some((it) => it.id === letter.id)) continue
        const stood = { ...letter, stood: true }
        this.letters = this.letters.map((it) => (it.id === letter.id ? stood : it))
        await this.#keep(stood)
        await renew(...letter.renews, ...(letter.answers ? [letter.answers] : []))
        for (const it of this.#waitersOf(letter)) it.took(answer)
      }
    }))
  }

  /** Something it is about was begun before, or it stands behind others that waited for a network. */
  #waits(letter: Letter): boolean {
    if (letter.now) return false
    const held = this.#backlog.has(letter.id) ? this.#stuck() : null
    return this.waiting.some(
      (it) =>
        it.id < letter.id &&
        (isAbout(letter, it) || (held && it.thing !== letter.thing && this.#backlog.has(it.id) && !held.has(it.id)))
    )
  }

  /** What can't go because of a stumble: nobody waits for it but what is about it. */
  #stuck(): ReadonlySet<string> {
    const stuck: Letter[] = []
    if (this.#stumbling.size)
      for (const it of this.waiting)
        if (this.#stumbling.has(it.thing) || stuck.some((one) => isAbout(it, one))) stuck.push(it)
    return new Set(stuck.map((it) => it.id))
  }

  /** Set every thing going that has something to send; while nobody answers, one alone asks whether somebody is there. */
  #send(): void {
    if (!this.reached && this.#busy.size) return
    const things = [...new Set(this.waiting.map((it) => it.thing))].filter(
      (it) => !this.#busy.has(it) && !this.#waits(this.of(it)[0]!)
    )
    for (const thing of this.reached ? things : things.slice(0, 1)) void this.#line(thing)
  }

  /** Send what waits of one thing, one after another, until it is done or must wait. */
  async #line(thing: string): Promise<void> {
    let done = true
    for (let next = this.of(thing)[0]; next && done && !this.#waits(next); next = this.of(thing)[0]) {
      this.#busy.set(thing, next.id)
      done = await this.#deliver(next)
      if (this.reached && done && this.#failures) {
        this.#failures = 0
        this.#send()
      }
    }
    this.#busy.delete(thing)
    // What waited for it goes on.
    if (done && this.reached) this.#send()
    if (!done || (!this.reached && this.waiting.length)) this.#later()
  }

  #later(): void {
    clearTimeout(this.#timer)
    this.#timer = setTimeout(() => this.#send(), PAUSES_MS[Math.min(this.#failures, PAUSES_MS.length - 1)])
    this.#failures += 1
  }

  /** True when the letter is done with: taken, refused for good, or given up. */
  async #deliver(letter: Letter): Promise<boolean> {
    const asked = Date.now()
    const answer = await fetch(letter.path, {
      method: letter.method,
      headers: { 'content-type': 'application/json', 'libella-units': settings.units },
      ...(letter.body === null ? {} : { body: JSON.stringify(letter.body) })
    }).catch(() => null)
    if (answer) hear(answer, asked)
    this.reached = answer !== null && !NOBODY.has(answer.status) && !LATER.has(answer.status)
    this.stranger = answer?.status === 401
    if (answer && !NOBODY.has(answer.status)) net.heard()
    if (!this.reached) for (const it of this.waiting) this.#backlog.add(it.id)
    if (!this.reached && !this.stranger) void this.#stand()
    if (this.reached && answer && answer.status >= 500) {
      this.#stumbling.add(letter.thing)
      this.#send()
    } else if (this.reached) this.#stumbling.delete(letter.thing)
    if (!this.reached || !answer || answer.status >= 500) {
      if (letter.now) await this.#refuse(letter, answer ? problemOf(await body(answer), answer.status) : SILENT)
      return letter.now
    }
    if (answer.ok) await this.#take(letter, await body(answer))
    else await this.#refuse(letter, problemOf(await body(answer), answer.status))
    return true
  }

  async #take(letter: Letter, answer: unknown): Promise<void> {
    const taken = { ...letter, taken: true }
    if (letter.reading) {
      // Kept until a view has it from the server: a page that is loaded again without a network still shows it.
      this.confirmed = [...this.confirmed, taken]
      await this.#keep(taken)
    }
    // What is held is right before anybody is told: a view that goes on finds it so. What a view shows of a letter stays
    // until what it was answered, or what it changes, stands in its place.
    const renewed = () => renew(...letter.renews)
    if (letter.answers) await putAnswer(letter.answers, answer)
    else await renewed()
    this.#backlog.delete(letter.id)
    if (letter.reading) this.letters = this.letters.filter((it) => it.id !== letter.id)
    else await this.dismiss(letter.id)
    if (letter.answers) void renewed()
    for (const it of this.#waitersOf(letter)) it.took(answer)
  }

  async #refuse(letter: Letter, refused: Letter['refused'] & object): Promise<void> {
    const waiters = this.#waitersOf(letter)
    if (letter.now || waiters.some((it) => it.here())) await this.dismiss(letter.id)
    else {
      // Noted before it shows: what was seen refused is so after the page was closed, too.
      await this.#keep({ ...letter, refused })
      this.#backlog.delete(letter.id)
      this.letters = this.letters.map((it) => (it.id === letter.id ? { ...it, refused } : it))
    }
    for (const it of waiters) it.refused(new Refusal(refused))
  }

  /** Do something in this device's book. One that forbids storage still sends; it only can't remember across a closed page. */
  #noted<T>(change: (letters: Book['letters']) => PromiseLike<T>): Promise<T | undefined> {
    // One after another: closing takes its time, and a letter must not be noted after it was taken out.
    const done = this.#writing.then(async () => {
      try {
        return await change(this.#book.letters)
      } catch {
        this.#forgetful = true
        return undefined
      }
    })
    this.#writing = done
    return done
  }

  #waitersOf(letter: Letter): Waiter[] {
    const found = this.#waiters.get(letter.id) ?? []
    this.#waiters.delete(letter.id)
    return found
  }
}

/** Whether a write is about what another begins. */
const isAbout = (letter: Letter, begun: Letter): boolean =>
  Boolean(begun.stands?.blank && textOf(letter).includes(begun.stands.of))

const texts = new WeakMap<Letter, string>()
function textOf(letter: Letter): string {
  const text = texts.get(letter) ?? letter.path + JSON.stringify(letter.body)
  texts.set(letter, text)
  return text
}

/** What is written down holds no functions and no living state. */
const plain = (draft: Draft): unknown => JSON.parse(JSON.stringify(draft))
const body = (answer: Response): Promise<unknown> => answer.json().catch(() => null)

export const outbox = new Outbox()

/**
 * A putt that is not told to its end: what was noted of it so far, kept on this device until its last note is in.
 */
import type { Zone } from '$lib/drawing/zones'

export interface Pending {
  zone: Zone | null
  /** By note; empty text: skipped. In the order in which it was noted. */
  notes: Record<string, string | number>
}

const NOTHING: Pending = { zone: null, notes: {} }
const place = (block: string) => `libella.pending.${block}`

function kept(block: string): Pending {
  try {
    return (JSON.parse(localStorage.getItem(place(block)) ?? 'null') as Pending | null) ?? NOTHING
  } catch {
    return NOTHING
  }
}

/** The unfinished putt of a block. */
export class PendingPutt {
  #block = $state('')
  #value = $state.raw<Pending>(NOTHING)

  /** Turn to a block: what was left unfinished there stands again. */
  of(block: string | undefined): void {
    if (block === this.#block) return
    this.#block = block ?? ''
    this.#value = block ? kept(block) : NOTHING
  }
  get value(): Pending {
    return this.#value
  }
  get begun(): boolean {
    return this.#value.zone !== null || Object.keys(this.#value.notes).length > 0
  }
  set(value: Pending): void {
    this.#value = value
    try {
      if (this.begun) localStorage.setItem(place(this.#block), JSON.stringify(value))
      else localStorage.removeItem(place(this.#block))
    } catch {
      // A device that forbids storage forgets an unfinished putt when the page is closed; nothing else is lost.
    }
  }
  clear(): void {
    this.set(NOTHING)
  }
  /** Take the last step back: the newest note, or the reading. */
  back(isAfter: (note: string) => boolean): void {
    const names = Object.keys(this.#value.notes)
    const last = names.at(-1)
    if (this.#value.zone && (last === undefined || !isAfter(last))) this.set({ ...this.#value, zone: null })
    else if (last !== undefined) {
      const { [last]: _, ...notes } = this.#value.notes
      this.set({ ...this.#value, notes })
    }
  }
}

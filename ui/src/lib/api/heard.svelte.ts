/** What sensors told last, as long as this page stands. */
import type { LiveEvent } from './live.svelte'

export type HeardStroke = LiveEvent & { taken: boolean }

class Heard {
  #strokes = $state<Record<string, HeardStroke>>({})

  /** The newest tilt or still reading of each sensor. */
  moments = $state<Record<string, Record<string, number>>>({})

  /** The last stroke told in a lesson. */
  stroke(lesson: string): HeardStroke | undefined {
    return this.#strokes[lesson]
  }
  /** A stroke is told by several sensors: what they say of it stands together. */
  add(lesson: string, event: LiveEvent): void {
    const before = this.#strokes[lesson]
    const same = before?.at === event.at
    this.#strokes[lesson] = { ...event, sent: same ? { ...before?.sent, ...event.sent } : (event.sent ?? {}), taken: same ? (before?.taken ?? false) : false }
  }
  /** Its start was taken for a putt. */
  take(lesson: string): void {
    const before = this.#strokes[lesson]
    if (before) this.#strokes[lesson] = { ...before, taken: true }
  }
}

export const heard = new Heard()

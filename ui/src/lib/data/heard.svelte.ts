/** What sensors told last, as long as this page stands. */
import type { LiveEvent } from './live.svelte'

type HeardStroke = LiveEvent & { taken: boolean }

const MOMENT_MS = 6000

class Heard {
  #strokes = $state<Record<string, HeardStroke>>({})

  #ends: Record<string, ReturnType<typeof setTimeout>> = {}

  /** The newest tilt or still reading of each sensor that is not silent. */
  moments = $state<Record<string, Record<string, number>>>({})

  /** The last stroke told in a lesson. */
  stroke(lesson: string): HeardStroke | undefined {
    return this.#strokes[lesson]
  }
  /** A tilt or still reading: worth as long as a zero would take it, or a reading of long ago would pass for one of now. */
  moment(sensor: string, sent: Record<string, number>): void {
    clearTimeout(this.#ends[sensor])
    this.moments[sensor] = sent
    this.#ends[sensor] = setTimeout(() => delete this.moments[sensor], MOMENT_MS)
  }
  /** A stroke is told by several sensors: what they say of it stands together. */
  add(lesson: string, event: LiveEvent): void {
    const before = this.#strokes[lesson]
    const same = before?.at === event.at
    this.#strokes[lesson] = {
      ...event,
      sent: same ? { ...before?.sent, ...event.sent } : (event.sent ?? {}),
      taken: same ? (before?.taken ?? false) : false
    }
  }
  /** Its start was taken for a putt. */
  take(lesson: string): void {
    const before = this.#strokes[lesson]
    if (before) this.#strokes[lesson] = { ...before, taken: true }
  }
}

export const heard = new Heard()

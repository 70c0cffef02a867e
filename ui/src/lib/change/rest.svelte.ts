/** When it is time to straighten up: a minute in eight, while something is practised. */
const EVERY_MS = 8 * 60_000

export class Rest {
  #since = Date.now()
  due = $state(false)

  /** Something was done: the time for a rest may have come. */
  worked(): void {
    if (Date.now() - this.#since >= EVERY_MS) this.due = true
  }

  rested(): void {
    this.#since = Date.now()
    this.due = false
  }
}

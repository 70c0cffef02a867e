/**
 * What a coach has set, sent one after another: quick taps can't overtake each other, and the last one stands.
 *
 * `value` is what was set here and is not known to be kept yet; null when the server's own answer is the newest.
 */
export class Latest<T> {
  value = $state.raw<T | null>(null)
  error = $state.raw<unknown>(null)
  #sending = false
  readonly #send: (value: T) => Promise<unknown>

  constructor(send: (value: T) => Promise<unknown>) {
    this.#send = send
  }

  async set(value: T): Promise<void> {
    this.value = value
    if (this.#sending) return
    this.#sending = true
    this.error = null
    try {
      let sent: T | null = null
      while (this.value !== null && this.value !== sent) {
        sent = this.value
        await this.#send(sent)
      }
    } catch (problem) {
      this.error = problem
    } finally {
      this.#sending = false
      this.value = null
    }
  }
}

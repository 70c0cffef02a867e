let sending = 0
// A page closed or loaded anew now would lose what waits behind the one that is being sent: the browser asks first.
addEventListener('beforeunload', (event) => {
  if (sending) event.preventDefault()
})

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
    sending += 1
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
      sending -= 1
      this.value = null
    }
  }
}

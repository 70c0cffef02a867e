/** What matters most is asked of whoever gave the passphrase lately: else it is asked here, and then done. */
import { api, ask, Refusal } from '$lib/data/client'

const MISSING = 'urn:libella:problem:prove'

class Proof {
  /** Whether the passphrase is asked for now. */
  asked = $state(false)
  #answer: ((given: boolean) => void) | null = null

  /** Ask it; where the passphrase has to be given first it is asked for, and nothing is done where it is not given. */
  async before<T>(run: () => Parameters<typeof ask<T>>[0]): Promise<T> {
    try {
      return await ask(run())
    } catch (refused) {
      if (!(refused instanceof Refusal) || refused.problem.type !== MISSING) throw refused
      if (!(await this.#ask())) throw refused
      return ask(run())
    }
  }

  async give(passphrase: string): Promise<void> {
    await ask(api.PUT('/api/session/proof', { body: { passphrase } }))
    this.end(true)
  }

  end(given: boolean): void {
    this.asked = false
    this.#answer?.(given)
    this.#answer = null
  }

  #ask(): Promise<boolean> {
    this.end(false)
    this.asked = true
    return new Promise((answer) => (this.#answer = answer))
  }
}

export const proof = new Proof()

/** What is fetched in the morning for a day without a network. */
import { api, ask } from '$lib/data/client'
import { units } from '$lib/data/key'
import { keep, kept, settings } from '$lib/base/settings.svelte'
import { asking } from './asking'

const PLACE = 'day'
/** Fetched again after so long, while the network is there. */
const FRESH_MS = 3 * 3600 * 1000
/** Not at once: what the page shows comes first. */
const AFTER_MS = 4000
/** And again after this, while some of it did not come. */
const AGAIN_MS = 60_000
const AT_ONCE = 3
const TRIES = 4

class Day {
  /** When it was fetched whole, in the units in use; null: never. */
  at = $state<Date | null>(null)
  running = $state(false)
  done = $state(0)
  of = $state(0)
  /** So many were not answered. */
  missed = $state(0)

  constructor() {
    const { at, units: of } = JSON.parse(kept(PLACE, '{}')) as { at?: string; units?: string }
    if (at && of === settings.units) this.at = new Date(at)
  }

  /** Fetch it in a while, where it is not fresh and this device can open pages without a network. */
  soon(): () => void {
    let left = false
    void navigator.serviceWorker?.ready.then(async () => {
      // What did not come is asked for again by itself: nobody looks whether the day is there before it is needed.
      for (let pause = AFTER_MS; ; pause = AGAIN_MS) {
        await new Promise((later) => setTimeout(later, pause))
        if (left || (this.at && Date.now() - this.at.getTime() < FRESH_MS)) return
        await this.fetch()
      }
    })
    return () => (left = true)
  }

  async fetch(): Promise<void> {
    if (this.running) return
    this.running = true
    this.done = this.of = this.missed = 0
    try {
      void navigator.storage?.persist?.()
      const { asks } = await ask(api.GET('/api/away', { params: { query: units() } }))
      this.of = asks.length
      const left = [...asks]
      const one = async () => {
        for (let it = left.shift(); it; it = left.shift()) {
          if (!(await fetched(it.address, it.body))) this.missed += 1
          this.done += 1
        }
      }
      await Promise.all(Array.from({ length: AT_ONCE }, one))
      if (!this.missed) {
        this.at = new Date()
        keep(PLACE, JSON.stringify({ at: this.at.toISOString(), units: settings.units }))
      }
    } catch {
      this.missed += 1
    } finally {
      this.running = false
    }
  }
}

/** Ask, and have the answer kept; a server that is asked too much at once, or does not answer, is given time. */
async function fetched(address: string, body: unknown): Promise<boolean> {
  const init = body === null || body === undefined ? {} : { method: 'POST', body: JSON.stringify(body) }
  const headers = { 'content-type': 'application/json', 'libella-units': settings.units }
  for (let tries = 0; tries < TRIES; tries += 1) {
    try {
      const answer = await asking(new Request(new URL(address, location.href), { ...init, headers }), false)
      if (answer.ok || (answer.status !== 429 && answer.status < 500)) return answer.ok
    } catch {
      // Nobody answered: a connection that was kept open may just have been closed.
    }
    await new Promise((again) => setTimeout(again, 5000 * (tries + 1)))
  }
  return false
}

export const day = new Day()

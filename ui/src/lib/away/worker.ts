/** The service worker as pages speak to it: it holds the open key while pages come and go, and brings a new version. */
import { Workbox } from 'workbox-window'

/** Nothing is asked of a worker longer than this: one that was just ended answers nothing. */
const PATIENCE_MS = 1500
const RUN = 'libella.run'

/** Ask the worker for something it holds; null where there is none, or it holds nothing. */
export async function askWorker<T>(what: string): Promise<T | null> {
  const worker = globalThis.navigator?.serviceWorker?.controller
  if (!worker) return null
  const { port1, port2 } = new MessageChannel()
  return new Promise((told) => {
    const late = setTimeout(() => told(null), PATIENCE_MS)
    port1.onmessage = ({ data }) => {
      clearTimeout(late)
      told(data as T | null)
    }
    worker.postMessage({ what }, [port2])
  })
}

export function tellWorker(what: string, it?: unknown): void {
  globalThis.navigator?.serviceWorker?.controller?.postMessage({ what, it })
}

/**
 * Have the pages at hand without a network from now on. A new version waits until no page has a run open; then it takes over,
 * and `renewed` is called: the next page that is turned to is loaded anew.
 */
export function atHand(renewed: () => void): void {
  if (!('serviceWorker' in navigator)) return
  const bringer = new Workbox('/service-worker.js')
  const over = () =>
    void navigator.locks.request(RUN, { ifAvailable: true }, (free) => {
      if (free) bringer.messageSkipWaiting()
      else setTimeout(over, 10_000)
    })
  bringer.addEventListener('waiting', over)
  bringer.addEventListener('controlling', (event) => event.isUpdate && renewed())
  // Where the browser does not trust the certificate there is no worker: everything works while the network is there.
  bringer.register().catch(() => undefined)
}

/** While this stands a run is open: no new version takes over. What it returns ends it. */
export function runOpen(): () => void {
  let end: () => void = () => undefined
  const over = new Promise<void>((done) => (end = done))
  void globalThis.navigator?.locks?.request(RUN, { mode: 'shared' }, () => over)
  return end
}

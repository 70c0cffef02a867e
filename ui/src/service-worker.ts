/// <reference lib="webworker" />
/** The service worker: the program itself without a network, and the open key while pages come and go. */
import { cleanupOutdatedCaches, createHandlerBoundToURL, precacheAndRoute } from 'workbox-precaching'
import { NavigationRoute, registerRoute } from 'workbox-routing'

declare const self: ServiceWorkerGlobalScope & { __WB_MANIFEST: { url: string; revision: string | null }[] }

precacheAndRoute(self.__WB_MANIFEST)
cleanupOutdatedCaches()
// The page finds its own way; what is asked of the server, files and sockets too, goes there.
registerRoute(new NavigationRoute(createHandlerBoundToURL('/index.html'), { denylist: [/^\/api\//] }))

// In memory alone: with the browser it is gone.
let key: unknown = null

self.addEventListener('message', (event) => {
  const { what, type, it } = event.data as { what?: string; type?: string; it?: unknown }
  if (what === 'hold') key = it
  if (what === 'forget') key = null
  if (what === 'key') event.ports[0]?.postMessage(key)
  if (type === 'SKIP_WAITING') void self.skipWaiting()
})
// The first page that brought it is served by it at once.
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()))

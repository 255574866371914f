import { clientsClaim } from 'workbox-core'
import { cleanupOutdatedCaches, createHandlerBoundToURL, precacheAndRoute } from 'workbox-precaching'
import { NavigationRoute, registerRoute } from 'workbox-routing'
import { CacheFirst } from 'workbox-strategies'
import { FETCH_LATER, TAKE_OVER } from './messages'
import type { ShellFile } from './shell-file'

declare const self: ServiceWorkerGlobalScope
declare const SHELL_FIRST: ShellFile[]
declare const SHELL_LATER: string[]

/** Answers, the server's own files and a customer's page are not of the shell. */
const NOT_OURS = [/^\/api\//, /^\/s\//]
const LATER_CACHE = 'eldrin-later'
const later = new Set(SHELL_LATER)

precacheAndRoute(SHELL_FIRST)
cleanupOutdatedCaches()
registerRoute(new NavigationRoute(createHandlerBoundToURL('/'), { denylist: NOT_OURS }))
registerRoute(({ url }) => later.has(url.pathname), new CacheFirst({ cacheName: LATER_CACHE }))
// The page that fetched the first shell goes on with it, signal or not.
clientsClaim()

self.addEventListener('message', event => {
  if (event.data === TAKE_OVER) void self.skipWaiting()
  if (event.data === FETCH_LATER) event.waitUntil(fetchLater())
})

/** Fetches what is not there yet, one after another, and lets go of what belongs to another version. */
async function fetchLater(): Promise<void> {
  const cache = await caches.open(LATER_CACHE)
  const kept = new Set<string>()
  for (const request of await cache.keys()) {
    const { pathname } = new URL(request.url)
    if (later.has(pathname)) kept.add(pathname)
    else await cache.delete(request)
  }
  for (const url of SHELL_LATER) if (!kept.has(url)) await cache.add(url)
}

/// <reference lib="webworker" />
import { CacheableResponsePlugin } from 'workbox-cacheable-response'
import type { WorkboxPlugin } from 'workbox-core'
import { ExpirationPlugin } from 'workbox-expiration'
import { cleanupOutdatedCaches, matchPrecache, precacheAndRoute } from 'workbox-precaching'
import { registerRoute, setCatchHandler, setDefaultHandler } from 'workbox-routing'
import { NetworkFirst, NetworkOnly } from 'workbox-strategies'
import { keptAtText } from './copy'
import { AT_WALL, DATA, isKept, PAGES } from './kept'

declare const self: ServiceWorkerGlobalScope & {
  readonly __WB_MANIFEST: { url: string; revision: string | null }[]
}

precacheAndRoute(self.__WB_MANIFEST, { cleanURLs: false, directoryIndex: '' })
cleanupOutdatedCaches()

const ANSWER_WITHIN_S = 4
// a redirect (to sign in) is no page of a wall; the cast is for exactOptionalPropertyTypes
const plugins = () =>
  [
    new CacheableResponsePlugin({ statuses: [200] }),
    new ExpirationPlugin({ maxEntries: 300, purgeOnQuotaError: true }),
  ] as WorkboxPlugin[]

const madeAt = (kept: Response) => keptAtText(new Date(kept.headers.get('date') ?? Date.now()), new Date())

/** A page that was kept says so from its first paint, and since when. */
async function labeled(kept: Response): Promise<Response> {
  const headers = new Headers(kept.headers)
  for (const name of ['content-encoding', 'content-length']) headers.delete(name)
  const text = (await kept.text()).replace('<body', `<body data-kept="${madeAt(kept)}"`)
  return new Response(text, { status: kept.status, statusText: kept.statusText, headers })
}
const saysSo: WorkboxPlugin = {
  cachedResponseWillBeUsed: async ({ cachedResponse }) => cachedResponse && labeled(cachedResponse),
}
/** What a page asked for was kept before: it is told. */
const tellsThePage: WorkboxPlugin = {
  cachedResponseWillBeUsed: async ({ cachedResponse, event, request }) => {
    const { clientId } = event as FetchEvent
    const page = cachedResponse && clientId ? await self.clients.get(clientId) : undefined
    if (cachedResponse)
      page?.postMessage({ type: 'KEPT', at: madeAt(cachedResponse), path: new URL(request.url).pathname })
    return cachedResponse
  },
}

// A page is kept as it came: its policy in the header and the nonces in its text agree.
registerRoute(
  ({ request, url, sameOrigin }) => sameOrigin && request.mode === 'navigate' && isKept(url.pathname),
  new NetworkFirst({
    cacheName: PAGES,
    networkTimeoutSeconds: ANSWER_WITHIN_S,
    matchOptions: { ignoreVary: true, ignoreSearch: true },
    plugins: [...plugins(), saysSo],
  }),
)
// what moves between the pages of a wall ask for
registerRoute(
  ({ url, sameOrigin }) => sameOrigin && url.pathname.endsWith('.data') && isKept(url.pathname.slice(0, -5)),
  new NetworkFirst({
    cacheName: DATA,
    networkTimeoutSeconds: ANSWER_WITHIN_S,
    matchOptions: { ignoreVary: true },
    plugins: [...plugins(), tellsThePage],
  }),
)
// A page of a newer build, seen while this worker still serves: its parts lie in the waiting worker's store.
registerRoute(
  ({ url, sameOrigin }) => sameOrigin && url.pathname.startsWith('/assets/'),
  async ({ request }) => (await caches.match(request)) ?? fetch(request),
)
// without it the catch handler never sees what matched no route
setDefaultHandler(new NetworkOnly())
setCatchHandler(async ({ request }) =>
  request.mode === 'navigate'
    ? ((await matchPrecache('/offline.html')) ?? Response.error())
    : Response.error(),
)

/** Fetches pages and keeps them; what can't be had is left as it was. */
async function keep(urls: readonly string[]): Promise<void> {
  const pages = await caches.open(PAGES)
  for (const url of urls) {
    const answer = await fetch(url, { headers: { accept: 'text/html' } }).catch(() => null)
    if (answer?.ok && !answer.redirected) await pages.put(url, answer)
  }
}

self.addEventListener('message', (event: ExtendableMessageEvent) => {
  const { type, wall } = (event.data ?? {}) as { type?: string; wall?: string }
  if (type === 'SKIP_WAITING') void self.skipWaiting()
  if (type === 'KEEP' && wall)
    event.waitUntil(
      keep(AT_WALL.map((stage) => `${wall}/${stage}`)).then(() => event.ports[0]?.postMessage('kept')),
    )
})

// Pages of the old build point at parts that are gone: each is taken anew.
self.addEventListener('activate', (event: ExtendableEvent) => {
  event.waitUntil(
    (async () => {
      await self.clients.claim()
      const pages = await caches.open(PAGES)
      for (const request of await pages.keys()) {
        const answer = await fetch(request.url).catch(() => null)
        if (answer?.ok && !answer.redirected) await pages.put(request, answer)
        else if (answer) await pages.delete(request)
      }
      await caches.delete(DATA)
    })(),
  )
})

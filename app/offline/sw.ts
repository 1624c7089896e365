/// <reference lib="webworker" />
import { CacheableResponsePlugin } from 'workbox-cacheable-response'
import type { WorkboxPlugin } from 'workbox-core'
import { ExpirationPlugin } from 'workbox-expiration'
import { cleanupOutdatedCaches, precacheAndRoute } from 'workbox-precaching'
import { registerRoute, setCatchHandler, setDefaultHandler } from 'workbox-routing'
import { NetworkFirst, NetworkOnly } from 'workbox-strategies'
import { keptAtText } from './copy'
import { AT_WALL, DATA, isKept, isKeptStage, PAGES, wallOf } from './kept'
import { type KeptPage, keptPage, startPage } from './startPage'

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
  ({ url, sameOrigin }) =>
    sameOrigin && url.pathname.endsWith('.data') && isKeptStage(url.pathname.slice(0, -5)),
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
  request.mode === 'navigate' ? start(new URL(request.url)) : Response.error(),
)

/** What is kept on this device. Of a wall one stage is read: the others are known by their place. */
async function allKept(): Promise<KeptPage[]> {
  const pages = await caches.open(PAGES)
  const kept: KeptPage[] = []
  const walls = new Set<string>()
  for (const request of await pages.keys()) {
    const { pathname } = new URL(request.url)
    const answer = isKept(pathname) ? await pages.match(request) : undefined
    if (!answer) continue
    const wall = wallOf(pathname)
    const isRead = wall === null || !walls.has(wall)
    if (wall !== null) walls.add(wall)
    kept.push(keptPage(pathname, isRead ? await answer.text() : '', madeAt(answer)))
  }
  return kept
}

/** Without the server, where nothing is kept of what was asked for: what is kept, and how old it is. */
async function start({ pathname, search }: URL): Promise<Response> {
  const headers = {
    'content-type': 'text/html; charset=utf-8',
    'cache-control': 'no-store',
    'content-security-policy': "default-src 'none'; style-src 'unsafe-inline'; img-src 'self'",
  }
  return new Response(startPage(`${pathname}${search}`, await allKept()), { headers })
}

/** Fetches pages and keeps them; what can't be had is left as it was. How many were had, and how much they take. */
async function keep(urls: readonly string[]): Promise<{ pages: number; bytes: number }> {
  const pages = await caches.open(PAGES)
  const had = { pages: 0, bytes: 0 }
  for (const url of urls) {
    const answer = await fetch(url, { headers: { accept: 'text/html' } }).catch(() => null)
    if (!answer?.ok || answer.redirected) continue
    had.bytes += (await answer.clone().blob()).size
    had.pages += 1
    await pages.put(url, answer)
  }
  return had
}

self.addEventListener('message', (event: ExtendableMessageEvent) => {
  const { type, wall, urls = [] } = (event.data ?? {}) as { type?: string; wall?: string; urls?: string[] }
  if (type === 'SKIP_WAITING') void self.skipWaiting()
  if (type === 'KEEP_PAGES')
    event.waitUntil(keep(urls.filter(isKept)).then((had) => event.ports[0]?.postMessage(had)))
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

import { messageSW, Workbox } from 'workbox-window'
import { createStore } from 'zustand/vanilla'
import { copy } from './copy'
import { AT_WALL, DATA, keptAs, PAGES, wallOf } from './kept'
import { newer, wallCameKept } from './news'

/** What the page knows of its worker: whether this wall is kept, and how to take a newer build that waits. */
export const offline = createStore<{ readonly kept: string | null; readonly take: (() => void) | null }>(
  () => ({
    kept: null,
    take: null,
  }),
)

let worker: Workbox | null = null

/** Keeps the stages of the wall whose page is open; told when they are there. */
export async function keepWall(pathname: string): Promise<void> {
  const wall = wallOf(pathname)
  if (!worker || !wall || offline.getState().kept === wall) return
  // whoever serves the pages by now: one that another page had begun to install is none this page's helper knows of
  const { active } = await navigator.serviceWorker.ready
  if (!active) return
  const said: unknown = await messageSW(active, { type: 'KEEP', wall })
  if (said === 'kept') offline.setState({ kept: wall })
}

/** How far taking a job along is: walls and pages of it that are kept, of all, and how much they take. */
export interface TakenAlong {
  readonly done: number
  readonly all: number
  readonly bytes: number
  /** Pages that could not be had. */
  readonly missing: number
}

/**
 * Keeps every stage of these walls, then these pages, for when the server is away; told after each how far it is. Null where this browser
 * keeps nothing. Ends early where `isOver` says so.
 */
export async function takeAlong(
  walls: readonly string[],
  pages: readonly string[],
  closed: readonly string[],
  tell: (so: TakenAlong) => void,
  isOver: () => boolean,
): Promise<TakenAlong | null> {
  const active = worker ? (await navigator.serviceWorker.ready).active : null
  if (!active) return null
  const stages = AT_WALL.filter((stage) => !closed.includes(stage))
  const lots = [
    ...walls.map((wall) => stages.map((stage) => `${wall}/${stage}`)),
    ...pages.map((page) => [page]),
  ]
  let so: TakenAlong = { done: 0, all: lots.length, bytes: 0, missing: 0 }
  for (const urls of lots) {
    if (isOver()) break
    const had = (await messageSW(active, { type: 'KEEP_PAGES', urls })) as { pages: number; bytes: number }
    so = {
      ...so,
      done: so.done + 1,
      bytes: so.bytes + had.bytes,
      missing: so.missing + urls.length - had.pages,
    }
    tell(so)
  }
  return so
}

/** Not at every press: once it has been quiet for so long. */
const KEEP_AGAIN_MS = 6_000
let again: ReturnType<typeof setTimeout> | null = null

/** Something of the open wall was saved: what is kept of it is taken anew, once it has been quiet. */
export function wallChanged(): void {
  if (!worker || !wallOf(location.pathname)) return
  if (again) clearTimeout(again)
  again = setTimeout(() => {
    offline.setState({ kept: null })
    void keepWall(location.pathname).catch(() => undefined)
  }, KEEP_AGAIN_MS)
}

/** Forgets all pages that are kept: whoever signs out leaves nothing behind. */
export function forgetPages(): void {
  if (typeof caches === 'undefined') return
  for (const name of [PAGES, DATA]) void caches.delete(name).catch(() => undefined)
}

/** Registers the worker where there can be one: not on plain http on a network, not while developing. */
export function registerWorker(): void {
  if (import.meta.env.DEV) return
  // without a worker a newer page comes by loading it
  const loadAnew = () =>
    newer.subscribe(({ isThere }) => offline.setState({ take: isThere ? () => location.reload() : null }))
  if (!('serviceWorker' in navigator)) {
    loadAnew()
    return
  }
  navigator.serviceWorker.addEventListener(
    'message',
    ({ data }: MessageEvent<{ type?: string; at?: string; path?: string }>) => {
      const wall = data.type === 'KEPT' ? wallOf(data.path ?? '') : null
      if (wall && data.at !== undefined) wallCameKept(wall, data.at)
    },
  )
  // the page itself may have come so
  const [own, { at }] = [keptAs(location.pathname), copy.getState()]
  if (own && at !== null) wallCameKept(own, at)
  const made = new Workbox('/sw.js', { scope: '/' })
  made.addEventListener('waiting', () =>
    offline.setState({
      take: () => {
        made.addEventListener('controlling', () => location.reload())
        made.messageSkipWaiting()
      },
    }),
  )
  // a page that is open learns of a newer build by the news: its worker is fetched then, and waits
  newer.subscribe(({ isThere }) => {
    if (isThere) void made.update().catch(() => undefined)
  })
  made.register().then(
    () => {
      worker = made
      void keepWall(location.pathname)
    },
    () => void loadAnew(),
  )
}

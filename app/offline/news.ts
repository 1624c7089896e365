import { createStore } from 'zustand/vanilla'
import { copy, isAway, isFresh, isKeptFrom } from './copy'

/** How often the server is asked whether anything was saved, while the page is in view. */
const ASK_EVERY_MS = 4_000
const ANSWER_WITHIN_MS = 15_000

/** Brings what is shown up to what the server has; false where it could not yet, and is to be asked again. */
type Bring = () => Promise<boolean>

interface Listener {
  /** The news it was last brought up to: null where it was not yet, `new` where the server itself just brought it. */
  seen: string | null
  /** The wall it shows, by its path; null of what is never kept. */
  readonly wall: string | null
}
const listeners = new Map<Bring, Listener>()
const NEW = 'new'
/** Walls whose figures came from this device and were not compared since: when they were kept, by the wall's path. */
const cameKept = new Map<string, string>()
let known: string | null = null
let asking = false
let timer: ReturnType<typeof setInterval> | null = null

/** Whether the server serves a newer build than the one this page is of. */
export const newer = createStore<{ readonly isThere: boolean }>(() => ({ isThere: false }))

function compareBuild(served: string | undefined): void {
  const own = document.documentElement.dataset.build
  const isThere = Boolean(served) && Boolean(own) && served !== own
  if (newer.getState().isThere !== isThere) newer.setState({ isThere })
}

async function newsNow(): Promise<string | null> {
  try {
    const answer = await fetch('/news', { cache: 'no-store', signal: AbortSignal.timeout(ANSWER_WITHIN_MS) })
    if (!answer.ok || answer.redirected) return null
    const { news, build } = (await answer.json()) as { news: string; build?: string }
    compareBuild(build)
    return news
  } catch {
    return null
  }
}

/** Asks once: what has changed is brought by all that listen, and a kept copy is one no more when they are through. */
export async function askForNews(): Promise<void> {
  if (asking) return
  asking = true
  try {
    const news = await newsNow()
    if (news === null) return isAway()
    for (const each of listeners.values()) if (each.seen === NEW) each.seen = news
    const behind = [...listeners].filter(([, { seen }]) => seen !== news)
    if (behind.length > 0 && copy.getState().state === 'away') copy.setState({ state: 'checking' })
    await Promise.all(
      behind.map(async ([bring, each]) => {
        if (!(await bring().catch(() => false))) return
        each.seen = news
        if (each.wall !== null) cameKept.delete(each.wall)
      }),
    )
    known = news
    compared(news)
  } finally {
    asking = false
  }
}

/** A copy is one until the wall that is shown was compared: whatever else was brought up says nothing of it. */
function compared(news: string): void {
  const walls = [...listeners.values()].filter(({ wall }) => wall !== null)
  if (walls.length > 0 && walls.every(({ seen }) => seen === news)) isFresh()
}

/** The figures of a wall came from this device. What shows them may be there already, or be about to come. */
export function wallCameKept(wall: string, at: string): void {
  cameKept.set(wall, at)
  for (const each of listeners.values())
    if (each.wall === wall) {
      each.seen = null
      isKeptFrom(at)
    }
  void askForNews()
}

function shown(): void {
  if (document.visibilityState === 'visible') void askForNews()
}

/** How something listens. */
interface Listening {
  /** The server itself just brought what is shown: it is looked at only after the next change. */
  readonly isNew?: boolean
  /** The wall or page that is shown, by its path: it may be a kept copy. */
  readonly wall?: string | null
}

/** Listens for what others save, as long as the page is open. A wall that came kept is a copy from here on. Returns what ends it. */
export function listenToNews(bring: Bring, { isNew = false, wall = null }: Listening = {}): () => void {
  const at = wall === null ? undefined : cameKept.get(wall)
  listeners.set(bring, { seen: isNew && at === undefined ? (known ?? NEW) : null, wall })
  if (at !== undefined) isKeptFrom(at)
  if (timer === null) {
    timer = setInterval(shown, ASK_EVERY_MS)
    document.addEventListener('visibilitychange', shown)
    window.addEventListener('online', shown)
  }
  // once everything that begins with the page has begun to listen
  setTimeout(shown, 0)
  return () => {
    listeners.delete(bring)
    // the copy goes with its page; where it comes up again it is one again
    if (wall !== null) isFresh()
    if (listeners.size > 0 || timer === null) return
    clearInterval(timer)
    timer = null
    document.removeEventListener('visibilitychange', shown)
    window.removeEventListener('online', shown)
  }
}

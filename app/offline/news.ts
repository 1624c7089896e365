import { createStore } from 'zustand/vanilla'
import { copy, isAway, isFresh } from './copy'

/** How often the server is asked whether anything was saved, while the page is in view. */
const ASK_EVERY_MS = 4_000
const ANSWER_WITHIN_MS = 15_000

/** Brings what is shown up to what the server has; false where it could not yet, and is to be asked again. */
type Bring = () => Promise<boolean>

/** Who listens, and the news it was last brought up to: null where it was not yet, `new` where the server itself just brought it. */
const listeners = new Map<Bring, string | null>()
const NEW = 'new'
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
    for (const [bring, seen] of listeners) if (seen === NEW) listeners.set(bring, news)
    const behind = [...listeners].filter(([, seen]) => seen !== news)
    if (behind.length > 0 && copy.getState().state === 'away') copy.setState({ state: 'checking' })
    const brought = await Promise.all(
      behind.map(async ([bring]) => {
        const isBrought = await bring().catch(() => false)
        if (isBrought && listeners.has(bring)) listeners.set(bring, news)
        return isBrought
      }),
    )
    known = news
    if (brought.every(Boolean)) isFresh()
  } finally {
    asking = false
  }
}

/** What is shown came from this device: whoever listens has to look. */
export function lookAgain(): void {
  for (const bring of listeners.keys()) listeners.set(bring, null)
  void askForNews()
}

function shown(): void {
  if (document.visibilityState === 'visible') void askForNews()
}

/**
 * Listens for what others save, as long as the page is open. What was just brought by the server itself (`isNew`) is looked at only after the
 * next change. Returns what ends it.
 */
export function listenToNews(bring: Bring, isNew = false): () => void {
  listeners.set(bring, isNew ? (known ?? NEW) : null)
  if (timer === null) {
    timer = setInterval(shown, ASK_EVERY_MS)
    document.addEventListener('visibilitychange', shown)
    window.addEventListener('online', shown)
  }
  // once everything that begins with the page has begun to listen
  setTimeout(shown, 0)
  return () => {
    listeners.delete(bring)
    if (listeners.size > 0 || timer === null) return
    clearInterval(timer)
    timer = null
    document.removeEventListener('visibilitychange', shown)
    window.removeEventListener('online', shown)
  }
}

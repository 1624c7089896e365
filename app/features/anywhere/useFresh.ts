import { useCallback, useEffect, useRef, useState } from 'react'
import { useFetcher, useLocation } from 'react-router'
import { sameValue } from '~/model'
import { isKept } from '~/offline/kept'
import { addressOf, failedAt, showing } from './lastShown'
import { listenToNews } from '~/offline/news'

/** A page that takes longer than this to draw what came is compared all the same. */
const DRAWN_WITHIN_MS = 5_000

/**
 * What a page shows, kept up with what others save: `loaded` is what it came with. It is brought beside the page, so that what a form of it was
 * answered stays. What says the same is the same thing: nothing that hangs on it is worked out anew, unless parts of it come later (`inParts`).
 */
export function useFresh<T extends object>(loaded: T, inParts = false): readonly [T, () => Promise<void>] {
  const { pathname, search } = useLocation()
  const address = addressOf(pathname, search)
  const { load, data: brought } = useFetcher<T>({ key: `fresh ${address}` })
  const bring = useCallback(() => load(address), [load, address])
  const shown = useRef<(() => void) | null>(null)
  useEffect(() => {
    shown.current?.()
    shown.current = null
  }, [brought])
  useEffect(
    () =>
      listenToNews(
        async () => {
          const before = failedAt(address)
          const isShown = new Promise<void>((done) => (shown.current = done))
          await bring()
          if (failedAt(address) !== before) return false
          // what came is drawn a moment later: until then the page shows what it had, and must not pass for compared
          await Promise.race([isShown, new Promise((done) => setTimeout(done, DRAWN_WITHIN_MS))])
          return true
        },
        { isNew: true, wall: isKept(pathname) ? pathname : null },
      ),
    [bring, address, pathname],
  )
  const data = useSame(useNewer(loaded, brought as T | undefined), inParts)
  useEffect(() => showing(address, data), [address, data])
  return [data, bring]
}

/** Of what a page came with and what was brought since, whichever came last. */
function useNewer<T>(loaded: T, brought: T | undefined): T {
  const [last, setLast] = useState({ loaded, brought, data: loaded })
  if (last.loaded === loaded && last.brought === brought) return last.data
  const data =
    brought !== undefined && brought !== last.brought ? brought : last.loaded === loaded ? last.data : loaded
  setLast({ loaded, brought, data })
  return data
}

/** What is said anew, with those of its parts that say what they said before: what hangs on one of them is not worked out anew. */
function useSame<T extends object>(value: T, never: boolean): T {
  const [kept, setKept] = useState(value)
  if (kept === value || never) return value
  const shared = withSameParts(kept, value)
  if (shared !== kept) setKept(shared)
  return shared
}

/** `now` with the parts of `before` that are of the same value; `before` itself where all are. */
export function withSameParts<T extends object>(before: T, now: T): T {
  const known = new Map(Object.entries(before))
  const parts = Object.entries(now).map(
    ([key, part]) => [key, sameValue(known.get(key), part) ? known.get(key) : part] as const,
  )
  if (parts.length === known.size && parts.every(([key, part]) => known.has(key) && known.get(key) === part))
    return before
  return Object.fromEntries(parts) as T
}

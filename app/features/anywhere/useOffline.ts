import { useEffect } from 'react'
import { useStore } from 'zustand'
import { sendWaiting } from '~/editor/saving/browserSaver'
import { inHand } from '~/offline/inHand'
import { keepWall, offline } from '~/offline/register'

/** Not before the page is up: what is kept for later never holds up what is looked at now. */
const AFTER_MS = 2_500

/** Keeps the wall that is open for when the server is away, sends what waits wherever it was done, and tells of a newer build. */
export function useOffline(pathname: string): (() => void) | null {
  useEffect(() => {
    // whoever has just come in has perhaps left something here
    sendWaiting()
    const timer = setTimeout(() => void keepWall(pathname).catch(() => undefined), AFTER_MS)
    return () => clearTimeout(timer)
  }, [pathname])
  useEffect(() => {
    const shown = () => {
      if (document.visibilityState === 'visible') sendWaiting()
    }
    window.addEventListener('online', sendWaiting)
    document.addEventListener('visibilitychange', shown)
    return () => {
      window.removeEventListener('online', sendWaiting)
      document.removeEventListener('visibilitychange', shown)
    }
  }, [])
  const take = useStore(offline, (state) => state.take)
  // never while something here is not sent: it would have to wait for the next visit
  const isHeld = useStore(inHand, ({ some }) => some)
  return isHeld ? null : take
}

import { useEffect } from 'react'
import { useLocation, useRevalidator } from 'react-router'
import { styled } from 'styled-components'
import { useStore } from 'zustand'
import { copyText } from '~/messages'
import { copy } from '~/offline/copy'
import { listenToNews } from '~/offline/news'
import { keptBand } from '~/ui/keptBand'

const Band = styled.p`
  ${keptBand}
`

/**
 * Pages that show what the server said as they were opened, and that hold nothing of their own: asked for anew they would drop what a form of
 * theirs was answered.
 */
const ASKED_ANEW = /^\/jobs\/[^/]+\/(boards|boards\/list|supplies|work|work\/today|log)$/

/** Those pages are brought up to what others save. */
function useOthersSaved(): void {
  const { pathname } = useLocation()
  const { revalidate } = useRevalidator()
  useEffect(() => {
    if (!ASKED_ANEW.test(pathname)) return
    const bring = async () => {
      await revalidate()
      return true
    }
    return listenToNews(bring, { isNew: true })
  }, [pathname, revalidate])
}

/** A copy that this device kept says so, until it was compared with what the server has. */
export function KeptBand() {
  useOthersSaved()
  const shown = useStore(copy)
  useEffect(() => {
    // from here on this says what the page's own first paint said
    if (shown.state !== 'fresh') delete document.body.dataset.kept
  }, [shown.state])
  return shown.state === 'fresh' ? null : (
    <Band role="status" data-kept-band={shown.state}>
      {copyText(shown)}
    </Band>
  )
}

import { useEffect, useRef, useState } from 'react'
import { UNSAFE_PortalProvider } from 'react-aria'
import { useLocation, useNavigate } from 'react-router'
import { anywhereText } from '~/messages'
import { AnywhereContext, type AnywhereSheet } from '~/ui/anywhere'
import { useFocusKept } from '~/ui/useFocusKept'
import { useKept } from '~/ui/useKept'
import { FindSheet } from './FindSheet'
import { KeptBand } from './KeptBand'
import { OthersBand } from './OthersBand'
import { NewBuild } from './NewBuild'
import { KeysSheet } from './KeysSheet'
import { useOffline } from './useOffline'

const STAGES = ['measure', 'layout', 'mark', 'cut', 'buy', 'fit', 'finish', 'log']

function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName))
  )
}

/** What every page has: search and keys by a press or a key, and a focus that is never lost. */
export function Anywhere({ children }: { children: React.ReactNode }) {
  const [sheet, setSheet] = useState<AnywhereSheet | null>(null)
  const [{ singles }, keep] = useKept('regla keys', { singles: true })
  const opened = useRef<HTMLElement>(null)
  const navigate = useNavigate()
  const { pathname } = useLocation()
  useFocusKept(pathname)
  const takeBuild = useOffline(pathname)
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'k') {
        event.preventDefault()
        setSheet('find')
        return
      }
      const plain = !event.ctrlKey && !event.metaKey && !event.altKey
      // a sheet or a popover that is open has the keys to itself
      if (
        !singles ||
        !plain ||
        isTyping(event.target) ||
        document.querySelector('[role=dialog],[role=listbox]')
      )
        return
      if (event.key === '/' || event.key === '?') {
        event.preventDefault()
        setSheet(event.key === '/' ? 'find' : 'keys')
        return
      }
      const wall = /^\/jobs\/[^/]+\/walls\/[^/]+(?=\/)/.exec(pathname)
      const stage = STAGES[Number(event.key) - 1]
      if (wall && stage) void navigate(`${wall[0]}/${stage}`)
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  }, [singles, navigate, pathname])
  const close = () => setSheet(null)
  return (
    <AnywhereContext value={setSheet}>
      <UNSAFE_PortalProvider getContainer={() => opened.current}>
        <KeptBand />
        <OthersBand />
        {takeBuild ? <NewBuild onTake={takeBuild} /> : null}
        {children}
        <FindSheet open={sheet === 'find'} onClose={close} />
        <KeysSheet
          open={sheet === 'keys'}
          onClose={close}
          singles={singles}
          setSingles={(next) => keep({ singles: next })}
        />
      </UNSAFE_PortalProvider>
      {/* what opens over the page has a part of the page to be in */}
      <aside ref={opened} data-opened aria-label={anywhereText.opened} />
    </AnywhereContext>
  )
}

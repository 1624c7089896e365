import { useEffect } from 'react'
import { styled } from 'styled-components'
import { useStore } from 'zustand'
import { copyText } from '~/messages'
import { copy } from '~/offline/copy'
import { keptBand } from '~/ui/keptBand'

const Band = styled.p`
  ${keptBand}
`

/** A copy that this device kept says so, until it was compared with what the server has. */
export function KeptBand() {
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

import { useEffect, useState } from 'react'
import { useLocation } from 'react-router'
import { styled } from 'styled-components'
import type { OthersWaiting } from '~/editor/saving/actQueue'
import { othersWaiting, takeOver } from '~/editor/saving/browserSaver'
import { savingText } from '~/messages'
import { memberHere } from '~/editor/saving/member'
import { Button } from '~/ui/Button'
import { keptBand } from '~/ui/keptBand'

const Band = styled.p`
  ${keptBand}
`

/** What somebody else did on this device before it could be sent: it waits for them, or is taken over. */
export function OthersBand() {
  const { pathname } = useLocation()
  const [waiting, setWaiting] = useState<readonly OthersWaiting[]>([])
  const look = () => void othersWaiting().then(setWaiting, () => undefined)
  useEffect(look, [pathname])
  // where nobody is in there is nobody to take it over
  const me = waiting.length > 0 ? memberHere() : null
  return (
    <>
      {waiting.map(({ member, count }) => (
        <Band key={member.id} role="status" data-others-waiting={member.id}>
          {savingText.othersWait(member.name, count)}{' '}
          {me ? (
            <Button onPress={() => void takeOver(member.id).then(() => location.reload())}>
              {savingText.takeOver(me.name)}
            </Button>
          ) : null}
        </Band>
      ))}
    </>
  )
}

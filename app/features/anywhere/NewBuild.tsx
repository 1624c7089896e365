import { styled } from 'styled-components'
import { logText } from '~/messages'
import { Button } from '~/ui/Button'
import { space } from '~/ui/theme'

const Note = styled.div`
  position: fixed;
  z-index: 9;
  right: ${space.m};
  bottom: 96px;
  display: flex;
  align-items: center;
  gap: ${space.m};
  padding: ${space.s} ${space.m};
  border-radius: 8px;
  background: var(--bar);
  color: var(--bar-ink);
`

/** A newer build waits: it is taken when somebody says so, never under their hands. */
export function NewBuild({ onTake }: { readonly onTake: () => void }) {
  return (
    <Note role="status">
      {logText.newBuild} <Button onPress={onTake}>{logText.takeBuild}</Button>
    </Note>
  )
}

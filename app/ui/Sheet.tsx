import { Dialog, Modal, ModalOverlay } from 'react-aria-components'
import { styled } from 'styled-components'
import { narrow, space } from './theme'

const Overlay = styled(ModalOverlay)`
  position: fixed;
  inset: 0;
  z-index: 20;
  display: grid;
  justify-items: center;
  align-items: start;
  padding: 8vh ${space.l} ${space.l};
  background: rgb(0 0 0 / 0.35);
  ${narrow} {
    padding: ${space.s};
  }
`
const Card = styled(Modal)`
  width: min(620px, 100%);
  max-height: 84vh;
  overflow-y: auto;
  background: var(--raised);
  color: var(--ink);
  border: 1px solid var(--edge);
  border-radius: 10px;
  box-shadow: 0 12px 40px rgb(0 0 0 / 0.3);
`
const Body = styled(Dialog)`
  outline: none;
  display: grid;
  gap: ${space.m};
  padding: ${space.l};
`

/** A sheet over the page; Esc or a press beside it puts it away. */
export function OverSheet({
  label,
  open,
  onClose,
  children,
}: {
  label: string
  open: boolean
  onClose: () => void
  children: React.ReactNode
}) {
  return (
    <Overlay isOpen={open} onOpenChange={(next) => (next ? undefined : onClose())} isDismissable>
      <Card>
        <Body aria-label={label}>{children}</Body>
      </Card>
    </Overlay>
  )
}

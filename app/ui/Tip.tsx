import { Tooltip, TooltipTrigger } from 'react-aria-components'
import { styled } from 'styled-components'
import { space, type } from './theme'

const Card = styled(Tooltip)`
  max-width: 280px;
  padding: ${space.xs} ${space.s};
  border-radius: 6px;
  background: var(--bar);
  color: var(--bar-ink);
  font-size: ${type.small};
`

/** Says what a button does while it is pointed at or has the focus. The one child is the button. */
export function Tip({ text, children }: { text: string; children: React.ReactElement }) {
  return (
    <TooltipTrigger delay={300}>
      {children}
      <Card offset={6}>{text}</Card>
    </TooltipTrigger>
  )
}

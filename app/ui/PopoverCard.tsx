import { Dialog, Popover } from 'react-aria-components'
import { styled } from 'styled-components'
import { space } from './theme'

/** What opens beside a button: a small card over the page. */
export const PopoverCard = styled(Popover)<{ $wide?: boolean }>`
  width: ${({ $wide }) => ($wide ? 'min(660px, 94vw)' : '300px')};
  background: var(--raised);
  color: var(--ink);
  border: 1px solid var(--line);
  border-radius: 8px;
  box-shadow: 0 8px 28px rgb(0 0 0 / 0.22);
  padding: ${space.l};
  overflow-y: auto;
`

/** The card's fields, one under the other. */
export const PopoverBody = styled(Dialog)`
  outline: none;
  display: grid;
  gap: ${space.m};
`

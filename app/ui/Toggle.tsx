import { ToggleButton } from 'react-aria-components'
import { styled } from 'styled-components'
import { touch } from './theme'

/** A tick box a thumb can hit: what is done, and not done again. */
export const Toggle = styled(ToggleButton)`
  display: inline-grid;
  place-items: center;
  width: 44px;
  height: 44px;
  border: 1.5px solid var(--edge);
  border-radius: 6px;
  background: var(--raised);
  color: var(--green);
  cursor: pointer;
  &[data-selected] {
    border-color: var(--green);
  }
  ${touch} {
    width: 48px;
    height: 48px;
  }
`

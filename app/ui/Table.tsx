import { Button } from 'react-aria-components'
import { styled } from 'styled-components'
import { space, touch, type } from './theme'

/** A plain table of figures. */
export const Table = styled.table`
  width: 100%;
  border-collapse: collapse;
  & caption {
    text-align: left;
    font-size: ${type.small};
    color: var(--ink-soft);
    padding-bottom: ${space.s};
  }
  & th {
    text-align: left;
    font-size: ${type.small};
    font-weight: 600;
    color: var(--ink-soft);
    padding: ${space.xs} ${space.s};
    border-bottom: 1px solid var(--line);
    white-space: nowrap;
  }
  & td {
    padding: ${space.s};
    border-bottom: 1px solid var(--line);
    vertical-align: middle;
  }
  & tr[data-lit] td {
    background: var(--chalk-wash);
  }
  & tr[data-pick] {
    cursor: pointer;
  }
  & .number {
    font-weight: 650;
    font-size: ${type.lead};
    white-space: nowrap;
  }
`

/** The head of a row that can be picked, for pointer and keyboard alike. */
export const RowButton = styled(Button)`
  min-width: 44px;
  min-height: 44px;
  border: 0;
  border-radius: 5px;
  background: none;
  color: var(--ink);
  font-weight: 650;
  text-align: left;
  cursor: pointer;
  ${touch} {
    min-width: 48px;
    min-height: 48px;
  }
`

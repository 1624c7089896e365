import { Input, Label } from 'react-aria-components'
import { styled } from 'styled-components'
import { space, touch, type } from './theme'

/** What a field is called, above it. */
export const FieldName = styled(Label)`
  font-size: ${type.small};
  font-weight: 600;
  color: var(--ink-soft);
`

/** The box a person types into. */
export const FieldBox = styled(Input)`
  width: 100%;
  min-height: 44px;
  padding: ${space.xs} ${space.m};
  border: 1px solid var(--edge);
  border-radius: 6px;
  background: var(--raised);
  color: var(--ink);
  ${touch} {
    min-height: 48px;
  }
  &[data-invalid] {
    border: 2px solid var(--red);
  }
`

/** Two fields side by side. */
export const Pair = styled.div`
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: ${space.m};
`

/** A box for a number, beside what it is of. */
export const SmallBox = styled(Input)`
  width: 96px;
  min-height: 44px;
  padding: 4px 10px;
  border: 1px solid var(--edge);
  border-radius: 6px;
  background: var(--raised);
  color: var(--ink);
  text-align: right;
  font-weight: 550;
  ${touch} {
    min-height: 48px;
  }
`

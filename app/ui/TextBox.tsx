import { FieldError, Input, Label, TextField, type TextFieldProps } from 'react-aria-components'
import { styled } from 'styled-components'
import { space, type } from './theme'

const Field = styled(TextField)`
  display: grid;
  gap: ${space.xs};
`
const Name = styled(Label)`
  font-size: ${type.small};
  font-weight: 600;
  color: var(--ink-soft);
`
const Box = styled(Input)`
  min-height: 44px;
  padding: ${space.xs} ${space.m};
  border: 1px solid var(--line);
  border-radius: 6px;
  background: var(--raised);
  color: var(--ink);
  &[data-invalid] {
    border: 2px solid var(--red);
  }
`
const Wrong = styled(FieldError)`
  color: var(--red);
  font-size: ${type.small};
  font-weight: 550;
`

/** A line of text with its label, and what is wrong with it beside it. */
export function TextBox({
  label,
  problem,
  ...rest
}: TextFieldProps & { label: string; problem?: string | undefined }) {
  return (
    <Field {...rest} isInvalid={problem !== undefined} validationBehavior="aria">
      <Name>{label}</Name>
      <Box autoComplete="off" />
      {problem === undefined ? null : <Wrong>{problem}</Wrong>}
    </Field>
  )
}

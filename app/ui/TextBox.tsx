import { FieldError, TextField, type TextFieldProps } from 'react-aria-components'
import { styled } from 'styled-components'
import { FieldBox, FieldName } from './fields'
import { space, type } from './theme'

const Field = styled(TextField)`
  display: grid;
  gap: ${space.xs};
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
  placeholder,
  ...rest
}: TextFieldProps & { label: string; problem?: string | undefined; placeholder?: string }) {
  return (
    <Field {...rest} isInvalid={problem !== undefined} validationBehavior="aria">
      <FieldName>{label}</FieldName>
      <FieldBox
        autoComplete={rest.autoComplete ?? 'off'}
        {...(placeholder === undefined ? {} : { placeholder })}
      />
      {problem === undefined ? null : <Wrong>{problem}</Wrong>}
    </Field>
  )
}

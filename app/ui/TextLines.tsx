import { FieldError, Text, TextArea, TextField, type TextFieldProps } from 'react-aria-components'
import { styled } from 'styled-components'
import { FieldName } from './fields'
import { space, type } from './theme'

const Field = styled(TextField)`
  display: grid;
  gap: ${space.xs};
`
const Area = styled(TextArea)`
  width: 100%;
  min-height: 44px;
  padding: ${space.s} ${space.m};
  border: 1px solid var(--edge);
  border-radius: 6px;
  background: var(--raised);
  color: var(--ink);
  font: inherit;
  font-size: ${type.lead};
  line-height: 1.5;
  resize: vertical;
  &[data-invalid] {
    border: 2px solid var(--red);
  }
`
const Wrong = styled(FieldError)`
  display: grid;
  color: var(--red);
  font-size: ${type.small};
  font-weight: 550;
`
const Help = styled(Text)`
  font-size: ${type.small};
  color: var(--ink-soft);
`

/** Several lines of text with their label, and what is wrong with each beside them. */
export function TextLines({
  label,
  problems = [],
  help,
  rows = 4,
  placeholder,
  ...rest
}: Omit<TextFieldProps, 'children'> & {
  label: string
  problems?: readonly string[]
  help?: string
  rows?: number
  placeholder?: string
}) {
  return (
    <Field {...rest} isInvalid={problems.length > 0} validationBehavior="aria">
      <FieldName>{label}</FieldName>
      <Area rows={rows} placeholder={placeholder} autoComplete="off" spellCheck={false} />
      {problems.length > 0 ? (
        <Wrong>
          {problems.map((problem) => (
            <span key={problem}>{problem}</span>
          ))}
        </Wrong>
      ) : null}
      {help ? <Help slot="description">{help}</Help> : null}
    </Field>
  )
}

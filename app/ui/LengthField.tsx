import { useEffect, useRef, useState } from 'react'
import { Text, TextField } from 'react-aria-components'
import { styled } from 'styled-components'
import {
  formatExact,
  formatLengthWithUnit,
  type Length,
  type LengthFormat,
  parseLength,
  readOnTape,
} from '~/length'
import { lengthIssueText, lengthLimitText } from '~/messages'
import { Fractions } from './Fractions'
import { FieldBox, FieldName } from './fields'
import { space, type } from './theme'

const Field = styled(TextField)`
  display: grid;
  gap: ${space.xs};
  min-width: 0;
`
const Box = styled(FieldBox)`
  font-size: ${type.lead};
  font-weight: 550;
`
const Note = styled(Text)`
  font-size: ${type.small};
  color: var(--ink-soft);
`
const Wrong = styled(Text)`
  font-size: ${type.small};
  color: var(--red);
  font-weight: 550;
`

export interface LengthFieldProps {
  readonly label: string
  readonly value: Length
  readonly format: LengthFormat
  /** Called with every readable length while typing. */
  readonly onChange: (value: Length) => void
  /** Called when the field is left or Enter pressed. */
  readonly onCommit?: () => void
  /** Called on Esc after something was typed: what was there comes back. */
  readonly onRestore?: () => void
  /** Called after Enter on something readable; a popover closes itself. */
  readonly onEnter?: () => void
  /** Text that could not be read, kept while its field was away. */
  readonly unread?: string | undefined
  /** Called with what can't be used as typed and why, and with null when it can again. */
  readonly onUnread?: (unread: { text: string; problem: string } | null) => void
  readonly least?: Length
  readonly most?: Length
  readonly note?: string
  readonly hideLabel?: boolean
  readonly autoFocus?: boolean
}

/** The typed text for a value: to the tape where the tape shows it whole, else exact. */
function written(value: Length, format: LengthFormat): string {
  if (readOnTape(value, format.tape).off === 0) return formatLengthWithUnit(value, format)
  return `${formatExact(value, format.units)} ${format.units === 'mm' ? 'mm' : 'in'}`
}

/**
 * A length as people type it. What was typed and what it means are two things: the text stays as typed until
 * the field is left, and text that can't be read stays for good, with the reason beside it.
 */
export function LengthField(
  props: Omit<LengthFieldProps, 'value'> & {
    /** null is an empty field: nothing was read or typed yet. */
    readonly value: Length | null
  },
) {
  const { label, value, format, onChange, onCommit, onUnread, least, most, note } = props
  const [typed, setTyped] = useState<string | null>(props.unread ?? null)
  const text = typed ?? (value === null ? '' : written(value, format))
  const problem = typed === null ? null : problemOf(typed)

  function problemOf(candidate: string): string | null {
    // an empty field that may be empty is no mistake
    if (value === null && candidate.trim() === '') return null
    const result = parseLength(candidate, format.units)
    if (!result.ok) return lengthIssueText(result.issue, format.units)
    const show = (limit: Length | undefined) =>
      limit === undefined ? null : formatLengthWithUnit(limit, format)
    if ((least !== undefined && result.value < least) || (most !== undefined && result.value > most))
      return lengthLimitText(formatLengthWithUnit(result.value, format), show(least), show(most))
    return null
  }

  function type(next: string) {
    setTyped(next)
    const wrong = problemOf(next)
    onUnread?.(wrong === null ? null : { text: next, problem: wrong })
    const result = parseLength(next, format.units)
    if (wrong === null && result.ok && result.value !== value) onChange(result.value)
  }

  function leave() {
    if (problem === null) setTyped(null)
    onCommit?.()
  }

  // a popover that is closed takes its field away without a word: what was typed in it counts
  const taken = useRef<(() => void) | null>(null)
  useEffect(() => {
    taken.current = typed !== null && problem === null ? (onCommit ?? null) : null
  })
  useEffect(() => () => taken.current?.(), [])

  return (
    <Field
      value={text}
      onChange={type}
      onBlur={leave}
      isInvalid={problem !== null}
      validationBehavior="aria"
      {...(props.hideLabel ? { 'aria-label': label } : {})}
      {...(props.autoFocus ? { autoFocus: true } : {})}
      onKeyDown={(event) => {
        if (event.key === 'Enter') {
          leave()
          if (problem === null) props.onEnter?.()
          return
        }
        if (event.key === 'Escape' && typed !== null) {
          setTyped(null)
          onUnread?.(null)
          props.onRestore?.()
        }
        event.continuePropagation()
      }}
    >
      {props.hideLabel ? null : <FieldName>{label}</FieldName>}
      <Box autoComplete="off" inputMode="text" spellCheck={false} />
      {problem !== null ? (
        <Wrong slot="errorMessage">
          <Fractions text={problem} />
        </Wrong>
      ) : note ? (
        <Note slot="description">
          <Fractions text={note} />
        </Note>
      ) : null}
    </Field>
  )
}

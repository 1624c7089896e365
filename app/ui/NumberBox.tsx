import { FieldError, Input, NumberField } from 'react-aria-components'
import { styled } from 'styled-components'
import { FieldName } from './fields'
import { space, touch, type } from './theme'

const Field = styled(NumberField)<{ $row: boolean }>`
  display: grid;
  ${({ $row }) => ($row ? 'grid-template-columns: minmax(0, 1fr) auto; align-items: center;' : '')}
  gap: ${space.xs} ${space.m};
`
const Box = styled(Input)`
  width: 92px;
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
const Wrong = styled(FieldError)`
  color: var(--red);
  font-size: ${type.small};
`

export interface NumberBoxProps {
  readonly label: string
  /** Null while not said. */
  readonly value: number | null
  readonly least?: number
  readonly most?: number
  readonly step?: number
  /** The label stands beside the box, above it, or is only read out. */
  readonly lay?: 'beside' | 'above' | 'bare'
  readonly note?: string
  /** Called once what was typed is done. */
  readonly onDone: (value: number | null) => void
}

/** A number that counts once it is typed to its end. */
export function NumberBox({
  label,
  value,
  least = 0,
  most,
  step,
  lay = 'beside',
  note,
  onDone,
}: NumberBoxProps) {
  return (
    <Field
      $row={lay === 'beside'}
      {...(lay === 'bare' ? { 'aria-label': label } : {})}
      value={value ?? NaN}
      minValue={least}
      {...(most === undefined ? {} : { maxValue: most })}
      {...(step === undefined ? {} : { step })}
      formatOptions={{ maximumFractionDigits: 2, useGrouping: false }}
      onChange={(next) => {
        const read = Number.isNaN(next) ? null : next
        if (read !== value) onDone(read)
      }}
    >
      {lay === 'bare' ? null : (
        <FieldName>
          {label}
          {note ? ` · ${note}` : ''}
        </FieldName>
      )}
      <Box />
      <Wrong />
    </Field>
  )
}

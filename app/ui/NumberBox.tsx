import { FieldError, NumberField } from 'react-aria-components'
import { styled } from 'styled-components'
import { FieldName, SmallBox } from './fields'
import { space, type } from './theme'

const Field = styled(NumberField)<{ $row: boolean }>`
  display: grid;
  ${({ $row }) => ($row ? 'grid-template-columns: minmax(0, 1fr) auto; align-items: center;' : '')}
  gap: ${space.xs} ${space.m};
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
      <SmallBox />
      <Wrong />
    </Field>
  )
}

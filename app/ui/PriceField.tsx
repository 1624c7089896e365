import { Input, NumberField } from 'react-aria-components'
import { styled } from 'styled-components'
import { touch } from './theme'

const Box = styled(Input)`
  width: 96px;
  min-height: 40px;
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

export interface PriceFieldProps {
  readonly label: string
  /** Hundredths; null while not known. */
  readonly value: number | null
  readonly currency: string
  readonly onChange: (hundredths: number | null) => void
}

/** A price; left empty while nobody knows it. */
export function PriceField({ label, value, currency, onChange }: PriceFieldProps) {
  return (
    <NumberField
      aria-label={label}
      value={value === null ? NaN : value / 100}
      minValue={0}
      maxValue={100_000}
      formatOptions={{ style: 'currency', currency }}
      onChange={(next) => onChange(Number.isNaN(next) ? null : Math.round(next * 100))}
    >
      <Box placeholder="price" />
    </NumberField>
  )
}

import { NumberField } from 'react-aria-components'
import { SmallBox } from './fields'

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
      <SmallBox placeholder="price" />
    </NumberField>
  )
}

import { formatLengthWithUnit, type LengthFormat } from '~/length'

/** A length in a plan file: exact, and as it is printed. */
export interface SaidLength {
  readonly nm: number
  readonly text: string
}

/** A length as a plan file says it. */
export function said(nm: number, format: LengthFormat): SaidLength {
  return { nm, text: formatLengthWithUnit(nm, format) }
}

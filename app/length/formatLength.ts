import { type Length, nearestNanometer, NM_PER_FOOT, NM_PER_INCH, NM_PER_MM } from './length'
import { readOnTape, type Tape, tickOf, type Units } from './tape'

/** How a job writes its lengths. */
export interface LengthFormat {
  readonly units: Units
  readonly tape: Tape
}

/** The parts of a printed length, for views that set them in different sizes. */
export interface LengthParts {
  readonly negative: boolean
  readonly feet: number | null
  readonly whole: number
  readonly numerator: number
  readonly denominator: number
  /** Digits after the point, metric only ('' when none). */
  readonly decimals: string
}

function reduce(numerator: number, denominator: number): [number, number] {
  let [a, b] = [numerator, denominator]
  while (b !== 0) [a, b] = [b, a % b]
  return [numerator / a, denominator / a]
}

function inchParts(negative: boolean, nm: number, units: Units, perInch: number): LengthParts {
  const feet = units === 'feet-inches' && nm >= NM_PER_FOOT ? Math.floor(nm / NM_PER_FOOT) : null
  const inch = nm - (feet ?? 0) * NM_PER_FOOT
  const whole = Math.floor(inch / NM_PER_INCH)
  const count = Math.round(((inch - whole * NM_PER_INCH) / NM_PER_INCH) * perInch)
  const [numerator, denominator] = count === 0 ? [0, 1] : reduce(count, perInch)
  return { negative, feet, whole, numerator, denominator, decimals: '' }
}

/** A length rounded to the tape, in parts. */
function lengthParts(length: number, { units, tape }: LengthFormat): LengthParts {
  const tick = readOnTape(Math.abs(length), tape).tick
  const negative = length < 0 && tick > 0
  if (units !== 'mm') return inchParts(negative, tick, units, Math.round(NM_PER_INCH / tickOf(tape)))
  const [whole = '0', decimals = ''] = String(tick / NM_PER_MM).split('.')
  return { negative, feet: null, whole: Number(whole), numerator: 0, denominator: 1, decimals }
}

/** Parts joined as people write them: 2' 5 3/4, 29 3/4, 3/4, 756.5. */
function joinParts(parts: LengthParts): string {
  const fraction = parts.numerator === 0 ? '' : `${parts.numerator}/${parts.denominator}`
  const feet = parts.feet === null ? '' : `${parts.feet}' `
  const whole = parts.whole === 0 && fraction !== '' && parts.feet === null ? '' : String(parts.whole)
  const decimals = parts.decimals === '' ? '' : `.${parts.decimals}`
  const inch = [whole + decimals, fraction].filter((text) => text !== '').join(' ')
  return `${parts.negative ? '-' : ''}${feet}${inch}`
}

/**
 * A length rounded to the tape and printed without its unit, except that feet carry their mark.
 * On the tape's grid `parseLength(formatLength(x))` gives x back.
 */
export function formatLength(length: number, format: LengthFormat): string {
  return joinParts(lengthParts(length, format))
}

/** As formatLength, with the unit: 29 3/4 in, 2' 5 3/4", 756 mm. */
export function formatLengthWithUnit(length: number, format: LengthFormat): string {
  const text = formatLength(length, format)
  if (format.units === 'mm') return `${text} mm`
  return text.includes("'") ? `${text}"` : `${text} in`
}

/**
 * The exact value: as a fraction where it lies on the 1/64 in (or 0.001 mm) grid, else as a decimal of
 * four places in inches or three in millimeters.
 */
export function formatExact(length: number, units: Units): string {
  if (units === 'mm') return String(Number((length / NM_PER_MM).toFixed(3)))
  const grid = NM_PER_INCH / 64
  if (Math.abs(length % grid) < 1) {
    const sign = length < 0
    return joinParts(inchParts(sign, Math.abs(nearestNanometer(length)), 'inches', 64))
  }
  return String(Number((length / NM_PER_INCH).toFixed(4)))
}

/** A stock length in the words of the shop: 8 ft, 16 ft, 2400 mm; odd lengths as the job writes them. */
export function formatStockLength(length: Length, format: LengthFormat): string {
  if (format.units !== 'mm' && length % NM_PER_FOOT === 0) return `${length / NM_PER_FOOT} ft`
  return formatLengthWithUnit(length, format)
}

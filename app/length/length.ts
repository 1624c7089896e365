declare const lengthBrand: unique symbol

/**
 * A length as a whole number of nanometers. 1 in = 25.4 mm exactly (NIST SP 811, Appendix B), so every
 * 1/64 in and every 0.001 mm is a whole number and nothing is lost in SQLite or JSON.
 */
export type Length = number & { readonly [lengthBrand]: 'nanometers' }

/** Nanometers in one inch (NIST SP 811, Appendix B: 1 in = 25.4 mm exactly). */
export const NM_PER_INCH = 25_400_000

/** Nanometers in one foot of 12 inches. */
export const NM_PER_FOOT = 12 * NM_PER_INCH

/** Nanometers in one millimeter. */
export const NM_PER_MM = 1_000_000

/** No wall, board or room is longer than 100 m (328 ft): beyond that a unit or a digit has slipped. */
export const LONGEST = 100_000 * NM_PER_MM

/** A zero length. */
export const ZERO = 0 as Length

/** Whole nanometers as a Length. Throws on anything but a safe integer: that is a fault of the program. */
export function nanometers(value: number): Length {
  if (!Number.isSafeInteger(value)) throw new RangeError(`not a whole number of nanometers: ${value}`)
  return (value === 0 ? 0 : value) as Length
}

/** The nearest whole nanometer to a computed value. Use once, at the end of a computation. */
export function nearestNanometer(value: number): Length {
  return nanometers(Math.round(value))
}

/** Inches as a Length, to the nearest nanometer; exact for every 1/64 in. */
export function inches(value: number): Length {
  return nearestNanometer(value * NM_PER_INCH)
}

/** Millimeters as a Length, to the nearest nanometer; exact for every 0.001 mm. */
export function millimeters(value: number): Length {
  return nearestNanometer(value * NM_PER_MM)
}

/** Sum of lengths. */
export function addLengths(...lengths: readonly Length[]): Length {
  return nanometers(lengths.reduce<number>((sum, each) => sum + each, 0))
}

/** First length less the second; may be negative. */
export function subtractLengths(from: Length, what: Length): Length {
  return nanometers(from - what)
}

/** A length as decimal inches, for pictures and files that want plain numbers. Not for sums. */
export function toInches(length: number): number {
  return length / NM_PER_INCH
}

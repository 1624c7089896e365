import { NM_PER_FOOT } from '~/length'
import type { Spread } from '~/model'

const NM_PER_INCH = 25_400_000

/** A US gallon is 231 cubic inches (NIST Handbook 44, App. C), and has 128 fluid ounces. */
const CUBIC_INCHES_PER_OUNCE = 231 / 128

/** Cubic nanometers as US fluid ounces. */
export function fluidOunces(cubicNm: number): number {
  return cubicNm / NM_PER_INCH ** 3 / CUBIC_INCHES_PER_OUNCE
}

/** Square nanometers as square feet. */
export function squareFeet(squareNm: number): number {
  return squareNm / NM_PER_FOOT ** 2
}

/** Nanometers as feet. */
export function feet(nm: number): number {
  return nm / NM_PER_FOOT
}

/** The cross-section of a bead of a size, square nanometers: a round one, a fillet of that leg, a square joint. */
export function beadSection(bead: number, shape: Spread['caulkShape']): number {
  return bead * bead * { round: Math.PI / 4, fillet: 0.5, square: 1 }[shape]
}

/** How many feet of bead so many fluid ounces do, with nothing lost. */
export function feetPerPack(ounces: number, bead: number, shape: Spread['caulkShape']): number {
  return feet((ounces * CUBIC_INCHES_PER_OUNCE * NM_PER_INCH ** 3) / beadSection(bead, shape))
}

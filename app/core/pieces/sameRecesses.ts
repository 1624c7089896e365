import type { Lap, Notch, Piece } from './piece'

/** Two nanometers apart is the rounding of one figure, not two lengths. */
export const SAME_WITHIN = 2

const near = (a: number, b: number) => Math.abs(a - b) <= SAME_WITHIN

function same<T extends Notch | Lap>(a: readonly T[], b: readonly T[], side: (each: T) => string): boolean {
  return (
    a.length === b.length &&
    a.every((each, i) => {
      const other = b[i]
      return (
        other !== undefined &&
        side(each) === side(other) &&
        near(each.from, other.from) &&
        near(each.to, other.to) &&
        near(each.depth, other.depth)
      )
    })
  )
}

/** Whether two pieces have the same notches and laps in the same places: one elsewhere spoils a piece, whatever its length. */
export function sameRecesses(
  a: Pick<Piece, 'notches' | 'laps'>,
  b: Pick<Piece, 'notches' | 'laps'>,
): boolean {
  return (
    same(a.notches, b.notches, ({ edge }) => edge) &&
    same(a.laps, b.laps, ({ outOf, lean }) => `${outOf} ${Math.round(lean / 1000)}`)
  )
}

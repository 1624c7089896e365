import type { Lap, Notch, Piece, Taper } from './piece'

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

function sameTaper(a: Taper | undefined, b: Taper | undefined): boolean {
  if (!a || !b) return a === b
  return a.edge === b.edge && a.by === b.by && near(a.atStart, b.atStart) && near(a.atEnd, b.atEnd)
}

/** What is cut out of a piece; a stored list says no taper by leaving it undefined. */
type Recessed = Pick<Piece, 'notches' | 'laps'> & { readonly taper?: Taper | undefined }

/** Whether two pieces have the same notches, laps and taper in the same places: one elsewhere spoils a piece, whatever its length. */
export function sameRecesses(a: Recessed, b: Recessed): boolean {
  return (
    sameTaper(a.taper, b.taper) &&
    same(a.notches, b.notches, ({ edge }) => edge) &&
    same(a.laps, b.laps, ({ outOf, lean }) => `${outOf} ${Math.round(lean / 1000)}`)
  )
}

import type { Settings } from '~/model'
import { buildCutList, endCutKey, type Piece } from '../pieces'
import { boardRequests, planBoardsQuickly } from '../stock'

/** What a change costs whose pieces are cut already. */
export interface Recuts {
  /** Pieces that no longer fit and are cut anew, from themselves where they only get shorter. */
  readonly pieces: number
  /** Boards for those that get longer and for new ones; null where a piece has no board. */
  readonly boards: number | null
  /** In hundredths of money; null where a price is missing. */
  readonly cost: number | null
}

/** Two nanometers are the rounding of one figure. */
const SAME_WITHIN = 2

/** The same notches: one in another place spoils the piece, whatever its length. */
function sameNotches(cut: Piece, wanted: Piece): boolean {
  return (
    cut.notches.length === wanted.notches.length &&
    cut.notches.every((notch, i) => {
      const other = wanted.notches[i]
      return (
        other?.edge === notch.edge &&
        Math.abs(other.from - notch.from) <= SAME_WITHIN &&
        Math.abs(other.to - notch.to) <= SAME_WITHIN &&
        Math.abs(other.depth - notch.depth) <= SAME_WITHIN
      )
    })
  )
}

/** The same laps: one in another place spoils the piece as a notch does. */
function sameLaps(cut: Piece, wanted: Piece): boolean {
  return (
    cut.laps.length === wanted.laps.length &&
    cut.laps.every((lap, i) => {
      const other = wanted.laps[i]
      return (
        other?.outOf === lap.outOf &&
        Math.abs(other.from - lap.from) <= SAME_WITHIN &&
        Math.abs(other.to - lap.to) <= SAME_WITHIN &&
        Math.abs(other.depth - lap.depth) <= SAME_WITHIN
      )
    })
  )
}

function fits(cut: Piece, wanted: Piece): boolean {
  return (
    sameNotches(cut, wanted) &&
    sameLaps(cut, wanted) &&
    Math.abs(cut.cutLength - wanted.cutLength) <= SAME_WITHIN &&
    cut.materialId === wanted.materialId &&
    endCutKey(cut.start) === endCutKey(wanted.start) &&
    endCutKey(cut.end) === endCutKey(wanted.end)
  )
}

/** What it takes to turn the pieces of one layout into those of another. A piece is known by its name. */
export function recutsBetween(before: readonly Piece[], after: readonly Piece[], settings: Settings): Recuts {
  const cut = new Map(before.map((piece) => [piece.id, piece]))
  const fresh = after.filter((piece) => {
    const known = cut.get(piece.id)
    const grows = known !== undefined && piece.cutLength > known.cutLength + SAME_WITHIN
    return !known || grows || !sameNotches(known, piece) || !sameLaps(known, piece)
  })
  const recut = after.filter((piece) => {
    const known = cut.get(piece.id)
    return known !== undefined && !fits(known, piece)
  })
  const plans = boardRequests(buildCutList(fresh), settings).map(planBoardsQuickly)
  const known = plans.flatMap((plan) => (plan.ok ? [plan.value] : []))
  const all = known.length === plans.length
  return {
    pieces: recut.length,
    boards: all ? known.reduce((sum, { boards }) => sum + boards.length, 0) : null,
    cost: all
      ? known.reduce<number | null>((sum, { cost }) => (sum === null || cost === null ? null : sum + cost), 0)
      : null,
  }
}

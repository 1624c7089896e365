import type { Settings } from '~/model'
import { endCutKey, type Piece, SAME_WITHIN, sameRecesses } from '../pieces'
import { boardRequests, firstBoards } from '../stock'

/** What a change costs whose pieces are cut already. */
export interface Recuts {
  /** Pieces that no longer fit and are cut anew, from themselves where they only get shorter. */
  readonly pieces: number
  /** Boards for those that get longer and for new ones; null where a piece has no board. */
  readonly boards: number | null
  /** In hundredths of money; null where a price is missing. */
  readonly cost: number | null
}

function fits(cut: Piece, wanted: Piece): boolean {
  return (
    sameRecesses(cut, wanted) &&
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
    return !known || grows || !sameRecesses(known, piece)
  })
  const recut = after.filter((piece) => {
    const known = cut.get(piece.id)
    return known !== undefined && !fits(known, piece)
  })
  const plans = boardRequests(
    fresh.map(({ id, materialId, cutLength }) => ({ id, label: id, materialId, length: cutLength })),
    settings,
  ).map(firstBoards)
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

import type { Act, ReleasedPiece, Settings } from '~/model'
import { type CutCard, cutCards, type RowFacts } from '../cutting/cutCards'
import type { CutRow } from '../pieces'
import type { ToRelease } from './freeze'
import { type Release, releasedRows, releaseOf } from './release'

/** The facts of a row that is not frozen, and of one that is. */
export function rowFacts(release: Release | null, plan: ToRelease) {
  const frozen = new Map(release?.pieces.map(({ piece }) => [piece.pieceId, piece]))
  const pieces = new Map(plan.pieces.map((piece) => [piece.id, piece]))
  return (row: CutRow): RowFacts => {
    const id = row.pieceIds[0] ?? ''
    const held: ReleasedPiece | undefined = frozen.get(id)
    if (held) return { advice: held.advice, ripTo: held.ripTo }
    const piece = pieces.get(id)
    return { advice: plan.adviceOf(row), ripTo: piece ? plan.ripTo(piece) : null }
  }
}

/** The list a saw goes by: the released one with its names, else the plan's; and its cards. */
export function listAtSaw(
  plan: ToRelease,
  acts: readonly Act[],
  settings: Settings,
): { readonly release: Release | null; readonly cards: readonly CutCard[] } {
  const release = releaseOf(acts)
  const rows = release ? releasedRows(release) : plan.cutList
  return { release, cards: cutCards(rows, rowFacts(release, plan), settings) }
}

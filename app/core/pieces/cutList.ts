import type { Length } from '~/length'
import { type EndCut, endCutKey } from './endCut'
import { type Piece, type Role, ROLES } from './piece'

/** Equal pieces: same material, same cut length, same end cuts, same part of the wall. */
export interface CutRow {
  /** Letters in order of the list: A, B, ... Z, AA. */
  readonly label: string
  readonly role: Role
  readonly materialId: string
  readonly cutLength: Length
  readonly longLength: Length
  readonly shortLength: Length
  readonly start: EndCut
  readonly end: EndCut
  readonly pieceIds: readonly string[]
}

/** 0 -> A, 25 -> Z, 26 -> AA. */
export function rowLabel(index: number): string {
  const letter = String.fromCharCode(65 + (index % 26))
  return index < 26 ? letter : rowLabel(Math.floor(index / 26) - 1) + letter
}

/** Two nanometers apart is the rounding of one figure, not two lengths. */
const SAME_WITHIN = 2

/**
 * Groups equal pieces, longest first within a material. A group's lengths are those of its longest piece, so
 * that cutting to the list never leaves a piece short.
 */
export function buildCutList(pieces: readonly Piece[]): CutRow[] {
  const ordered = [...pieces].sort(
    (a, b) =>
      (a.materialId < b.materialId ? -1 : a.materialId > b.materialId ? 1 : 0) ||
      ROLES.indexOf(a.role) - ROLES.indexOf(b.role) ||
      b.cutLength - a.cutLength,
  )
  const groups: Piece[][] = []
  for (const piece of ordered) {
    const group = groups.find(([first]) => first !== undefined && sameCut(first, piece))
    if (group) group.push(piece)
    else groups.push([piece])
  }
  const rows = groups.flatMap((group) => {
    const [first] = group
    return first ? [{ first, pieceIds: group.map((piece) => piece.id) }] : []
  })
  rows.sort((a, b) => b.first.cutLength - a.first.cutLength)
  return rows.map(({ first, pieceIds }, i) => ({
    label: rowLabel(i),
    role: first.role,
    materialId: first.materialId,
    cutLength: first.cutLength,
    longLength: first.longLength,
    shortLength: first.shortLength,
    start: first.start,
    end: first.end,
    pieceIds,
  }))
}

function sameCut(a: Piece, b: Piece): boolean {
  return (
    a.materialId === b.materialId &&
    a.role === b.role &&
    Math.abs(a.cutLength - b.cutLength) <= SAME_WITHIN &&
    endCutKey(a.start) === endCutKey(b.start) &&
    endCutKey(a.end) === endCutKey(b.end)
  )
}

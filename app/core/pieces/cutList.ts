import type { Length } from '~/length'
import { type EndCut, endCutKey } from './endCut'
import type { PieceCard } from './card'
import type { Piece, Role } from './piece'
import { SAME_WITHIN, sameRecesses } from './sameRecesses'

/** Equal pieces, whatever their part: same material and face, same length, same end cuts, same notches and laps. */
export interface CutRow extends PieceCard {
  /** Letters in the order of the parts, uprights first and what was added last: A, B, ... Z, AA. */
  readonly label: string
  readonly role: Role
  readonly materialId: string
  readonly directionDeg: number
  readonly cutLength: Length
  readonly shortLength: Length
  readonly start: EndCut
  readonly end: EndCut
  readonly pieceIds: readonly string[]
}

/** The order letters are given in. What is added to a layout comes last, so that the letters before it stay. */
const LETTERED: readonly Role[] = [
  'batten',
  'slat',
  'stile',
  'border',
  'boxStile',
  'boxRail',
  'topRail',
  'bottomRail',
  'rail',
  'chairRail',
  'pictureRail',
  'shelf',
  'ledger',
  'filler',
  'cap',
  'line',
  'sideTrim',
]

/** 0 -> A, 25 -> Z, 26 -> AA. */
export function rowLabel(index: number): string {
  const letter = String.fromCharCode(65 + (index % 26))
  return index < 26 ? letter : rowLabel(Math.floor(index / 26) - 1) + letter
}

/** Longest first. */
function byLength(a: { readonly cutLength: number }, b: { readonly cutLength: number }): number {
  return b.cutLength - a.cutLength
}

/**
 * Groups equal pieces, longest first. A group's lengths are those of its longest piece, so that cutting to the list
 * never leaves a piece short.
 */
export function buildCutList(pieces: readonly Piece[]): CutRow[] {
  const groups: Piece[][] = []
  // pieces of one length stand side by side, so only the groups begun last can be theirs
  const open = new Map<string, Piece[][]>()
  for (const piece of [...pieces].sort(byLength)) {
    const key = cutKey(piece)
    const alike = open.get(key) ?? []
    const group = alike.find(([first]) => first !== undefined && sameLengths(first, piece))
    if (group) group.push(piece)
    else {
      const begun = [piece]
      groups.push(begun)
      open.set(key, [begun, ...alike])
    }
  }
  const places = new Map(pieces.map((piece, i) => [piece, i]))
  const placeOf = (piece: Piece) => places.get(piece) ?? 0
  const rows = groups.flatMap((group) => {
    const [first] = group
    if (!first) return []
    const role = LETTERED.find((each) => group.some((piece) => piece.role === each)) ?? first.role
    // named in the order of the wall, not of nanometers
    const inPlace = [...group].sort((a, b) => placeOf(a) - placeOf(b))
    return [{ first, role, pieceIds: inPlace.map((piece) => piece.id) }]
  })
  const lettered = [...rows].sort(
    (a, b) =>
      LETTERED.indexOf(a.role) - LETTERED.indexOf(b.role) ||
      byLength(a.first, b.first) ||
      a.first.materialId.localeCompare(b.first.materialId),
  )
  const labels = new Map(lettered.map((row, i) => [row, rowLabel(i)]))
  return rows.map((row) => ({
    label: labels.get(row) ?? '',
    role: row.role,
    materialId: row.first.materialId,
    directionDeg: row.first.directionDeg,
    faceWidth: row.first.faceWidth,
    cutLength: row.first.cutLength,
    longLength: row.first.longLength,
    shortLength: row.first.shortLength,
    start: row.first.start,
    end: row.first.end,
    notches: row.first.notches,
    laps: row.first.laps,
    ...(row.first.taper ? { taper: row.first.taper } : {}),
    pieceIds: row.pieceIds,
  }))
}

/** All that must be the same to the letter; lengths may be a rounding apart. */
function cutKey({ materialId, faceWidth, start, end }: Piece): string {
  return [materialId, faceWidth, endCutKey(start), endCutKey(end)].join(' ')
}

function sameLengths(a: Piece, b: Piece): boolean {
  return Math.abs(a.cutLength - b.cutLength) <= SAME_WITHIN && sameRecesses(a, b)
}

import type { Length } from '~/length'
import type { Plan } from '../computePlan'
import { boundsOf } from '../geometry'
import { isUpright, type Piece } from '../pieces'
import { baseAt } from '../survey/wallLines'

/** A piece that is cut and taped up for a look: where its lower left corner goes, and what it can be cut from. */
export interface TryPiece {
  readonly pieceId: string
  readonly stripId: string
  readonly materialId: string
  readonly role: Piece['role']
  /** As it is cut, to its long point. */
  readonly length: Length
  /** From the left corner to its left edge, and from the base line to its lower edge, in nanometers. */
  readonly x: number
  readonly y: number
  /** The offcut it comes from; null where a board is cut for it. */
  readonly offcut: { readonly id: string; readonly label: string; readonly length: Length } | null
}

interface Rack {
  readonly id: string
  readonly label: string
  readonly material: string
  readonly length: Length
}

/** Level pieces that pass over or end in the span between two uprights, the lowest and the highest of them. */
function levelAcross(pieces: readonly Piece[], from: number, to: number): Piece[] {
  const across = pieces
    .filter(
      ({ role, directionDeg }) =>
        !isUpright(role) && Math.abs(Math.sin((directionDeg * Math.PI) / 180)) < 0.5,
    )
    .filter(({ polygon }) => {
      const { left, right } = boundsOf(polygon)
      return left < to && right > from
    })
    .sort((a, b) => boundsOf(a.polygon).bottom - boundsOf(b.polygon).bottom)
  const ends = [across[0], across.at(-1)].flatMap((each) => (each ? [each] : []))
  return [...new Set(ends)]
}

/** The pieces that show one bay, or one box, or the first lines that cross: as few as tell what the wall will look like. */
function fewest({ layout, pieces }: Plan): Piece[] {
  const middle = (layout.left + layout.right) / 2
  const near = (piece: Piece) => {
    const { left, right } = boundsOf(piece.polygon)
    return Math.abs((left + right) / 2 - middle)
  }
  const uprights = pieces.filter(({ role }) => isUpright(role) && role !== 'filler')
  const byPlace = [...uprights].sort((a, b) => boundsOf(a.polygon).left - boundsOf(b.polygon).left)
  const [first] = [...uprights].sort((a, b) => near(a) - near(b))
  if (first) {
    const left = boundsOf(first.polygon).left
    // the next strip over, not the next length of the same one
    const next =
      byPlace.find((each) => each.stripId !== first.stripId && boundsOf(each.polygon).left > left) ??
      byPlace.findLast((each) => each.stripId !== first.stripId)
    const pair = next ? [first, next] : [first]
    const edges = pair.flatMap(({ polygon }) => [boundsOf(polygon).left, boundsOf(polygon).right])
    return [...pair, ...levelAcross(pieces, Math.min(...edges), Math.max(...edges))]
  }
  const [frame] = [...layout.frames].sort((a, b) => {
    const at = ({ outline }: (typeof layout.frames)[number]) =>
      Math.abs((boundsOf(outline).left + boundsOf(outline).right) / 2 - middle)
    return at(a) - at(b)
  })
  if (frame) return pieces.filter(({ stripId }) => stripId === frame.id)
  return [...pieces].sort((a, b) => b.longLength - a.longLength || near(a) - near(b)).slice(0, 2)
}

/**
 * The fewest pieces to cut and tape up for a look, from offcuts first: of each the shortest that holds it, so that longer
 * ones stay whole. Lengths are the plan's own, so that what was taped up serves when the wall is fitted.
 */
export function tryOut(plan: Plan, rack: readonly Rack[]): TryPiece[] {
  const left = [...rack].sort((a, b) => a.length - b.length)
  const ordered = fewest(plan).sort((a, b) => b.longLength - a.longLength)
  return ordered.map((piece) => {
    const at = left.findIndex(
      ({ material, length }) => material === piece.materialId && length >= piece.longLength,
    )
    const [found] = at < 0 ? [] : left.splice(at, 1)
    const bounds = boundsOf(piece.polygon)
    return {
      pieceId: piece.id,
      stripId: piece.stripId,
      materialId: piece.materialId,
      role: piece.role,
      length: piece.longLength,
      x: bounds.left,
      y: bounds.bottom - baseAt(plan.layout.lines, (bounds.left + bounds.right) / 2),
      offcut: found ? { id: found.id, label: found.label, length: found.length } : null,
    }
  })
}

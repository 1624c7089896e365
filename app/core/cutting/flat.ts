import { type FlatWay, inForce, type Workpiece } from '~/model'
import { unitVector } from '../geometry'
import { stuffOf } from '../layout/returning'
import type { Piece } from '../pieces'
import { type Behind, behindStrip, canPull, flatWayOf, unevennesses } from '../survey/flatness'

/** What is done about one piece that the wall is not flat behind. */
export interface FlatAdvice {
  readonly pieceId: string
  readonly stripId: string
  readonly behind: Behind
  readonly way: FlatWay
  /** Chosen for the wall rather than proposed. */
  readonly chosen: boolean
  /** It is to be pulled in, and does not bend so far. */
  readonly tooFar: boolean
}

/** The two ends of a piece's center line, on the wall. */
function centerLine({ face, directionDeg }: Piece) {
  const u = unitVector(directionDeg)
  const along = face.map(({ x, y }) => x * u.x + y * u.y)
  const across = face.map(({ x, y }) => y * u.x - x * u.y)
  const middle = (Math.min(...across) + Math.max(...across)) / 2
  const at = (s: number) => ({ x: s * u.x - middle * u.y, y: s * u.y + middle * u.x })
  return [at(Math.min(...along)), at(Math.max(...along))] as const
}

/**
 * What is to be done about each piece that does not lie flat: by depth and length of the hollow or belly behind it and by the
 * thickness of its stuff, or as the wall's design has it. Nothing for pieces within the fitting tolerance.
 */
export function flatAdvice(pieces: readonly Piece[], { wall, settings }: Workpiece): FlatAdvice[] {
  const all = unevennesses(wall.survey.flatness)
  if (all.length === 0) return []
  const { unflat } = inForce(wall.design)
  return pieces.flatMap((piece) => {
    const [from, to] = centerLine(piece)
    return (['hollow', 'belly'] as const).flatMap((shape): FlatAdvice[] => {
      const behind = behindStrip(all, shape, from, to)
      const thickness = stuffOf(piece, { wall, settings })?.thickness
      const proposed = behind && thickness !== undefined ? flatWayOf(behind, thickness, settings) : null
      if (!behind || !proposed || thickness === undefined) return []
      const way = unflat === 'proposed' ? proposed : unflat
      return [
        {
          pieceId: piece.id,
          stripId: piece.stripId,
          behind,
          way,
          chosen: unflat !== 'proposed',
          tooFar: way === 'pull' && !canPull(behind, thickness),
        },
      ]
    })
  })
}

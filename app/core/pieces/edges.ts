import { type Length, nearestNanometer } from '~/length'
import { endPoints, type PieceCard } from './card'
import type { EndCut } from './endCut'

/** What a tape reads on a piece. Nanometers; an edge that a point leaves nothing of is 0. */
export interface EdgeLengths {
  readonly left: Length
  readonly right: Length
  /**
   * The length one measures it by: along its longer edge where its tips lie on different edges, else from tip to tip, which runs along the
   * piece. What an end hides behind its face is part of it.
   */
  readonly measured: Length
  /** Both tips lie on one line along the piece, so that tip to tip can be measured straight. */
  readonly straight: boolean
}

/** The edge an end has its tip on; null where it is square to both or has its tip between them. */
function tipOf(cut: EndCut): 'left' | 'right' | 'both' | null {
  switch (cut.kind) {
    case 'miter':
      return cut.longEdge
    case 'twoCuts':
    case 'severalCuts': {
      const points = endPoints(cut, 1)
      const [first, last] = [points[0]?.back ?? 0, points.at(-1)?.back ?? 0]
      return first === 0 ? (last === 0 ? 'both' : 'right') : last === 0 ? 'left' : null
    }
    default:
      return 'both'
  }
}

/** How long a piece is along each of its edges, and the length to measure it by. */
export function edgesOf({
  longLength,
  cutLength,
  faceWidth,
  start,
  end,
}: Pick<PieceCard, 'longLength' | 'faceWidth' | 'start' | 'end'> & {
  readonly cutLength: Length
}): EdgeLengths {
  const [started, ended] = [endPoints(start, faceWidth), endPoints(end, faceWidth)]
  const along = (from: number | undefined, to: number | undefined) =>
    nearestNanometer(Math.max(0, longLength - (from ?? 0) - (to ?? 0)))
  const [left, right] = [
    along(started.at(-1)?.back, ended.at(-1)?.back),
    along(started[0]?.back, ended[0]?.back),
  ]
  const [a, b] = [tipOf(start), tipOf(end)]
  const apart = (a === 'left' && b === 'right') || (a === 'right' && b === 'left')
  const hidden = cutLength - longLength
  return {
    left,
    right,
    measured: apart ? nearestNanometer(Math.max(left, right) + hidden) : cutLength,
    straight: !apart,
  }
}

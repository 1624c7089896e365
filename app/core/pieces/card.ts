import { clipConvex, lineFrom, type Polygon, rectangle } from '../geometry'
import { cutOut } from './cutOut'
import type { EndCut } from './endCut'
import type { Piece, Taper } from './piece'

/** What a card says of a piece, and all it takes to cut its face. */
export type PieceCard = Pick<
  Piece,
  'longLength' | 'faceWidth' | 'start' | 'end' | 'notches' | 'laps' | 'taper'
>

/** How far behind the end's long point the face stops, from the right edge to the left: places across and setbacks. */
export function endPoints(
  cut: EndCut,
  width: number,
): readonly { readonly y: number; readonly back: number }[] {
  if (cut.kind === 'twoCuts')
    return [
      { y: 0, back: cut.rightBack },
      { y: width - cut.meetFromLeft, back: cut.meetBack },
      { y: width, back: cut.leftBack },
    ]
  if (cut.kind === 'severalCuts')
    return cut.points.map(({ fromLeft, back }) => ({ y: width - fromLeft, back })).reverse()
  const miter = cut.kind === 'miter' ? width * Math.tan((cut.sawSettingDeg * Math.PI) / 180) : 0
  const longEdge = cut.kind === 'miter' ? cut.longEdge : null
  return [
    { y: 0, back: longEdge === 'left' ? miter : 0 },
    { y: width, back: longEdge === 'right' ? miter : 0 },
  ]
}

/** What two ends leave of a strip, each cut in its turn. */
function cutBoth(started: Polygon, ended: Polygon, length: number, width: number): Polygon {
  const cuts = [
    started.slice(1).map((to, i) => lineFrom(to, started[i] ?? to)),
    ended.slice(1).map((to, i) => lineFrom(ended[i] ?? to, to)),
  ]
  return cuts.flat().reduce<Polygon>((face, line) => clipConvex(face, line), rectangle(0, 0, length, width))
}

/**
 * The face a sawyer gets from the card alone: long length, width, the two cuts and the notches, with the start's long
 * point at x = 0 and the strip lying along +x, its left edge up. The proof that the card says all there is to say.
 */
export function faceFromCard({
  longLength,
  faceWidth,
  start,
  end,
  notches,
  taper,
}: Omit<PieceCard, 'laps' | 'taper'> & { readonly taper?: Taper | undefined }): Polygon {
  const started = endPoints(start, faceWidth).map(({ y, back }) => ({ x: back, y }))
  const ended = endPoints(end, faceWidth).map(({ y, back }) => ({ x: longLength - back, y }))
  // where the two ends meet inside the width what lies beyond both cuts is gone, and an edge with it
  const past = (a = started[0], b = ended[0]) => a !== undefined && b !== undefined && a.x > b.x
  const [rightStart, ...restOfStart] = started
  const face =
    past() || past(started.at(-1), ended.at(-1))
      ? cutBoth(started, ended, longLength, faceWidth)
      : [rightStart ?? { x: 0, y: 0 }, ...ended, ...restOfStart.reverse()]
  const holes = notches.map(({ from, to, depth, edge }) => {
    const [low, high] = edge === 'left' ? [faceWidth - depth, faceWidth * 2] : [-faceWidth, depth]
    return rectangle(from, low, to, high)
  })
  if (!taper) return cutOut(face, holes)
  const off = (by: number) => (taper.edge === 'left' ? faceWidth - by : by)
  const [from, to] = [
    { x: 0, y: off(taper.atStart) },
    { x: longLength, y: off(taper.atEnd) },
  ]
  return cutOut(clipConvex(face, taper.edge === 'left' ? lineFrom(to, from) : lineFrom(from, to)), holes)
}

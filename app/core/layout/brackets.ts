import { boundsOf } from '../geometry'
import type { Piece } from '../pieces'
import { keepOutsOf } from '../survey/keepOuts'
import type { Layout } from './layout'

/** A bracket under a cap or a shelf: on a stud's middle, its top at the underside. Wall units. */
export interface Bracket {
  readonly bandId: string
  readonly x: number
  readonly y: number
  readonly arm: number
}

/** A bracket's screws reach so far down the wall, and it stands so far in from the end of a shelf. Common practice, no source. */
const LEG = 127_000_000 // 5 in
const FROM_END = 38_100_000 // 1 1/2 in

/**
 * Where brackets go: on every stud, or every second, counted from the first that a piece of the shelf covers, but on none that
 * something is kept clear of there.
 */
export function bracketsOf(layout: Layout, pieces: readonly Piece[]): Bracket[] {
  const { survey } = layout
  const keptClear = keepOutsOf(survey).map(({ outline }) => boundsOf(outline))
  return layout.bands.flatMap((band): Bracket[] => {
    const { brackets } = band.ledge ?? {}
    if (!brackets) return []
    const faces = pieces.filter(({ stripId }) => stripId === band.id).map(({ polygon }) => boundsOf(polygon))
    const held = survey.behind.studs
      .map((x) => ({
        x,
        face: faces.find(({ left, right }) => x >= left + FROM_END && x <= right - FROM_END),
      }))
      .flatMap(({ x, face }) => (face ? [{ bandId: band.id, x, y: face.bottom, arm: brackets.arm }] : []))
      .filter(
        ({ x, y }) => !keptClear.some((k) => x >= k.left && x <= k.right && y - LEG < k.top && y > k.bottom),
      )
    return [...held].sort((a, b) => a.x - b.x).filter((_, i) => i % brackets.every === 0)
  })
}

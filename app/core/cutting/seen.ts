import { inches } from '~/length'
import { FURNITURE, type Survey } from '~/model'
import { boundsOf } from '../geometry'
import type { Piece } from '../pieces'

/** Where the eye falls, standing and sitting; and what is near floor or ceiling. Common practice, no source. */
const EYE = { from: inches(30), to: inches(72) }
const NEAR_FLOOR = inches(14)
const NEAR_CEILING = inches(12)

/** How much each piece's place is seen, from 0 to 1: least behind furniture, then near floor and ceiling, most at the eye. */
export function seenBy(pieces: readonly Piece[], survey: Survey): (pieceId: string) => number {
  const before = survey.things.filter(({ kind }) => (FURNITURE as readonly string[]).includes(kind))
  const seen = new Map(
    pieces.map(({ id, polygon }) => {
      const { left, right, bottom, top } = boundsOf(polygon)
      const behind = before.some(
        (thing) =>
          left >= thing.left &&
          right <= thing.left + thing.width &&
          top <= thing.bottom + thing.height &&
          bottom >= thing.bottom,
      )
      if (behind) return [id, 0] as const
      if (top <= NEAR_FLOOR) return [id, 0.2] as const
      if (bottom >= survey.height - NEAR_CEILING) return [id, 0.25] as const
      const atEye = Math.max(0, Math.min(top, EYE.to) - Math.max(bottom, EYE.from))
      return [id, 0.5 + (0.5 * atEye) / Math.max(1, top - bottom)] as const
    }),
  )
  return (id) => seen.get(id) ?? 1
}

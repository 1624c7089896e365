import type { MoveOf } from '~/model'
import { unitVector } from '../../../geometry'
import type { Strikes, Striking } from '../made'
import { nudged } from '../points'
import { regionsOf } from './parallel'

/** Where the rays of a side go: from its own direction, the field to the left. */
const FROM: Readonly<Record<MoveOf<'sunburst'>['side'], number>> = {
  bottom: 0,
  right: 90,
  top: 180,
  left: 270,
}

/** Rays at equal angles from the middle of a side, their inner ends square and so far from it. */
export function sunburst(move: MoveOf<'sunburst'>, striking: Striking): Strikes {
  return {
    struck: regionsOf(move.where, striking).flatMap((region) => {
      const base = FROM[move.side]
      // the side of this region: the part of its outline that lies farthest that way
      const out = unitVector(base - 90)
      const far = Math.max(...region.outline.map(({ x, y }) => x * out.x + y * out.y))
      const u = unitVector(base)
      const on = region.outline.map(({ x, y }) => ({
        x,
        y,
        along: x * u.x + y * u.y,
        out: x * out.x + y * out.y,
      }))
      const ends = [...on].sort((a, b) => b.out - a.out).slice(0, 2)
      const [a, b] = ends
      if (!a || !b) return []
      const middle = { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 }
      const center = nudged(
        striking,
        far === a.out ? middle : a,
        move.side === 'bottom' || move.side === 'top' ? 'along' : 'up',
      )
      return Array.from({ length: move.rays }, (_, i) => ({
        ray: {
          center,
          directionDeg: base + (180 * (i + 1)) / (move.rays + 1),
          faceWidth: striking.faceWidth,
          back: { kind: 'at' as const, distance: 0 - move.inner },
          front: { kind: 'frame' as const },
        },
        region,
      }))
    }),
  }
}

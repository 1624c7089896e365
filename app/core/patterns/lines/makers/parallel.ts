import type { MoveOf } from '~/model'
import { movedFrom, type Point } from '../../../geometry'
import { familyIn } from '../family'
import type { Strikes, Striking, Struck } from '../made'
import { nudged } from '../points'
import type { Region } from '../../../layout/moves'

/** The regions a maker fills. */
export function regionsOf(where: 'field' | 'bays', { field }: Striking): readonly Region[] {
  return where === 'bays' ? field.bays : [field]
}

/** The lower corner of a region that a rising line starts from, or a falling one: where its line lies lowest of all corners. */
export function lowCorner({ outline }: Region, rises: boolean): Point {
  // of all corners the lowest on that side: left for a line that rises to the right
  const sign = rises ? 1 : -1
  const bottom = Math.min(...outline.map(({ y }) => y))
  const top = Math.max(...outline.map(({ y }) => y))
  const low = outline.filter(({ y }) => y < bottom + (top - bottom) / 2)
  return low.reduce((best, each) => (sign * each.x < sign * best.x ? each : best), low[0] ?? { x: 0, y: 0 })
}

/** Parallel strips over one region. */
export function parallels(
  region: Region,
  { deg, clear, start }: { deg: number; clear: number; start: 'center' | 'edge' | 'half' },
  striking: Striking,
): Struck[] {
  const { faceWidth } = striking
  const turned = ((deg % 180) + 180) % 180
  const pitch = faceWidth + clear
  const corner = nudged(striking, lowCorner(region, turned <= 90), 'both')
  // the first one's upper side is to the left of a line that rises to the right, to the right of one that rises to the left
  const up = turned <= 90 ? 1 : -1
  const by = start === 'center' ? 0 : start === 'edge' ? up * (faceWidth / 2) : pitch / 2
  return familyIn(region, movedFrom(corner, turned, 0, by), turned, faceWidth, pitch)
}

/** Parallel diagonals over the field, or over each bay by itself. */
export function diagonals(move: MoveOf<'diagonals'>, striking: Striking): Strikes {
  return { struck: regionsOf(move.where, striking).flatMap((region) => parallels(region, move, striking)) }
}

/** Two families of diagonals that cross; those that rise to the right were struck first and run through. */
export function lattice(move: MoveOf<'lattice'>, striking: Striking): Strikes {
  const regions = regionsOf(move.where, striking)
  return {
    struck: [move.deg, 180 - move.deg].flatMap((deg) =>
      regions.flatMap((region) => parallels(region, { ...move, deg }, striking)),
    ),
  }
}

import type { MoveOf } from '~/model'
import { LIMITS } from '~/model'
import { boundsOf, clipConvex, lineFrom, movedFrom, type Point, type Polygon } from '../../../geometry'
import type { Strikes, Striking, Struck } from '../made'
import { nudged } from '../points'
import type { Region } from '../../../layout/moves'
import { lowCorner, regionsOf } from './parallel'

/** A piece with less than this of its place in the region is none: a square of about 1/16 in. */
const LEAST_AREA = 1_500_000 ** 2

function sharedArea(face: Polygon, region: Polygon): number {
  const left = region.reduce<Polygon>((part, from, i) => {
    const to = region[(i + 1) % region.length]
    return to && part.length > 2 ? clipConvex(part, lineFrom(from, to)) : part
  }, face)
  return left.reduce((sum, p, i) => {
    const q = left[(i + 1) % left.length] ?? p
    return sum + (p.x * q.y - q.x * p.y) / 2
  }, 0)
}

/**
 * Pieces of one length laid in zigzags: cells so much larger than a piece as is clear all round it, their directions square to
 * one another, turned by an angle. A cell's corner lies in the region's lower left corner.
 */
export function herringbone(move: MoveOf<'herringbone'>, striking: Striking): Strikes {
  return { struck: regionsOf(move.where, striking).flatMap((region) => piecesIn(region, move, striking)) }
}

function piecesIn(region: Region, move: MoveOf<'herringbone'>, striking: Striking): Struck[] {
  const { faceWidth } = striking
  const [short, long] = [faceWidth + move.clear, move.length + move.clear]
  const origin = nudged(striking, lowCorner(region, true), 'both')
  const { left, right, bottom, top } = boundsOf(region.outline)
  const reach = Math.hypot(right - left, top - bottom) + 2 * long
  const far = Math.hypot(move.length, faceWidth) / 2
  const struck: Struck[] = []
  const lay = (corner: Point, turned: boolean) => {
    // each lies in the lower left of its cell, so that the first one's corner is the region's
    const [wide, high] = turned ? [faceWidth, move.length] : [move.length, faceWidth]
    const center = movedFrom(origin, move.deg, corner.x + wide / 2, corner.y + high / 2)
    // most cells of the turned grid lie far off
    if (center.x < left - far || center.x > right + far || center.y < bottom - far || center.y > top + far)
      return
    const directionDeg = move.deg + (turned ? 90 : 0)
    const face = [
      [-move.length / 2, -faceWidth / 2],
      [move.length / 2, -faceWidth / 2],
      [move.length / 2, faceWidth / 2],
      [-move.length / 2, faceWidth / 2],
    ].map(([along = 0, across = 0]) => movedFrom(center, directionDeg, along, across))
    const box = boundsOf(face)
    if (box.right < left || box.left > right || box.top < bottom || box.bottom > top) return
    if (sharedArea(face, region.outline) < LEAST_AREA) return
    const half = { kind: 'at', distance: move.length / 2 } as const
    struck.push({
      ray: { center, directionDeg, faceWidth, back: half, front: half },
      region,
      crossesNothing: true,
    })
  }
  // steps along a zigzag, and from one zigzag to the next
  const [steps, zigzags] = [Math.ceil(reach / short), Math.ceil(reach / long)]
  // so many that they can't be meant are counted no further
  if (steps * zigzags > 40_000) return Array.from({ length: LIMITS.lines + 1 }, () => none(region, faceWidth))
  for (let i = -steps; i <= steps; i++)
    for (let j = -zigzags; j <= zigzags; j++) {
      const at = { x: i * short + j * long, y: i * short - j * long }
      lay(at, false)
      lay({ x: at.x + long, y: at.y - (long - short) }, true)
    }
  return struck
}

function none(region: Region, faceWidth: number): Struck {
  const stop = { kind: 'at', distance: 0 } as const
  return { ray: { center: { x: 0, y: 0 }, directionDeg: 0, faceWidth, back: stop, front: stop }, region }
}

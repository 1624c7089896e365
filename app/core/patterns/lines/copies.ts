import type { MoveOf } from '~/model'
import { type Line, movedFrom, type Point, unitVector } from '../../geometry'
import type { End } from '../../strips/strip'
import { pastAll } from './family'
import { nothing, type Strikes, type Striking, type Struck } from './made'
import { sideEnds, stretch } from './points'
import type { Stop } from './rays'

/** A struck strip moved square to itself. */
function moved(struck: Struck, by: number, faceWidth: number): Struck {
  const { ray, ends } = struck
  const shift = (point: Point) => movedFrom(point, ray.directionDeg, 0, by)
  const end = (of: End): End => ({
    ...of,
    lines: of.lines.map((line): Line => ({
      ...line,
      through: shift(line.through),
    })) as unknown as End['lines'],
  })
  return {
    ...struck,
    ray: { ...ray, center: shift(ray.center), faceWidth },
    ...(ends ? { ends: { start: end(ends.start), end: end(ends.end) }, moved: true as const } : {}),
  }
}

/** Copies of all that a move struck, parallel and so far clear of it; to the edge, as many as still lie in the field. */
export function repeat(move: MoveOf<'repeat'>, striking: Striking): Strikes {
  const source = striking.struckBy(move.of)
  if (!source) return nothing({ code: 'refersLater', move: move.of })
  if (source.length === 0) return nothing({ code: 'missing', ref: move.of })
  const struck: Struck[] = []
  for (const sign of [1, -1]) {
    if ((sign > 0 && move.side === 'right') || (sign < 0 && move.side === 'left')) continue
    for (const each of source) {
      // of other stuff the first lies as clear of what it copies as the next of it
      const width = move.material === null ? each.ray.faceWidth : striking.faceWidth
      const pitch = width + move.clear
      const first = (each.ray.faceWidth + width) / 2 + move.clear
      const most = move.times ?? pastAll(each, sign, pitch, width, first)
      for (let k = 1; k <= most; k++) struck.push(moved(each, sign * (first + (k - 1) * pitch), width))
    }
  }
  return struck.length > 0 ? { struck } : nothing({ code: 'noRoom' })
}

interface Axis {
  readonly through: Point
  readonly directionDeg: number
}

function mirroredPoint({ x, y }: Point, { through, directionDeg }: Axis): Point {
  const u = unitVector(directionDeg)
  const left = (y - through.y) * u.x - (x - through.x) * u.y
  return { x: x + 2 * left * u.y, y: y - 2 * left * u.x }
}

/** What was struck, on the other side of a line: its ends are found anew there, on the wall as it is. */
function mirrored(struck: Struck, axis: Axis, striking: Striking, faceWidth: number): Struck {
  const { ray, ends } = struck
  const line = (of: Line): Line => ({
    through: mirroredPoint(of.through, axis),
    directionDeg: 2 * axis.directionDeg - of.directionDeg,
  })
  const end = (of: End): End => ({ ...of, lines: of.lines.map(line) as unknown as End['lines'] })
  // what ended at the face of a bay hits what stands on the other side
  const stop = (of: Stop): Stop =>
    of.kind === 'frame' && struck.region !== striking.field ? { kind: 'hit' } : of
  return {
    ...struck,
    region: striking.field,
    ray: {
      ...ray,
      faceWidth,
      center: mirroredPoint(ray.center, axis),
      directionDeg: 2 * axis.directionDeg - ray.directionDeg,
      back: stop(ray.back),
      front: stop(ray.front),
    },
    ...(ends ? { ends: { start: end(ends.start), end: end(ends.end) }, moved: true as const } : {}),
  }
}

/** All that some moves struck, mirrored about the middle of the field or a strip's center line. */
export function mirror(move: MoveOf<'mirror'>, striking: Striking): Strikes {
  const sources: Struck[] = []
  for (const id of move.of) {
    const source = striking.struckBy(id)
    if (!source) return nothing({ code: 'refersLater', move: id })
    sources.push(...source)
  }
  const [first] = move.of
  if (sources.length === 0) return nothing({ code: 'missing', ref: first ?? '' })
  const axis = axisOf(move, striking)
  return axis
    ? {
        struck: sources.map((each) =>
          mirrored(each, axis, striking, move.material === null ? each.ray.faceWidth : striking.faceWidth),
        ),
      }
    : nothing({ code: 'missing', ref: missingOf(move) })
}

function missingOf({ about }: MoveOf<'mirror'>): string {
  return about.line === 'strip' ? about.strip : ''
}

function axisOf({ about }: MoveOf<'mirror'>, striking: Striking): Axis | null {
  if (about.line === 'strip') {
    const along = stretch(about.strip, striking)
    return along.ok ? { through: along.value.from, directionDeg: along.value.directionDeg } : null
  }
  const [low, high] = about.line === 'upright' ? (['bottom', 'top'] as const) : (['left', 'right'] as const)
  const middle = (side: 'bottom' | 'top' | 'left' | 'right') => {
    const [a, b] = sideEnds(striking.field, side)
    return { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 }
  }
  return {
    through: middle(low),
    directionDeg: about.line === 'upright' ? 90 : turnOf(middle(low), middle(high)),
  }
}

function turnOf(a: Point, b: Point): number {
  return a.y === b.y ? 0 : (Math.atan2(b.y - a.y, b.x - a.x) * 180) / Math.PI
}

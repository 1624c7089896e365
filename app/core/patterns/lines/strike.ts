import type { Heading, MoveOf, Until } from '~/model'
import { movedFrom, type Point } from '../../geometry'
import { asSide, distanceAlong, type Found, pointAt, stretch } from './points'
import { nothing, type Strikes, type Striking } from './made'
import type { Ray, Stop } from './rays'

/** The direction of a heading from a point, in degrees, and how far its point is, where it goes to one. */
function headed(
  heading: Heading,
  from: Point,
  lies: 'center' | 'left' | 'right',
  striking: Striking,
): Found<{ deg: number; to: number | null }> {
  switch (heading.to) {
    case 'angle':
      return { ok: true, value: { deg: heading.deg, to: null } }
    case 'point': {
      const to = pointAt(heading.point, striking)
      if (!to.ok) return to
      const [dx, dy] = [to.value.point.x - from.x, to.value.point.y - from.y]
      const far = Math.hypot(dx, dy)
      if (far < 1) return { ok: false, issue: { code: 'noLength' } }
      const straight =
        dy === 0 ? (dx > 0 ? 0 : 180) : dx === 0 ? (dy > 0 ? 90 : 270) : Math.atan2(dy, dx) * (180 / Math.PI)
      if (heading.edge === 'same' || lies === 'center') return { ok: true, value: { deg: straight, to: far } }
      // its one edge through the one point, its other through the other
      const width = striking.faceWidth
      if (width >= far) return { ok: false, issue: { code: 'noLength' } }
      const turn = (Math.asin(width / far) * 180) / Math.PI
      return {
        ok: true,
        value: { deg: straight + (lies === 'left' ? -turn : turn), to: Math.sqrt(far * far - width * width) },
      }
    }
    case 'square': {
      const along = stretch(heading.strip, striking)
      if (!along.ok) return along
      return {
        ok: true,
        value: { deg: along.value.directionDeg + (heading.side === 'left' ? 90 : -90), to: null },
      }
    }
  }
}

/** How a line ends that runs until so far. */
function stopOf(until: Until, to: number | null): Stop {
  if (until.kind === 'length') return { kind: 'at', distance: until.length }
  if (until.kind === 'point') return to === null ? { kind: 'hit' } : { kind: 'at', distance: to }
  return { kind: until.kind }
}

const BACK: Readonly<Record<'frame' | 'strip' | 'wall', Stop>> = {
  frame: { kind: 'frame' },
  strip: { kind: 'hit' },
  wall: { kind: 'at', distance: 0 },
}

/** The ray of a line whose width lies to a side of it. */
function lyingOn(from: Point, deg: number, width: number, lies: 'center' | 'left' | 'right'): Point {
  const by = lies === 'center' ? 0 : (lies === 'left' ? 1 : -1) * (width / 2)
  return movedFrom(from, deg, 0, by)
}

/** One line struck from a point. */
export function strike(move: MoveOf<'strike'>, striking: Striking): Strikes {
  const from = pointAt(move.from, striking)
  if (!from.ok) return nothing(from.issue)
  const heading = headed(move.heading, from.value.point, move.lies, striking)
  if (!heading.ok) return nothing(heading.issue)
  const { deg, to } = heading.value
  const { faceWidth, field } = striking
  // from the frame it must lead into the field
  const ray: Ray = {
    center: lyingOn(from.value.point, deg, faceWidth, move.lies),
    directionDeg: deg,
    faceWidth,
    back: BACK[from.value.on],
    front: stopOf(move.until, to),
  }
  return { struck: [{ ray, region: field }] }
}

/** Rays from a point, at equal angles; their ends stay so far from it. */
export function fan(move: MoveOf<'fan'>, striking: Striking): Strikes {
  const from = pointAt(move.from, striking)
  if (!from.ok) return nothing(from.issue)
  const { faceWidth, field } = striking
  return {
    struck: Array.from({ length: move.rays }, (_, i) => ({
      ray: {
        center: from.value.point,
        directionDeg: move.firstDeg + i * move.stepDeg,
        faceWidth,
        // with nothing left free at the point they run into one another there
        back: { kind: 'at', distance: 0 - move.inner },
        front: { kind: 'hit' },
      },
      region: field,
    })),
  }
}

/** Directions off a stretch, to one side of it or both. */
function offs(directionDeg: number, deg: number, side: 'left' | 'right' | 'both'): number[] {
  return [...(side === 'right' ? [] : [directionDeg + deg]), ...(side === 'left' ? [] : [directionDeg - deg])]
}

/** Off a strip, square or at an angle. */
export function branch(move: MoveOf<'branch'>, striking: Striking): Strikes {
  const along = stretch(move.off, striking)
  if (!along.ok) return nothing(along.issue)
  const { from, length, directionDeg } = along.value
  const at = movedFrom(from, directionDeg, distanceAlong(move.along, length), 0)
  const back: Stop = asSide(move.off) ? { kind: 'frame' } : { kind: 'hit' }
  return {
    struck: offs(directionDeg, move.deg, move.side).map((deg) => ({
      ray: {
        center: at,
        directionDeg: deg,
        faceWidth: striking.faceWidth,
        back,
        front: stopOf(move.until, null),
      },
      region: striking.field,
    })),
  }
}

/** From each mark of a strip or a side that is divided equally. */
export function divide(move: MoveOf<'divide'>, striking: Striking): Strikes {
  const along = stretch(move.of, striking)
  if (!along.ok) return nothing(along.issue)
  const { from, length, directionDeg } = along.value
  const parts =
    move.by.how === 'parts' ? move.by.parts : Math.min(200, Math.max(1, Math.round(length / move.by.wish)))
  if (parts < 2) return nothing({ code: 'noRoom' })
  const back: Stop = asSide(move.of) ? { kind: 'frame' } : { kind: 'hit' }
  return {
    struck: Array.from({ length: parts - 1 }, (_, i) =>
      movedFrom(from, directionDeg, (length * (i + 1)) / parts, 0),
    ).flatMap((center) =>
      offs(directionDeg, move.deg, move.side).map((deg) => ({
        ray: {
          center,
          directionDeg: deg,
          faceWidth: striking.faceWidth,
          back,
          front: stopOf(move.until, null),
        },
        region: striking.field,
      })),
    ),
  }
}

import type { FieldCorner, MoveOf } from '~/model'
import {
  clipConvex,
  crossing,
  leftOf,
  type Line,
  lineFrom,
  miteredSides,
  movedFrom,
  type Point,
  type Polygon,
  shiftedLeft,
} from '../../../geometry'
import type { End } from '../../../strips/strip'
import { nothing, type Strikes, type Striking, type Struck } from '../made'
import type { Region, RegionEdge } from '../../../layout/moves'
import { regionsOf } from './parallel'

/** A strip inside a line, from one place on it to another, with its ends given. */
function along(side: Line, from: End, to: End, region: Region, faceWidth: number): Struck {
  return {
    ray: {
      center: movedFrom(side.through, side.directionDeg, 0, faceWidth / 2),
      directionDeg: side.directionDeg,
      faceWidth,
      back: { kind: 'frame' },
      front: { kind: 'frame' },
    },
    region,
    ends: { start: from, end: to },
  }
}

const miter = (line: Line): End => ({ lines: [line], against: 'strip' })

/** Every side is long enough for the miters at its corners. */
function holds(outline: Polygon, faceWidth: number): boolean {
  const inner = miteredSides(outline).reduce<Polygon>(
    (face, { side }) => (face.length > 2 ? clipConvex(face, shiftedLeft(side, faceWidth)) : face),
    outline,
  )
  return outline.length > 2 && inner.length === outline.length
}

/** Where an upright or a level line through a point leaves a region. */
function middles(region: Region): Polygon {
  const { outline, edges } = region
  const xs = outline.map(({ x }) => x)
  const ys = outline.map(({ y }) => y)
  const center = { x: (Math.min(...xs) + Math.max(...xs)) / 2, y: (Math.min(...ys) + Math.max(...ys)) / 2 }
  const reach = (directionDeg: number): Point | null => {
    const u = movedFrom({ x: 0, y: 0 }, directionDeg, 1, 0)
    const all = edges.flatMap(({ line }) => {
      const met = crossing({ through: center, directionDeg }, line)
      const at = met ? (met.x - center.x) * u.x + (met.y - center.y) * u.y : -1
      return met && at > 0 ? [{ met, at }] : []
    })
    return (
      all.reduce<(typeof all)[number] | null>(
        (best, each) => (!best || each.at < best.at ? each : best),
        null,
      )?.met ?? null
    )
  }
  return [270, 0, 90, 180].flatMap((deg) => reach(deg) ?? [])
}

/** Diamonds on the middles of the sides, mitered, one inside another. */
export function diamonds(move: MoveOf<'diamonds'>, striking: Striking): Strikes {
  const { faceWidth } = striking
  const struck = regionsOf(move.where, striking).flatMap((region): Struck[] => {
    const outer = middles(region)
    if (outer.length < 4) return []
    const found: Struck[] = []
    const sides = miteredSides(outer).map(({ side }) => side)
    for (let k = 0; k < (move.count ?? 200); k++) {
      const by = k * (faceWidth + move.clear)
      const outline = sides.reduce<Polygon>(
        (left, side) => (left.length > 2 ? clipConvex(left, shiftedLeft(side, by)) : left),
        outer,
      )
      if (outline.length !== 4 || !holds(outline, faceWidth)) break
      for (const { side, from, to } of miteredSides(outline))
        found.push(along(side, miter(from), miter(to), region, faceWidth))
    }
    return found
  })
  return struck.length > 0 ? { struck } : nothing({ code: 'noRoom' })
}

/** The edges that meet in a corner of a region: the level one, the upright one. */
function cornerEdges({ edges }: Region, corner: FieldCorner): [RegionEdge, RegionEdge] | null {
  const turn = ({ line }: RegionEdge) => (((line.directionDeg + 45) % 360) + 360) % 360
  // directed with the field to the left: the foot to the right, the right side up, the head to the left, the left side down
  const facing = (quarter: number) => edges.find((edge) => Math.floor(turn(edge) / 90) === quarter)
  const level = facing(corner.startsWith('bottom') ? 0 : 2)
  const upright = facing(corner.endsWith('Right') ? 1 : 3)
  return level && upright ? [level, upright] : null
}

/** Right angles nested in corners of the field: two legs each, mitered, so far off the sides and of one another. */
export function nestedCorners(move: MoveOf<'corners'>, striking: Striking): Strikes {
  const { faceWidth } = striking
  const struck: Struck[] = []
  for (const region of regionsOf(move.where, striking))
    for (const corner of move.corners) {
      const edges = cornerEdges(region, corner)
      if (!edges) continue
      const [level, upright] = edges
      for (let k = 0; k < move.count; k++) {
        const near = move.first + k * (faceWidth + move.clear)
        const at = (edge: RegionEdge, by: number) => shiftedLeft(edge.line, by)
        const inner = crossing(at(level, near), at(upright, near))
        const outer = crossing(at(level, near + faceWidth), at(upright, near + faceWidth))
        // a corner beyond the other sides has no leg inside
        if (!inner || !outer || !region.edges.every(({ line }) => leftOf(outer, line) >= 0)) break
        const cut = miter(lineFrom(inner, outer))
        const legs = [
          { edge: level, stop: upright },
          { edge: upright, stop: level },
        ].map(({ edge, stop }): Struck => {
          const end: End = { lines: [stop.line], against: stop.against }
          const side = at(edge, near)
          // from the side to the miter where the field's edge leads away from the corner, else from the miter to the side
          const toward = crossing(side, stop.line)
          const away =
            toward &&
            (inner.x - toward.x) * Math.cos((side.directionDeg * Math.PI) / 180) +
              (inner.y - toward.y) * Math.sin((side.directionDeg * Math.PI) / 180) >
              0
          return away ? along(side, end, cut, region, faceWidth) : along(side, cut, end, region, faceWidth)
        })
        struck.push(...legs)
      }
    }
  return struck.length > 0 ? { struck } : nothing({ code: 'noRoom' })
}

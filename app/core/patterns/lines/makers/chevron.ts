import type { MoveOf } from '~/model'
import { clipConvex, crossing, lineFrom, movedFrom, type Point } from '../../../geometry'
import { familyIn } from '../family'
import { nothing, type Strikes, type Striking, type Struck } from '../made'
import { nudged } from '../points'
import type { Region, RegionEdge } from '../../../layout/moves'

/** The edges that close a bay at its left and its right, and its foot there. */
interface Bay {
  readonly left: Point
  readonly right: Point
  /** From face to face, at the foot. */
  readonly width: number
}

function isUpright({ line }: RegionEdge): boolean {
  return Math.abs(Math.cos((line.directionDeg * Math.PI) / 180)) < 0.5
}

/** A bay by its faces at half its height, and its feet. */
function bayOf({ outline, edges }: Region): Bay | null {
  const ys = outline.map(({ y }) => y)
  const middle = (Math.min(...ys) + Math.max(...ys)) / 2
  const level = { through: { x: 0, y: middle }, directionDeg: 0 }
  // a left face is directed down, a right face up
  const at = edges.filter(isUpright).flatMap((edge) => {
    const met = crossing(edge.line, level)
    return met ? [{ edge, x: met.x, isLeft: Math.sin((edge.line.directionDeg * Math.PI) / 180) < 0 }] : []
  })
  const left = at
    .filter(({ isLeft }) => isLeft)
    .reduce(
      (a, b) => (b.x > a.x ? b : a),
      at.find(({ isLeft }) => isLeft) ?? { x: -Infinity, edge: null, isLeft: true },
    )
  const right = at
    .filter(({ isLeft }) => !isLeft)
    .reduce(
      (a, b) => (b.x < a.x ? b : a),
      at.find(({ isLeft }) => !isLeft) ?? { x: Infinity, edge: null, isLeft: false },
    )
  if (!left.edge || !right.edge || right.x <= left.x) return null
  const foot = (edge: RegionEdge) => {
    const feet = edges.flatMap((other) => {
      const met =
        isUpright(other) || Math.cos((other.line.directionDeg * Math.PI) / 180) < 0
          ? null
          : crossing(edge.line, other.line)
      return met ? [met] : []
    })
    return feet.reduce<Point | null>((best, each) => (!best || each.y > best.y ? each : best), null)
  }
  const [a, b] = [foot(left.edge), foot(right.edge)]
  return a && b ? { left: a, right: b, width: right.x - left.x } : null
}

const UP = 90

/** A bay parted up its middle, where two hands meet without an upright between them: each half ends on that line, in a miter. */
function halves(region: Region, { left, right }: Bay): Region[] {
  const level = { through: { x: 0, y: Math.max(...region.outline.map(({ y }) => y)) }, directionDeg: 0 }
  const faces = region.edges.filter(isUpright).flatMap(({ line }) => crossing(line, level)?.x ?? [])
  const foot = { x: (left.x + right.x) / 2, y: Math.min(left.y, right.y) }
  const heads = [Math.max(...faces.filter((x) => x < foot.x)), Math.min(...faces.filter((x) => x > foot.x))]
  const [headLeft = foot.x, headRight = foot.x] = heads.map((x) => (Number.isFinite(x) ? x : foot.x))
  const head = { x: (headLeft + headRight) / 2, y: level.through.y }
  const up = Math.abs(head.x - foot.x) < 1 ? { through: foot, directionDeg: UP } : lineFrom(foot, head)
  // what lies to the left of a line up is the left half
  return [up, { ...up, directionDeg: up.directionDeg + 180 }].flatMap((line): Region[] => {
    const outline = clipConvex(region.outline, line)
    return outline.length < 3
      ? []
      : [{ edges: [{ line, against: 'strip', of: 'middle' }, ...region.edges], outline }]
  })
}

/** The bays that the hands alternate over: a single one is parted up its middle. */
function handed({ hand }: MoveOf<'chevron'>, bays: readonly Region[]): readonly Region[] {
  const [only, ...more] = bays
  const bay = only && more.length === 0 && hand === 'alternating' ? bayOf(only) : null
  return only && bay ? halves(only, bay) : bays
}

/**
 * Bands that rise and fall from bay to bay, all alike where the bays are. A rise is measured face to face along one edge of the
 * band; the first band's lower edge starts in the lower corner of its bay, or half a band above. Without an upright both hands meet up the middle.
 */
export function chevron(move: MoveOf<'chevron'>, striking: Striking): Strikes {
  const { field, faceWidth } = striking
  const pitch = faceWidth + move.clear
  const struck = handed(move, field.bays).flatMap((region, i): Struck[] => {
    const bay = bayOf(region)
    if (!bay) return []
    const turns = move.hand === 'alternating' && i % 2 === 1
    const rises = (move.first === 'up') !== turns
    const deg =
      move.slope.by === 'angle' ? move.slope.deg : (Math.atan(move.slope.rise / bay.width) * 180) / Math.PI
    const directionDeg = rises ? deg : 180 - deg
    const corner = nudged(striking, rises ? bay.left : bay.right, 'up')
    const lower = faceWidth / 2 + (move.start === 'half' ? pitch / 2 : 0)
    const count =
      move.bands === null
        ? undefined
        : { least: rises ? 0 : 1 - move.bands, most: rises ? move.bands - 1 : 0 }
    // up is to the left of a band that rises to the right
    return familyIn(
      region,
      movedFrom(corner, directionDeg, 0, rises ? lower : -lower),
      directionDeg,
      faceWidth,
      pitch,
      count,
    )
  })
  return struck.length > 0 ? { struck } : nothing({ code: 'noRoom' })
}

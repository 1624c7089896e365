import type { Survey } from '~/model'
import type { Plan } from '../computePlan'
import { type Point, type Polygon, signedArea } from '../geometry'
import { buildScene } from '../scene/buildScene'
import { isPlate } from '../survey/obstacles'
import { onPhoto, type PhotoMap } from './photoMap'

/** What of a plan is laid over a photograph, in pixels of the picture, back to front. */
export interface PhotoNode {
  readonly kind: 'field' | 'above' | 'seam' | 'shadow' | 'strip' | 'base' | 'plate' | 'lit' | 'dim' | 'hole'
  readonly id: string
  readonly points: Polygon
}

/** Under a lens straight edges are curves: each is cut in so many bits for the whole wall's width. */
const BITS = 24

function cutFine(polygon: Polygon, bit: number): Point[] {
  return polygon.flatMap((a, i) => {
    const b = polygon[(i + 1) % polygon.length] ?? a
    const bits = Math.max(1, Math.ceil(Math.hypot(b.x - a.x, b.y - a.y) / bit))
    return Array.from({ length: bits }, (_, k) => ({
      x: a.x + ((b.x - a.x) * k) / bits,
      y: a.y + ((b.y - a.y) * k) / bits,
    }))
  })
}

/** How far each piece stands out from the wall, by its strip. */
function standingOut({ layout, pieces }: Plan): ReadonlyMap<string, number> {
  const bands = new Map(layout.bands.map(({ id, standsOut }) => [id as string, standsOut as number]))
  return new Map(
    pieces.map(({ id, stripId, materialId }) => [
      id,
      bands.get(stripId) ?? layout.materials.get(materialId)?.thickness ?? 0,
    ]),
  )
}

/** The part of the wall in a piece's shade: its face swept away from the light by what it stands out, light at 45° to the wall. */
function shadeOf(polygon: Polygon, by: Point): Polygon[] {
  const moved = polygon.map(({ x, y }) => ({ x: x + by.x, y: y + by.y }))
  const swept = polygon.map((a, i) => {
    const k = (i + 1) % polygon.length
    const [b, c, d] = [polygon[k] ?? a, moved[k] ?? a, moved[i] ?? a]
    return [a, b, c, d]
  })
  return [moved, ...swept.filter((each) => Math.abs(signedArea(each)) > 1)]
}

/** The two kinds of long edges: turned to the light and turned away from it, as slivers along the face. */
function edgesOf(polygon: Polygon, toward: Point, wide: number): { lit: Polygon[]; dim: Polygon[] } {
  const [lit, dim]: [Polygon[], Polygon[]] = [[], []]
  const turn = Math.sign(signedArea(polygon)) || 1
  polygon.forEach((a, i) => {
    const b = polygon[(i + 1) % polygon.length] ?? a
    const length = Math.hypot(b.x - a.x, b.y - a.y)
    if (length < wide) return
    // counter-clockwise, the outside lies to the right of an edge
    const out = { x: (turn * (b.y - a.y)) / length, y: (-turn * (b.x - a.x)) / length }
    const facing = out.x * toward.x + out.y * toward.y
    if (Math.abs(facing) < 0.25) return
    const [c, d] = [b, a].map(({ x, y }) => ({ x: x - out.x * wide, y: y - out.y * wide }))
    if (c && d) (facing > 0 ? lit : dim).push([a, b, c, d])
  })
  return { lit, dim }
}

/** So much of a strip's thickness its lit edge is drawn wide. */
const EDGE = 0.35

/**
 * A plan as a photograph would see it: every corner through the map, shades of the relief away from where light comes from
 * (degrees counterclockwise from the right, on the wall; null: none).
 */
export function photoScene(
  plan: Plan,
  survey: Survey,
  found: Pick<PhotoMap, 'map' | 'lens'>,
  lightDeg: number | null,
): PhotoNode[] {
  const bit = found.lens ? survey.width / BITS : Infinity
  const seen = (polygon: Polygon) =>
    (found.lens ? cutFine(polygon, bit) : polygon).map((point) => onPhoto(found, point))
  const out = standingOut(plan)
  const light = lightDeg === null ? null : (lightDeg * Math.PI) / 180
  const toward = light === null ? null : { x: Math.cos(light), y: Math.sin(light) }
  const { nodes } = buildScene(plan, survey)
  const strips = nodes.flatMap((node) => (node.kind === 'strip' ? [node] : []))
  const under = nodes.flatMap((node): PhotoNode[] => {
    if (node.kind === 'field' || node.kind === 'above')
      return [{ kind: node.kind, id: node.id, points: seen(node.polygon) }]
    if (node.kind === 'paper') return [{ kind: 'seam', id: node.id, points: seen(node.polygon) }]
    if (node.kind === 'running' && node.kept && node.id === 'baseboard')
      return [{ kind: 'base', id: node.id, points: seen(node.polygon) }]
    return []
  })
  const shades = strips.flatMap(({ id, polygon }): PhotoNode[] => {
    const by = out.get(id) ?? 0
    if (!toward || by === 0) return []
    return shadeOf(polygon, { x: -toward.x * by, y: -toward.y * by }).map((each, i) => ({
      kind: 'shadow',
      id: `${id}-shade-${i}`,
      points: seen(each),
    }))
  })
  const faces = strips.flatMap(({ id, polygon }): PhotoNode[] => {
    const edges = toward ? edgesOf(polygon, toward, (out.get(id) ?? 0) * EDGE) : { lit: [], dim: [] }
    const of = (kind: 'lit' | 'dim') =>
      edges[kind].map((each, i): PhotoNode => ({ kind, id: `${id}-${kind}-${i}`, points: seen(each) }))
    return [{ kind: 'strip', id, points: seen(polygon) }, ...of('dim'), ...of('lit')]
  })
  const plates = nodes.flatMap((node): PhotoNode[] =>
    node.kind === 'thing' && node.kept && isPlate(node.thing)
      ? [{ kind: 'plate', id: node.id, points: seen(node.outline) }]
      : [],
  )
  // a window is not painted over, nor what else stays on the wall
  const holes = nodes.flatMap((node): PhotoNode[] =>
    node.kind === 'thing' && node.kept && !isPlate(node.thing)
      ? [{ kind: 'hole', id: node.id, points: seen(node.outline) }]
      : [],
  )
  return [...under, ...shades, ...faces, ...plates, ...holes]
}

/** Places on the wall that are known by name: its corners, and those of what stands on it. */
export interface KnownPlace {
  readonly of: 'wall' | { readonly thingId: string }
  readonly corner: 'bottomLeft' | 'bottomRight' | 'topRight' | 'topLeft'
  readonly at: Point
}

/** The four corners of the wall as it was surveyed, and the corners of its openings, plates and other things. */
export function knownPlaces(plan: Plan, survey: Survey): KnownPlace[] {
  const wall = buildScene(plan, survey).nodes.find(({ kind }) => kind === 'wall')
  const corners = ['bottomLeft', 'bottomRight', 'topRight', 'topLeft'] as const
  const cornersOf = (polygon: Polygon): Point[] => {
    // the outermost in each direction: a wall's outline may have more corners than four
    const most = (of: (point: Point) => number) => polygon.reduce((a, b) => (of(b) > of(a) ? b : a))
    return [
      most(({ x, y }) => -x - y),
      most(({ x, y }) => x - y),
      most(({ x, y }) => x + y),
      most(({ x, y }) => y - x),
    ]
  }
  const of = (whose: KnownPlace['of'], polygon: Polygon): KnownPlace[] =>
    cornersOf(polygon).flatMap((at, i) => {
      const corner = corners[i]
      return corner ? [{ of: whose, corner, at }] : []
    })
  return [
    ...(wall && 'polygon' in wall ? of('wall', wall.polygon) : []),
    ...survey.things.flatMap(({ id, left, bottom, width, height }) =>
      of({ thingId: id }, [
        { x: left, y: bottom },
        { x: left + width, y: bottom },
        { x: left + width, y: bottom + height },
        { x: left, y: bottom + height },
      ]),
    ),
  ]
}

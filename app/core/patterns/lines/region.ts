import type { FieldSide } from '~/model'
import {
  clipConvex,
  crossing,
  type Line,
  lineFrom,
  type Point,
  type Polygon,
  rectangle,
  unitVector,
} from '../../geometry'
import { endLine } from '../../layout/bandStrips'
import type { LaidOut } from '../../layout/layout'
import type { LineField, Region, RegionEdge } from '../../layout/moves'
import { reachesHead } from '../../layout/uprightStrip'
import { faceLine, type Strip } from '../../strips/strip'
import { baseAt, onLine } from '../../survey/wallLines'

/** The part of an outline that lies to the left of all edges. */
function bounded(outline: Polygon, edges: readonly RegionEdge[]): Polygon {
  return edges.reduce<Polygon>((left, { line }) => (left.length > 2 ? clipConvex(left, line) : left), outline)
}

const UP = 90

/** The frame's own strips by the side of the field they close. */
function frameStrips(layout: LaidOut, base: readonly Strip[]): Record<FieldSide, Strip[]> {
  const { border } = layout.design
  const none = { left: [], right: [], bottom: [], top: [] }
  if (border === 'none') return none
  const sides = base.filter(({ role, part }) => role === 'border' && part !== '')
  if (sides.length > 0) {
    const of = (side: FieldSide) => sides.filter(({ part }) => part === side)
    return { left: of('left'), right: of('right'), bottom: of('bottom'), top: of('top') }
  }
  const stiles = base.filter(({ role }) => role === 'stile')
  const byPlace = [...stiles].sort((a, b) => a.center.x - b.center.x)
  const borders = layout.bands.filter(({ role }) => role === 'border')
  const strips = (id: string | undefined) =>
    base.filter((strip) => strip.id === id && strip.role === 'border')
  const atFoot = border === 'butt' || border === 'miter'
  const [first, last] = [byPlace[0], byPlace.at(-1)]
  return {
    left: first && last !== first ? [first] : [],
    right: last && last !== first ? [last] : [],
    bottom: atFoot && borders.length > 1 ? strips(borders[0]?.id) : [],
    top: strips(borders.at(-1)?.id),
  }
}

/** A line across, of a height above the base line, course by course, directed so that the field is to its left. */
function courseLines(layout: LaidOut, lift: number, over: boolean): Line[] {
  return layout.lines.courses
    .filter(({ left, right }) => right > layout.left && left < layout.right)
    .map(({ line }) => {
      const [a, b] = [0, 1_000_000_000].map((x) => ({ x, y: onLine(line, x) + lift }))
      return over
        ? lineFrom(a ?? { x: 0, y: 0 }, b ?? { x: 1, y: 0 })
        : lineFrom(b ?? { x: 1, y: 0 }, a ?? { x: 0, y: 0 })
    })
}

/** Left of a strip's edge toward the inside of the frame. */
function inner(strip: Strip, side: FieldSide): Line {
  // a mitered frame runs counter-clockwise round, its inside on its left; a stile runs up, a rail to the right
  const round = strip.part !== '' && strip.role === 'border'
  if (round) return faceLine(strip, 'left')
  return faceLine(strip, side === 'left' || side === 'top' ? 'right' : 'left')
}

/** An edge of the field where no strip of the frame closes it: the wall's own end, or where the layout stops. */
function openEdges(layout: LaidOut, side: FieldSide): RegionEdge[] {
  const { lines, uprightFoot, uprightHead } = layout
  if (side === 'bottom')
    return courseLines(layout, uprightFoot, true).map((line) => ({ line, against: 'wall', of: side }))
  if (side === 'top')
    return courseLines(layout, uprightHead, false).map((line) => ({
      line,
      against: reachesHead(layout) ? 'wall' : 'open',
      of: side,
    }))
  const x = layout[side]
  const [low, high] = [
    baseAt(lines, x) + uprightFoot,
    baseAt(lines, x) + Math.max(uprightHead, uprightFoot + 1),
  ]
  const line = endLine(layout, side, low, high, 0)
  const stops = side === 'left' ? layout.left > lines.left : layout.right < lines.right
  const down = side === 'left'
  const upward = { ...line, directionDeg: UP + ((((line.directionDeg - UP + 90) % 180) + 180) % 180) - 90 }
  return [
    {
      line: down ? { ...upward, directionDeg: upward.directionDeg + 180 } : upward,
      against: stops ? 'open' : 'wall',
      of: side,
    },
  ]
}

/** What lines are struck in on this layout: inside its frame, with its bays; null where nothing is left. */
export function lineField(layout: LaidOut, base: readonly Strip[]): LineField | null {
  const frame = frameStrips(layout, base)
  const edgesOf = (side: FieldSide): RegionEdge[] =>
    frame[side].length > 0
      ? frame[side].map((strip) => ({ line: inner(strip, side), against: 'strip', of: side }))
      : openEdges(layout, side)
  const [left, bottom, right, top] = [edgesOf('left'), edgesOf('bottom'), edgesOf('right'), edgesOf('top')]
  const edges = [...left, ...bottom, ...right, ...top]
  const far = layout.survey.height + layout.survey.width
  const outline = bounded(rectangle(-far, -far, 2 * far, 2 * far), edges)
  if (outline.length < 3) return null
  const meet = (a: RegionEdge | undefined, b: RegionEdge | undefined) =>
    (a && b && crossing(a.line, b.line)) ?? { x: 0, y: 0 }
  const corners = {
    bottomLeft: meet(left[0], bottom[0]),
    bottomRight: meet(right[0], bottom.at(-1)),
    topLeft: meet(left[0], top[0]),
    topRight: meet(right[0], top.at(-1)),
  }
  const sides = new Set([...frame.left, ...frame.right])
  const inside = base
    .filter((strip) => strip.role === 'stile' && !sides.has(strip))
    .sort((a, b) => a.center.x - b.center.x)
  const faces = (strip: Strip, edge: 'left' | 'right'): RegionEdge => ({
    line: faceLine(strip, edge),
    against: 'strip',
    of: { strip: strip.id, edge },
  })
  const bays = [null, ...inside].flatMap((before, i): Region[] => {
    const after = inside[i]
    // what lies beyond an upright's right face is to the left of that face turned round
    const more = [...(before ? [faces(before, 'right')] : []), ...(after ? [faces(after, 'left')] : [])]
    const bay = bounded(outline, more)
    // a side that the bay does not reach bounds it no more
    return bay.length > 2 ? [{ edges: [...more, ...edges], outline: bay }] : []
  })
  return { edges, outline, corners, bays }
}

/** How far the corners of a region lie to the left of a line, least and most. */
export function acrossOf(
  { outline }: Region,
  through: Point,
  directionDeg: number,
): { least: number; most: number } {
  const u = unitVector(directionDeg)
  const all = outline.map(({ x, y }) => (y - through.y) * u.x - (x - through.x) * u.y)
  return { least: Math.min(...all), most: Math.max(...all) }
}

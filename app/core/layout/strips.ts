import { nearestNanometer, subtractLengths } from '~/length'
import { crossing, type Line, lineFrom, movedFrom, roundPoint } from '../geometry'
import type { EndCut } from '../pieces'
import { rulesOf } from '../patterns/rules'
import { profileAt } from '../survey/profile'
import { baseAt, courseAt, onLine, type RuleLine } from '../survey/wallLines'
import { cornerCut, cornerOf } from './corners'
import type { End, Strip } from '../strips/strip'
import { named } from '../strips/stripId'
import { frameStrips, mitered } from './frames'
import { type Band, bandEdge, type Layout, type Upright } from './layout'

function angleOf(slope: number): number {
  return slope === 0 ? 0 : (Math.atan(slope) * 180) / Math.PI
}

function ruled({ at0, slope }: RuleLine): Line {
  return { through: { x: 0, y: at0 }, directionDeg: angleOf(slope) }
}

/** The horizontal an upright stands on, if any. */
function footBand({ bands, uprightFoot, uprights }: Layout): Band | undefined {
  return uprights.length === 0
    ? undefined
    : bands.find(({ id, top }) => (id === 'bottomRail' || id === 'ledger') && top === uprightFoot)
}

/** The line between two places of a course of heights that keeps to one side of it where it bends between them. */
function clearOf(
  at: (x: number) => number,
  bends: readonly number[],
  left: number,
  right: number,
  side: 1 | -1,
) {
  const [low, high] = [at(left), at(right)]
  const over = bends
    .filter((x) => x > left && x < right)
    .map((x) => side * (at(x) - low - ((high - low) * (x - left)) / (right - left)))
  const by = side * Math.max(0, ...over)
  return lineFrom({ x: left, y: low + by }, { x: right, y: high + by })
}

/** The head of the layout comes this near to the ceiling, or to what stays there: it is fitted to it. */
const NEAR_HEAD = 3_175_000 // 1/8 in

function reachesHead({ uprightHead, lines }: Layout): boolean {
  return uprightHead > lines.headLine - NEAR_HEAD
}

/** The foot of a batten that hangs over the baseboard, its back tilted away. */
const BACK_BEVEL: EndCut = { kind: 'bevel', bevelDeg: 45 }

/** An upright before it meets anything: from base or bottom rail up to the head, at its own place. */
export function uprightStrip(layout: Layout, upright: Upright, tier: Strip['tier'] = null): Strip {
  const { lines, shape, battenMaterial, design } = layout
  const rules = rulesOf(layout)
  const standsOn = footBand(layout)
  const endsUnder = layout.bands.find(({ id, bottom }) => id === 'topRail' && bottom === layout.uprightHead)
  const head = (x: number) =>
    endsUnder
      ? onLine(bandEdge(endsUnder, courseAt(lines, x), 'bottom'), x)
      : baseAt(lines, x) + layout.uprightHead
  // on floor or baseboard it follows the real floor; on a rail it follows the rail
  const standsOnFloor = !standsOn && lines.followed.length === 0 && !rules.framesItself
  const foot = (x: number) =>
    standsOn
      ? onLine(bandEdge(standsOn, courseAt(lines, x), 'top'), x)
      : (standsOnFloor ? profileAt(shape.floor, x) : baseAt(lines, x)) + layout.uprightFoot
  const courseBends = lines.courses.slice(1).map(({ left }) => left)
  const floorBends = standsOnFloor ? shape.floor.points.map(({ place }) => place) : courseBends
  const bevelled = design.proud === 'backBevel' && rules.standsFree && !standsOn && lines.baseTop > 0
  const { left, right } = upright
  return {
    id: upright.id,
    part: '',
    role: layout.fillers.includes(upright) ? 'filler' : rules.uprightRole,
    number: upright.number,
    material: battenMaterial,
    faceWidth: subtractLengths(right, left),
    center: { x: (left + right) / 2, y: 0 },
    directionDeg: 90,
    start: {
      lines: [clearOf(foot, floorBends, left, right, 1)],
      against: standsOn ? 'strip' : 'wall',
      ...(bevelled ? { cut: BACK_BEVEL } : {}),
    },
    end: {
      lines: [clearOf(head, courseBends, left, right, -1)],
      against: endsUnder ? 'strip' : reachesHead(layout) ? 'wall' : 'open',
    },
    joins: false,
    tier,
  }
}

/** The line that ends a horizontal at an end of the covered part: the wall's own end, or plumb where it stops. */
function endLine(layout: Layout, side: 'left' | 'right', low: number, high: number): Line {
  const { lines, shape } = layout
  if (side === 'left' ? layout.left > lines.left : layout.right < lines.right)
    return { through: { x: layout[side], y: low }, directionDeg: 90 }
  const profile = shape[side]
  const [from, to] = [profileAt(profile, low), profileAt(profile, high)]
  // where the end bends towards the piece within its width, the piece keeps clear of the bend
  const inwards = side === 'left' ? 1 : -1
  const over = profile.points
    .filter(({ place }) => place > low && place < high)
    .map(({ place, value }) => inwards * (value - from - ((to - from) * (place - low)) / (high - low)))
  const by = inwards * Math.max(0, ...over)
  return lineFrom({ x: from + by, y: low }, { x: to + by, y: high })
}

/** Does a horizontal reach a corner of the room, and how is it cut there. */
function cornerEnd(layout: Layout, side: 'left' | 'right', line: Line, thickness: number): End {
  const reaches = side === 'left' ? layout.left <= layout.lines.left : layout.right >= layout.lines.right
  const corner = reaches
    ? cornerCut(layout.design.corners[side], cornerOf(layout.survey, side), thickness)
    : null
  const by = (side === 'left' ? 1 : -1) * (corner?.short ?? 0)
  const moved = by === 0 ? line : { ...line, through: { ...line.through, x: line.through.x + by } }
  return { lines: [moved], against: 'wall', ...(corner?.cut ? { cut: corner.cut } : {}) }
}

/**
 * A horizontal before it meets anything: one strip for each course of the base line, from end to end at its own
 * height. Where two courses meet both are cut at half the angle between them.
 */
function bandStrips(layout: Layout, band: Band, tier: Strip['tier']): Strip[] {
  const { lines } = layout
  const courses = lines.courses.filter(({ left, right }) => right > layout.left && left < layout.right)
  const faceWidth = nearestNanometer(band.top - band.bottom)
  const edges = courses.map(({ line }) => ({
    low: ruled(bandEdge(band, line, 'bottom')),
    high: ruled(bandEdge(band, line, 'top')),
  }))
  const between = (i: number, x: number): End => {
    const [before, after] = [edges[i], edges[i + 1]]
    const low = before && after ? crossing(before.low, after.low) : null
    const high = before && after ? crossing(before.high, after.high) : null
    const meets = high !== null && low !== null && Math.abs(high.x - x) < faceWidth
    const line = meets ? lineFrom(low, high) : { through: { x, y: 0 }, directionDeg: 90 }
    return { lines: [line], against: 'strip' }
  }
  return courses.map((course, i): Strip => {
    const { left, right, line } = course
    const low = bandEdge(band, line, 'bottom')
    const high = bandEdge(band, line, 'top')
    const end = (side: 'left' | 'right'): End => {
      const x = layout[side]
      const at = endLine(layout, side, onLine(low, x), onLine(high, x))
      const outer = lines.courses[side === 'left' ? 0 : lines.courses.length - 1]
      // a course that ends within the wall has no corner of the room
      return outer && Math.abs(angleOf(outer.line.slope) - angleOf(line.slope)) < 1e-9
        ? cornerEnd(layout, side, at, band.material.thickness)
        : { lines: [at], against: 'wall' }
    }
    const tilt = angleOf(line.slope)
    return {
      id: band.id,
      part: '',
      role: band.role,
      number: 1,
      material: band.material,
      faceWidth,
      center: movedFrom({ x: 0, y: high.at0 }, tilt, 0, -faceWidth / 2),
      directionDeg: tilt,
      start: i === 0 ? end('left') : between(i - 1, left),
      end: i === courses.length - 1 ? end('right') : between(i, right),
      joins: true,
      tier,
    }
  })
}

/** The four sides of a mitred border are one strip. */
export const BORDER = named({ kind: 'border', number: null })

/** A mitred border is a frame of its own; the grid's inner strips land on it. */
function miteredBorder(
  layout: Layout,
): { strips: Strip[]; inner: { uprights: Upright[]; bands: Band[] } } | null {
  const rails = layout.bands.filter(({ role }) => role === 'border')
  const [low, high] = [rails[0], rails[rails.length - 1]]
  const [first, last] = [layout.uprights[0], layout.uprights[layout.uprights.length - 1]]
  if (!low || !high || low === high || !first || !last || first === last) return null
  // along a floor that falls the border's corners are not square, and are halved as they are
  const corner = (band: Band, edge: 'bottom' | 'top', x: number) =>
    roundPoint({ x, y: onLine(bandEdge(band, courseAt(layout.lines, x), edge), x) })
  const outline = [
    corner(low, 'bottom', first.left),
    corner(low, 'bottom', last.right),
    corner(high, 'top', last.right),
    corner(high, 'top', first.left),
  ]
  return {
    strips: mitered(outline, {
      id: BORDER.id,
      number: 1,
      material: layout.battenMaterial,
      faceWidth: layout.battenMaterial.width,
      tier: TIERS.frame,
      roleOf: () => 'border',
      bounds: {
        left: first.left <= layout.lines.left ? 'wall' : 'open',
        right: last.right >= layout.lines.right ? 'wall' : 'open',
        below: 'wall',
        above: reachesHead(layout) ? 'wall' : 'open',
      },
    }),
    inner: {
      uprights: layout.uprights.slice(1, -1),
      bands: layout.bands.filter(({ role }) => role !== 'border'),
    },
  }
}

/**
 * Who runs through: a mitred frame before all else. With uprights through all horizontals land on them; else a border's
 * rails run over its stiles, the rails between run from stile to stile, and what stands between lands on both.
 */
const TIERS = { frame: 0, outerRail: 1, side: 2, through: 3, rail: 4, upright: 5 }

/** All strips of a layout, as they are wanted, each with the tier that says what runs through it. */
export function stripsOf(layout: Layout): Strip[] {
  const { border: borderOf, places } = rulesOf(layout)
  const perimeter = borderOf(layout.design)
  const border = perimeter === 'miter' ? miteredBorder(layout) : null
  const { uprights, bands } = border?.inner ?? layout
  const { uprightFoot, uprightHead, uprightsThrough } = layout
  const inner = places !== 'uprights' || uprightHead <= uprightFoot ? [] : uprights
  const fillers = inner.length > 0 || border ? layout.fillers : []
  // what lies wholly above the uprights or below them crosses none
  const crosses = ({ id, bottom, top, role }: Band) =>
    role === 'border' || (id !== 'bottomRail' && top > uprightFoot && bottom < uprightHead)
  const sideStiles = perimeter === 'butt' ? [uprights[0], uprights.at(-1)] : []
  const tierOfBand = ({ role }: Band) => {
    if (uprightsThrough) return TIERS.rail
    return role === 'border' ? TIERS.outerRail : TIERS.rail
  }
  const tierOfUpright = (upright: Upright) => {
    if (uprightsThrough) return TIERS.through
    return sideStiles.includes(upright) ? TIERS.side : TIERS.upright
  }
  const filler = uprightsThrough ? TIERS.through : TIERS.side
  return [
    ...(border?.strips ?? []),
    ...bands.filter((band) => !crosses(band)).flatMap((band) => bandStrips(layout, band, null)),
    ...inner.map((upright) => uprightStrip(layout, upright, tierOfUpright(upright))),
    ...fillers.map((upright) => uprightStrip(layout, upright, filler)),
    ...bands.filter(crosses).flatMap((band) => bandStrips(layout, band, tierOfBand(band))),
    ...layout.frames.flatMap((frame) => frameStrips(layout, frame)),
  ]
}

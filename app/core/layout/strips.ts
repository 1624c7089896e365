import { nearestNanometer, subtractLengths } from '~/length'
import type { Design, Settings, Survey } from '~/model'
import { crossing, type Line, lineFrom, movedFrom, roundPoint } from '../geometry'
import { type EndCut, type StripSpec } from '../pieces'
import { rulesOf } from '../patterns/rules'
import { profileAt } from '../survey/profile'
import { baseAt, courseAt, onLine, type RuleLine } from '../survey/wallLines'
import { cornerCut, cornerOf } from './corners'
import { frameStrips, mitered, type StripPlan } from './frames'
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

/** An upright before it meets anything: from base or bottom rail up to the head, at its own place. */
export function uprightStrip(layout: Layout, upright: Upright): StripSpec {
  const { lines, shape, battenMaterial } = layout
  const standsOn = footBand(layout)
  const endsUnder = layout.bands.find(({ id, bottom }) => id === 'topRail' && bottom === layout.uprightHead)
  const head = (x: number) =>
    endsUnder
      ? onLine(bandEdge(endsUnder, courseAt(lines, x), 'bottom'), x)
      : baseAt(lines, x) + layout.uprightHead
  // on floor or baseboard it follows the real floor; on a rail it follows the rail
  const rules = rulesOf(layout)
  const standsOnFloor = !standsOn && lines.followed.length === 0 && !rules.framesItself
  const foot = (x: number) =>
    standsOn
      ? onLine(bandEdge(standsOn, courseAt(lines, x), 'top'), x)
      : (standsOnFloor ? profileAt(shape.floor, x) : baseAt(lines, x)) + layout.uprightFoot
  const courseBends = lines.courses.slice(1).map(({ left }) => left)
  const floorBends = standsOnFloor ? shape.floor.points.map(({ place }) => place) : courseBends
  const role = layout.fillers.includes(upright) ? 'filler' : rules.uprightRole
  return {
    stripId: upright.id,
    role,
    number: upright.number,
    materialId: battenMaterial.id,
    faceWidth: subtractLengths(upright.right, upright.left),
    center: { x: (upright.left + upright.right) / 2, y: 0 },
    directionDeg: 90,
    startLine: clearOf(foot, floorBends, upright.left, upright.right, 1),
    endLine: clearOf(head, courseBends, upright.left, upright.right, -1),
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

/**
 * A horizontal before it meets anything: one strip for each course of the base line, from end to end at its own
 * height. Where two courses meet both are cut at half the angle between them.
 */
export function bandStrips(layout: Layout, band: Band): StripSpec[] {
  const { lines } = layout
  const courses = lines.courses.filter(({ left, right }) => right > layout.left && left < layout.right)
  const faceWidth = nearestNanometer(band.top - band.bottom)
  const edges = courses.map(({ line }) => ({
    low: ruled(bandEdge(band, line, 'bottom')),
    high: ruled(bandEdge(band, line, 'top')),
  }))
  const between = (i: number, x: number): Line => {
    const [before, after] = [edges[i], edges[i + 1]]
    const low = before && after ? crossing(before.low, after.low) : null
    const high = before && after ? crossing(before.high, after.high) : null
    const meets = high !== null && low !== null && Math.abs(high.x - x) < faceWidth
    return meets ? lineFrom(low, high) : { through: { x, y: 0 }, directionDeg: 90 }
  }
  return courses.map(({ left, right, line }, i) => {
    const low = bandEdge(band, line, 'bottom')
    const high = bandEdge(band, line, 'top')
    const end = (side: 'left' | 'right') => {
      const x = layout[side]
      return endLine(layout, side, onLine(low, x), onLine(high, x))
    }
    const tilt = angleOf(line.slope)
    return {
      stripId: band.id,
      role: band.role,
      number: 1,
      materialId: band.material.id,
      faceWidth,
      center: movedFrom({ x: 0, y: high.at0 }, tilt, 0, -faceWidth / 2),
      directionDeg: tilt,
      startLine: i === 0 ? end('left') : between(i - 1, left),
      endLine: i === courses.length - 1 ? end('right') : between(i, right),
    }
  })
}

/** Does a horizontal reach a corner of the room, and how is it cut there. */
function atCorner(
  layout: Layout,
  spec: StripSpec,
  side: 'left' | 'right',
  design: Design,
  survey: Survey,
  thickness: number,
) {
  const course = layout.lines.courses[side === 'left' ? 0 : layout.lines.courses.length - 1]
  const reaches = side === 'left' ? layout.left <= layout.lines.left : layout.right >= layout.lines.right
  const isOuter = course !== undefined && Math.abs(angleOf(course.line.slope) - spec.directionDeg) < 1e-9
  if (!reaches || !isOuter) return null
  return cornerCut(design.corners[side], cornerOf(survey, side), thickness)
}

function bandPlans(
  layout: Layout,
  band: Band,
  survey: Survey,
  design: Design,
  landsOn: readonly string[],
): StripPlan[] {
  const specs = bandStrips(layout, band)
  return specs.map((spec, i) => {
    const left = i === 0 ? atCorner(layout, spec, 'left', design, survey, band.material.thickness) : null
    const right =
      i === specs.length - 1 ? atCorner(layout, spec, 'right', design, survey, band.material.thickness) : null
    const moved = (line: Line, by: number): Line =>
      by === 0 ? line : { ...line, through: { ...line.through, x: line.through.x + by } }
    return {
      spec: {
        ...spec,
        startLine: moved(spec.startLine, left?.short ?? 0),
        endLine: moved(spec.endLine, -(right?.short ?? 0)),
      },
      part: '',
      joins: true,
      landsOn,
      startsAt: i === 0 ? 'wall' : 'strip',
      endsAt: i === specs.length - 1 ? 'wall' : 'strip',
      ...(left?.cut ? { startCut: left.cut } : {}),
      ...(right?.cut ? { endCut: right.cut } : {}),
    }
  })
}

/** The foot of a batten that hangs over the baseboard, its back tilted away. */
const BACK_BEVEL: EndCut = { kind: 'bevel', bevelDeg: 45 }

function uprightPlan(
  layout: Layout,
  upright: Upright,
  design: Design,
  landsOn: readonly string[],
): StripPlan {
  const spec = uprightStrip(layout, upright)
  const standsOn = footBand(layout)
  const bevelled =
    design.proud === 'backBevel' && rulesOf(layout).standsFree && !standsOn && layout.lines.baseTop > 0
  const under = layout.bands.some(({ id, bottom }) => id === 'topRail' && bottom === layout.uprightHead)
  return {
    spec,
    part: '',
    joins: false,
    landsOn,
    startsAt: standsOn ? 'strip' : 'wall',
    endsAt: under ? 'strip' : reachesHead(layout) ? 'wall' : 'open',
    ...(bevelled ? { startCut: BACK_BEVEL } : {}),
  }
}

/** A mitred border is a frame of its own; the grid's inner strips land on it. */
function miteredBorder(
  layout: Layout,
): { plans: StripPlan[]; inner: { uprights: Upright[]; bands: Band[] } } | null {
  const rails = layout.bands.filter(({ role }) => role === 'border')
  const [low, high] = [rails[0], rails[rails.length - 1]]
  const [first, last] = [layout.uprights[0], layout.uprights[layout.uprights.length - 1]]
  if (!low || !high || low === high || !first || !last || first === last) return null
  const { id, width } = layout.battenMaterial
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
    plans: mitered(outline, {
      id: 'border',
      number: 1,
      materialId: id,
      faceWidth: width,
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

/** Everything to cut, those that run through before those that land on them. */
export function stripPlans(layout: Layout, survey: Survey, design: Design, settings: Settings): StripPlan[] {
  const { border: borderOf, places } = rulesOf(layout)
  const perimeter = borderOf(design)
  const border = perimeter === 'miter' ? miteredBorder(layout) : null
  const { uprights, bands } = border?.inner ?? layout
  const borderIds = border ? ['border'] : []
  const inner = places !== 'uprights' || layout.uprightHead <= layout.uprightFoot ? [] : uprights
  const { uprightFoot, uprightHead } = layout
  const crossed = bands.filter(
    ({ id, bottom, top, role }) =>
      role === 'border' || (id !== 'bottomRail' && top > uprightFoot && bottom < uprightHead),
  )
  const sideStiles = perimeter === 'butt' ? [uprights[0], uprights.at(-1)] : []
  const sideIds = sideStiles.flatMap((stile) => (stile ? [stile.id] : []))
  const outer = crossed.filter(({ role }) => role === 'border').map(({ id }) => id)
  const through = layout.uprightsThrough
  const plansOf = (band: Band, landsOn: readonly string[]) => bandPlans(layout, band, survey, design, landsOn)
  const rest = bands.filter((band) => !crossed.includes(band)).flatMap((band) => plansOf(band, borderIds))
  const fillers = inner.length > 0 || border ? layout.fillers : []
  const fillerIds = fillers.map(({ id }) => id)
  const ids = [...inner.map(({ id }) => id), ...fillerIds]
  if (through)
    return [
      ...(border?.plans ?? []),
      ...rest,
      ...[...inner, ...fillers].map((upright) => uprightPlan(layout, upright, design, borderIds)),
      ...crossed.flatMap((band) => plansOf(band, [...borderIds, ...ids])),
      ...layout.frames.flatMap((frame) => frameStrips(frame, design, settings)),
    ]
  // rails through: the border's rails run over its stiles, the rails between run from stile to stile
  const sides = inner.filter(({ id }) => sideIds.includes(id))
  const middle = inner.filter(({ id }) => !sideIds.includes(id))
  const innerBands = crossed.filter(({ id }) => !outer.includes(id))
  return [
    ...(border?.plans ?? []),
    ...rest,
    ...crossed.filter(({ id }) => outer.includes(id)).flatMap((band) => plansOf(band, borderIds)),
    ...[...sides, ...fillers].map((upright) => uprightPlan(layout, upright, design, outer)),
    ...innerBands.flatMap((band) => plansOf(band, [...borderIds, ...sideIds, ...fillerIds])),
    ...middle.map((upright) =>
      uprightPlan(layout, upright, design, [...borderIds, ...crossed.map(({ id }) => id)]),
    ),
    ...layout.frames.flatMap((frame) => frameStrips(frame, design, settings)),
  ]
}

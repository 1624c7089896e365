import { nearestNanometer } from '~/length'
import type { Design, Settings, Survey } from '~/model'
import { crossing, type Line, lineFrom, miteredSides, movedFrom, type Polygon, roundPoint } from '../geometry'
import { type EndCut, type EndsAt, type Role, type StripSpec } from '../pieces'
import { profileAt } from '../survey/profile'
import { baseAt, courseAt, onLine, type RuleLine } from '../survey/wallLines'
import { cornerCut, cornerOf } from './corners'
import { type Band, bandEdge, type BoxFrame, type Layout, materialOf, type Upright } from './layout'

/** One straight strip as it is to be cut: where it lies, what it lands on, how its ends are cut. */
export interface StripPlan {
  readonly spec: StripSpec
  /** Tells the parts of one strip apart, such as the four sides of a box; empty where there is but one. */
  readonly part: string
  /** Joined of several boards where it is longer than one. */
  readonly joins: boolean
  /** Strips that end it where they cross it: these run through. */
  readonly landsOn: readonly string[]
  readonly startsAt: EndsAt
  readonly endsAt: EndsAt
  readonly startCut?: EndCut
  readonly endCut?: EndCut
}

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

/** An upright before it meets anything: from base or bottom rail up to the head, at its own place. */
export function uprightStrip(layout: Layout, upright: Upright): StripSpec {
  const { lines, shape, battenMaterial } = layout
  const standsOn = footBand(layout)
  const endsUnder = layout.bands.find(({ id, bottom }) => id === 'topRail' && bottom === layout.uprightHead)
  const head = (x: number) => ({
    x,
    y: endsUnder
      ? onLine(bandEdge(endsUnder, courseAt(lines, x), 'bottom'), x)
      : baseAt(lines, x) + layout.uprightHead,
  })
  // on floor or baseboard it follows the real floor; on a rail it follows the rail
  const standsOnFloor = !standsOn && lines.followed.length === 0 && layout.pattern !== 'grid'
  const foot = (x: number) => ({
    x,
    y: standsOn
      ? onLine(bandEdge(standsOn, courseAt(lines, x), 'top'), x)
      : (standsOnFloor ? profileAt(shape.floor, x) : baseAt(lines, x)) + layout.uprightFoot,
  })
  const role = layout.pattern === 'grid' ? 'stile' : layout.pattern === 'slats' ? 'slat' : 'batten'
  return {
    stripId: upright.id,
    role,
    number: upright.number,
    materialId: battenMaterial.id,
    faceWidth: battenMaterial.width,
    center: { x: (upright.left + upright.right) / 2, y: 0 },
    directionDeg: 90,
    startLine: lineFrom(foot(upright.left), foot(upright.right)),
    endLine: lineFrom(head(upright.left), head(upright.right)),
  }
}

/** The line that ends a horizontal at an end of the covered part: the wall's own end, or plumb where it stops. */
function endLine(layout: Layout, side: 'left' | 'right', low: number, high: number): Line {
  const { lines, shape } = layout
  if (side === 'left' ? layout.left > lines.left : layout.right < lines.right)
    return { through: { x: layout[side], y: low }, directionDeg: 90 }
  const at = (y: number) => ({ x: profileAt(shape[side], y), y })
  return lineFrom(at(low), at(high))
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

/** The sides of a mitred frame inside an outline: bottom, right, top, left of a box. */
function mitered(
  outline: Polygon,
  faceWidth: StripSpec['faceWidth'],
  materialId: string,
  strip: { id: string; number: number },
  roles: (directionDeg: number) => Role,
): StripPlan[] {
  const names = ['bottom', 'right', 'top', 'left']
  return miteredSides(outline).map(({ side, from, to }, i) => {
    const flat = Math.abs(Math.cos((side.directionDeg * Math.PI) / 180)) > 0.5
    return {
      spec: {
        stripId: strip.id,
        role: roles(flat ? 0 : 90),
        number: strip.number,
        materialId,
        faceWidth,
        center: movedFrom(side.through, side.directionDeg, 0, faceWidth / 2),
        directionDeg: side.directionDeg,
        startLine: from,
        endLine: to,
      },
      part: outline.length === 4 ? (names[i] ?? '') : `side${i + 1}`,
      joins: flat,
      landsOn: [],
      startsAt: 'strip',
      endsAt: 'strip',
    }
  })
}

/** The four sides of a box (more where a slope cuts a corner off), mitred at half of each corner. */
export function frameStrips(frame: BoxFrame, design: Design, settings: Settings): StripPlan[] {
  const { id, width } = materialOf(settings, design.boxes.moulding)
  return mitered(frame.outline, width, id, frame, (deg) => (deg === 0 ? 'boxRail' : 'boxStile'))
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
    design.proud === 'backBevel' && spec.role === 'batten' && !standsOn && layout.lines.baseTop > 0
  const under = layout.bands.some(({ id, bottom }) => id === 'topRail' && bottom === layout.uprightHead)
  return {
    spec,
    part: '',
    joins: false,
    landsOn,
    startsAt: standsOn || layout.pattern === 'grid' ? 'strip' : 'wall',
    endsAt: under || layout.pattern === 'grid' ? 'strip' : 'open',
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
    plans: mitered(outline, width, id, { id: 'border', number: 1 }, () => 'border'),
    inner: {
      uprights: layout.uprights.slice(1, -1),
      bands: layout.bands.filter(({ role }) => role !== 'border'),
    },
  }
}

/** Everything to cut, those that run through before those that land on them. */
export function stripPlans(layout: Layout, survey: Survey, design: Design, settings: Settings): StripPlan[] {
  const border = layout.pattern === 'grid' && design.border === 'miter' ? miteredBorder(layout) : null
  const { uprights, bands } = border?.inner ?? layout
  const borderIds = border ? ['border'] : []
  const inner = layout.pattern === 'boxes' || layout.uprightHead <= layout.uprightFoot ? [] : uprights
  const { uprightFoot, uprightHead } = layout
  const crossed = bands.filter(
    ({ bottom, top, role }) =>
      role === 'border' || (top > uprightFoot && bottom < uprightHead && bottom >= uprightFoot),
  )
  const sideStiles =
    design.border === 'butt' && layout.pattern === 'grid' ? [uprights[0], uprights.at(-1)] : []
  const sideIds = sideStiles.flatMap((stile) => (stile ? [stile.id] : []))
  const outer = crossed.filter(({ role }) => role === 'border').map(({ id }) => id)
  const through = layout.uprightsThrough
  const plansOf = (band: Band, landsOn: readonly string[]) => bandPlans(layout, band, survey, design, landsOn)
  const rest = bands.filter((band) => !crossed.includes(band)).flatMap((band) => plansOf(band, borderIds))
  const ids = inner.map(({ id }) => id)
  if (through)
    return [
      ...(border?.plans ?? []),
      ...rest,
      ...inner.map((upright) => uprightPlan(layout, upright, design, borderIds)),
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
    ...sides.map((upright) => uprightPlan(layout, upright, design, outer)),
    ...innerBands.flatMap((band) => plansOf(band, [...borderIds, ...sideIds])),
    ...middle.map((upright) =>
      uprightPlan(layout, upright, design, [...borderIds, ...crossed.map(({ id }) => id)]),
    ),
    ...layout.frames.flatMap((frame) => frameStrips(frame, design, settings)),
  ]
}

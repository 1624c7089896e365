import { subtractLengths } from '~/length'
import { lineFrom } from '../geometry'
import type { PatternRules } from '../patterns/patternRules'
import type { EndCut } from '../pieces'
import type { Strip } from '../strips/strip'
import { profileAt } from '../survey/profile'
import { baseAt, courseAt, onLine } from '../survey/wallLines'
import { leanAt, leanDeg } from './lean'
import { type Band, bandEdge, type LaidOut, type Upright } from './layout'

/** What an upright's foot and part hang on in its pattern. */
type Standing = Pick<PatternRules, 'footBevels' | 'framesItself'> & {
  readonly uprightRole: PatternRules['uprightRole'] | 'filler'
}

/** The horizontal an upright stands on, if any. */
function footBand({ bands, uprightFoot, uprights }: LaidOut): Band | undefined {
  return uprights.length === 0
    ? undefined
    : bands.find(({ role, top }) => (role === 'bottomRail' || role === 'ledger') && top === uprightFoot)
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

/** Whether the head of a layout comes up to the ceiling, or to what stays there. */
export function reachesHead({ uprightHead, lines }: LaidOut): boolean {
  return uprightHead > lines.headLine - NEAR_HEAD
}

/**
 * Whether uprights of full height end at the ceiling as measured, each at its own place: those with no rail, cap or border over them,
 * unless level tops were asked for.
 */
export function topsFollow({
  design,
  bands,
  uprightHead,
}: Pick<LaidOut, 'design' | 'bands' | 'uprightHead'>): boolean {
  return (
    design.height.rule === 'full' &&
    design.tops === 'ceiling' &&
    !bands.some(({ role, bottom }) => (role === 'topRail' || role === 'cap') && bottom >= uprightHead)
  )
}

/** The foot of a batten that hangs over the baseboard, its back tilted away. */
const BACK_BEVEL: EndCut = { kind: 'bevel', bevelDeg: 45 }

/** An upright before it meets anything: from base or bottom rail up to the head, at its own place. */
export function uprightStrip(
  layout: LaidOut,
  upright: Upright,
  rules: Standing,
  tier: Strip['tier'] = null,
): Strip {
  const { lines, shape, battenMaterial, design } = layout
  const standsOn = footBand(layout)
  const endsUnder = layout.bands.find(
    ({ role, bottom }) => role === 'topRail' && bottom === layout.uprightHead,
  )
  const upToCeiling = !endsUnder && topsFollow(layout) && !rules.framesItself
  const head = (x: number) =>
    endsUnder
      ? onLine(bandEdge(endsUnder, courseAt(lines, x), 'bottom'), x)
      : upToCeiling
        ? profileAt(shape.ceiling, x) - (lines.ceiling - lines.headLine)
        : baseAt(lines, x) + layout.uprightHead
  // on floor or baseboard it follows the real floor; on a rail it follows the rail
  const standsOnFloor = !standsOn && lines.followed.length === 0 && !rules.framesItself
  const foot = (x: number) =>
    standsOn
      ? onLine(bandEdge(standsOn, courseAt(lines, x), 'top'), x)
      : (standsOnFloor
          ? profileAt(shape.floor, x) + lines.build
          : baseAt(lines, x) + (courseAt(lines, x).lift ?? 0)) + layout.uprightFoot
  const courseBends = lines.courses.slice(1).map(({ left }) => left)
  const floorBends = standsOnFloor ? shape.floor.points.map(({ place }) => place) : courseBends
  const ceilingBends = shape.ceiling.points.map(({ place }) => place)
  const beveled = design.proud === 'backBevel' && rules.footBevels(design) && !standsOn && lines.baseTop > 0
  const { left, right } = upright
  const middle = (left + right) / 2
  const lean = leanAt(layout, middle)
  const base = lean === 0 ? 0 : baseAt(lines, middle)
  // where it leans, its foot and its head lie over other places than those on the base line
  const reach = (y: number) => [left, right].map((x) => x + lean * (y - base)) as [number, number]
  const [footReach, headReach] = [reach(foot(middle)), reach(head(middle))]
  return {
    id: upright.id,
    name: upright.name,
    part: '',
    role: rules.uprightRole,
    number: upright.number,
    material: battenMaterial,
    faceWidth: subtractLengths(right, left),
    center: { x: middle, y: base },
    directionDeg: leanDeg(lean),
    start: {
      lines: [clearOf(foot, floorBends, ...footReach, 1)],
      against: standsOn ? 'strip' : 'wall',
      ...(beveled ? { cut: BACK_BEVEL } : {}),
    },
    end: {
      lines: [clearOf(head, upToCeiling ? ceilingBends : courseBends, ...headReach, -1)],
      against: endsUnder ? 'strip' : reachesHead(layout) ? 'wall' : 'open',
    },
    joins: false,
    tier,
  }
}

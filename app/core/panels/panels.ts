import { inches, type Length, nearestNanometer } from '~/length'
import { inForce, type Sheet, type ThingKind, type Workpiece } from '~/model'
import { boundsOf } from '../geometry'
import type { Layout } from '../layout/layout'
import { ON_STUD } from '../pieces'
import { bendsWithin, type Profile, profileAt } from '../survey/profile'
import { isMissing, isOpening } from '../survey/obstacles'
import { backerSheet } from './backerSheet'
import { gangsOf, holeBounds, holeOf } from './boxHole'
import { seamPlaces } from './seamPlaces'
import { sheetCount } from './sheetCount'

interface Box {
  readonly left: number
  readonly right: number
  readonly bottom: number
  readonly top: number
}

/** A hole or a notch, from all four sides of the panel as seen from its face: each pair and what lies between close on the panel. */
export interface PanelCut {
  readonly kind: 'hole' | 'notch'
  readonly thingId: string
  readonly thing: ThingKind
  readonly left: Length
  readonly width: Length
  readonly right: Length
  readonly bottom: Length
  readonly height: Length
  readonly top: Length
}

/** One panel: cut to the widest and the tallest that was read there, and scribed where the wall is less. */
export interface Panel {
  readonly id: string
  /** Where its cut rectangle lies on the wall. */
  readonly at: Box
  readonly width: Length
  readonly height: Length
  /** Less than all of a sheet's shortfall: a strip of the same sheet that fills what a sheet does not reach. */
  readonly filler: boolean
  /** How far the wall is less than the panel at its narrowest and its lowest: so much is scribed off. */
  readonly scribe: { readonly across: Length; readonly up: Length }
  readonly cuts: readonly PanelCut[]
  /** Studs behind it, from its left edge, and how many fasteners it takes. */
  readonly studs: readonly Length[]
  readonly fasteners: number
}

/** A seam between panels: whether a stud is behind it and what strip covers it. */
export interface Seam {
  readonly along: 'up' | 'across'
  readonly at: Length
  readonly onStud: boolean
  readonly coveredBy: string | null
}

export type PanelIssue =
  { readonly code: 'noSheet' } | { readonly code: 'noRoom'; readonly from: Length; readonly to: Length }

export interface Panels {
  readonly sheet: Sheet
  /** The sheets stand, or lie. */
  readonly turned: 'upright' | 'level'
  readonly panels: readonly Panel[]
  readonly seams: readonly Seam[]
  /** Sheets they are cut from: the fewest where few panels share sheets, else a count that holds. */
  readonly sheets: number
  readonly plates: readonly { readonly thingId: string; readonly kind: ThingKind; readonly gangs: number }[]
}

/** Fasteners along a stud lie so far apart; on a rented wall few, at twice that. Common practice, no source. */
const FASTENER_EVERY = inches(16)
/** Panels smaller than this either way are nothing to cut. */
const LEAST = inches(1)

function extreme(profile: Profile, from: number, to: number, pick: 'min' | 'max'): number {
  return Math[pick](...bendsWithin(profile, from, to).map((at) => profileAt(profile, at)))
}

/** A box less what spans it whole one way: the parts before and after. */
function without(box: Box, hole: Box): Box[] {
  const inX = hole.right > box.left && hole.left < box.right
  const inY = hole.top > box.bottom && hole.bottom < box.top
  if (!inX || !inY) return [box]
  const spansX = hole.left <= box.left + LEAST && hole.right >= box.right - LEAST
  const spansY = hole.bottom <= box.bottom + LEAST && hole.top >= box.top - LEAST
  if (!spansX && !spansY) return [box]
  const parts = spansX
    ? [
        { ...box, top: hole.bottom },
        { ...box, bottom: hole.top },
      ]
    : [
        { ...box, right: hole.left },
        { ...box, left: hole.right },
      ]
  return parts.filter(({ left, right, bottom, top }) => right - left >= LEAST && top - bottom >= LEAST)
}

/** A hole's or a notch's sizes on a panel; null where it does not meet it. */
function cutOf(panel: Box, hole: Box, thing: { id: string; kind: ThingKind }): PanelCut | null {
  const left = Math.max(panel.left, hole.left)
  const right = Math.min(panel.right, hole.right)
  const bottom = Math.max(panel.bottom, hole.bottom)
  const top = Math.min(panel.top, hole.top)
  if (right - left < 1 || top - bottom < 1) return null
  const inside =
    hole.left > panel.left && hole.right < panel.right && hole.bottom > panel.bottom && hole.top < panel.top
  const n = nearestNanometer
  return {
    kind: inside ? 'hole' : 'notch',
    thingId: thing.id,
    thing: thing.kind,
    left: n(left - panel.left),
    width: n(right - left),
    right: n(panel.right - right),
    bottom: n(bottom - panel.bottom),
    height: n(top - bottom),
    top: n(panel.top - top),
  }
}

/** The same cut seen from the panel's back: left and right change places. */
export function fromBack(cut: PanelCut): PanelCut {
  return { ...cut, left: cut.right, right: cut.left }
}

/** By how much the measures of a cut-out miss the panel, one way: nothing where the pair closes. */
export function pairMisses(first: number, size: number, second: number, panel: number): number {
  return first + size + second - panel
}

/**
 * The panels of a wall's backer: seams on studs and under strips where they can be, gaps left, each panel cut to the widest and tallest that
 * was read, with every hole and notch from all four sides. Null where the wall has none.
 */
export function panelsOf(
  workpiece: Workpiece,
  layout: Layout,
): { readonly ok: true; readonly value: Panels } | { readonly ok: false; readonly issue: PanelIssue } | null {
  const { survey } = workpiece.wall
  const { backer } = inForce(workpiece.wall.design)
  if (!backer) return null
  const sheet = backerSheet(workpiece)
  if (!sheet) return { ok: false, issue: { code: 'noSheet' } }
  const { shape, lines } = layout
  const bottom = Math.max(lines.base.at0 + backer.from, lines.baseTop + lines.base.at0) + backer.round
  const wanted = backer.to === null ? Infinity : lines.base.at0 + backer.to
  // where an end leans out the ceiling goes on over it
  const [least, most] = [
    extreme(shape.left, 0, survey.height, 'min'),
    extreme(shape.right, 0, survey.height, 'max'),
  ]
  const over = extreme(
    shape.ceiling,
    Math.max(layout.left, least),
    covers(layout) ? most : layout.right,
    'max',
  )
  const head = Math.min(wanted, over - (lines.ceiling - lines.headLine))
  const top = head - backer.round
  const left = Math.max(layout.left, extreme(shape.left, bottom, top, 'min')) + backer.round
  const right =
    Math.min(covers(layout) ? Infinity : layout.right, extreme(shape.right, bottom, top, 'max')) -
    backer.round
  if (right - left < LEAST || top - bottom < LEAST)
    return { ok: false, issue: { code: 'noRoom', from: nearestNanometer(bottom), to: nearestNanometer(top) } }
  const sizes = {
    upright: { width: sheet.width as number, height: sheet.length as number },
    level: { width: sheet.length as number, height: sheet.width as number },
  }
  const standing = layout.uprights.map((upright) => ({
    from: upright.left,
    to: upright.right,
    id: upright.id as string,
  }))
  const lying = layout.bands.map((band) => ({
    from: lines.base.at0 + band.bottom,
    to: lines.base.at0 + band.top,
    id: band.id as string,
  }))
  const cutUp = (turned: 'upright' | 'level') => {
    const size = sizes[turned]
    return {
      turned,
      across: seamPlaces(left, right, size.width, backer, survey.behind.studs, standing),
      up: seamPlaces(bottom, top, size.height, backer, [], lying),
    }
  }
  const [one, other] = [cutUp('upright'), cutUp('level')]
  const many = ({ across, up }: typeof one) => (across.at.length + 1) * (up.at.length + 1)
  const chosen = many(other) < many(one) ? other : one
  const openings = survey.things
    .filter(({ fate, kind }) => fate !== 'remove' && fate !== 'goesBack' && isTaken(kind))
    .flatMap((thing) => {
      const obstacle = layout.obstacles.find(({ id }) => id === thing.id)
      const hole = holeOf(thing)
      // a plate covers the edge of the hole that is cut for its box
      return obstacle ? [{ thing, box: hole ? holeBounds(thing, hole) : boundsOf(obstacle.outline) }] : []
    })
  const xs = [left, ...chosen.across.at, right]
  const ys = [bottom, ...chosen.up.at, top]
  const cells: (Box & { filler: boolean; ends: { left: boolean; right: boolean; top: boolean } })[] = []
  for (let j = 0; j + 1 < ys.length; j++)
    for (let i = 0; i + 1 < xs.length; i++) {
      const half = backer.gap / 2
      const [x0, x1, y0, y1] = [xs[i] ?? 0, xs[i + 1] ?? 0, ys[j] ?? 0, ys[j + 1] ?? 0]
      const isFiller = (at: number, count: number, filler: 'first' | 'last' | null) =>
        (filler === 'first' && at === 0) || (filler === 'last' && at === count - 2)
      cells.push({
        left: i === 0 ? x0 : x0 + half,
        right: i + 2 === xs.length ? x1 : x1 - half,
        bottom: j === 0 ? y0 : y0 + half,
        top: j + 2 === ys.length ? y1 : y1 - half,
        filler: isFiller(i, xs.length, chosen.across.filler) || isFiller(j, ys.length, chosen.up.filler),
        ends: { left: i === 0, right: i + 2 === xs.length, top: j + 2 === ys.length },
      })
    }
  const parted = cells.flatMap((cell) =>
    openings
      .filter(({ thing }) => isOpening(thing.kind) || isMissing(thing.kind) || thing.kind === 'chimneyBreast')
      .reduce<Box[]>((boxes, { box }) => boxes.flatMap((each) => without(each, box)), [cell])
      .map((box) => ({ ...cell, ...box })),
  )
  const rented = survey.walkRound.holder === 'renter'
  const panels = parted.map((cell, i): Panel => {
    const { left: x0, right: x1, bottom: y0, top: y1 } = cell
    const narrow = (profile: Profile, pick: 'min' | 'max') =>
      extreme(profile, y0, y1, 'max') - extreme(profile, y0, y1, 'min') > 0
        ? extreme(profile, y0, y1, pick)
        : null
    const leftIn = cell.ends.left ? narrow(shape.left, 'max') : null
    const rightIn = cell.ends.right ? narrow(shape.right, 'min') : null
    const topIn =
      cell.ends.top && backer.to === null
        ? extreme(shape.ceiling, x0, x1, 'max') - extreme(shape.ceiling, x0, x1, 'min')
        : 0
    const across =
      (leftIn === null ? 0 : Math.max(0, leftIn + backer.round - x0)) +
      (rightIn === null ? 0 : Math.max(0, x1 - (rightIn - backer.round)))
    const studs = survey.behind.studs.filter((stud) => stud > x0 && stud < x1)
    const every = rented ? 2 * FASTENER_EVERY : FASTENER_EVERY
    return {
      id: `P${i + 1}`,
      at: { left: x0, right: x1, bottom: y0, top: y1 },
      width: nearestNanometer(x1 - x0),
      height: nearestNanometer(y1 - y0),
      filler: cell.filler,
      scribe: { across: nearestNanometer(across), up: nearestNanometer(topIn) },
      cuts: openings.flatMap(({ thing, box }) => cutOf(cell, box, thing) ?? []),
      studs: studs.map((stud) => nearestNanometer(stud - x0)),
      fasteners: studs.length * (Math.floor((y1 - y0) / every) + 1),
    }
  })
  const seams: Seam[] = [
    ...chosen.across.at.map((at): Seam => ({
      along: 'up',
      at: nearestNanometer(at),
      onStud: survey.behind.studs.some((stud) => Math.abs(stud - at) <= ON_STUD),
      coveredBy: standing.find(({ from, to }) => at > from && at < to)?.id ?? null,
    })),
    ...chosen.up.at.map((at): Seam => ({
      along: 'across',
      at: nearestNanometer(at),
      onStud: true,
      coveredBy: lying.find(({ from, to }) => at > from && at < to)?.id ?? null,
    })),
  ]
  return {
    ok: true,
    value: {
      sheet,
      turned: chosen.turned,
      panels,
      seams,
      sheets: sheetCount(panels, sizes[chosen.turned], workpiece.settings.shop.kerf),
      plates: openings
        .filter(
          ({ thing, box }) =>
            isBoxed(thing.kind) && panels.some((panel) => cutOf(panel.at, box, thing) !== null),
        )
        .map(({ thing }) => ({ thingId: thing.id, kind: thing.kind, gangs: gangsOf(thing) })),
    },
  }
}

/** The layout goes to the wall's right end, not to one of its own. */
function covers({ right, lines }: Layout): boolean {
  return right === lines.right
}

/** Takes a part of the wall that no panel covers: openings, plates, what stands on it and stays. */
function isTaken(kind: ThingKind): boolean {
  return !(['bed', 'sofa', 'table', 'shelf', 'chairRail'] as readonly ThingKind[]).includes(kind)
}

/** Plates with a box behind them. */
function isBoxed(kind: ThingKind): boolean {
  return (['outlet', 'switch', 'thermostat', 'sconce'] as readonly ThingKind[]).includes(kind)
}

import { computePlan, type Plan } from '~/core/computePlan'
import { boundsOf } from '~/core/geometry'
import { isSmall, isUpright, type Piece } from '~/core/pieces'
import { runningMarks } from '~/core/marks/runningMarks'
import { wallShape } from '~/core/survey/wallShape'
import { profileAt } from '~/core/survey/profile'
import type { Workpiece } from '~/model'
import { mirrored } from './mirror'

/**
 * Laws as questions: what breaks one on a wall, in words; null where it holds. Asked by tests, and by whoever counts how often a law was
 * broken before.
 */
export type Law = (workpiece: Workpiece, plan: Plan) => string | null

/** The sides of a box: a joined side is one however many boards it is of. */
function sidesOf(pieces: readonly Piece[], stripId: string): Map<string, Piece[]> {
  const sides = new Map<string, Piece[]>()
  for (const piece of pieces.filter((each) => each.stripId === stripId)) {
    const side = piece.part?.side ?? ''
    sides.set(side, [...(sides.get(side) ?? []), piece])
  }
  return sides
}

/** A box is whole: a side for each of its edges, each in one run. What has marks has pieces, and what has pieces is marked. */
export const boxesWhole: Law = ({ settings }, { layout, pieces }) => {
  for (const { id, outline } of layout.frames) {
    const sides = sidesOf(pieces, id)
    if (sides.size !== outline.length) return `${id} has ${sides.size} of ${outline.length} sides`
    const around = outline.reduce((sum, { x, y }, i) => {
      const to = outline[(i + 1) % outline.length] ?? { x, y }
      return sum + Math.hypot(to.x - x, to.y - y)
    }, 0)
    // mitered across the face two parts lap by as much as their slants
    const parts = [...sides.values()].flat()
    const long = parts.reduce((sum, { longLength }) => sum + longLength, 0)
    if (long < around - 8 * parts.length) return `${id} is ${around - long} nm short of whole`
  }
  if (layout.frames.length === 0) return null
  const marked = runningMarks(layout, 'left', settings.tape).map(({ stripId }) => stripId)
  const cut = new Set(pieces.map(({ stripId }) => stripId))
  const bare = marked.find((id) => !cut.has(id))
  if (bare) return `${bare} has marks and no piece`
  const framed = new Set<string>(layout.frames.map(({ id }) => id))
  const stray = pieces.find(({ role, stripId }) => role.startsWith('box') && !framed.has(stripId))
  return stray ? `${stray.id} is of no box` : null
}

/** A box that is left out is told, with fixes. */
export const brokenTold: Law = (_, { layout, findings }) => {
  const told = findings.filter(({ says }) => says.code === 'boxBroken')
  for (const { thingIds } of layout.broken)
    for (const id of thingIds) {
      const own = told.find(({ says }) => 'thingId' in says && says.thingId === id)
      if (!own) return `a box broken by ${id} is not told`
      if (own.waysOut.length === 0) return `nothing is offered about ${id}`
    }
  return null
}

/** No piece is shorter than it is wide, or under an inch, unless a finding names it; and one of them offers a fix. */
export const noStubs: Law = (_, { pieces, findings }) => {
  const said = findings.filter(({ says }) => says.code === 'smallPieces' || says.code === 'lineSliver')
  for (const piece of pieces.filter(isSmall)) {
    const own = said.filter(
      ({ says, stripIds }) =>
        stripIds.includes(piece.stripId) || ('pieceIds' in says && says.pieceIds.includes(piece.id)),
    )
    if (own.length === 0) return `${piece.id} is small and nothing names it`
  }
  return null
}

/** Nothing lies between a stile at an end of the wall and that end. */
export const nothingBehindStiles: Law = (_, { layout, pieces }) => {
  const [first, last] = [layout.uprights[0], layout.uprights.at(-1)]
  if (!first || !last || !layout.sections.some(({ id }) => id === 'all')) return null
  if (layout.design.through === 'lapped') return null
  for (const { id, role, polygon, startsAt, endsAt } of pieces) {
    if (isUpright(role) || role === 'sideTrim' || role === 'border') continue
    const ends = [startsAt, endsAt]
    if (!(ends.includes('wall') && ends.includes('strip'))) continue
    const { left, right } = boundsOf(polygon)
    if (first.left <= layout.left + 2 && right <= first.left + 2) return `${id} lies behind the left stile`
    if (last.right >= layout.right - 2 && left >= last.right - 2) return `${id} lies behind the right stile`
  }
  return null
}

interface Key {
  readonly what: string
  readonly at: readonly number[]
}

function keyOf({ role, materialId, notches, polygon }: Piece, end: number | null): Key {
  const { left, right, bottom, top } = boundsOf(polygon)
  return {
    what: `${role} ${materialId} ${notches.length}`,
    at: end === null ? [left, right, bottom, top] : [end - right, end - left, bottom, top],
  }
}

/** Two roundings and the lean of a tick. */
const SAME = 100_000
const isSame = (a: Key, b: Key) =>
  a.what === b.what && a.at.every((value, i) => Math.abs(value - (b.at[i] ?? Infinity)) < SAME)

/** A wall in the mirror has the same pieces in the mirror, and as many findings of each kind that speak of what is cut. */
export const mirrors: Law = (workpiece, plan) => {
  const other = computePlan(mirrored(workpiece))
  // a run's joints lie as far along as its boards reach, from its own start
  if (plan.pieces.some(({ endsAt }) => endsAt === 'joint')) return null
  const end = Math.round(profileAt(wallShape(workpiece.wall.survey).right, 0))
  const own = plan.pieces.map((piece) => keyOf(piece, null))
  const seen = other.pieces.map((piece) => keyOf(piece, end))
  const lone = own.find((key) => !seen.some((each) => isSame(key, each)))
  if (lone)
    return `${lone.what} at ${lone.at.map((at) => (at / 25.4e6).toFixed(2)).join(' ')} has no mirror image`
  if (own.length !== seen.length) return `${own.length} pieces, ${seen.length} in the mirror`
  const codes = [
    'stripMeets',
    'smallPieces',
    'boxBroken',
    'proudOf',
    'stripsShareWall',
    'stripVanishes',
    'nearHeat',
  ]
  for (const code of codes) {
    const [a, b] = [plan, other].map(
      ({ findings }) => findings.filter(({ says }) => says.code === code).length,
    )
    if (a !== b) return `${a} × ${code}, ${b} in the mirror`
  }
  return null
}

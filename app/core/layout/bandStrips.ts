import { addLengths, nearestNanometer } from '~/length'
import { crossing, type Line, lineFrom, movedFrom } from '../geometry'
import type { End, Strip } from '../strips/strip'
import { profileAt } from '../survey/profile'
import { onLine, type RuleLine } from '../survey/wallLines'
import { cornerCut, cornerOf, mateOf } from './corners'
import { isLeaning, leaningLine } from './lean'
import { type Band, bandEdge, liesFlat, type LaidOut } from './layout'

function angleOf(slope: number): number {
  return slope === 0 ? 0 : (Math.atan(slope) * 180) / Math.PI
}

function ruled({ at0, slope }: RuleLine): Line {
  return { through: { x: 0, y: at0 }, directionDeg: angleOf(slope) }
}

/** Where the layout stops short of the wall, it ends along its last upright's lean. */
function leaningEnd(layout: LaidOut, side: 'left' | 'right', low: number, past: number): Line {
  const { left, right } = layout.lines
  const x = side === 'left' ? Math.max(left, layout.left - past) : Math.min(right, layout.right + past)
  return isLeaning(layout.lean) ? leaningLine(layout, x) : { through: { x, y: low }, directionDeg: 90 }
}

/** The line that ends a horizontal at an end of the covered part: the wall's own end, or plumb where it stops. */
export function endLine(
  layout: LaidOut,
  side: 'left' | 'right',
  low: number,
  high: number,
  past: number,
): Line {
  const { lines, shape } = layout
  if (side === 'left' ? layout.left > lines.left : layout.right < lines.right)
    return leaningEnd(layout, side, low, past)
  const profile = shape[side]
  const [from, to] = [profileAt(profile, low), profileAt(profile, high)]
  // where the end bends toward the piece within its width, the piece keeps clear of the bend
  const inwards = side === 'left' ? 1 : -1
  const over = profile.points
    .filter(({ place }) => place > low && place < high)
    .map(({ place, value }) => inwards * (value - from - ((to - from) * (place - low)) / (high - low)))
  const by = inwards * Math.max(0, ...over)
  return lineFrom({ x: from + by, y: low }, { x: to + by, y: high })
}

/** Does a horizontal reach a corner of the room, and how is it cut there. */
function cornerEnd(layout: LaidOut, side: 'left' | 'right', line: Line, band: Band): End {
  const reaches = side === 'left' ? layout.left <= layout.lines.left : layout.right >= layout.lines.right
  const corner = reaches
    ? cornerCut(
        layout.design.corners[side],
        cornerOf(layout.survey, side, layout.beside?.[side]),
        band.standsOut,
        mateOf(band, layout.beside?.[side]),
      )
    : null
  const by = (side === 'left' ? 1 : -1) * (corner?.short ?? 0)
  const moved = by === 0 ? line : { ...line, through: { ...line.through, x: line.through.x + by } }
  const cut = corner?.cut
  if (!cut) return { lines: [moved], against: 'wall' }
  const isFlat = cut.kind === 'cornerMiter' && liesFlat(band)
  return { lines: [moved], against: 'wall', cut: isFlat ? { ...cut, flat: true } : cut }
}

/** The end of a cap or shelf where nothing bounds it: it returns to the wall where it was asked to. */
function freeEnd(layout: LaidOut, side: 'left' | 'right', { ledge, standsOut }: Band, end: End): End {
  const { lines, survey, settings } = layout
  const stops = side === 'left' ? layout.left > lines.left : layout.right < lines.right
  const isFree = stops || survey.turns[side] === 'none'
  if (!isFree || ledge?.ends !== 'returned') return end
  const hidden = addLengths(standsOut, settings.shop.kerf)
  return { ...end, cut: { kind: 'returned', sawSettingDeg: 45, depth: standsOut, hidden } }
}

/**
 * A horizontal before it meets anything: one strip for each course of the base line, from end to end at its own
 * height. Where two courses meet both are cut at half the angle between them.
 */
export function bandStrips(layout: LaidOut, band: Band, tier: Strip['tier']): Strip[] {
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
      const at = endLine(layout, side, onLine(low, x), onLine(high, x), band.ledge?.past ?? 0)
      const outer = lines.courses[side === 'left' ? 0 : lines.courses.length - 1]
      // a course that ends within the wall has no corner of the room
      return outer && Math.abs(angleOf(outer.line.slope) - angleOf(line.slope)) < 1e-9
        ? freeEnd(layout, side, band, cornerEnd(layout, side, at, band))
        : { lines: [at], against: 'wall' }
    }
    const tilt = angleOf(line.slope)
    return {
      id: band.id,
      name: band.name,
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

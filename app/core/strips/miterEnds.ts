import { crossing, type Line, lineFrom, movedFrom, type Point, unitVector } from '../geometry'
import type { Crossing } from './crossings'
import { reachOf, type Strip } from './strip'

/** The end of a strip that lies nearest to a place, and the direction that leads from there into the strip. */
function endAt(strip: Strip, place: Point): { side: 'start' | 'end'; inwards: Point } {
  const u = unitVector(strip.directionDeg)
  const along = (place.x - strip.center.x) * u.x + (place.y - strip.center.y) * u.y
  const { from, to } = reachOf(strip)
  return Math.abs(along - from) <= Math.abs(along - to)
    ? { side: 'start', inwards: u }
    : { side: 'end', inwards: { x: -u.x, y: -u.y } }
}

/** An edge of a strip as a line: the one on the side of a direction, or the one away from it. */
function edge(strip: Strip, towards: Point, side: 1 | -1): Line {
  const u = unitVector(strip.directionDeg)
  const left = Math.sign(u.x * towards.y - u.y * towards.x)
  const by = (side * left * strip.faceWidth) / 2
  return {
    through: movedFrom(strip.center, strip.directionDeg, 0, by),
    directionDeg: strip.directionDeg,
  }
}

/**
 * The strips with their ends cut where two meet in a mitre: on the line from the inner corner to the outer, which halves the
 * angle between two of one width. A strip is cut at the end that is nearest to the corner; what it is against stays said.
 */
export function miterEnds(strips: readonly Strip[], crossings: readonly Crossing[]): Strip[] {
  const cut = [...strips]
  for (const { a: i, b: j, through, place } of crossings) {
    const [a, b] = [strips[i], strips[j]]
    if (through !== 'miter' || !a || !b) continue
    const [atA, atB] = [endAt(a, place), endAt(b, place)]
    const inner = crossing(edge(a, atB.inwards, 1), edge(b, atA.inwards, 1))
    const outer = crossing(edge(a, atB.inwards, -1), edge(b, atA.inwards, -1))
    if (!inner || !outer) continue
    const line = lineFrom(inner, outer)
    for (const [index, { side }] of [
      [i, atA],
      [j, atB],
    ] as const) {
      const strip = cut[index]
      if (!strip) continue
      // a corner of the frame is none of the room's: what was cut through the thickness there is cut no more
      const { cut: _cut, ...end } = strip[side]
      cut[index] = { ...strip, [side]: { ...end, lines: [line] } }
    }
  }
  return cut
}

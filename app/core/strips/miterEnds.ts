import { crossing, type Line, lineFrom, movedFrom, type Point, unitVector } from '../geometry'
import type { Crossing } from './crossings'
import { reachOf, type Strip } from './strip'

/** How far along a strip a place lies, from its center point. */
function alongOf({ center, directionDeg }: Strip, place: Point): number {
  const u = unitVector(directionDeg)
  return (place.x - center.x) * u.x + (place.y - center.y) * u.y
}

/**
 * The end of a strip that a corner is at, and the direction that leads from there into the strip: of two corners each has an end, in
 * their order along it; of one it is the nearer end.
 */
function endAt(
  strip: Strip,
  place: Point,
  corners: readonly Point[],
): { side: 'start' | 'end'; inwards: Point } {
  const u = unitVector(strip.directionDeg)
  const along = alongOf(strip, place)
  const all = corners.map((each) => alongOf(strip, each))
  const middle = (Math.min(...all) + Math.max(...all)) / 2
  const { from, to } = reachOf(strip)
  const isStart =
    Math.max(...all) - Math.min(...all) > strip.faceWidth
      ? along < middle
      : Math.abs(along - from) <= Math.abs(along - to)
  return isStart ? { side: 'start', inwards: u } : { side: 'end', inwards: { x: -u.x, y: -u.y } }
}

/** An edge of a strip as a line: the one on the side of a direction, or the one away from it. */
function edge(strip: Strip, toward: Point, side: 1 | -1): Line {
  const u = unitVector(strip.directionDeg)
  const left = Math.sign(u.x * toward.y - u.y * toward.x)
  const by = (side * left * strip.faceWidth) / 2
  return {
    through: movedFrom(strip.center, strip.directionDeg, 0, by),
    directionDeg: strip.directionDeg,
  }
}

/**
 * The strips with their ends cut where two meet in a miter: on the line from the inner corner to the outer, which halves the
 * angle between two of one width. A strip is cut at the end that is nearest to the corner; what it is against stays said.
 */
export function miterEnds(strips: readonly Strip[], crossings: readonly Crossing[]): Strip[] {
  const cut = [...strips]
  const corners = new Map<number, Point[]>()
  for (const { a, b, through, place } of crossings)
    if (through === 'miter') for (const i of [a, b]) corners.set(i, [...(corners.get(i) ?? []), place])
  for (const { a: i, b: j, through, place } of crossings) {
    const [a, b] = [strips[i], strips[j]]
    if (through !== 'miter' || !a || !b) continue
    const [atA, atB] = [endAt(a, place, corners.get(i) ?? []), endAt(b, place, corners.get(j) ?? [])]
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

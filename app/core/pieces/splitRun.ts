import { type Length, nearestNanometer } from '~/length'
import type { RailJoint } from '~/model'
import { type EndCut, SQUARE } from './endCut'

/** One part of a run: where its visible face lies along the run's center line, and its two end cuts. */
export interface RunPart {
  readonly from: Length
  readonly to: Length
  readonly start: EndCut
  readonly end: EndCut
}

/** A last part shorter than this is evened out with its neighbor: a stub shows. Common practice, no source. */
const SHORTEST_PART = 609_600_000 // 24 in

/** The angle of a joint across the face, in degrees from square; 0 where the face is parted square. */
export const FACE_ANGLE: Readonly<Record<RailJoint, number>> = {
  scarf: 0,
  butt: 0,
  miter: 45,
  miterHalf: 22.5,
}

/** What a run is made of. */
export interface RunOf {
  readonly thickness: Length
  readonly faceWidth: Length
  /** Places along the run where a joint has something behind it: used where they lie in a board's last part. */
  readonly places?: readonly number[]
}

/** The place nearest before a joint at which there is something behind it; the joint's own where there is none. */
function onPlace(at: number, after: number, places: readonly number[]): number {
  const behind = places.filter((place) => place <= at && place - after >= SHORTEST_PART)
  return behind.length > 0 ? Math.max(...behind) : at
}

/**
 * Splits a run into as few parts as the longest board allows, whole boards first. A scarf is cut at 45
 * degrees through the thickness, so both faces lap by the thickness: the earlier part runs on hidden behind
 * the later one. Mitered across the face each part's long point lies half the miter past the joint on the center line.
 * Lengths in nanometers along the run. A run that fits is one part.
 */
export function splitRun(
  from: Length,
  to: Length,
  longest: Length,
  joint: RailJoint,
  { thickness, faceWidth, places = [] }: RunOf,
): RunPart[] {
  const slant = faceWidth * Math.tan((FACE_ANGLE[joint] * Math.PI) / 180)
  const lap = joint === 'scarf' ? thickness : slant
  const total = to - from
  if (total <= longest || longest <= lap) return [{ from, to, start: SQUARE, end: SQUARE }]
  const whole = longest - lap
  // a first and a last part have but one joint, and so half of one miter more of the board
  const spare = slant / 2
  const first = whole + spare
  const joints: number[] = []
  for (let at = from + first; ;) {
    const last = joints[joints.length - 1] ?? from
    const place = onPlace(at, last, places)
    joints.push(place)
    if (to - place <= (slant > 0 ? first : longest)) break
    at = place + whole
  }
  const rest = to - (joints[joints.length - 1] ?? to)
  if (rest < SHORTEST_PART) {
    const before = joints[joints.length - 2] ?? from
    joints[joints.length - 1] = (before + to) / 2
  }
  const ends = [from, ...joints.map(nearestNanometer), to]
  const over: EndCut = { kind: 'scarf', bevelDeg: 45, hidden: nearestNanometer(0) }
  const under: EndCut = { kind: 'scarf', bevelDeg: 45, hidden: thickness }
  const count = joints.length + 1
  return ends.slice(1).map((partTo, i) => ({
    from: ends[i] ?? from,
    to: partTo,
    start: joint === 'scarf' && i > 0 ? over : SQUARE,
    end: joint === 'scarf' && i < count - 1 ? under : SQUARE,
  }))
}

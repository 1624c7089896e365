import { type Length, nearestNanometer } from '~/length'
import type { RailJoint } from '~/model'
import { type EndCut, SQUARE } from './endCut'
import type { Reach } from './runJoints'

/** One part of a run: where its visible face lies along the run's center line, and its two end cuts. */
export interface RunPart {
  readonly from: Length
  readonly to: Length
  readonly start: EndCut
  readonly end: EndCut
}

/** The angle of a joint across the face, in degrees from square; 0 where the face is parted square. */
export const FACE_ANGLE: Readonly<Record<RailJoint, number>> = {
  scarf: 0,
  butt: 0,
  miter: 45,
  miterHalf: 22.5,
}

/** How one run of a joint's kind is parted: how much of it one board makes, and how far each end runs on hidden. */
export function reachOf(longest: number, joint: RailJoint, thickness: number, faceWidth: number): Reach {
  // whole nanometers, and even: half of it is taken at an end
  const slant = 2 * Math.ceil((faceWidth * Math.tan((FACE_ANGLE[joint] * Math.PI) / 180)) / 2)
  // a scarf hides the thickness behind the next part; a first and a last mitered part have but half a miter more of the board
  return joint === 'scarf'
    ? { first: longest - thickness, middle: longest - thickness, last: longest }
    : { first: longest - slant / 2, middle: longest - slant, last: longest - slant / 2 }
}

/**
 * The parts of a run that joints part. A scarf is cut at 45 degrees through the thickness, so both faces lap by the thickness: the
 * earlier part runs on hidden behind the later one. Mitered across the face each part's long point lies half the miter past the joint
 * on the center line. Nanometers along the run.
 */
export function splitRun(
  from: Length,
  to: Length,
  joints: readonly number[],
  joint: RailJoint,
  thickness: Length,
): RunPart[] {
  const ends = [from, ...joints.map(nearestNanometer), to]
  const over: EndCut = { kind: 'scarf', bevelDeg: 45, hidden: nearestNanometer(0) }
  const under: EndCut = { kind: 'scarf', bevelDeg: 45, hidden: thickness }
  return ends.slice(1).map((partTo, i) => ({
    from: ends[i] ?? from,
    to: partTo,
    start: joint === 'scarf' && i > 0 ? over : SQUARE,
    end: joint === 'scarf' && i < joints.length ? under : SQUARE,
  }))
}

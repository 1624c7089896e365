import { type Length, nearestNanometer } from '~/length'
import { type EndCut, SQUARE } from './endCut'

/** One part of a run: where its visible face lies along the run, and its two end cuts. */
export interface RunPart {
  readonly from: Length
  readonly to: Length
  readonly start: EndCut
  readonly end: EndCut
}

/** A last part shorter than this is evened out with its neighbor: a stub shows. Common practice, no source. */
const SHORTEST_PART = 609_600_000 // 24 in

/**
 * Splits a run into as few parts as the longest board allows, whole boards first. A scarf is cut at 45
 * degrees through the thickness, so both faces lap by the thickness: the earlier part runs on hidden behind
 * the later one. Lengths in nanometers along the run. A run that fits is one part.
 */
export function splitRun(
  from: Length,
  to: Length,
  longest: Length,
  joint: 'scarf' | 'butt',
  thickness: Length,
): RunPart[] {
  const lap = joint === 'scarf' ? thickness : 0
  const total = to - from
  if (total <= longest || longest <= lap) return [{ from, to, start: SQUARE, end: SQUARE }]
  const whole = longest - lap
  const count = 1 + Math.ceil((total - longest) / whole)
  const rest = total - (count - 1) * whole
  const joints = Array.from({ length: count - 1 }, (_, i) => from + (i + 1) * whole)
  if (rest < SHORTEST_PART) joints[count - 2] = from + (count - 2) * whole + (whole + rest) / 2
  const ends = [from, ...joints.map(nearestNanometer), to]
  const over: EndCut = { kind: 'scarf', bevelDeg: 45, hidden: nearestNanometer(0) }
  const under: EndCut = { kind: 'scarf', bevelDeg: 45, hidden: thickness }
  return ends.slice(1).map((partTo, i) => ({
    from: ends[i] ?? from,
    to: partTo,
    start: joint === 'scarf' && i > 0 ? over : SQUARE,
    end: joint === 'scarf' && i < count - 1 ? under : SQUARE,
  }))
}

import { type Length, nearestNanometer } from '~/length'
import type { Design, RailJoint } from '~/model'
import { type Point, unitVector } from '../geometry'
import type { Field } from '../layout/field'
import { type Around, jointsHold, placeJoints, reachOf, type RunPart, splitRun } from '../pieces'
import type { Lie, Strip } from './strip'

/** What a design calls a run by: its strip, and of a frame the side. */
export function runKey({ id, part }: Pick<Strip, 'id' | 'part'>): string {
  return part === '' ? id : `${id}:${part}`
}

/** How this run is joined; null where it was said that it is not. */
export function jointOf({ joints, railJoint }: Design, run: string): RailJoint | null {
  const own = joints[run]?.joint ?? 'asWall'
  return own === 'none' ? null : own === 'asWall' ? railJoint : own
}

/** How far a strip's center point lies along its own direction from the wall's origin: what places kept along it are counted from. */
export function originAlong({ center, directionDeg }: Lie): number {
  const u = unitVector(directionDeg)
  return center.x * u.x + center.y * u.y
}

/** What stands about a run that its joints go by, along it from the strip's center point. */
export function aroundRun(strip: Lie, { survey }: Field, others: readonly Point[]): Around {
  const { center, directionDeg } = strip
  const u = unitVector(directionDeg)
  // a slat as good as upright crosses no studs
  if (Math.abs(u.x) < 1e-6) return { studs: [], seen: [], others: [] }
  const along = (x: number) => (x - center.x) / u.x
  const level = Math.abs(u.y) < Math.SQRT1_2
  return {
    studs: survey.behind.studs.map(along).sort((a, b) => a - b),
    seen: level
      ? survey.things
          .filter(({ kind }) => kind === 'window')
          .map(({ left, width }) => {
            const [a, b] = [along(left), along(left + width)]
            return { from: Math.min(a, b), to: Math.max(a, b) }
          })
      : [],
    others: level ? others.map(({ x }) => along(x)) : [],
  }
}

/**
 * The parts of a run that outgrows its boards, from `from` to `to` along the strip; one whole part where it fits or is not to be joined.
 * Joints that were placed by hand are kept where they still leave no part too long; else they go by rule. `longest` is what a board has
 * for it, less what its ends hide.
 */
export function runParts(
  strip: Strip,
  run: { readonly from: Length; readonly to: Length },
  longest: number,
  field: Field,
  others: readonly Point[],
): RunPart[] {
  const { from, to } = run
  const joint = jointOf(field.design, runKey(strip))
  if (joint === null || to - from <= longest) return splitRun(from, to, [], 'butt', strip.material.thickness)
  const reach = reachOf(longest, joint, strip.material.thickness, strip.faceWidth)
  const placed = placedJoints(strip, run, field.design)
  const joints =
    placed.length > 0 && jointsHold(from, to, placed, reach)
      ? placed
      : placeJoints(from, to, reach, aroundRun(strip, field, others), field.allowance)
  return splitRun(from, to, joints, joint, strip.material.thickness)
}

/** The joints placed by hand within a run, along it from the strip's center point, in order. */
export function placedJoints(
  strip: Strip,
  { from, to }: { from: number; to: number },
  design: Design,
): number[] {
  const origin = originAlong(strip)
  return (design.joints[runKey(strip)]?.at ?? [])
    .map((at) => nearestNanometer(at - origin))
    .filter((at) => at > from && at < to)
    .sort((a, b) => a - b)
}

import { movedFrom, type Point } from '../../geometry'
import { LIMITS } from '~/model'
import type { Struck } from './made'
import type { Region } from '../../layout/moves'
import { acrossOf } from './region'

/** Less of a strip than this along its width is no strip. */
const LEAST = 400_000

/** How many copies of a strip, each a pitch further to one side, still lie in its region. */
export function pastAll(
  { ray, region }: Struck,
  sign: number,
  pitch: number,
  width: number,
  first: number,
): number {
  if (pitch <= 0) return 0
  const { least, most } = acrossOf(region, ray.center, ray.directionDeg)
  const room = (sign > 0 ? most : -least) + width / 2 - LEAST
  return Math.max(0, Math.min(LIMITS.lines + 1, Math.floor((room - first) / pitch) + 1))
}

/**
 * A family of parallel strips in a region, a pitch apart: the first's center line through a point, the others to both sides as
 * far as any part of them lies in it; from `least` to `most` in their count from the first, to the left where positive.
 */
export function familyIn(
  region: Region,
  center: Point,
  directionDeg: number,
  faceWidth: number,
  pitch: number,
  count?: { readonly least: number; readonly most: number },
): Struck[] {
  if (pitch <= 0) return []
  const { least, most } = acrossOf(region, center, directionDeg)
  const reach = faceWidth / 2 - LEAST
  const from = Math.max(count?.least ?? -Infinity, Math.ceil((least - reach) / pitch))
  const to = Math.min(count?.most ?? Infinity, Math.floor((most + reach) / pitch), from + LIMITS.lines)
  const struck: Struck[] = []
  for (let k = from; k <= to; k++)
    struck.push({
      ray: {
        center: movedFrom(center, directionDeg, 0, k * pitch),
        directionDeg,
        faceWidth,
        back: { kind: 'frame' },
        front: { kind: 'frame' },
      },
      region,
    })
  return struck
}

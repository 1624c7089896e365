import { fail, type Length, nearestNanometer, ok, type Result } from '~/length'
import type { Survey, Thing } from '~/model'

/** How steep a stair is, as it was measured: by one step, by the heights of its line at its two ends, or by its pitch from level. */
export type StairRise =
  | { readonly by: 'step'; readonly rise: Length; readonly run: Length }
  | { readonly by: 'heights'; readonly low: Length; readonly high: Length }
  | { readonly by: 'pitch'; readonly deg: number }

/** A stair along a wall as it was measured. Places from the left corner, heights from the finished floor there. */
export interface Stair {
  /** Where the line of its nosings begins and ends along the wall. */
  readonly from: Length
  readonly to: Length
  readonly rises: 'left' | 'right'
  readonly rise: StairRise
  /** A landing goes on level from that end to the end of the wall. */
  readonly landing: { readonly low: boolean; readonly high: boolean }
  /** The skirt board: how far it stands above the nosings, plumb, and how thick it is. */
  readonly skirt: { readonly height: Length; readonly thickness: Length } | null
}

/** Why a stair can't be so. */
export type StairIssue = { readonly code: 'noRun' | 'noRise' | 'pastWall' | 'aboveWall' | 'needsLanding' }

const STAIR = 'stair'
const LANDING = { low: 'stair-landing-low', high: 'stair-landing-high' } as const

function heightsOf({ from, to, rise }: Stair): { low: number; high: number } {
  switch (rise.by) {
    case 'heights':
      return rise
    case 'step':
      return { low: 0, high: rise.run > 0 ? ((to - from) * rise.rise) / rise.run : 0 }
    case 'pitch':
      return { low: 0, high: (to - from) * Math.tan((rise.deg * Math.PI) / 180) }
  }
}

function part(kind: Thing['kind'], id: string, left: Length, width: number, height: number): Thing {
  return {
    id,
    kind,
    left,
    bottom: nearestNanometer(0),
    width: nearestNanometer(width),
    height: nearestNanometer(height),
    thickness: nearestNanometer(0),
    casing: nearestNanometer(0),
    fate: 'keep',
    clear: null,
    slope: null,
    fromRight: null,
    fromTop: null,
  }
}

/** Parts of a survey that belong to its stair. */
export function isOfStair({ kind }: Pick<Thing, 'kind'>): boolean {
  return kind === 'stair' || kind === 'landing'
}

/**
 * The parts of the wall that a stair takes: all below its nosings, and its landings to the ends of the wall. An issue where it is
 * no stair, or does not fit the wall; one that starts above the floor, away from the wall's end, needs a landing there.
 */
export function stairThings(
  stair: Stair,
  survey: Pick<Survey, 'width' | 'height'>,
): Result<Thing[], StairIssue> {
  const { from, to, rises, landing, skirt } = stair
  const { low, high } = heightsOf(stair)
  if (to <= from) return fail({ code: 'noRun' })
  if (!(high > low) || low < 0) return fail({ code: 'noRise' })
  if (from < 0 || to > survey.width) return fail({ code: 'pastWall' })
  if (high + (skirt?.height ?? 0) >= survey.height) return fail({ code: 'aboveWall' })
  const atStart = rises === 'right' ? from <= 0 : to >= survey.width
  if (low > 0 && !atStart && !landing.low) return fail({ code: 'needsLanding' })
  const before = { left: nearestNanometer(0), width: from as number }
  const after = { left: to, width: survey.width - to }
  const [lowSide, highSide] = rises === 'right' ? [before, after] : [after, before]
  return ok([
    {
      ...part('stair', STAIR, from, to - from, high - low),
      bottom: nearestNanometer(low),
      slope: rises === 'right' ? 'risesRight' : 'risesLeft',
      skirt,
    },
    ...(landing.low && low > 0 && lowSide.width > 0
      ? [part('landing', LANDING.low, lowSide.left, lowSide.width, low)]
      : []),
    ...(landing.high && highSide.width > 0
      ? [part('landing', LANDING.high, highSide.left, highSide.width, high)]
      : []),
  ])
}

/** The stair of a survey as it stands, told by the heights at its two ends; null where it has none. */
export function stairOf(survey: Pick<Survey, 'things'>): Stair | null {
  const stair = survey.things.find(({ kind }) => kind === 'stair')
  if (!stair) return null
  const { left, width, bottom, height, slope, skirt } = stair
  const has = (id: string) => survey.things.some((thing) => thing.id === id)
  return {
    from: left,
    to: nearestNanometer(left + width),
    rises: slope === 'risesLeft' ? 'left' : 'right',
    rise: { by: 'heights', low: bottom, high: nearestNanometer(bottom + height) },
    landing: { low: has(LANDING.low), high: has(LANDING.high) },
    skirt: skirt ?? null,
  }
}

/** A stair's pitch from level, in degrees. */
export function pitchOf(stair: Stair): number {
  const { low, high } = heightsOf(stair)
  return (Math.atan2(high - low, stair.to - stair.from) * 180) / Math.PI
}

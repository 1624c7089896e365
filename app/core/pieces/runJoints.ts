import { inches } from '~/length'

/** A part shorter than this is evened out with its neighbor: a stub shows. Common practice, no source. */
const SHORTEST_PART = inches(24)
/** Joints of rails one above another lie at least so far apart sideways: a stud's pitch. Common practice, no source. */
export const STAGGER = inches(16)

/** How much of a run one board makes, on the run's center line: the first, one between, the last. Nanometers. */
export interface Reach {
  readonly first: number
  readonly middle: number
  readonly last: number
}

/** What a joint should come to lie on, and what it should keep clear of, along the run. Nanometers. */
export interface Around {
  /** Middles of the studs it crosses. */
  readonly studs: readonly number[]
  /** Stretches under or over a window, where the eye falls. */
  readonly seen: readonly { readonly from: number; readonly to: number }[]
  /** Joints of other runs, taken down along this one. */
  readonly others: readonly number[]
}

export const NOTHING_AROUND: Around = { studs: [], seen: [], others: [] }

// What counts for more weighs more than all that counts for less: a joint with nothing behind it opens, a stub shows and is hard to nail.
const OFF_STUD = 1_000
const STUB = 400
const IN_SIGHT = 150
const IN_LINE = 40
/** For a part that leaves nothing to cut it long by: more than being off a stud's middle, less than all else. */
const NO_ALLOWANCE = 20
/** For being off a stud's middle, at the most: whole bearing before the longest part, and after all else. */
const OFF_MIDDLE = 10

/** This near a stud's middle both ends have something behind them. */
export const ON_STUD = inches(1 / 2)

/** What speaks against a joint at a place. */
export function jointFaults(at: number, { studs, seen, others }: Around) {
  return {
    offStud: studs.length > 0 && !studs.some((stud) => Math.abs(stud - at) <= ON_STUD),
    inSight: seen.some(({ from, to }) => at > from && at < to),
    inLine: others.some((other) => Math.abs(other - at) < STAGGER),
  }
}

/** How far a joint lies off the middle of the stud nearest to it; 0 where no stud is known. */
export function offMiddleOf(at: number, { studs }: Around): number {
  return studs.length === 0 ? 0 : Math.min(...studs.map((stud) => Math.abs(stud - at)))
}

function costOf(at: number, around: Around): number {
  const { offStud, inSight, inLine } = jointFaults(at, around)
  const offMiddle = offStud ? 0 : (OFF_MIDDLE * offMiddleOf(at, around)) / ON_STUD
  return (offStud ? OFF_STUD : 0) + (inSight ? IN_SIGHT : 0) + (inLine ? IN_LINE : 0) + offMiddle
}

/** The least number of joints a run needs; Infinity where no number does. */
export function jointsNeeded(length: number, { first, middle, last }: Reach): number {
  if (first <= 0 || last <= 0) return Infinity
  const rest = length - first - last
  return rest <= 0 ? 1 : middle <= 0 ? Infinity : 1 + Math.ceil(rest / middle)
}

/** Whether joints at these places leave no part longer than a board makes. In order along the run. */
export function jointsHold(from: number, to: number, joints: readonly number[], reach: Reach): boolean {
  const ends = [from, ...joints, to]
  return ends.slice(1).every((end, i) => {
    const part = end - (ends[i] ?? from)
    const most = i === 0 ? reach.first : i === joints.length ? reach.last : reach.middle
    return part > 0 && part <= most
  })
}

interface Way {
  readonly at: number
  readonly cost: number
  readonly before: Way | null
}

/**
 * Where the joints of a run go: as few as the boards allow; each on a stud where one is in reach, no part a stub, not under a window, not
 * in one line with the joints of other runs, no part so long that its board can't hold it cut long by `allowance`, on the stud's very
 * middle; and else as far along as the board goes. Searched through: no other choice among the studs, the whole boards, the even parts and
 * the places beside what is avoided does better. Empty where the boards make no such run. Nanometers.
 */
export function placeJoints(
  from: number,
  to: number,
  reach: Reach,
  around: Around,
  allowance: number = 0,
): number[] {
  const needed = jointsNeeded(to - from, reach)
  if (!Number.isFinite(needed)) return []
  let ways: Way[] = [{ at: from, cost: 0, before: null }]
  for (let i = 1; i <= needed; i++) {
    const most = from + reach.first + (i - 1) * reach.middle
    const least = Math.max(from, to - reach.last - (needed - i) * reach.middle)
    const next: Way[] = []
    const kept = [
      from + reach.first - allowance + (i - 1) * (reach.middle - allowance),
      to - reach.last + allowance - (needed - i) * (reach.middle - allowance),
    ]
    for (const at of candidates(least, most, from, to, around, kept)) {
      // less than one of what is weighed: of places that are as good the farthest along
      const own = costOf(at, around) + (most - at) / Math.max(1, most - least + 1)
      const reached = ways.flatMap((before): Way[] => {
        const part = at - before.at
        if (part <= 0 || part > (i === 1 ? reach.first : reach.middle)) return []
        const stubs = (part < SHORTEST_PART ? STUB : 0) + (i === needed && to - at < SHORTEST_PART ? STUB : 0)
        const tight =
          (part > (i === 1 ? reach.first : reach.middle) - allowance + 1 ? NO_ALLOWANCE : 0) +
          (i === needed && to - at > reach.last - allowance + 1 ? NO_ALLOWANCE : 0)
        return [{ at, cost: before.cost + own + stubs + tight, before }]
      })
      const best = cheapest(reached)
      if (best) next.push(best)
    }
    ways = next
  }
  const joints: number[] = []
  for (let way = cheapest(ways); way?.before; way = way.before) joints.unshift(way.at)
  return joints
}

function cheapest(ways: readonly Way[]): Way | null {
  return ways.reduce<Way | null>((best, way) => (best && best.cost <= way.cost ? best : way), null)
}

function candidates(
  least: number,
  most: number,
  from: number,
  to: number,
  around: Around,
  kept: readonly number[],
): number[] {
  const beside = [
    ...around.seen.flatMap(({ from: start, to: end }) => [start, end]),
    ...around.others.flatMap((other) => [other - STAGGER, other + STAGGER]),
  ]
  const even = (Math.max(from, most - (to - from)) + to) / 2
  const all = [most, least, ...kept, even, (least + most) / 2, ...around.studs, ...beside]
  return [...new Set(all.map(Math.round))].filter((at) => at >= least && at <= most && at < to)
}

import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64'
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus'
import { inches } from '~/length'
import { SEEN } from '../asbuilt/evenOut'

/** Ways of bringing marks onto a wall: the tape moved on from mark to mark, all marks from one hook, a block, a block with a mark to check it. */
export const MARKING_WAYS = ['stepping', 'running', 'block', 'blockChecked'] as const
export type MarkingWay = (typeof MARKING_WAYS)[number]

/** How far off a crew is, in nanometers: standard deviations, and what adds up the same way each time. */
export interface CrewErrors {
  /** Of one step of the tape; how much too long each is. */
  readonly step: number
  readonly stepBias: number
  /** Of one mark read from the hook; how much too far all are. */
  readonly running: number
  readonly hook: number
  /** Of one step with a block; how much too long it is. */
  readonly block: number
  readonly blockBias: number
  /** A block is checked against a running mark every so many. */
  readonly every: number
}

/** Where a crew starts that nothing is known of: made up, no source. Readings of what was built take their place. */
export const MADE_UP: CrewErrors = {
  step: inches(1 / 32),
  stepBias: 0,
  running: inches(1 / 32),
  hook: 0,
  block: inches(1 / 64),
  blockBias: 0,
  every: 4,
}

export interface SimulationAsked {
  readonly bays: number
  readonly walls: number
  readonly seed: number
  readonly errors: CrewErrors
  /** The usual gap, by which an eye sees a difference. */
  readonly gap: number
}

/** How one figure is spread over the simulated walls, in nanometers. */
export interface Spread {
  readonly mean: number
  readonly deviation: number
  readonly median: number
  readonly nineOfTen: number
}

export interface SimulatedWay {
  readonly way: MarkingWay
  /** The largest a gap is off, and how far the last bay is (either way). */
  readonly worst: Spread
  readonly last: Spread
  /** The part of all walls in which an eye sees two neighbors differ. */
  readonly seen: number
  /** How many walls have their worst gap in each bin, from 0 up. */
  readonly bins: readonly number[]
}

export interface Simulated {
  readonly ways: readonly SimulatedWay[]
  /** The width of a bin, in nanometers. */
  readonly bin: number
  /** The quickest of the ways that are good enough; null where none is. */
  readonly goodEnough: MarkingWay | null
}

/** A way is good enough where an eye sees something in no more than one wall of ten. A rule of ours, no source. */
export const GOOD_ENOUGH = 0.1
/** From the quickest to the slowest. Common practice, no source. */
const QUICKEST: readonly MarkingWay[] = ['block', 'stepping', 'blockChecked', 'running']
const BINS = 24

/** Normal numbers, two at a time (Box and Muller), from a seed: the same every time. */
function normals(seed: number): () => number {
  const random = xoroshiro128plus(seed)
  let kept: number | null = null
  return () => {
    if (kept !== null) {
      const value = kept
      kept = null
      return value
    }
    const radius = Math.sqrt(-2 * Math.log(1 - uniformFloat64(random)))
    const angle = 2 * Math.PI * uniformFloat64(random)
    kept = radius * Math.sin(angle)
    return radius * Math.cos(angle)
  }
}

/** The errors of the marks of one wall with so many bays between two fixed ends, from the first: one fewer than bays. */
export function markErrors(
  way: MarkingWay,
  marks: number,
  errors: CrewErrors,
  next: () => number,
  into: number[] = [],
): number[] {
  let reached = 0
  for (let k = 1; k <= marks; k++) {
    if (way === 'running') into[k - 1] = errors.hook + errors.running * next()
    else if (way === 'stepping') into[k - 1] = reached += errors.stepBias + errors.step * next()
    else if (way === 'blockChecked' && k % errors.every === 0)
      into[k - 1] = reached = errors.hook + errors.running * next()
    else into[k - 1] = reached += errors.blockBias + errors.block * next()
  }
  into.length = marks
  return into
}

function spreadOf(values: Float64Array): Spread {
  const sorted = values.slice().sort()
  const at = (part: number) => sorted[Math.min(sorted.length - 1, Math.floor(part * sorted.length))] ?? 0
  let [sum, squares] = [0, 0]
  for (const value of values) sum += value
  const mean = values.length > 0 ? sum / values.length : 0
  for (const value of values) squares += (value - mean) ** 2
  return {
    mean,
    deviation: Math.sqrt(values.length > 1 ? squares / (values.length - 1) : 0),
    median: at(0.5),
    nineOfTen: at(0.9),
  }
}

/**
 * Marks a wall many times over with a crew's errors, in each of the ways. The first bay begins and the last ends at something fixed, so that
 * the last takes what the marks are off. The same seed gives the same walls. With no bay or no wall all is 0.
 */
export function simulate({ bays, walls, seed, errors, gap }: SimulationAsked): Simulated {
  const marks = Math.max(0, bays - 1)
  const seenFrom = Math.max(SEEN.least, gap * SEEN.part)
  const tried = MARKING_WAYS.map((way, i) => {
    const next = normals(seed + i)
    const worst = new Float64Array(walls)
    const last = new Float64Array(walls)
    const of: number[] = []
    let seen = 0
    for (let wall = 0; wall < walls; wall++) {
      markErrors(way, marks, errors, next, of)
      let [most, before, gapBefore, step] = [0, 0, 0, 0]
      for (let k = 0; k <= marks && bays > 0; k++) {
        const error = k < marks ? (of[k] ?? 0) : 0
        const off = error - before
        most = Math.max(most, Math.abs(off))
        if (k > 0) step = Math.max(step, Math.abs(off - gapBefore))
        gapBefore = off
        before = error
      }
      worst[wall] = most
      last[wall] = Math.abs(gapBefore)
      if (step >= seenFrom) seen += 1
    }
    return { way, worst, last, seen: walls > 0 ? seen / walls : 0 }
  })
  const most = Math.max(1, ...tried.map(({ worst }) => spreadOf(worst).nineOfTen))
  const bin = (most * 1.5) / BINS
  const ways = tried.map(({ way, worst, last, seen }): SimulatedWay => {
    const bins = Array<number>(BINS).fill(0)
    for (const each of worst) {
      const at = Math.min(BINS - 1, Math.floor(each / bin))
      bins[at] = (bins[at] ?? 0) + 1
    }
    return { way, worst: spreadOf(worst), last: spreadOf(last), seen, bins }
  })
  const seenIn = new Map(ways.map(({ way, seen }) => [way, seen]))
  return { ways, bin, goodEnough: QUICKEST.find((way) => (seenIn.get(way) ?? 1) <= GOOD_ENOUGH) ?? null }
}

/** How spread the marks and gaps of a way are, in closed form: variances of marks 1 to bays - 1 and of all gaps, for errors that have no bias. */
export function variances(
  way: MarkingWay,
  bays: number,
  { step, running, block, every }: CrewErrors,
): { readonly marks: readonly number[]; readonly gaps: readonly number[] } {
  const [s, r, b] = [step ** 2, running ** 2, block ** 2]
  const marks = Array.from({ length: Math.max(0, bays - 1) }, (_, i) => {
    const k = i + 1
    if (way === 'stepping') return k * s
    if (way === 'running') return r
    if (way === 'block') return k * b
    return (k >= every ? r : 0) + (k % every) * b
  })
  const gaps = Array.from({ length: bays }, (_, i) => {
    const k = i + 1
    const isLast = k === bays
    if (way === 'stepping') return isLast ? (bays - 1) * s : s
    if (way === 'running') return (isLast ? 0 : r) + (i === 0 ? 0 : r)
    if (way === 'block') return isLast ? (bays - 1) * b : b
    if (isLast) return (i >= every ? r : 0) + (i % every) * b
    return k % every === 0 ? r + (k > every ? r : 0) + (every - 1) * b : b
  })
  return { marks, gaps }
}

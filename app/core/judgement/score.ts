import { type Criterion, type Design, type Settings } from '~/model'
import type { Layout } from '../layout/layout'
import { rulesOf } from '../patterns/rules'
import { type Barred, hitsOf } from './barred'
import type { SectionCandidate } from './candidates'

/** What a weight of one costs for one unit of each criterion; plates stand before all else. */
const UNIT_COST: Readonly<Record<Criterion, number>> = {
  plates: 5,
  slivers: 2,
  wish: 2,
  symmetry: 1,
  studs: 1,
  boards: 1,
  pieces: 0.5,
  hollows: 1,
}

/** An end space or bay under half the gap reads as a sliver. Common practice, no source. */
const SLIVER_OF_GAP = 0.5

/**
 * Half over trim is worse than on a plate: a plate can be notched round or moved, a strip half over casing can't be
 * cut at all. Each edge it lies half over counts. Common practice, no source.
 */
const THING_PART = 2

/** How many ends are slivers. */
function sliversOf({ placement, shift, gap }: SectionCandidate): number {
  const least = gap * SLIVER_OF_GAP - 2
  const left = placement.leftEnd + shift
  const right = placement.rightEnd - shift
  return (left > 0 && left < least ? 1 : 0) + (right > 0 && right < least ? 1 : 0)
}

/** How far an axis is from the nearest line the strips are symmetrical about: a strip's middle or a bay's. */
export function offAxis(lefts: readonly number[], stripWidth: number, axis: number): number {
  let least = Infinity
  const half = stripWidth / 2
  for (let i = 0; i < lefts.length; i++) {
    const left = lefts[i] ?? 0
    least = Math.min(least, Math.abs(left + half - axis))
    const next = lefts[i + 1]
    if (next !== undefined) least = Math.min(least, Math.abs((left + stripWidth + next) / 2 - axis))
  }
  return least
}

/** Strips that cover the middle of a stud. */
export function onStuds(lefts: readonly number[], stripWidth: number, studs: readonly number[]): number {
  return lefts.filter((left) => studs.some((stud) => stud >= left && stud <= left + stripWidth)).length
}

/** Boards for so many equal uprights, of the length on sale that takes least; null when none is long enough. */
export function boardsFor(
  count: number,
  length: number,
  material: string,
  { shop }: Settings,
): number | null {
  let best: { boards: number; bought: number } | null = null
  for (const offer of shop.offers) {
    if (offer.material !== material) continue
    const fit = Math.floor((offer.length - shop.endTrim + shop.kerf) / (length + shop.kerf))
    if (fit < 1) continue
    const boards = Math.ceil(count / fit)
    const bought = boards * offer.length
    if (!best || bought < best.bought) best = { boards, bought }
  }
  return best?.boards ?? null
}

/** The measures of one section's candidate, each 0 where nothing is to be said against it. */
export type Measures = Readonly<Record<Criterion, number>>

export interface Measured {
  readonly measures: Measures
  /** Meetings with plates alone: none of them is what a search proves or disproves. */
  readonly platesHit: number
}

export interface ScoreInput {
  readonly layout: Layout
  readonly design: Design
  readonly settings: Settings
  readonly barred: readonly Barred[]
  /** Plates at the height of a box's upper or lower side, clearance included. */
  readonly level: readonly { readonly thingId: string; readonly left: number; readonly right: number }[]
  readonly studs: readonly number[]
  /** The line the layout should be symmetrical about, where it lies in the section; else the section's middle. */
  readonly axis: number | null
  readonly wish: number
  readonly boardsByCount: Map<number, number>
  /** How much of the worst hollow a strip with its middle there lies over; null where the wall was found flat. */
  readonly over: ((middle: number) => number) | null
}

/** Measures a candidate. `boards` and `pieces` are counts; all else is 0 at best and about 1 where it is poor. */
export function measure(candidate: SectionCandidate, input: ScoreInput): Measured {
  const { section, lefts, gap, placement } = candidate
  const { layout, barred, studs, wish } = input
  const isBoxes = rulesOf(layout).places === 'margins'
  const { stripWidth } = layout
  const count = lefts.length
  const middle = (section.left + section.right) / 2
  const axis =
    input.axis !== null && input.axis > section.left && input.axis < section.right ? input.axis : middle
  const strips = isBoxes ? boxSides(candidate, input) : lefts
  const { plates: upright, things } = hitsOf(strips, barred)
  const plates = upright + levelHits(candidate, input).length
  const pieces = isBoxes ? (count - 1) * 4 : count
  const measures: Measures = {
    plates: plates + things * THING_PART,
    slivers: sliversOf(candidate),
    wish: Math.abs((isBoxes ? (placement.gaps[0] ?? gap) : gap) - wish) / Math.max(1, wish),
    symmetry: Math.min(1, (4 * offAxis(lefts, stripWidth, axis)) / Math.max(1, gap + stripWidth)),
    studs: studs.length === 0 || isBoxes ? 0 : 1 - onStuds(lefts, stripWidth, studs) / Math.max(1, count),
    boards: isBoxes ? pieces / 4 : boardsOnce(count, input),
    pieces,
    hollows: mostOver(strips, rulesOf(layout).faceWidth(layout), input.over),
  }
  return { measures, platesHit: plates }
}

/** The most of the worst hollow that any strip lies over. */
function mostOver(lefts: readonly number[], width: number, over: ScoreInput['over']): number {
  return over ? Math.max(0, ...lefts.map((left) => over(left + width / 2))) : 0
}

/** The boards for so many uprights of the layout, worked out once a count. */
function boardsOnce(count: number, { layout, settings, boardsByCount }: ScoreInput): number {
  const known = boardsByCount.get(count)
  if (known !== undefined) return known
  const length = Math.max(1, layout.uprightHead - layout.uprightFoot)
  const boards = boardsFor(count, length, layout.battenMaterial.id, settings) ?? count
  boardsByCount.set(count, boards)
  return boards
}

/** Plates that the level sides of boxes run over, once a box. */
export function levelHits({ lefts, placement }: SectionCandidate, { layout, level }: ScoreInput): string[] {
  if (rulesOf(layout).places !== 'margins') return []
  return placement.gaps.flatMap((gap, i) => {
    const from = (lefts[i] ?? 0) + layout.stripWidth
    return level.filter(({ left, right }) => left < from + gap && right > from).map(({ thingId }) => thingId)
  })
}

/** The left edges of the moulding's uprights: two sides to a box. */
export function boxSides({ lefts, placement }: SectionCandidate, { layout, design }: ScoreInput): number[] {
  const width = rulesOf(design).faceWidth(layout)
  return placement.gaps.flatMap((gap, i) => {
    const left = (lefts[i] ?? 0) + layout.stripWidth
    return [left, left + gap - width]
  })
}

/** The weighed sum over all sections; counts are weighed against the fewest any candidate has. */
export function totalOf(
  measures: readonly Measures[],
  fewest: { readonly boards: number; readonly pieces: number },
  weights: Design['judgement']['weights'],
): number {
  const n = Math.max(1, measures.length)
  let [plates, slivers, wish, symmetry, studs, boards, pieces, hollows] = [0, 0, 0, 0, 0, 0, 0, 0]
  for (const each of measures) {
    plates += each.plates
    slivers += each.slivers
    wish += each.wish / n
    symmetry += each.symmetry / n
    studs += each.studs / n
    boards += each.boards
    pieces += each.pieces
    hollows = Math.max(hollows, each.hollows)
  }
  return (
    plates * weights.plates * UNIT_COST.plates +
    slivers * weights.slivers * UNIT_COST.slivers +
    wish * weights.wish * UNIT_COST.wish +
    symmetry * weights.symmetry * UNIT_COST.symmetry +
    studs * weights.studs * UNIT_COST.studs +
    hollows * weights.hollows * UNIT_COST.hollows +
    (boards / Math.max(1, fewest.boards) - 1) * weights.boards * UNIT_COST.boards +
    (pieces / Math.max(1, fewest.pieces) - 1) * weights.pieces * UNIT_COST.pieces
  )
}

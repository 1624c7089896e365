import { type Length, subtractLengths } from '~/length'
import type { Layout } from '../layout/layout'
import { isLeaning } from '../layout/lean'
import type { Placement } from '../spacing'

/** The sum that must close: ends + strips + gaps = wall. All lengths in nanometers. */
export interface ClosingSum {
  readonly wall: Length
  readonly strips: { readonly count: number; readonly width: Length }
  /** Margins as they were built, where they are not as wide as laid out. */
  readonly others: readonly { readonly count: number; readonly size: number }[]
  /** Equal gaps counted together, in the order in which they first appear; the average of each group. */
  readonly gaps: readonly { readonly count: number; readonly size: number }[]
  /** The spaces at the walls where they are not gaps like the rest. */
  readonly ends: { readonly left: Length; readonly right: Length } | null
  /** Openings and other parts of the wall that no section covers, each with its width. */
  readonly openings: readonly { readonly count: number; readonly size: number }[]
  /** What uprights that lean keep clear of an opening beside them, each with its width. */
  readonly leans: readonly { readonly count: number; readonly size: number }[]
  /** Strips ripped to width at the ends, each with its width. */
  readonly fillers: readonly { readonly count: number; readonly size: number }[]
  /** What two sections share at a bend, and each counts; taken off the sum. */
  readonly overlaps: readonly { readonly count: number; readonly size: number }[]
  /** What is missing (positive) or too much; zero when it closes. */
  readonly difference: number
}

/** Spaces within this of each other are one size: the rounding of one exact figure. */
const SAME_WITHIN = 2

function grouped(spaces: readonly number[]): { count: number; size: number }[] {
  const groups: { count: number; sum: number; first: number }[] = []
  for (const space of spaces) {
    const group = groups.find(({ first }) => Math.abs(first - space) <= SAME_WITHIN)
    if (group) {
      group.count += 1
      group.sum += space
    } else groups.push({ count: 1, sum: space, first: space })
  }
  return groups.map(({ count, sum }) => ({ count, size: sum / count }))
}

/** Adds up a placement. */
export function closingSum(placement: Placement): ClosingSum {
  const { leftEnd, rightEnd, gaps, nearEdges, stripWidth, span, widths } = placement
  const innerAlike = gaps.every((gap) => Math.abs(gap - (gaps[0] ?? gap)) <= SAME_WITHIN)
  const endsAreGaps =
    innerAlike &&
    Math.abs(leftEnd - (gaps[0] ?? leftEnd)) <= SAME_WITHIN &&
    Math.abs(rightEnd - (gaps[0] ?? leftEnd)) <= SAME_WITHIN
  // strips of another width than most have a place of their own in the sum
  const others = (widths ?? []).filter((width) => Math.abs(width - stripWidth) > SAME_WITHIN)
  const strips = nearEdges.length - others.length
  const sum =
    [...gaps, ...others].reduce<number>((total, each) => total + each, 0) +
    strips * stripWidth +
    leftEnd +
    rightEnd +
    (widths ?? []).reduce((off, width) => off + (others.includes(width) ? 0 : width - stripWidth), 0)
  return {
    wall: span,
    strips: { count: strips, width: stripWidth },
    others: grouped(others),
    gaps: grouped(endsAreGaps ? [leftEnd, ...gaps, rightEnd] : gaps),
    ends: endsAreGaps || (leftEnd === 0 && rightEnd === 0) ? null : { left: leftEnd, right: rightEnd },
    openings: [],
    leans: [],
    fillers: [],
    overlaps: [],
    difference: span - sum,
  }
}

/** Adds up a wall: its one section, or all sections of its lowest row and the openings between them. */
export function closingOf(layout: Layout): ClosingSum | null {
  const row = layout.sections.filter(({ row: of, placement }) => of === 0 && placement !== null)
  const sums = row.flatMap(({ placement }) => (placement ? [closingSum(placement)] : []))
  const [only] = sums
  if (!only) return null
  const wall = subtractLengths(layout.right, layout.left)
  const open: number[] = []
  const fillers = layout.fillers.map(({ left, right }) => right - left)
  const from = layout.fillers.find((filler) => filler.left === layout.left)?.right ?? layout.left
  const to = layout.fillers.find((filler) => filler.right === layout.right)?.left ?? layout.right
  let reached: number = from
  for (const { left, right } of [...row, { left: to, right: to }]) {
    if (left > reached + SAME_WITHIN) open.push(left - reached)
    reached = Math.max(reached, right)
  }
  if (sums.length === 1 && open.length === 0 && fillers.length === 0) return only
  const many = (groups: readonly { count: number; size: number }[]) =>
    groups.flatMap(({ count, size }) => Array<number>(count).fill(size))
  const ends = sums.flatMap((sum) => [sum.ends?.left ?? 0, sum.ends?.right ?? 0]).filter((end) => end > 0)
  if (sums.length === 1 && open.length === 0)
    return {
      ...only,
      wall,
      fillers: grouped(fillers),
      difference: only.difference + wall - only.wall - fillers.reduce((total, each) => total + each, 0),
    }
  // less than a strip between two sections is no opening
  const isLean = (each: number) => isLeaning(layout.lean) && each < layout.stripWidth
  const spaces = [...sums.flatMap(({ gaps }) => many(gaps)), ...ends, ...fillers]
  const strips = sums.reduce((total, sum) => total + sum.strips.count, 0)
  const others = sums.flatMap((each) => many(each.others))
  const sum = [...spaces, ...open, ...others].reduce(
    (total, each) => total + each,
    strips * only.strips.width,
  )
  // a section that overlaps the next by a margin at a bend counts the margin twice
  const shared = row
    .map(({ left }, i) => Math.max(0, (row[i - 1]?.right ?? left) - left))
    .filter((each) => each > SAME_WITHIN)
  return {
    wall,
    strips: { count: strips, width: only.strips.width },
    others: grouped(others),
    gaps: grouped(spaces),
    ends: null,
    openings: grouped(open.filter((each) => !isLean(each))),
    leans: grouped(open.filter(isLean)),
    fillers: [],
    overlaps: grouped(shared),
    difference: Math.round(wall - (sum - shared.reduce((total, each) => total + each, 0))),
  }
}

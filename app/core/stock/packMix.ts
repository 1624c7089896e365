import type { LpOptimum } from './columnSimplex'
import type { CuttingProblem } from './cuttingProblem'
import { fillRoom } from './knapsack'

/** One board cut: which board on offer, and how many of each size. */
export interface CutPattern {
  readonly room: number
  readonly counts: readonly number[]
}

/** A rule of thumb has no need of the very best filling of each board. */
const NODES_A_BOARD = 20_000

/** Fills each board as full as it goes from what is left, boards in the given order. Null when some is left. */
function fillEach(
  problem: CuttingProblem,
  demands: readonly number[],
  boards: readonly number[],
): CutPattern[] | null {
  const left = [...demands]
  const patterns: CutPattern[] = []
  for (const room of boards) {
    const { counts } = fillRoom(problem.sizes, problem.sizes, left, problem.rooms[room] ?? 0, NODES_A_BOARD)
    counts.forEach((count, i) => (left[i] = (left[i] ?? 0) - count))
    patterns.push({ room, counts })
  }
  return left.every((count) => count === 0) ? patterns : null
}

/** Longest piece first, into the fullest board that still takes it. */
function bestFit(
  problem: CuttingProblem,
  demands: readonly number[],
  boards: readonly number[],
): CutPattern[] | null {
  const open = boards.map((room) => ({
    room,
    free: problem.rooms[room] ?? 0,
    counts: problem.sizes.map(() => 0),
  }))
  for (const [i, size] of problem.sizes.entries()) {
    for (let n = 0; n < (demands[i] ?? 0); n++) {
      const target = open.filter(({ free }) => free >= size).sort((a, b) => a.free - b.free)[0]
      if (!target) return null
      target.free -= size
      target.counts[i] = (target.counts[i] ?? 0) + 1
    }
  }
  return open.map(({ room, counts }) => ({ room, counts }))
}

/** Piece by piece, longest first, every different board tried; undefined when the limit ends the search. */
function searchAll(
  problem: CuttingProblem,
  demands: readonly number[],
  boards: readonly number[],
  mostNodes: number,
): CutPattern[] | null | undefined {
  const pieces = problem.sizes.flatMap((_, i) => new Array<number>(demands[i] ?? 0).fill(i))
  const open = boards.map((room) => ({
    room,
    free: problem.rooms[room] ?? 0,
    counts: problem.sizes.map(() => 0),
  }))
  const smallest = problem.sizes[problem.sizes.length - 1] ?? 0
  let slack =
    open.reduce((sum, { free }) => sum + free, 0) -
    pieces.reduce((sum, i) => sum + (problem.sizes[i] ?? 0), 0)
  if (slack < 0) return null
  let nodes = 0
  function place(k: number, from: number): boolean | undefined {
    const i = pieces[k]
    if (i === undefined) return true
    if (++nodes > mostNodes) return undefined
    const size = problem.sizes[i] ?? 0
    const tried = new Set<number>()
    // equal pieces go to boards in one order only
    const first = pieces[k - 1] === i ? from : 0
    for (let b = first; b < open.length; b++) {
      const board = open[b]
      if (!board || board.free < size) continue
      if (tried.has(board.free)) continue
      tried.add(board.free)
      const lost = board.free - size < smallest ? board.free - size : 0
      if (lost > slack) continue
      board.free -= size
      board.counts[i] = (board.counts[i] ?? 0) + 1
      slack -= lost
      const done = place(k + 1, b)
      if (done !== false) return done
      slack += lost
      board.free += size
      board.counts[i] = (board.counts[i] ?? 0) - 1
    }
    return false
  }
  const done = place(0, 0)
  if (done === undefined) return undefined
  return done ? open.map(({ room, counts }) => ({ room, counts })) : null
}

/** Whole parts of the fractional plan, then the rest by filling and by search. */
function roundDown(
  problem: CuttingProblem,
  mix: readonly number[],
  relaxed: LpOptimum,
  mostNodes: number,
): CutPattern[] | null {
  const left = [...problem.demands]
  const boardsLeft = [...mix]
  const patterns: CutPattern[] = []
  for (const { column, amount } of relaxed.basis) {
    const { pattern } = column
    if (!pattern) continue
    for (let n = Math.floor(amount + 1e-6); n > 0; n--) {
      if ((boardsLeft[pattern.room] ?? 0) < 1) break
      const counts = pattern.counts.map((count, i) => Math.min(count, left[i] ?? 0))
      counts.forEach((count, i) => (left[i] = (left[i] ?? 0) - count))
      boardsLeft[pattern.room] = (boardsLeft[pattern.room] ?? 0) - 1
      patterns.push({ room: pattern.room, counts })
    }
  }
  const rest = expand(boardsLeft)
  const filled =
    fillEach(problem, left, rest) ?? bestFit(problem, left, rest) ?? searchAll(problem, left, rest, mostNodes)
  return filled ? [...patterns, ...filled] : null
}

function expand(mix: readonly number[]): number[] {
  return mix.flatMap((count, room) => new Array<number>(count).fill(room))
}

/** Quick attempts to pack a mix; null says nothing about whether it can be done. */
export function packQuickly(problem: CuttingProblem, mix: readonly number[]): CutPattern[] | null {
  const boards = expand(mix)
  const byRoom = (sign: number) =>
    [...boards].sort((a, b) => sign * ((problem.rooms[a] ?? 0) - (problem.rooms[b] ?? 0)))
  return (
    bestFit(problem, problem.demands, byRoom(1)) ??
    fillEach(problem, problem.demands, byRoom(-1)) ??
    fillEach(problem, problem.demands, byRoom(1))
  )
}

/** Packs a mix its fractional plan allows: a packing, null when proven impossible, undefined when unsettled. */
export function packThoroughly(
  problem: CuttingProblem,
  mix: readonly number[],
  relaxed: LpOptimum,
): CutPattern[] | null | undefined {
  return roundDown(problem, mix, relaxed, 20_000) ?? searchAll(problem, problem.demands, expand(mix), 200_000)
}

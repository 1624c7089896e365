import type { LpOptimum } from './columnSimplex'
import type { CuttingProblem } from './cuttingProblem'
import { fillRoom } from './knapsack'
import type { CutPattern } from './patternPool'

/** A rule of thumb has no need of the very best filling of each board. */
const NODES_A_BOARD = 400

/** Boards of a mix one by one, kinds in order. */
export function expand(mix: readonly number[]): number[] {
  return mix.flatMap((count, room) => new Array<number>(count).fill(room))
}

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
    let rest = demands[i] ?? 0
    if (rest === 0) continue
    for (const board of [...open].sort((a, b) => a.free - b.free)) {
      const n = Math.min(rest, Math.floor(board.free / size))
      board.free -= n * size
      board.counts[i] = (board.counts[i] ?? 0) + n
      rest -= n
    }
    if (rest > 0) return null
  }
  return open.map(({ room, counts }) => ({ room, counts }))
}

/** Piece by piece, longest first, every different board tried; undefined when the limit ends the search. */
export function searchAll(
  problem: CuttingProblem,
  demands: readonly number[],
  boards: readonly number[],
  mostNodes: number,
): CutPattern[] | null | undefined {
  const pieces = problem.sizes.flatMap((_, i) => new Array<number>(demands[i] ?? 0).fill(i))
  // deeper than this the stack would not do
  if (pieces.length > 2_000 || boards.length > MANY_BOARDS) return undefined
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
    const tried: number[] = []
    // equal pieces go to boards in one order only
    const first = pieces[k - 1] === i ? from : 0
    for (let b = first; b < open.length; b++) {
      const board = open[b]
      if (!board || board.free < size) continue
      if (tried.includes(board.free)) continue
      tried.push(board.free)
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

const MANY_BOARDS = 600

/** Quick attempts to pack a mix; null says nothing about whether it can be done. */
export function packQuickly(
  problem: CuttingProblem,
  mix: readonly number[],
  demands: readonly number[] = problem.demands,
): CutPattern[] | null {
  const boards = expand(mix)
  const byRoom = (sign: number) =>
    [...boards].sort((a, b) => sign * ((problem.rooms[a] ?? 0) - (problem.rooms[b] ?? 0)))
  // of very many boards the rest goes to who has the patterns of all of them
  if (boards.length > MANY_BOARDS) return null
  return (
    bestFit(problem, demands, boards) ??
    fillEach(problem, demands, byRoom(-1)) ??
    fillEach(problem, demands, byRoom(1))
  )
}

/** Whole parts of a fractional plan, as far as they are still asked for and there are boards. */
export function wholeParts(
  relaxed: LpOptimum,
  demands: readonly number[],
  limits: readonly number[],
): { readonly patterns: CutPattern[]; readonly left: number[]; readonly boardsLeft: number[] } {
  const left = [...demands]
  const boardsLeft = [...limits]
  const patterns: CutPattern[] = []
  for (const { column, amount } of relaxed.basis) {
    const { pattern } = column
    if (!pattern) continue
    for (let n = Math.floor(amount + 1e-6); n > 0; n--) {
      if ((boardsLeft[pattern.room] ?? 0) < 1) break
      const counts = pattern.counts.map((count, i) => Math.min(count, left[i] ?? 0))
      if (counts.every((count) => count === 0)) break
      counts.forEach((count, i) => (left[i] = (left[i] ?? 0) - count))
      boardsLeft[pattern.room] = (boardsLeft[pattern.room] ?? 0) - 1
      patterns.push({ room: pattern.room, counts })
    }
  }
  return { patterns, left, boardsLeft }
}

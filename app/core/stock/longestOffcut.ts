import { mixOf } from './firstPlan'
import { expand, packQuickly, searchAll } from './packMix'
import { type CutPattern, type CuttingSearch, usedRoom } from './patternPool'

/** Boards that are tried emptied further, one by one, at most. */
const MOST_TRIES = 40
const MOST_LISTED = 400
const NODES_A_TRY = 1_000
/** Beyond so many pieces times lengths the plan is left as it is. */
const MUCH_WORK = 1_600

function longestOf({ problem }: CuttingSearch, patterns: readonly CutPattern[]): number {
  return Math.max(
    0,
    ...patterns.map(({ room, counts }) => (problem.rooms[room] ?? 0) - usedRoom(problem, counts)),
  )
}

/** Sets of pieces that come to at least `least` and less than `below`, shortest together first. */
function contentsWithin(
  { problem }: CuttingSearch,
  room: number,
  least: number,
  below: number,
): { readonly counts: number[]; readonly sum: number }[] {
  const { sizes, demands } = problem
  const found: { counts: number[]; sum: number }[] = []
  const counts = sizes.map(() => 0)
  let nodes = 0
  function extend(i: number, sum: number): void {
    if (++nodes > MOST_LISTED * 20 || found.length > MOST_LISTED) return
    if (i === sizes.length) {
      if (sum >= least && sum > 0) found.push({ counts: [...counts], sum })
      return
    }
    const size = sizes[i] ?? 0
    for (let n = 0; n <= (demands[i] ?? 0) && sum + n * size < below && sum + n * size <= room; n++) {
      counts[i] = n
      extend(i + 1, sum + n * size)
    }
    counts[i] = 0
  }
  extend(0, 0)
  return found.sort((a, b) => a.sum - b.sum)
}

/**
 * Of packings that weigh the same, one whose longest offcut is as long as a bounded look finds: each kind of board is
 * given as little as the others leave, the least first, and the rest packed without it.
 */
export function longestOffcut(
  search: CuttingSearch,
  packings: readonly (readonly CutPattern[])[],
): readonly CutPattern[] {
  const { problem } = search
  const { sizes, demands, rooms } = problem
  let best = packings[0] ?? []
  let longest = longestOf(search, best)
  for (const packing of packings)
    if (longestOf(search, packing) > longest) {
      best = packing
      longest = longestOf(search, packing)
    }
  if (sizes.length * demands.reduce((sum, n) => sum + n, 0) > MUCH_WORK) return best
  const whole = sizes.reduce((sum, size, i) => sum + size * (demands[i] ?? 0), 0)
  let tries = 0
  for (const packing of packings) {
    const mix = mixOf(problem, packing)
    const capacity = rooms.reduce((sum, room, k) => sum + room * (mix[k] ?? 0), 0)
    for (const [k, room] of rooms.entries()) {
      if ((mix[k] ?? 0) === 0) continue
      const least = Math.max(0, whole - (capacity - room))
      for (const { counts } of contentsWithin(search, room, least, room - longest)) {
        if (++tries > MOST_TRIES || search.over()) return best
        const rest = demands.map((n, i) => n - (counts[i] ?? 0))
        const boards = mix.map((n, j) => (j === k ? n - 1 : n))
        const packed =
          packQuickly(problem, boards, rest) ?? searchAll(problem, rest, expand(boards), NODES_A_TRY)
        if (!packed) continue
        best = [{ room: k, counts }, ...packed]
        longest = longestOf(search, best)
        break
      }
    }
  }
  return best
}

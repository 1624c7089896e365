import type { CuttingProblem } from './cuttingProblem'
import type { CutPattern } from './patternPool'

/** An integer solver behind one door: takes a program in CPLEX LP format, gives the columns above zero. */
export type SolveInteger = (
  program: string,
  seconds?: number,
) => Promise<
  | { status: 'optimal'; values: ReadonlyMap<string, number> }
  | { status: 'infeasible' }
  | { status: 'unsettled' }
>

const MOST_PATTERNS = 40_000

/**
 * Every pattern of a room that takes no further piece and leaves no more than `mostLost` of it; null when there
 * are too many to list.
 */
export function maximalPatterns(
  problem: CuttingProblem,
  room: number,
  mostLost = Infinity,
): number[][] | null {
  const { sizes, demands } = problem
  const patterns: number[][] = []
  const counts = sizes.map(() => 0)
  let nodes = 0
  // what all pieces from each size on come to: a board they can't fill far enough is left at once
  const rest = new Array<number>(sizes.length + 1).fill(0)
  for (let i = sizes.length - 1; i >= 0; i--)
    rest[i] = (rest[i + 1] ?? 0) + (sizes[i] ?? 0) * (demands[i] ?? 0)
  function extend(from: number, left: number): boolean {
    if (++nodes > MOST_PATTERNS * 50) return false
    if (left <= mostLost && sizes.every((size, j) => size > left || (counts[j] ?? 0) >= (demands[j] ?? 0)))
      patterns.push([...counts])
    if (patterns.length > MOST_PATTERNS) return false
    for (let i = from; i < sizes.length; i++) {
      if (left - (rest[i] ?? 0) > mostLost) return true
      const size = sizes[i] ?? 0
      const most = Math.min(demands[i] ?? 0, Math.floor(left / size))
      for (let n = 1; n <= most; n++) {
        counts[i] = n
        if (!extend(i + 1, left - n * size)) return false
      }
      counts[i] = 0
    }
    return true
  }
  return extend(0, problem.rooms[room] ?? 0) ? patterns : null
}

/**
 * Settles whether a mix of boards can hold all pieces, over all exact patterns: a packing, null when proven
 * impossible, undefined when there are too many patterns or the solver gave up.
 */
export async function packByProgram(
  problem: CuttingProblem,
  mix: readonly number[],
  solve: SolveInteger,
  seconds?: number,
): Promise<CutPattern[] | null | undefined> {
  const columns: { name: string; room: number; counts: number[] }[] = []
  const whole = problem.rooms.reduce((sum, room, k) => sum + room * (mix[k] ?? 0), 0)
  // no board of a packing can lose more than all of them together
  const slack = problem.sizes.reduce((sum, size, i) => sum - size * (problem.demands[i] ?? 0), whole)
  for (const room of problem.rooms.keys()) {
    if ((mix[room] ?? 0) === 0) continue
    const patterns = maximalPatterns(problem, room, slack)
    if (!patterns || columns.length + patterns.length > MOST_PATTERNS) return undefined
    patterns.forEach((counts) => columns.push({ name: `x${columns.length}`, room, counts }))
  }
  // a length that no full enough board holds
  if (problem.sizes.some((_, i) => columns.every(({ counts }) => !counts[i]))) return null
  const sum = (terms: string[]) => terms.join(' + ')
  const lines = [
    'Minimize',
    ` obj: ${sum(columns.map(({ name }) => name))}`,
    'Subject To',
    ...problem.sizes.map(
      (_, i) =>
        ` p${i}: ${sum(columns.flatMap(({ name, counts }) => (counts[i] ? [`${counts[i]} ${name}`] : [])))} >= ${problem.demands[i]}`,
    ),
    ...problem.rooms.flatMap((_, k) => {
      const inRoom = columns.filter(({ room }) => room === k)
      return inRoom.length > 0 ? [` b${k}: ${sum(inRoom.map(({ name }) => name))} <= ${mix[k]}`] : []
    }),
    'General',
    ` ${columns.map(({ name }) => name).join(' ')}`,
    'End',
  ]
  const answer = await solve(lines.join('\n'), seconds)
  if (answer.status === 'unsettled') return undefined
  if (answer.status === 'infeasible') return null
  const left = [...problem.demands]
  const packed = columns.flatMap(({ name, room, counts }) =>
    Array.from({ length: Math.round(answer.values.get(name) ?? 0) }, () => {
      const taken = counts.map((n, i) => Math.min(n, left[i] ?? 0))
      taken.forEach((n, i) => (left[i] = (left[i] ?? 0) - n))
      return { room, counts: taken }
    }),
  )
  return left.every((n) => n === 0) ? packed : undefined
}

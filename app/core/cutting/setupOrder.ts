/** One cut at the saw: what it is set to, where its stop stands (null: swung away), and which cuts must be made before it. */
export interface SetupJob {
  readonly setting: string
  readonly stop: string | null
  readonly after: readonly number[]
}

/** An order of cuts and how many times something is set; `bound` is what no order goes below. */
export interface SetupOrder {
  readonly order: readonly number[]
  readonly count: number
  readonly bound: number
  readonly proven: boolean
}

/** How many times something is set in this order: the first cut sets both, then each change of setting and each of the stop is one. */
export function countSetups(jobs: readonly SetupJob[], order: readonly number[]): number {
  return order.reduce((sum, index, i) => {
    const job = jobs[index]
    const before = jobs[order[i - 1] ?? -1]
    if (!job) return sum
    return sum + (before ? Number(before.setting !== job.setting) + Number(before.stop !== job.stop) : 2)
  }, 0)
}

/** Visits looked at while trying orders: the answer so far then stands with its bound. */
const MOST_LOOKED_AT = 1_200_000
const BEAM = 32
/** For an answer at once. */
const SLIM_BEAM = 6

/** Cuts at one setting and stop taken together: all of them are made in one visit, when all that goes before them is done. */
function visits(jobs: readonly SetupJob[]): { jobs: SetupJob[]; members: number[][] } {
  const found = new Map<string, number>()
  const members: number[][] = []
  const visitOf = jobs.map(({ setting, stop }, i) => {
    const key = JSON.stringify([setting, stop])
    const visit = found.get(key) ?? found.size
    found.set(key, visit)
    members[visit] = [...(members[visit] ?? []), i]
    return visit
  })
  const merged = members.map((of, visit): SetupJob => {
    const { setting = '', stop = null } = jobs[of[0] ?? 0] ?? {}
    const after = of.flatMap((i) => (jobs[i]?.after ?? []).map((before) => visitOf[before] ?? 0))
    return { setting, stop, after: [...new Set(after)].filter((before) => before !== visit) }
  })
  return { jobs: merged, members }
}

/**
 * The order of cuts that needs fewest set-ups, where what others wait for waits for nothing itself: first ends before second ones. From one
 * visit to the next one thing is changed, or two: what is sought is an order with as few double changes as can be. Cuts that share a
 * setting or a stop hang together, and each lot that hangs together costs one double change more than the one before; from there on the
 * number is raised until an order is found, all below it tried. Given up after a number of tries.
 */
export function setupOrder(all: readonly SetupJob[], how: 'atOnce' | 'searched' = 'searched'): SetupOrder {
  if (all.length === 0) return { order: [], count: 0, bound: 0, proven: true }
  const { jobs, members } = visits(all)
  const made = (order: readonly number[]) => order.flatMap((visit) => members[visit] ?? [])
  const graph = graphOf(jobs)
  const first = byBeam(graph, how === 'atOnce' ? SLIM_BEAM : BEAM)
  const best = { order: made(first), count: countSetups(jobs, first) }
  // each visit after the first changes one thing at least
  const floor = jobs.length + 1
  let breaks = lots(graph, new Uint8Array(jobs.length), -1) - 1
  const most = how === 'atOnce' ? 0 : Math.floor(MOST_LOOKED_AT / jobs.length)
  let tried = 0
  while (floor + breaks < best.count) {
    if (most === 0) return { ...best, bound: floor + breaks, proven: false }
    const found = search(graph, breaks, most - tried)
    tried += found.tried
    const count = floor + breaks
    if (found.order) return { order: made(found.order), count, bound: count, proven: true }
    if (tried >= most) return { ...best, bound: count, proven: false }
    breaks += 1
  }
  return { ...best, bound: best.count, proven: true }
}

interface Graph {
  readonly size: number
  /** Cuts that share the setting or the stop. */
  readonly near: readonly (readonly number[])[]
  readonly after: readonly (readonly number[])[]
}

function graphOf(jobs: readonly SetupJob[]): Graph {
  const near = jobs.map((job, i) =>
    jobs.flatMap((other, k) =>
      i !== k && (other.setting === job.setting || other.stop === job.stop) ? [k] : [],
    ),
  )
  return { size: jobs.length, near, after: jobs.map(({ after }) => after) }
}

/** How many lots of cuts that hang together are left; the one that the last cut leads on to is not counted. */
function lots({ size, near }: Graph, done: Uint8Array, last: number): number {
  const seen = Uint8Array.from(done)
  const stack: number[] = []
  const flood = (from: number) => {
    stack.push(from)
    seen[from] = 1
    while (stack.length > 0)
      for (const next of near[stack.pop() ?? 0] ?? [])
        if (seen[next] === 0) {
          seen[next] = 1
          stack.push(next)
        }
  }
  let found = 0
  if (last >= 0) for (const next of near[last] ?? []) if (seen[next] === 0) flood(next)
  for (let i = 0; i < size; i++)
    if (seen[i] === 0) {
      found += 1
      flood(i)
    }
  return found
}

function isFree({ after }: Graph, index: number, done: Uint8Array): boolean {
  return (after[index] ?? []).every((before) => done[before] === 1)
}

/** Cuts that may come next, those that change one thing first, and of them those that lead on to least. */
function nexts(graph: Graph, done: Uint8Array, last: number): { index: number; double: boolean }[] {
  const near = new Set(last >= 0 ? graph.near[last] : [])
  const open = (index: number) => (graph.near[index] ?? []).filter((each) => done[each] === 0).length
  return Array.from({ length: graph.size }, (_, index) => index)
    .filter((index) => done[index] === 0 && isFree(graph, index, done))
    .map((index) => ({ index, double: last >= 0 && !near.has(index), open: open(index) }))
    .sort((a, b) => Number(a.double) - Number(b.double) || a.open - b.open || a.index - b.index)
}

/** All orders with no more double changes than that, one after the other, until one is found or so many cuts were tried. */
function search(graph: Graph, breaks: number, most: number): { order: number[] | null; tried: number } {
  const done = new Uint8Array(graph.size)
  const order: number[] = []
  const dead = new Set<string>()
  let tried = 0
  const go = (last: number, left: number): boolean => {
    if (order.length === graph.size) return true
    if (lots(graph, done, last) > left + (last < 0 ? 1 : 0)) return false
    const key = graph.size <= 60 ? `${done.join('')} ${last} ${left}` : ''
    if (key && dead.has(key)) return false
    for (const { index, double } of nexts(graph, done, last)) {
      if (double && left === 0) break
      if (++tried > most) return false
      done[index] = 1
      order.push(index)
      if (go(index, left - Number(double))) return true
      order.pop()
      done[index] = 0
    }
    if (key && tried <= most) dead.add(key)
    return false
  }
  return { order: go(-1, breaks) ? order : null, tried }
}

/** A good order at once: many half orders side by side, the best carried on. */
function byBeam(graph: Graph, beam: number): number[] {
  interface Half {
    readonly order: readonly number[]
    readonly done: Uint8Array
    readonly doubles: number
  }
  let halves: Half[] = [{ order: [], done: new Uint8Array(graph.size), doubles: 0 }]
  for (let step = 0; step < graph.size; step++) {
    const grown = halves.flatMap(({ order, done, doubles }) =>
      nexts(graph, done, order.at(-1) ?? -1)
        .slice(0, 6)
        .map(({ index, double }): Half & { bound: number } => {
          const next = Uint8Array.from(done)
          next[index] = 1
          const more = doubles + Number(double)
          return {
            order: [...order, index],
            done: next,
            doubles: more,
            bound: more + lots(graph, next, index),
          }
        }),
    )
    const seen = new Set<string>()
    halves = grown
      .sort((a, b) => a.bound - b.bound || a.doubles - b.doubles)
      .filter(({ done, order }) => {
        const key = `${done.join('')} ${order.at(-1)}`
        return seen.has(key) ? false : (seen.add(key), true)
      })
      .slice(0, beam)
  }
  return [...(halves[0]?.order ?? [])]
}

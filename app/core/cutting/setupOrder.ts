/**
 * One cut at the saw: what it is set to, what it may be set to instead with the piece turned over, where its stop is (null: swung away),
 * and which cuts must be made before it.
 */
export interface SetupJob {
  readonly setting: string
  readonly also?: string
  readonly stop: string | null
  readonly after: readonly number[]
}

/** A cut in its turn, by its place in the list, with the setting it is made at. */
export interface SetupStep {
  readonly job: number
  readonly setting: string
}

/** An order of cuts and how many times something is set; `bound` is what no order goes below. */
export interface SetupOrder {
  readonly steps: readonly SetupStep[]
  readonly count: number
  readonly bound: number
  readonly proven: boolean
}

/** How many times something is set in this order: the first cut sets both, then each change of setting and each of the stop is one. */
export function countSetups(jobs: readonly SetupJob[], steps: readonly SetupStep[]): number {
  return steps.reduce((sum, { job, setting }, i) => {
    const before = steps[i - 1]
    if (!before) return sum + 2
    const moved = jobs[before.job]?.stop !== jobs[job]?.stop
    return sum + Number(before.setting !== setting) + Number(moved)
  }, 0)
}

/** Visits weighed while trying orders, times the lots of cuts: the answer so far then stands with its bound. */
const MOST_WEIGHED = 600_000
/** Of more cuts than these a good order is said with its bound, and none is searched for. */
const MOST_SEARCHED = 400
const BEAM = 24
/** For an answer at once. */
const SLIM_BEAM = 6

/** Cuts that can be made at the same settings and stop, and wait for the same: made together, or at least no later for it. */
interface Lot {
  /** One setting, or two where the piece may be turned over; by their numbers. */
  readonly settings: readonly number[]
  readonly stop: number
  readonly after: readonly number[]
  readonly members: readonly number[]
}

interface Saw {
  readonly lots: readonly Lot[]
  readonly settings: readonly string[]
  readonly stops: number
  /** The lots that can be cut at a setting and a stop, by both. */
  readonly at: ReadonlyMap<number, readonly number[]>
  /** Settings that some cut may be made at either of are of one family; which of it each is. */
  readonly family: readonly number[]
  readonly nth: readonly number[]
  /** Room to count in, cleared for each count. */
  readonly scratch: { readonly parent: Int32Array; readonly hands: Int32Array }
}

/** Where the saw is set, and what is cut already. Minus one: not set yet. */
interface State {
  readonly done: Uint8Array
  readonly setting: number
  readonly stop: number
  readonly cost: number
}

function sawOf(jobs: readonly SetupJob[]): Saw {
  const settings: string[] = []
  const stops: (string | null)[] = []
  const numberIn = <T>(list: T[], each: T) => {
    const at = list.indexOf(each)
    return at < 0 ? list.push(each) - 1 : at
  }
  const lots: (Lot & { members: number[] })[] = []
  const lotOf: number[] = []
  const byKey = new Map<string, number>()
  const place = (i: number): number => {
    const known = lotOf[i]
    if (known !== undefined) return known
    const { setting, also, stop, after } = jobs[i] ?? { setting: '', stop: null, after: [] }
    const own = [setting, ...(also === undefined || also === setting ? [] : [also])]
      .map((each) => numberIn(settings, each))
      .sort((a, b) => a - b)
    const waits = [...new Set(after.map(place))].sort((a, b) => a - b)
    const at = numberIn(stops, stop)
    const key = JSON.stringify([own, at, waits])
    const lot = byKey.get(key) ?? lots.push({ settings: own, stop: at, after: waits, members: [] }) - 1
    byKey.set(key, lot)
    lots[lot]?.members.push(i)
    lotOf[i] = lot
    return lot
  }
  jobs.forEach((_, i) => place(i))
  const family = settings.map((_, i) => i)
  const root = (i: number): number => (family[i] === i || family[i] === undefined ? i : root(family[i]))
  for (const { settings: own } of lots) for (const each of own) family[root(each)] = root(own[0] ?? each)
  const at = new Map<number, number[]>()
  for (const [i, lot] of lots.entries())
    for (const setting of lot.settings) {
      const key = setting * stops.length + lot.stop
      at.set(key, [...(at.get(key) ?? []), i])
    }
  const families = settings.map((_, i) => root(i))
  return {
    lots,
    settings,
    stops: stops.length,
    at,
    family: families,
    nth: families.map((each, i) => families.slice(0, i).filter((other) => other === each).length),
    scratch: {
      parent: new Int32Array(stops.length + settings.length),
      hands: new Int32Array(stops.length * settings.length),
    },
  }
}

function isFree({ after }: Lot, done: Uint8Array): boolean {
  return after.every((before) => done[before] === 1)
}

/** The saw moved to a setting and a stop, and all cut there that can be; what is cut is said in its order. */
function visit(
  saw: Saw,
  from: State,
  setting: number,
  stop: number,
): State & { readonly cut: readonly number[] } {
  const done = Uint8Array.from(from.done)
  const cut: number[] = []
  for (let more = true; more;) {
    more = false
    saw.lots.forEach((lot, i) => {
      if (done[i] === 1 || lot.stop !== stop || !lot.settings.includes(setting) || !isFree(lot, done)) return
      done[i] = 1
      cut.push(i)
      more = true
    })
  }
  return {
    done,
    setting,
    stop,
    cut,
    cost: from.cost + Number(from.setting !== setting) + Number(from.stop !== stop),
  }
}

/**
 * What no order goes below from here: each setting and stop that is still needed together is one visit at least, and each lot of them that
 * hangs together with nothing else costs one double change, but for the one the saw is in. Settings that some cut may be made at either of
 * are taken for one where that makes it less.
 */
function atLeast(saw: Saw, { done, setting, stop }: State): number {
  const { lots, family, stops, scratch } = saw
  const { parent, hands } = scratch
  parent.fill(-1)
  hands.fill(0)
  const root = (from: number): number => {
    let i = from
    for (let up = parent[i] ?? i; up !== i; up = parent[i] ?? i) {
      parent[i] = parent[up] ?? up
      i = up
    }
    return i
  }
  // each joining of a stop and a setting that were apart leaves one less that hangs together
  let [count, apart] = [0, 0]
  for (let i = 0; i < lots.length; i++) {
    const lot = lots[i]
    if (done[i] === 1 || !lot) continue
    const [own = 0] = lot.settings
    const node = stops + (family[own] ?? own)
    for (const each of [node, lot.stop])
      if (parent[each] === -1) {
        parent[each] = each
        apart += 1
      }
    const [x, y] = [root(node), root(lot.stop)]
    if (x !== y) {
      parent[x] = y
      apart -= 1
    }
    // bits of the settings that lots which are never turned over are cut at; the lowest stands for any
    const at = (family[own] ?? own) * stops + lot.stop
    const before = hands[at] ?? 0
    const after = before | (lot.settings.length === 1 ? 2 << (saw.nth[own] ?? 0) : 1)
    hands[at] = after
    if (before === 0) count += 1
    else if ((after & ~1) !== (before & ~1) && (before & ~1) !== 0) count += 1
  }
  const isIn =
    (stop >= 0 && parent[stop] !== -1) ||
    (setting >= 0 && parent[stops + (family[setting] ?? setting)] !== -1)
  return count + apart - (isIn ? 1 : 0)
}

/** Where the saw may go next: what changes one thing first, and of those what leads on to least. */
function nexts(saw: Saw, from: State) {
  const seen = new Set<number>()
  const found: (ReturnType<typeof visit> & { readonly least: number })[] = []
  for (const [i, lot] of saw.lots.entries()) {
    if (from.done[i] === 1 || !isFree(lot, from.done)) continue
    for (const setting of lot.settings) {
      const key = setting * saw.stops + lot.stop
      if (seen.has(key)) continue
      seen.add(key)
      const next = visit(saw, from, setting, lot.stop)
      found.push({ ...next, least: next.cost + atLeast(saw, next) })
    }
  }
  return found.sort((a, b) => a.least - b.least || a.cost - b.cost || b.cut.length - a.cut.length)
}

const START = (lots: number): State => ({ done: new Uint8Array(lots), setting: -1, stop: -1, cost: 0 })

type Visits = readonly { readonly setting: number; readonly cut: readonly number[] }[]

/** All orders that set no more than so often, one after the other, until one is found or so many visits were looked at. */
function search(saw: Saw, limit: number, most: number): { visits: Visits | null; looked: number } {
  const dead = new Map<string, number>()
  const visits: { setting: number; cut: readonly number[] }[] = []
  let looked = 0
  const go = (at: State): boolean => {
    if (at.done.every((each) => each === 1)) return true
    const key = `${at.done.join('')} ${at.setting} ${at.stop}`
    const failed = dead.get(key)
    if (failed !== undefined && failed <= at.cost) return false
    const open = nexts(saw, at)
    looked += open.length
    for (const next of open) {
      if (next.least > limit) break
      if (looked > most) return false
      visits.push({ setting: next.setting, cut: next.cut })
      if (go(next)) return true
      visits.pop()
    }
    if (looked <= most) dead.set(key, at.cost)
    return false
  }
  return { visits: go(START(saw.lots.length)) ? visits : null, looked }
}

/** A good order at once: many half orders side by side, the best carried on. */
function byBeam(saw: Saw, beam: number): Visits {
  interface Half {
    readonly at: State
    readonly visits: Visits
    readonly least: number
  }
  let halves: Half[] = [{ at: START(saw.lots.length), visits: [], least: 0 }]
  for (;;) {
    const ended = halves.find(({ at }) => at.done.every((each) => each === 1))
    if (ended) return ended.visits
    const seen = new Set<string>()
    halves = halves
      .flatMap(({ at, visits }) =>
        nexts(saw, at)
          .slice(0, 6)
          .map((next): Half => ({
            at: next,
            visits: [...visits, { setting: next.setting, cut: next.cut }],
            least: next.least,
          })),
      )
      .sort((a, b) => a.least - b.least || b.at.cost - a.at.cost)
      .filter(({ at }) => {
        const key = `${at.done.join('')} ${at.setting} ${at.stop}`
        return seen.has(key) ? false : (seen.add(key), true)
      })
      .slice(0, beam)
  }
}

/**
 * The order of cuts that needs fewest set-ups, over all orders in which a cut may be made with its piece turned over where it says so, and
 * in which the saw may come back to a setting and a stop it had before. A good order first; then the number is raised from what no order
 * goes below until an order is found, all below it tried. Given up after a number of tries, and then said with its bound.
 */
export function setupOrder(jobs: readonly SetupJob[], how: 'atOnce' | 'searched' = 'searched'): SetupOrder {
  if (jobs.length === 0) return { steps: [], count: 0, bound: 0, proven: true }
  const isDeep = how === 'searched' && jobs.length <= MOST_SEARCHED
  const saw = sawOf(jobs)
  const made = (visits: Visits): SetupStep[] =>
    visits.flatMap(({ setting, cut }) =>
      cut
        .flatMap((lot) => saw.lots[lot]?.members ?? [])
        .map((job) => ({ job, setting: saw.settings[setting] ?? '' })),
    )
  const [best] = (isDeep ? [SLIM_BEAM, BEAM] : [SLIM_BEAM])
    .map((beam) => made(byBeam(saw, beam)))
    .map((steps) => ({ steps, count: countSetups(jobs, steps) }))
    .sort((a, b) => a.count - b.count)
  if (!best) return { steps: [], count: 0, bound: 0, proven: true }
  const most = !isDeep ? 0 : Math.floor(MOST_WEIGHED / saw.lots.length)
  let looked = 0
  let bound = atLeast(saw, START(saw.lots.length))
  while (bound < best.count) {
    if (most === 0) return { ...best, bound, proven: false }
    const found = search(saw, bound, most - looked)
    looked += found.looked
    if (found.visits) return { steps: made(found.visits), count: bound, bound, proven: true }
    if (looked >= most) return { ...best, bound, proven: false }
    bound += 1
  }
  return { ...best, bound: best.count, proven: true }
}

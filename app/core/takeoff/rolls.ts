/** A drop as a roll gives it: how long it is, and where in the repeat it begins. */
export interface WantedDrop {
  readonly own: number
  readonly phase: number
}

const HAIR = 1e-6
/** More sets of drops that fit a roll, or more tries, than this are not gone through: the best order found so far stands. */
const MOST_SETS = 4_000
const MOST_TRIES = 40_000

/** Where the pattern begins as a drop needs it, from a place on the roll on. */
export function beginsAt(from: number, phase: number, repeat: number): number {
  return repeat > 0 ? Math.ceil((from - phase) / repeat - 1e-9) * repeat + phase : from
}

/** As they are hung, one after the other: a new roll where the next does not fit. */
function asHung(drops: readonly WantedDrop[], roll: number, repeat: number): number[][] {
  const rolls: number[][] = []
  let used = Infinity
  for (const [i, { own, phase }] of drops.entries()) {
    let end = beginsAt(used, phase, repeat) + own
    if (!(end <= roll + HAIR)) {
      rolls.push([])
      end = beginsAt(0, phase, repeat) + own
    }
    rolls.at(-1)?.push(i)
    used = end
  }
  return rolls
}

interface Kind extends WantedDrop {
  /** The drops of this kind, as they are hung. */
  readonly members: readonly number[]
}

/** So many drops of each kind on one roll, and the order of kinds that ends soonest. */
interface Filling {
  readonly counts: readonly number[]
  readonly order: readonly number[]
}

/** All sets of drops that some order brings onto one roll; null where they are too many. */
function fillingsOf(kinds: readonly Kind[], roll: number, repeat: number): Filling[] | null {
  interface Ended {
    readonly end: number
    readonly order: readonly number[]
  }
  // per set the soonest end for each kind that may come last: what follows begins no later for an earlier end
  let level = new Map<string, Ended>([[kinds.map(() => 0).join(), { end: 0, order: [] }]])
  const found: Filling[] = []
  while (level.size > 0) {
    const next = new Map<string, Ended>()
    for (const [key, { end, order }] of level) {
      const counts = key.split(',').map(Number)
      for (const [k, { own, phase, members }] of kinds.entries()) {
        if ((counts[k] ?? 0) >= members.length) continue
        const to = (order.length === 0 ? beginsAt(0, phase, repeat) : beginsAt(end, phase, repeat)) + own
        if (to > roll + HAIR) continue
        const more = counts.map((count, i) => count + (i === k ? 1 : 0)).join()
        const known = next.get(more)
        if (!known || to < known.end - HAIR) next.set(more, { end: to, order: [...order, k] })
      }
    }
    for (const [key, { order }] of next) found.push({ counts: key.split(',').map(Number), order })
    if (found.length > MOST_SETS) return null
    level = next
  }
  return found.sort((a, b) => b.order.length - a.order.length)
}

/** So many rolls that hold all, or null where none do; undefined when the tries run out. */
function within(
  rolls: number,
  demand: readonly number[],
  fillings: readonly Filling[],
  tries: { left: number },
): Filling[] | null | undefined {
  const most = fillings[0]?.order.length ?? 0
  const dead = new Set<string>()
  const go = (left: readonly number[], open: number): Filling[] | null | undefined => {
    const count = left.reduce((sum, each) => sum + each, 0)
    if (count === 0) return []
    if (count > open * most) return null
    const key = `${left.join()} ${open}`
    if (dead.has(key)) return null
    if (--tries.left < 0) return undefined
    const first = left.findIndex((each) => each > 0)
    const fits = fillings.filter(
      ({ counts }) => (counts[first] ?? 0) > 0 && counts.every((each, i) => each <= (left[i] ?? 0)),
    )
    for (const filling of fits) {
      // what holds all of it and more is tried before it
      if (
        fits.some(
          (other) => other !== filling && other.counts.every((each, i) => each >= (filling.counts[i] ?? 0)),
        )
      )
        continue
      const rest = go(
        left.map((each, i) => each - (filling.counts[i] ?? 0)),
        open - 1,
      )
      if (rest) return [filling, ...rest]
      if (rest === undefined) return undefined
    }
    dead.add(key)
    return null
  }
  return go(demand, rolls)
}

/**
 * Drops on as few rolls as hold them, each roll in an order that lets the repeat waste least; as they are hung where that needs no more.
 * Drops by their places in the list. A drop longer than a roll has a roll of its own.
 */
export function fewestRolls(drops: readonly WantedDrop[], roll: number, repeat: number): number[][] {
  const hung = asHung(drops, roll, repeat)
  const kinds: (Kind & { members: number[] })[] = []
  for (const [i, { own, phase }] of drops.entries()) {
    const known = kinds.find((kind) => kind.phase === phase && Math.abs(kind.own - own) < 1)
    if (known) known.members.push(i)
    else kinds.push({ own, phase, members: [i] })
  }
  if (hung.length <= 1 || kinds.some(({ own, phase }) => own + phase > roll + HAIR)) return hung
  const fillings = fillingsOf(kinds, roll, repeat)
  if (!fillings) return hung
  const demand = kinds.map(({ members }) => members.length)
  const least = Math.ceil(drops.length / Math.max(1, fillings[0]?.order.length ?? 1))
  const tries = { left: MOST_TRIES }
  for (let rolls = least; rolls < hung.length; rolls++) {
    const found = within(rolls, demand, fillings, tries)
    if (found === undefined) return hung
    if (!found) continue
    const left = kinds.map(({ members }) => [...members])
    return found.map(({ order }) => order.flatMap((kind) => left[kind]?.shift() ?? []))
  }
  return hung
}

import highs from 'highs'
import { type BoardRequest, planBoards, planBoardsQuickly } from '~/core/stock'
import { inches, nanometers } from '~/length'
import { highsSolver } from '~/workers/highsSolver'

const solve = highsSolver(() => highs())

/** Numbers that look like chance and are the same every time. */
function dice(seed: number) {
  let state = seed
  return (below: number) => {
    state = (state * 48_271) % 2_147_483_647
    return Math.floor((state / 2_147_483_647) * below)
  }
}

type Stock = readonly (readonly [inches: number, price: number])[]
const FIVE: Stock = [[72, 480], [96, 612], [120, 810], [144, 985], [192, 1420]] // prettier-ignore
const FOUR = FIVE.slice(1)

function asked(pieces: readonly number[], stock: Stock, grid = 16): BoardRequest {
  return {
    materialId: 'stuff',
    kerf: inches(1 / 8),
    endTrim: inches(0),
    offers: stock.map(([length, price], k) => ({ id: `b${k}`, length: inches(length), price })),
    pieces: pieces.map((n, i) => ({ id: `p${i}`, label: String(n), length: inches(n / grid) })),
  }
}

interface Shown {
  readonly first: number
  readonly ms: number
  readonly proven: boolean
  /** When the plan in hand was within 0.2 % of the last bound. */
  readonly near: number
  readonly gap: number
}

async function timed(request: BoardRequest, limit: number): Promise<Shown> {
  const at = performance.now()
  planBoardsQuickly(request)
  const first = performance.now() - at
  const start = performance.now()
  const told: { cost: number; ms: number }[] = []
  const found = await planBoards(request, solve, {
    over: () => performance.now() - start > limit,
    better: ({ boards }) =>
      told.push({
        cost: boards.reduce((sum, { price }) => sum + (price ?? 0), 0),
        ms: performance.now() - start,
      }),
  })
  const ms = performance.now() - start
  if (!found.ok) throw new Error(found.issue.code)
  const { cost, bound, proven } = found.value
  const near = told.find((each) => each.cost <= bound * 1.002)?.ms ?? ms
  return { first, ms, proven, near, gap: cost ? 1 - bound / cost : 0 }
}

function say(name: string, all: readonly Shown[]): void {
  const of = (key: 'first' | 'ms' | 'near') => all.map((each) => each[key]).sort((a, b) => a - b)
  const line = (key: 'first' | 'ms' | 'near') => {
    const sorted = of(key)
    return `${(sorted[Math.floor(sorted.length / 2)] ?? 0).toFixed(0)} / ${(sorted.at(-1) ?? 0).toFixed(0)}`
  }
  const proven = all.filter((each) => each.proven).length
  const gap = Math.max(...all.map((each) => each.gap)) * 100
  console.log(
    `${name}: ${proven} of ${all.length} proven, worst gap ${gap.toFixed(3)} %; ms median / worst: first answer ${line('first')}, within 0.2 % ${line('near')}, ended ${line('ms')}`,
  )
}

/** What the board plans must reach: classes of problems, each with its median and its worst. */
export async function benchBoards(): Promise<void> {
  const cold = performance.now()
  planBoardsQuickly(asked([800, 700, 650, 640, 300], FIVE))
  console.log(`boards, the very first answer, cold: ${(performance.now() - cold).toFixed(0)} ms`)
  const random = dice(20_261)
  const many = async (n: number, make: (k: number) => BoardRequest, limit: number) => {
    const all: Shown[] = []
    for (let k = 0; k < n; k++) all.push(await timed(make(k), limit))
    return all
  }
  const carpenter = (k: number) => {
    const pieces = 10 + random(51)
    const lengths = Array.from(
      { length: k % 2 ? 2 + random(5) : 2 + random(pieces) },
      () => 160 + random(1344),
    )
    return asked(
      Array.from({ length: pieces }, () => lengths[random(lengths.length)] ?? 160),
      FIVE.slice(0, 2 + (k % 4)),
    )
  }
  await many(20, carpenter, 5_000)
  say('10 to 60 pieces, two to five lengths', await many(120, carpenter, 5_000))
  say(
    'as many pieces as lengths, 40 to 60',
    await many(
      20,
      () =>
        asked(
          Array.from({ length: 40 + random(21) }, () => 160 + random(1344)),
          FIVE,
        ),
      10_000,
    ),
  )
  const falling: BoardRequest = {
    ...asked([], FOUR),
    pieces: Array.from({ length: 35 }, (_, i) => ({
      id: `p${i}`,
      label: `p${i}`,
      length: nanometers(inches(40) + i * 2_300_017),
    })),
  }
  say('35 battens on a falling floor, to the nanometer', await many(5, () => falling, 10_000))
  const big = () =>
    asked(
      Array.from({ length: 60 }, () => ({ n: 160 + random(1344), times: 5 + random(7) })).flatMap(
        ({ n, times }) => new Array<number>(times).fill(n),
      ),
      FOUR,
    )
  say('500 pieces of 60 lengths', await many(8, big, 3_000))
  const triplets = (n: number): BoardRequest => ({
    ...asked([], [[1, 1]]),
    kerf: nanometers(0),
    offers: [{ id: 'bin', length: nanometers(1000), price: 1 }],
    pieces: Array.from({ length: n / 3 }, () => {
      const a = 380 + random(111)
      const b = 250 + random(Math.max(1, Math.floor((1000 - a) / 2) - 249))
      return [a, b, 1000 - a - b]
    })
      .flat()
      .map((length, i) => ({ id: `p${i}`, label: String(length), length: nanometers(length) })),
  })
  say('triplets of 60', await many(5, () => triplets(60), 20_000))
  say('triplets of 120', await many(5, () => triplets(120), 20_000))
  console.log(`boards, memory after all: ${(process.memoryUsage().rss / 2 ** 20).toFixed(0)} MiB resident`)
}

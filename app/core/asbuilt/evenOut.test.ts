import fc from 'fast-check'
import { inches, nanometers, readOnTape, toInches } from '~/length'
import { runs } from '../../../tests/anyWall'
import { type BuiltRow, evenIssue, EVENINGS_OUT, placedBy, runsOf, shares, unevenness } from './evenOut'
import { bestSplit, figures, type SplitAim, type SplitProblem } from './splits'

const tick = (exact: number) => toInches(readOnTape(exact, '1/16').tick)

/** Strips of one width on a span, in inches; `at` are near edges of those that are up. */
function row(
  span: number,
  width: number,
  lefts: readonly number[],
  at: Record<number, number>,
  now = span,
): BuiltRow {
  return {
    left: 0,
    right: inches(now),
    plannedLeft: 0,
    plannedRight: inches(span),
    standing: lefts.map((left, i) => ({
      id: `${i + 1}`,
      left: inches(left),
      right: inches(left + width),
      at:
        at[i + 1] === undefined
          ? null
          : { left: inches(at[i + 1] ?? 0), right: inches((at[i + 1] ?? 0) + width) },
    })),
  }
}
const lefts = (of: BuiltRow, how: (typeof EVENINGS_OUT)[number] = 'even') =>
  placedBy(of, (run) => shares(run, how)).map(({ left }) => toInches(left))

const J1 = [21.25, 45, 68.75, 92.5, 116.25]

describe('what is fitted stays, the rest is evened out (worked by hand, common practice, no source)', () => {
  test('J1: three strips to the wall take up half an inch', () => {
    const built = row(140, 2.5, J1, { 1: 21.25, 2: 45.5 })
    expect(lefts(built)).toEqual([21.25, 45.5, 69.125, 92.75, 116.375])
    expect(
      shares(runsOf(built)[0] ?? never(), 'even').map((each) => toInches(nanometers(Math.round(each)))),
    ).toEqual([-0.125, -0.125, -0.125, -0.125])
  })
  test('J2: between two that are up, the last bay stays', () => {
    const built = row(140, 2.5, J1, { 1: 21.25, 2: 45.5, 5: 116 })
    expect(lefts(built)).toEqual([21.25, 45.5, 69, 92.5, 116])
  })
  test('J3: and a wall found narrower; marks are rounded one by one', () => {
    const built = row(140, 2.5, J1, { 1: 21.25, 2: 48.4375 - 2.5 }, 139.625)
    const found = placedBy(built, (run) => shares(run, 'even')).slice(2)
    expect(found.map(({ left }) => left)).toEqual([4439 / 64, 2969 / 32, 7437 / 64].map(inches))
    expect(found.map(({ left }) => tick(left))).toEqual([69.375, 92.8125, 116.1875])
    for (const { left } of found) expect(Math.abs(tick(left) - toInches(left))).toBeLessThanOrEqual(1 / 32)
  })
  test('J4: strips at both ends that are up', () => {
    const built = row(171, 3.5, [0, 33.5, 67, 100.5, 134, 167.5], { 1: 0, 2: 33.5, 3: 67.125, 6: 167.75 })
    const found = placedBy({ ...built, right: inches(171.25) }, (run) => shares(run, 'even'))
    expect(found[3]?.left).toBe(Math.round((302 / 3) * 25_400_000))
    expect(found[4]?.left).toBe(Math.round((3221 / 24) * 25_400_000))
    expect([tick(found[3]?.left ?? 0), tick(found[4]?.left ?? 0)]).toEqual([100.6875, 134.1875])
  })
  test('J6: what can not be is refused, and why', () => {
    const third = evenIssue(row(140, 2.5, J1, { 1: 21.25, 2: 45.5, 3: 137.75 }), inches(0.5))
    expect(third).toMatchObject({ code: 'noRoom', needed: inches(5), room: inches(-0.25), pieces: 2 })
    const second = evenIssue(row(140, 2.5, J1, { 1: 21.25, 2: 130 }), inches(0.5))
    expect(second).toMatchObject({ code: 'gapsTooSmall', gap: 0 })
    expect(evenIssue(row(140, 2.5, J1, { 2: 45.5 }), inches(0.5))).toBeNull()
    expect(evenIssue(row(140, 2.5, J1, { 1: 30, 2: 28 }), inches(0.5))).toMatchObject({ code: 'cannotBe' })
  })
  test('A4: a wall an inch wider, strips at its ends', () => {
    const planned = [0, 42.5, 85, 127.5, 170, 212.5]
    const built = row(216, 3.5, planned, { 1: 0 }, 217)
    const edges = lefts(built)
    const gaps = edges.slice(1).map((left, i) => left - (edges[i] ?? 0) - 3.5)
    for (const gap of gaps) expect(gap).toBeCloseTo(39.2, 6)
    const marks = edges.map((left) => tick(inches(left)))
    marks.forEach((mark, i) => expect(Math.abs(mark - (edges[i] ?? 0))).toBeLessThanOrEqual(1 / 32))
    const onTape = marks.slice(1).map((mark, i) => mark - (marks[i] ?? 0) - 3.5)
    expect([...onTape].sort()).toEqual([39.1875, 39.1875, 39.1875, 39.1875, 39.25])
    const middle = lefts(built, 'middleBay')
    expect(middle.slice(1).map((left, i) => left - (middle[i] ?? 0) - 3.5)).toEqual([39, 39, 40, 39, 39])
  })
  test('law D8: nothing that is up moves, and gaps, strips and ends are the span, whatever way and whatever was read', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 12 }),
        fc.integer({ min: 5, max: 60 }),
        fc.array(fc.record({ i: fc.nat(11), off: fc.integer({ min: -90, max: 90 }) }), { maxLength: 6 }),
        fc.integer({ min: -60, max: 60 }),
        fc.boolean(),
        (count, gap, reads, wider, ends) => {
          const width = 3
          const bays = ends ? count - 1 : count + 1
          const span = count * width + bays * gap
          const planned = Array.from({ length: count }, (_, i) => (ends ? i : i + 1) * gap + i * width)
          const at = Object.fromEntries(
            reads.filter(({ i }) => i < count).map(({ i, off }) => [i + 1, (planned[i] ?? 0) + off / 64]),
          )
          const built = row(span, width, planned, at, span + wider / 64)
          const issue = evenIssue(built, 0)
          for (const how of EVENINGS_OUT) {
            const places = placedBy(built, (run) => shares(run, how))
            built.standing.forEach((each, i) => {
              if (each.at) expect(places[i]?.left).toBe(each.at.left)
            })
            if (issue) continue
            const gaps = [...places, { left: built.right }].map(
              ({ left }, i) => left - (i === 0 ? built.left : (places[i - 1]?.right ?? 0)),
            )
            const sum = gaps.reduce((total, each) => total + each, 0)
            const strips = places.reduce((total, { left, right }) => total + right - left, 0)
            expect(sum + strips).toBe(built.right - built.left)
            if (how === 'even') for (const each of gaps) expect(each).toBeGreaterThanOrEqual(-2)
          }
          const even = unevenness(
            built,
            placedBy(built, (run) => shares(run, 'even')),
          )
          const last = unevenness(
            built,
            placedBy(built, (run) => shares(run, 'lastBay')),
          )
          if (Object.keys(at).length === 0) expect(even.worst).toBeLessThanOrEqual(last.worst + 1)
        },
      ),
      { numRuns: runs(150) },
    )
  })
})

/** Every split of the ticks, each bay none or more of them. */
function everySplit(bays: number, all: number): number[][] {
  if (bays === 1) return [[all]]
  return Array.from({ length: all + 1 }, (_, first) => first).flatMap((first) =>
    everySplit(bays - 1, all - first).map((rest) => [first, ...rest]),
  )
}

const AIMS: readonly SplitAim[] = ['fewestRecuts', 'smallestWorst', 'smallestStep']
const ORDER = {
  fewestRecuts: ['recuts', 'worst', 'step'],
  smallestWorst: ['worst', 'recuts', 'step'],
  smallestStep: ['step', 'worst', 'recuts'],
} as const

describe('how bays share ticks, every split tried (worked, common practice, no source)', () => {
  const problem = (bays: number, rails: number, ticks: number, tolerance = 0): SplitProblem => ({
    rails: Array<number>(bays).fill(rails),
    ticks,
    tolerance,
    neighbor: true,
  })
  test.each<[string, SplitProblem, ...[number[], number, number, number][]]>([
    [
      'J7',
      problem(4, 3, -12),
      [[0, 0, 0, -12], 3, 12, 12],
      [[-3, -3, -3, -3], 12, 3, 3],
      [[-1, -3, -4, -4], 12, 4, 2],
    ],
    ['J8', problem(4, 2, 20), [[0, 0, 0, 20], 2, 20, 20], [[5, 5, 5, 5], 8, 5, 5], [[2, 4, 6, 8], 8, 8, 2]],
    ['J9', problem(3, 4, 5, 1), [[1, 1, 3], 4, 3, 2], [[1, 2, 2], 8, 2, 1], [[1, 2, 2], 8, 2, 1]],
  ])('%s', (_, of, ...expected) => {
    AIMS.forEach((aim, i) => {
      const [by, recuts, worst, step] = expected[i] ?? never()
      expect(bestSplit(of, aim)).toEqual({ by, recuts, worst, step })
    })
  })
  test('law: none is better by brute force, with or without a neighbor, whatever is cut where', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 4 }), { minLength: 1, maxLength: 4 }),
        fc.integer({ min: -9, max: 9 }).filter((ticks) => ticks !== 0),
        fc.integer({ min: 0, max: 2 }),
        fc.boolean(),
        (rails, ticks, tolerance, neighbor) => {
          const of = { rails, ticks, tolerance, neighbor }
          for (const aim of AIMS) {
            const found = bestSplit(of, aim) ?? never()
            expect(found.by.reduce((sum, each) => sum + each, 0)).toBe(ticks)
            const all = everySplit(rails.length, Math.abs(ticks)).map((by) => figures(of, by))
            const key = (each: { recuts: number; worst: number; step: number }) =>
              ORDER[aim].map((name) => each[name])
            const best = all
              .map(key)
              .sort(
                (a, b) => (a[0] ?? 0) - (b[0] ?? 0) || (a[1] ?? 0) - (b[1] ?? 0) || (a[2] ?? 0) - (b[2] ?? 0),
              )[0]
            expect(key(found)).toEqual(best)
          }
        },
      ),
      { numRuns: runs(80) },
    )
  })
  test('a whole wall of bays is not tried to the end where that is too much', () => {
    expect(bestSplit(problem(60, 2, 200), 'fewestRecuts')).toBeNull()
    expect(bestSplit(problem(60, 2, 14), 'smallestStep')?.by).toHaveLength(60)
  })
})

function never(): never {
  throw new Error('there is none')
}

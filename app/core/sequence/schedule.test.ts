import fc from 'fast-check'
import { runs } from '../../../tests/anyWall'
import { bestSchedule } from './bestSchedule'
import { DAY } from './dates'
import { earliest, type Job, orderBy, placeInOrder, type Problem, ready } from './schedule'

/** Days with the same hours, the same for noise. */
function days(count: number, ...hours: [number, number][]) {
  const all = Array.from({ length: count }, (_, day) =>
    hours.map(([from, to]) => ({ from: day * DAY + from * 60, to: day * DAY + to * 60 })),
  ).flat()
  return { all, loud: all }
}
/** A job in hours: after others, each with its wait. */
function job(id: string, hours: number, after: Record<string, number> = {}, people = 1): Job {
  return {
    id,
    minutes: hours * 60,
    people,
    noisy: false,
    notBefore: 0,
    after: Object.entries(after).map(([first, wait]) => ({ id: first, wait: wait * 60 })),
  }
}
const at = (day: number, hour: number) => (day - 1) * DAY + hour * 60

const I1 = [
  job('A', 1),
  job('B', 1, { A: 0 }),
  job('C', 2, { B: 1 }),
  job('D', 1),
  job('E', 2, { D: 2 }),
  job('F', 3, { C: 4, E: 0 }),
  job('G', 1, { F: 0 }),
  job('H', 1, { F: 12 }),
  job('I', 2, { G: 2, H: 2 }),
]
const I2 = [
  job('A', 3),
  job('B', 4),
  job('C', 1),
  job('D', 1, { C: 4 }),
  job('E', 2, { D: 16 }),
  job('F', 3, { A: 0 }),
  job('G', 2, { E: 2, B: 0, F: 0 }),
]
const I3 = [
  job('A', 2),
  job('B', 1),
  job('C', 2, { A: 2 }),
  job('D', 1, { B: 4 }, 2),
  job('E', 3, { D: 1 }),
  job('F', 2, { C: 0, D: 0 }, 2),
  job('G', 1, { E: 12, F: 2 }),
]
const evenings = days(12, [18, 21])
const workdays = days(12, [8, 12], [13, 17])

/** The least end of all orders, by trying every one: slow and sure. */
function bruteForce(problem: Problem): number {
  const of = ready(problem)
  let least = Infinity
  const go = (order: number[], open: number[]) => {
    if (open.length === 0) {
      least = Math.min(least, placeInOrder(of, order)?.end ?? Infinity)
      return
    }
    for (const i of open)
      if ((of.before[i] ?? []).every(({ job: first }) => order.includes(first)))
        go(
          [...order, i],
          open.filter((each) => each !== i),
        )
  }
  go(
    [],
    problem.jobs.map((_, i) => i),
  )
  return least
}

/** Breaks of what must hold, in words. */
function broken(
  { jobs, people, hours, from }: Problem,
  placed: readonly { id: string; start: number; end: number }[],
) {
  const by = new Map(placed.map((each) => [each.id, each]))
  const wrong: string[] = []
  for (const { id, minutes, people: busy, noisy, after, notBefore } of jobs) {
    const own = by.get(id)
    if (!own) {
      wrong.push(`${id} missing`)
      continue
    }
    if (own.end - own.start !== minutes) wrong.push(`${id} is ${own.end - own.start} long`)
    if (own.start < Math.max(from, notBefore)) wrong.push(`${id} too early`)
    for (const { id: first, wait } of after)
      if (own.start < (by.get(first)?.end ?? Infinity) + wait) wrong.push(`${id} before ${first}`)
    const list = noisy ? hours.loud : hours.all
    if (busy > 0 && !list.some((each) => each.from <= own.start && own.end <= each.to))
      wrong.push(`${id} out of hours`)
  }
  for (const { start } of placed) {
    const used = placed.reduce((sum, each) => {
      const busy = jobs.find(({ id }) => id === each.id)?.people ?? 0
      return sum + (each.start <= start && each.end > start ? busy : 0)
    }, 0)
    if (used > people) wrong.push(`${used} busy at ${start}`)
  }
  return wrong
}

describe('worked timetables (exhaustive; a job is not broken off, waits are clock hours)', () => {
  it.each([
    ['I1 alone', I1, evenings, 1, at(6, 20)],
    ['I1, two people', I1, evenings, 2, at(5, 20)],
    ['I2 alone', I2, workdays, 1, at(3, 10)],
    ['I2, two people', I2, workdays, 2, at(2, 15)],
    ['I3, two people', I3, evenings, 2, at(5, 19)],
    ['I3, three people', I3, evenings, 3, at(4, 19)],
  ] as const)('%s', (_, jobs, hours, people, end) => {
    const problem = { jobs, hours, people, from: 0 }
    const best = bestSchedule(problem)
    expect(best?.end).toBe(end)
    expect(best?.proven).toBe(true)
    expect(broken(problem, best?.placed ?? [])).toEqual([])
  })

  it.each([
    ['I1', I1, evenings, at(6, 20)],
    ['I2', I2, workdays, at(4, 10)],
  ] as const)('%s in the order of its letters', (_, jobs, hours, end) => {
    const problem = { jobs, hours, people: 1, from: 0 }
    const ends = new Map<string, number>()
    let last = 0
    // strictly one after the other: none begins before the one before it is over
    for (const each of jobs) {
      const ready = each.after.map(({ id, wait }) => (ends.get(id) ?? Infinity) + wait)
      last = earliest(problem, each, Math.max(last, ...ready)) + each.minutes
      ends.set(each.id, last)
    }
    expect(last).toBe(end)
  })
})

const anyProblem = (most: number): fc.Arbitrary<Problem> =>
  fc
    .record({
      jobs: fc.array(
        fc.record({
          quarters: fc.integer({ min: 1, max: 11 }),
          people: fc.constantFrom(1, 1, 1, 2, 0),
          noisy: fc.boolean(),
          late: fc.constantFrom(0, 0, 0, 1),
          after: fc.array(
            fc.record({ back: fc.integer({ min: 1, max: 4 }), wait: fc.constantFrom(0, 0, 60, 240, 720) }),
            {
              maxLength: 2,
            },
          ),
        }),
        { minLength: 1, maxLength: most },
      ),
      people: fc.constantFrom(1, 2),
      hours: fc.constantFrom(days(40, [18, 21]), days(40, [8, 12], [13, 17]), days(40, [17, 20], [20, 23])),
      quiet: fc.boolean(),
    })
    .map(({ jobs, people, hours, quiet }) => ({
      people,
      from: 600,
      hours: {
        all: hours.all,
        loud: quiet ? hours.all.filter(({ from }) => from % DAY < 19 * 60) : hours.all,
      },
      jobs: jobs.map((each, i): Job => ({
        id: `j${i}`,
        minutes: each.quarters * 15,
        people: Math.min(people, each.people),
        noisy: each.noisy,
        notBefore: each.late * 2 * DAY,
        after: [
          ...new Map(
            each.after.flatMap(({ back, wait }) => (i - back >= 0 ? [[`j${i - back}`, wait] as const] : [])),
          ),
        ].map(([id, wait]) => ({ id, wait })),
      })),
    }))

describe('laws of any timetable', () => {
  it('keeps order, waits, hours and people, is never longer than one by the rule, nor shorter than its bound', () => {
    fc.assert(
      fc.property(anyProblem(22), (problem) => {
        const best = bestSchedule(problem)
        const of = ready(problem)
        const naive = placeInOrder(
          of,
          orderBy(of, (a, b) => a - b),
        )
        expect(best === null).toBe(naive === null)
        if (!best || !naive) return
        expect(broken(problem, best.placed)).toEqual([])
        expect(best.end).toBeLessThanOrEqual(naive.end)
        expect(best.bound).toBeLessThanOrEqual(best.end)
        expect(Math.max(...best.placed.map(({ end }) => end))).toBe(best.end)
      }),
      { numRuns: runs(60), seed: 11 },
    )
  })

  it('is the best there is, by trying all orders of a few', () => {
    fc.assert(
      fc.property(anyProblem(7), (problem) => {
        const best = bestSchedule(problem)
        const least = bruteForce(problem)
        expect(best?.end ?? Infinity).toBe(least)
        expect(best?.proven ?? true).toBe(true)
      }),
      { numRuns: runs(120), seed: 5 },
    )
  })

  it('says a bound and no proof where it is ended at once', () => {
    const many = Array.from({ length: 40 }, (_, i) =>
      job(`t${i}`, 1 + (i % 3) * 0.5, i > 2 ? { [`t${i - 3}`]: (i % 4) * 2 } : {}, i % 7 === 0 ? 2 : 1),
    )
    const problem = { jobs: many, hours: days(60, [18, 21]), people: 2, from: 0 }
    const ended = bestSchedule(problem, () => true)
    const whole = bestSchedule(problem)
    expect(broken(problem, ended?.placed ?? [])).toEqual([])
    expect(ended?.bound ?? Infinity).toBeLessThanOrEqual(whole?.end ?? 0)
    expect(whole?.end ?? Infinity).toBeLessThanOrEqual(ended?.end ?? 0)
  })

  it('has none where a job is longer than all hours', () => {
    expect(bestSchedule({ jobs: [job('A', 5)], hours: evenings, people: 1, from: 0 })).toBeNull()
  })
})

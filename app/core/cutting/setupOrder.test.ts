import fc from 'fast-check'
import { countSetups, type SetupJob, setupOrder } from './setupOrder'

function job(setting: string, stop: string | number | null, ...after: number[]): SetupJob {
  return { setting, stop: stop === null ? null : String(stop), after }
}

/** The fewest by trying every order. */
function fewestByBruteForce(jobs: readonly SetupJob[]): number {
  let best = Infinity
  const go = (order: number[], count: number) => {
    if (count >= best) return
    if (order.length === jobs.length) {
      best = count
      return
    }
    jobs.forEach((each, index) => {
      if (order.includes(index) || !each.after.every((before) => order.includes(before))) return
      go([...order, index], countSetups(jobs, [...order, index]))
    })
  }
  go([], 0)
  return best
}

function obeys(jobs: readonly SetupJob[], order: readonly number[]): boolean {
  return jobs.every((each, i) => each.after.every((before) => order.indexOf(before) < order.indexOf(i)))
}

describe('the order of fewest set-ups', () => {
  // G5, G6: a change of setting counts 1, a change of stop 1, the first cut 2. Common practice, no source; the counts by hand
  test('G5: six jobs of three settings and three stops: 7; by setting, the longest stop first in each: 9', () => {
    const jobs = [
      job('0', 30),
      job('0', 45),
      job('R22.5', 30),
      job('R22.5', 45),
      job('R45', 30),
      job('R45', 60),
    ]
    expect(setupOrder(jobs)).toMatchObject({ count: 7, bound: 7, proven: true })
    expect(countSetups(jobs, [1, 0, 3, 2, 5, 4])).toBe(9)
  })

  test('G6: a first end before its second, first ends without a stop: 10; piece by piece 14', () => {
    const jobs = [
      job('L45', null),
      job('R45', 32, 0),
      job('L45', null),
      job('R45', 16.75, 2),
      job('0', null),
      job('0', 50.5, 4),
      job('R38.7', null),
      job('R38.7', 42.4375, 6),
    ]
    expect(countSetups(jobs, [0, 1, 2, 3, 4, 5, 6, 7])).toBe(14)
    // the two first ends at 45 are one visit
    const found = setupOrder(jobs)
    expect(found).toMatchObject({ count: 10, proven: true })
    expect(obeys(jobs, found.order)).toBe(true)
  })

  test('nothing to cut needs nothing; one cut sets the saw and its stop', () => {
    expect(setupOrder([])).toEqual({ order: [], count: 0, bound: 0, proven: true })
    expect(setupOrder([job('0', 12)]).count).toBe(2)
  })

  test('law: as few as by trying every order, and what must come before does', () => {
    const three = fc.integer({ min: 0, max: 2 })
    const anyJobs = fc
      .tuple(
        fc.array(three, { minLength: 1, maxLength: 3 }),
        fc.array(fc.tuple(three, three, fc.nat(), fc.boolean()), { maxLength: 4 }),
      )
      .map(([firsts, seconds]) => [
        ...firsts.map((setting) => job(String(setting), null)),
        ...seconds.map(([setting, stop, before, waits]) =>
          job(String(setting), stop, ...(waits ? [before % firsts.length] : [])),
        ),
      ])
    fc.assert(
      fc.property(anyJobs, (jobs) => {
        const found = setupOrder(jobs)
        expect(obeys(jobs, found.order)).toBe(true)
        expect([...found.order].sort((a, b) => a - b)).toEqual(jobs.map((_, i) => i))
        expect(countSetups(jobs, found.order)).toBe(found.count)
        expect(found.proven).toBe(true)
        expect(found.count).toBe(fewestByBruteForce(jobs))
      }),
      { numRuns: 150 },
    )
  })

  test('a day of many cuts has an order at once, with a bound it does not go below', () => {
    const jobs = Array.from({ length: 90 }, (_, i) => job(`s${(i * 7) % 11}`, (i * 13) % 37))
    const found = setupOrder(jobs)
    expect(found.count).toBeGreaterThanOrEqual(found.bound)
    expect(found.count).toBeLessThanOrEqual(jobs.length + 12)
  })
})

import fc from 'fast-check'
import { countSetups, type SetupJob, setupOrder, type SetupStep } from './setupOrder'

function job(setting: string, stop: string | number | null, ...after: number[]): SetupJob {
  return { setting, stop: stop === null ? null : String(stop), after }
}

/** The fewest by trying every order, each cut at each setting it may be made at. */
function fewestByBruteForce(jobs: readonly SetupJob[]): number {
  let best = Infinity
  const go = (steps: SetupStep[], count: number) => {
    if (count >= best) return
    if (steps.length === jobs.length) {
      best = count
      return
    }
    jobs.forEach(({ setting, also, after }, job) => {
      const isDone = (index: number) => steps.some((step) => step.job === index)
      if (isDone(job) || !after.every(isDone)) return
      for (const at of also === undefined ? [setting] : [setting, also]) {
        const next = [...steps, { job, setting: at }]
        go(next, countSetups(jobs, next))
      }
    })
  }
  go([], 0)
  return best
}

function obeys(jobs: readonly SetupJob[], steps: readonly SetupStep[]): boolean {
  const turn = (job: number) => steps.findIndex((step) => step.job === job)
  return steps.every(
    ({ job, setting }) =>
      [jobs[job]?.setting, jobs[job]?.also].includes(setting) &&
      (jobs[job]?.after ?? []).every((before) => turn(before) < turn(job)),
  )
}

/** Each cut in its turn, as it lies. */
const asListed = (jobs: readonly SetupJob[], order: readonly number[]): SetupStep[] =>
  order.map((job) => ({ job, setting: jobs[job]?.setting ?? '' }))

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
    expect(countSetups(jobs, asListed(jobs, [1, 0, 3, 2, 5, 4]))).toBe(9)
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
    expect(countSetups(jobs, asListed(jobs, [0, 1, 2, 3, 4, 5, 6, 7]))).toBe(14)
    // the two first ends at 45 are one visit
    const found = setupOrder(jobs)
    expect(found).toMatchObject({ count: 10, proven: true })
    expect(obeys(jobs, found.steps)).toBe(true)
  })

  test('first ends and pencil marks are one state of the saw', () => {
    // worked by hand: 45 with the stop away (2), then 0 (3) serves the second end of one and the first of the other, then 45 again (4)
    const jobs = [job('R45', null), job('0', null, 0), job('0', null), job('R45', null, 2)]
    expect(setupOrder(jobs)).toMatchObject({ count: 4, proven: true })
    expect(setupOrder(jobs.slice(0, 3))).toMatchObject({ count: 3, proven: true })
  })

  test('a strip turned over is cut at the other hand', () => {
    const both: SetupJob[] = [job('L45', null), { ...job('R45', 30, 0), also: 'L45' }]
    // worked by hand: 45 to the left and the stop away (2), then the stop (3)
    expect(setupOrder(both)).toMatchObject({ count: 3, proven: true })
    expect(setupOrder(both).steps[1]).toEqual({ job: 1, setting: 'L45' })
    expect(setupOrder([job('L45', null), job('R45', 30, 0)])).toMatchObject({ count: 4, proven: true })
  })

  test('nothing to cut needs nothing; one cut sets the saw and its stop', () => {
    expect(setupOrder([])).toEqual({ steps: [], count: 0, bound: 0, proven: true })
    expect(setupOrder([job('0', 12)]).count).toBe(2)
  })

  test('law: as few as by trying every order, and what must come before does', () => {
    const three = fc.integer({ min: 0, max: 2 })
    const maybe = fc.option(three, { nil: undefined })
    const cut = (setting: number, also: number | undefined, stop: number | null, ...after: number[]) => ({
      ...job(String(setting), stop, ...after),
      ...(also === undefined ? {} : { also: String(also) }),
    })
    // a second end is cut at a stop, or to its mark with the stop away as for first ends
    const anyJobs = fc
      .tuple(
        fc.array(fc.tuple(three, maybe), { minLength: 1, maxLength: 3 }),
        fc.array(fc.tuple(three, maybe, fc.option(three), fc.nat(), fc.boolean()), { maxLength: 3 }),
      )
      .map(([firsts, seconds]) => [
        ...firsts.map(([setting, also]) => cut(setting, also, null)),
        ...seconds.map(([setting, also, stop, before, waits]) =>
          cut(setting, also, stop, ...(waits ? [before % firsts.length] : [])),
        ),
      ])
    fc.assert(
      fc.property(anyJobs, (jobs) => {
        const found = setupOrder(jobs)
        expect(obeys(jobs, found.steps)).toBe(true)
        expect(found.steps.map((step) => step.job).sort((a, b) => a - b)).toEqual(jobs.map((_, i) => i))
        expect(countSetups(jobs, found.steps)).toBe(found.count)
        expect(found.proven).toBe(true)
        expect(found.count).toBe(fewestByBruteForce(jobs))
      }),
      { numRuns: 300 },
    )
  })

  test('a day of many cuts has an order at once, with a bound it does not go below', () => {
    const jobs = Array.from({ length: 90 }, (_, i) => job(`s${(i * 7) % 11}`, (i * 13) % 37))
    const found = setupOrder(jobs)
    expect(found.count).toBeGreaterThanOrEqual(found.bound)
    expect(found.count).toBeLessThanOrEqual(jobs.length + 12)
  })
})

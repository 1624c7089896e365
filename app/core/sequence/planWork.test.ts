import { USUAL_WORK, type Work, type WorkAct } from '~/model'
import { factsOf } from '../../../tests/demoFacts'
import { bringForward, withWay } from './bringForward'
import { DAY, minuteOf } from './dates'
import { orderOfWork } from './orderOfWork'
import { planWork } from './planWork'
import { workState } from './workState'

const NOW = minuteOf('2027-03-01T08:00') ?? 0
const QUIET = workState([])
const work = (more: Partial<Work> = {}): Work => ({ ...USUAL_WORK, ...more })

describe('the plan in days', () => {
  const rooms = factsOf('back-bedroom')
  const done = (task: string, when: string): WorkAct => ({
    id: `done-${task}`,
    doneAt: 1,
    kind: 'taskDone',
    task,
    at: when,
  })

  it('what is done stays, what follows waits from then, and what takes longer moves the end', () => {
    const of = work()
    const order = orderOfWork(rooms, of)
    const first = planWork(order, of, QUIET, NOW)
    expect(first.proven).toBe(true)
    const fill = 'room/back-bedroom/fill'
    const slip = workState([{ id: 'longer-1', doneAt: 2, kind: 'takesLonger', task: fill, minutes: 400 }])
    const later = planWork(order, of, slip, NOW)
    expect(later.end ?? 0).toBeGreaterThan(first.end ?? Infinity)
    expect(later.issues).toContainEqual({ kind: 'inParts', task: fill, parts: 3 })
    const begun = workState([
      done('room/back-bedroom/protect', '2027-02-26T19:00'),
      done('job/buy', '2027-02-25T18:00'),
    ])
    const sooner = planWork(order, of, begun, NOW)
    expect(sooner.end ?? Infinity).toBeLessThanOrEqual(first.end ?? 0)
    expect(
      sooner.tasks
        .filter((each) => each.done !== null)
        .map(({ task }) => task.kind)
        .sort(),
    ).toEqual(['buy', 'protect'])
    expect(
      workState([
        done('job/buy', '2027-02-25T18:00'),
        { id: 'open-buy', doneAt: 3, kind: 'taskOpen', task: 'job/buy' },
      ]).done.size,
    ).toBe(0)
  })

  it('tight is what moves the end by a quarter of an hour more', () => {
    const of = work()
    const order = orderOfWork(rooms, of)
    const plan = planWork(order, of, QUIET, NOW)
    const tight = plan.tasks.filter(({ critical }) => critical)
    expect(tight.length).toBeGreaterThan(0)
    // what is not tight, made longer, ends no later
    for (const { task, minutes } of plan.tasks.filter(({ critical }) => !critical).slice(0, 8)) {
      const longer = workState([
        { id: 'longer-1', doneAt: 2, kind: 'takesLonger', task: task.id, minutes: minutes + 15 },
      ])
      expect(planWork(order, of, longer, NOW).end).toBe(plan.end)
    }
  })

  it('a way that is offered ends when it says, and is sooner', () => {
    const of = work()
    const end = planWork(orderOfWork(rooms, of), of, QUIET, NOW).end ?? 0
    const ways = bringForward(rooms, of, QUIET, NOW, end)
    expect(ways.length).toBeGreaterThan(0)
    for (const { way, end: then, sooner } of ways) {
      const next = withWay(of, way)
      if (!next) throw new Error('no way')
      expect(planWork(orderOfWork(rooms, next), next, QUIET, NOW).end).toBe(then)
      expect(sooner).toBe(end - then)
      expect(then).toBeLessThan(end)
    }
  })

  it('bad days, waits and rates are told with their place, and nothing else is lost', () => {
    const codes = (more: Partial<Work>) => {
      const of = work(more)
      const plan = planWork(orderOfWork(rooms, of), of, QUIET, NOW)
      expect(plan.tasks.length).toBeGreaterThan(10)
      return plan.issues.map((issue) => issue.kind)
    }
    const { days } = USUAL_WORK
    const none = days.week.map(() => null)
    expect(codes({ days: { ...days, week: none } })).toContain('noDays')
    const backwards = days.week.map((hours, i) => (i === 2 ? { from: 1_200, to: 600 } : hours))
    expect(codes({ days: { ...days, week: backwards } })).toContain('noHours')
    expect(codes({ days: { ...days, start: '2027-04-10', wishedEnd: '2027-04-02' } })).toContain(
      'endBeforeStart',
    )
    expect(codes({ days: { ...days, wishedEnd: '2027-03-03' } })).toContain('late')
    expect(codes({ days: { ...days, quietFrom: 600 } })).toContain('noLoudHours')
    expect(codes({ waits: { ...USUAL_WORK.waits, filler: 1_400 } })).toContain('longWait')
    expect(codes({ rates: { ...USUAL_WORK.rates, fitOne: 0 } })).toContain('noRate')
    expect(codes({ days: { ...days, off: ['2027-02-31'] } })).toContain('noSuchDay')
    expect(codes({})).toEqual([])
  })

  it('a day of odd minutes holds the parts of what is longer', () => {
    const week = USUAL_WORK.days.week.map((hours) => hours && { from: 1_080, to: 1_080 + 93 })
    const of = work({ days: { ...USUAL_WORK.days, week } })
    const plan = planWork(orderOfWork(rooms, of), of, QUIET, NOW)
    expect(plan.end).not.toBeNull()
    for (const { sessions, minutes } of plan.tasks) {
      expect(sessions.reduce((sum, { start, end }) => sum + end - start, 0)).toBe(minutes)
      for (const { start, end } of sessions) expect(end - start).toBeLessThanOrEqual(93)
    }
    // whatever it takes, no part is longer than a day
    for (let more = 90; more < 200; more += 7) {
      const longer = workState([
        { id: 'longer-1', doneAt: 2, kind: 'takesLonger', task: 'room/back-bedroom/caulk', minutes: more },
      ])
      expect(planWork(orderOfWork(rooms, of), of, longer, NOW).end).not.toBeNull()
    }
  })

  it('noise ends when it is said to', () => {
    const days = { ...USUAL_WORK.days, quietFrom: 1_170 }
    const of = work({ days })
    const { tasks } = planWork(orderOfWork(rooms, of), of, QUIET, NOW)
    const loud = tasks.filter(({ task }) => task.noisy)
    expect(loud.length).toBeGreaterThan(2)
    for (const { sessions } of loud)
      for (const { end } of sessions) expect(end % DAY).toBeLessThanOrEqual(1_170)
  })
})

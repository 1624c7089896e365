import fc from 'fast-check'
import { FIT_ORDERS, PAINT_SCHOOLS, TRIM_FINISHES, USUAL_WORK, type Work } from '~/model'
import { anyMeetingWall, runs } from '../../../tests/anyWall'
import { factsOf } from '../../../tests/demoFacts'
import { computePlan } from '../computePlan'
import { wallFacts } from '../takeoff/wallFacts'
import { atMinute, DAY, dayNumber, dayOf, minuteOf, weekdayOf } from './dates'
import { fitSteps } from './fitSteps'
import { cautionsOfKind, KIND_RULES, readTaskId } from './kindRules'
import { moveTask, orderOfWork } from './orderOfWork'
import { planWork } from './planWork'
import type { Task } from './task'
import { habitOfWork, withPlaces } from './workOfJob'
import { unseen, workState } from './workState'

const NOW = minuteOf('2027-03-01T08:00') ?? 0
const QUIET = workState([])
const work = (more: Partial<Work> = {}): Work => ({ ...USUAL_WORK, ...more })
const kinds = (tasks: readonly Task[]) =>
  tasks.map(({ kind, number }) => (number === null ? kind : `${kind}-${number}`))
const at = (tasks: readonly Task[], kind: string) => tasks.findIndex((task) => task.kind === kind)

/** Each task stands behind all it waits for, and nothing waits for what is not there. */
function expectOrdered(tasks: readonly Task[]) {
  const before = new Set<string>()
  const all = new Set(tasks.map(({ id }) => id))
  expect(all.size).toBe(tasks.length)
  for (const { id, after } of tasks) {
    for (const each of after) {
      expect(all.has(each.id)).toBe(true)
      expect(before.has(each.id)).toBe(true)
    }
    before.add(id)
  }
}

const anyWork = fc
  .record({
    fitOrder: fc.constantFrom(...FIT_ORDERS),
    paintSchool: fc.constantFrom(...PAINT_SCHOOLS),
    trim: fc.constantFrom(...TRIM_FINISHES),
    sanding: fc.constantFrom('keep' as const, 'fine' as const),
    caulk: fc.constantFrom('every' as const, 'open' as const, 'none' as const),
    prepare: fc.constantFrom('holes' as const, 'skim' as const, 'none' as const),
    people: fc.constantFrom(1, 2),
    coats: fc.record({ trim: fc.nat(4), field: fc.nat(4), above: fc.nat(4) }),
  })
  .map(work)

describe('the order of work', () => {
  it('over random walls and schools: what must come before what is kept, and a plan keeps waits and hours', () => {
    fc.assert(
      fc.property(anyMeetingWall, anyMeetingWall, anyWork, (a, b, of) => {
        const walls = [a, b].map((workpiece, i) =>
          wallFacts(
            { id: `w${i}`, name: `${i}`, room: 'r' },
            { ...workpiece, settings: { ...workpiece.settings, work: of } },
            { boards: 4, setUps: 2, inPlace: i },
          ),
        )
        const rooms = [{ id: 'r', walls, fitAfter: { w1: ['w0'] } }]
        const order = orderOfWork(rooms, of)
        expectOrdered(order.tasks)
        expect(order.issues).toEqual([])
        for (const task of order.tasks) {
          expect(readTaskId(task.id)?.kind).toBe(task.kind)
          expect(KIND_RULES[task.kind].cautions.every((caution) => task.cautions.includes(caution))).toBe(
            true,
          )
          expect(cautionsOfKind(task.id)).toEqual(KIND_RULES[task.kind].cautions)
        }
        const plan = planWork(order, of, QUIET, NOW)
        const ends = new Map(
          plan.tasks.map(({ task, sessions }) => [task.id, sessions.at(-1)?.end ?? Infinity]),
        )
        for (const { task, sessions, minutes } of plan.tasks) {
          expect(sessions.reduce((sum, { start, end }) => sum + end - start, 0)).toBe(minutes)
          for (const { id, wait } of task.after)
            expect(sessions[0]?.start).toBeGreaterThanOrEqual((ends.get(id) ?? Infinity) + wait * 60)
          for (const { start, end } of sessions)
            if (task.people > 0) {
              expect(start % DAY).toBeGreaterThanOrEqual(1_080)
              expect(end % DAY).toBeLessThanOrEqual(1_260)
              expect(weekdayOf(Math.floor(start / DAY))).toBeLessThan(5)
            }
        }
        expect(plan.end).toBe(order.tasks.length === 0 ? NOW : Math.max(...ends.values()))
      }),
      { numRuns: runs(25), seed: 41 },
    )
  })

  it('follows the schools: painted after, or ahead with marks looked at again, or stained', () => {
    const rooms = factsOf('back-bedroom')
    const after = orderOfWork(rooms, work()).tasks
    expect(kinds(after)).not.toContain('wallFirst')
    expect(kinds(after)).toEqual(expect.arrayContaining(['trimCoat-1', 'trimCoat-2', 'caulk', 'fill']))
    expect(at(after, 'fit')).toBeLessThan(at(after, 'fill'))
    expect(at(after, 'fill')).toBeLessThan(at(after, 'sandFill'))
    expect(at(after, 'caulk')).toBeLessThan(at(after, 'trimCoat'))
    const ahead = orderOfWork(rooms, work({ paintSchool: 'allAhead' })).tasks
    expect(at(ahead, 'wallFirst')).toBeLessThan(at(ahead, 'mark'))
    expect(ahead.find(({ kind }) => kind === 'mark')?.checks).toContain('marksAgain')
    expect(at(ahead, 'paintAhead')).toBeLessThan(at(ahead, 'fit'))
    // the last coat over all comes after fitting
    expect(kinds(ahead)).toContain('trimCoat-1')
    expect(kinds(ahead)).not.toContain('trimCoat-2')
    const edges = orderOfWork(rooms, work({ paintSchool: 'edgesAhead' })).tasks
    const minutes = (tasks: readonly Task[]) => tasks.find(({ kind }) => kind === 'paintAhead')?.minutes ?? 0
    expect(minutes(edges)).toBeLessThan(minutes(ahead))
    const stained = orderOfWork(rooms, work({ trim: 'stained', paintSchool: 'allAhead' })).tasks
    expect(kinds(stained)).toEqual(expect.arrayContaining(['stain', 'varnish-1', 'varnish-2']))
    expect(kinds(stained).some((kind) => /trimCoat|caulk|paintAhead|wallFirst/.test(kind))).toBe(false)
  })

  it('other trades, trim that goes back, a furnished room and the way out', () => {
    const kitchen = orderOfWork(factsOf('old-kitchen'), work()).tasks
    const floor = kitchen.find(({ kind }) => kind === 'floorBefore')
    expect(floor?.people).toBe(0)
    expect(at(kitchen, 'floorBefore')).toBeLessThan(at(kitchen, 'mark'))
    expect(kinds(kitchen)).toContain('trimBack')
    expect(kitchen.find(({ kind }) => kind === 'remove')?.cautions).toContain('oldPaint')
    const shop = orderOfWork(factsOf('workshop'), work({ people: 2 })).tasks
    expect(kinds(shop)).toEqual(expect.arrayContaining(['fit-1', 'shift', 'fit-2', 'panels', 'boxes']))
    expect(shop.find(({ kind }) => kind === 'shift')?.people).toBe(2)
    expect(shop.find(({ kind, number }) => kind === 'fit' && number === 2)?.checks).toContain('laserAgain')
    expect(shop.find(({ kind }) => kind === 'fit')?.cautions).toContain('rented')
    const dining = orderOfWork(factsOf('dining-room'), work()).tasks
    const door = dining.find(({ id }) => id === 'wall/hall-wall/fit')
    expect(door?.after.some(({ why }) => why === 'wayOut' || why === 'corner')).toBe(true)
    const free = orderOfWork(factsOf('dining-room'), work({ wayOut: false })).tasks
    expect(free.every(({ after }) => after.every(({ why }) => why !== 'wayOut'))).toBe(true)
  })

  it('a task left out hands its waits on; one of one’s own stands where it was put; what comes on a day holds', () => {
    const rooms = factsOf('back-bedroom')
    const whole = orderOfWork(rooms, work()).tasks
    const fill = 'room/back-bedroom/fill'
    const without = orderOfWork(rooms, work({ own: { [fill]: { minutes: null, skip: true } } })).tasks
    expect(without).toHaveLength(whole.length - 1)
    expectOrdered(without)
    const own = {
      id: 'bell',
      name: 'Bell wire moved',
      room: 'back-bedroom',
      trade: false,
      minutes: 45,
      after: ['room/back-bedroom/protect'],
      before: ['wall/bed-wall/mark'],
      wait: 3,
    }
    const more = orderOfWork(
      rooms,
      work({ tasks: [own], deliveries: [{ id: 'd', name: 'Boards', on: '2027-03-09', for: 'job/buy' }] }),
    ).tasks
    expectOrdered(more)
    const names = more.map(({ id }) => id)
    expect(names.indexOf('own/bell')).toBeLessThan(names.indexOf('wall/bed-wall/mark'))
    expect(more.find(({ id }) => id === 'wall/bed-wall/mark')?.after).toContainEqual({
      id: 'own/bell',
      wait: 3,
      for: null,
      why: 'own',
    })
    const plan = planWork({ tasks: more, issues: [] }, work(), QUIET, NOW)
    const buy = plan.tasks.find(({ task }) => task.id === 'job/buy')
    expect(atMinute(buy?.sessions[0]?.start ?? 0)).toBe('2027-03-09T18:00')
    // elsewhere it is not done
    expect(
      orderOfWork(factsOf('landing'), work({ tasks: [own] })).tasks.some(({ kind }) => kind === 'own'),
    ).toBe(false)
  })

  it('a move against what must come first says why; what would make a ring is left out and told', () => {
    const rooms = factsOf('back-bedroom')
    const { tasks } = orderOfWork(rooms, work())
    const [mark, fit] = ['wall/bed-wall/mark', 'wall/bed-wall/fit']
    expect(moveTask(tasks, [], fit, 'before', mark)).toEqual({
      ok: false,
      first: fit,
      then: mark,
      why: 'marksFirst',
    })
    const free = moveTask(tasks, [], 'wall/window-wall/mark', 'before', mark)
    if (!free.ok) throw new Error('refused')
    expect(free.pins).toEqual([{ first: 'wall/window-wall/mark', then: mark }])
    const pinned = orderOfWork(rooms, work({ pins: free.pins })).tasks
    const names = pinned.map(({ id }) => id)
    expect(names.indexOf('wall/window-wall/mark')).toBeLessThan(names.indexOf(mark))
    // the other way round takes the first move back
    const back = moveTask(pinned, free.pins, mark, 'before', 'wall/window-wall/mark')
    expect(back).toEqual({ ok: true, pins: [{ first: mark, then: 'wall/window-wall/mark' }] })
    // what speaks of a task that is gone is told where it would stand, and nowhere else
    const old = [{ first: 'wall/bed-wall/panels', then: mark }]
    expect(orderOfWork(rooms, work({ pins: old })).issues).toEqual([
      { kind: 'gone', what: 'pin', id: 'wall/bed-wall/panels' },
    ])
    expect(orderOfWork(factsOf('landing'), work({ pins: old })).issues).toEqual([])
    const ring = orderOfWork(rooms, work({ pins: [{ first: fit, then: mark }] }))
    expect(ring.issues).toEqual([{ kind: 'ring', tasks: [fit, mark], by: 'pin' }])
    expectOrdered(ring.tasks)
  })
})

describe('every piece goes on once, whatever the school', () => {
  it('over random walls', () => {
    fc.assert(
      fc.property(anyMeetingWall, fc.constantFrom(...FIT_ORDERS), (workpiece, school) => {
        const { pieces } = computePlan(workpiece)
        const steps = fitSteps(pieces, school)
        const ids = steps.flatMap(({ pieceIds }) => pieceIds)
        expect([...ids].sort()).toEqual(pieces.map(({ id }) => id).sort())
        const back = steps.findIndex(({ group }) => group === 'back')
        if (back >= 0)
          expect(steps.slice(back).every(({ group }) => group === 'back' || group === 'ledges')).toBe(true)
      }),
      { numRuns: runs(40), seed: 9 },
    )
  })
})

describe('small things', () => {
  it('days go there and back, over a leap year too', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 40_000 }), fc.integer({ min: 0, max: 1_439 }), (day, minute) => {
        expect(dayNumber(dayOf(day))).toBe(day)
        expect(minuteOf(atMinute(day * DAY + minute))).toBe(day * DAY + minute)
      }),
    )
    expect(dayNumber('1970-01-01')).toBe(0)
    expect(weekdayOf(dayNumber('2028-02-29') ?? 0)).toBe(1)
    expect(dayNumber('2027-02-29')).toBeNull()
  })

  it('a caution is seen by each member for themselves', () => {
    const state = workState([{ id: 'seen-1', doneAt: 1, kind: 'cautionSeen', caution: 'saw', member: 'ada' }])
    expect(unseen(state, ['saw', 'dust'], 'ada')).toEqual(['dust'])
    expect(unseen(state, ['saw', 'dust'], 'ben')).toEqual(['saw', 'dust'])
    expect(unseen(state, ['saw'], null)).toEqual(['saw'])
  })

  it('a job file read in speaks of its rooms by their new names; a new job takes habits, not days', () => {
    const of = work({
      pins: [{ first: 'wall/a/cut', then: 'room/a/fill' }],
      own: { 'room/a/fill': { minutes: 20, skip: false } },
      deliveries: [{ id: 'd', name: 'x', on: '2027-01-01', for: 'job/buy' }],
      people: 2,
      days: { ...USUAL_WORK.days, start: '2027-01-04', off: ['2027-01-05'] },
    })
    const moved = withPlaces(of, (scope, id) => `${scope}-${id}`)
    expect(moved.pins).toEqual([{ first: 'wall/wall-a/cut', then: 'room/room-a/fill' }])
    expect(Object.keys(moved.own)).toEqual(['room/room-a/fill'])
    expect(moved.deliveries[0]?.for).toBe('job/buy')
    const habit = habitOfWork(of)
    expect(habit.people).toBe(2)
    expect([habit.pins, habit.own, habit.deliveries, habit.days.start, habit.days.off]).toEqual([
      [],
      {},
      [],
      null,
      [],
    ])
  })
})

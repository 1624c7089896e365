import fc from 'fast-check'
import { runs } from '../../../tests/anyWall'
import { nanometers as nanometersOf } from '~/length'
import { type Act, USUAL_RATES, USUAL_WORK } from '~/model'
import { learnRates, rateFrom, type Sample, sampleOf, samplesOf, workWithLearned } from './rates'
import { LEFT_RUNNING_MS, minutesOfWork, running, workedOnJob, workedOnWall } from './worked'

const DAY = 86_400_000
const NOW = Date.UTC(2026, 5, 1)
const at = (minutes: number) => NOW - 10 * DAY + minutes * 60_000
let count = 0
const id = () => `act-${String(++count).padStart(8, '0')}`
const act = (kind: string, minutes: number, more: object = {}) =>
  ({ id: id(), kind, doneAt: at(minutes), ...more }) as Act

describe('time worked', () => {
  test('pressed: what lies between start and end counts, a pause is left out', () => {
    const worked = workedOnWall([
      act('began', 0, { stage: 'fit' }),
      act('ended', 30, { stage: 'fit', counted: null }),
      act('began', 50, { stage: 'fit' }),
      act('ended', 60, { stage: 'fit', counted: null }),
    ])
    expect(worked.map((each) => minutesOfWork(each, NOW))).toEqual([30, 10])
  })
  test('by ticks alone: a long silence between two is a pause, a lone tick tells nothing', () => {
    const marked = (minutes: number) => act('marked', minutes, { strip: 's', left: nanometersOf(1) })
    // three ticks of one second are a list ticked afterwards
    const late = [600, 600 + 1 / 60, 600 + 2 / 60].map(marked)
    const worked = workedOnWall([
      marked(0),
      marked(2),
      marked(5),
      marked(90),
      marked(93),
      marked(300),
      ...late,
    ])
    expect(
      worked.map(({ by, ticks, ...each }) => [by, ticks, minutesOfWork({ by, ticks, ...each }, NOW)]),
    ).toEqual([
      ['ticks', 2, 5],
      ['ticks', 1, 3],
    ])
  })
  test('ticks within what was pressed are counted in it, and not told twice', () => {
    const up = (minutes: number) => act('pieceUp', minutes, { release: 'r', piece: 'A1' })
    const [only, ...more] = workedOnWall([
      act('began', 0, { stage: 'fit' }),
      up(4),
      up(9),
      act('ended', 12, { stage: 'fit', counted: null }),
    ])
    expect(more).toEqual([])
    expect(only).toMatchObject({ by: 'pressed', ticks: 2 })
  })
  test('an end before its start, by a clock that went back, is told and counts nothing; struck out it is gone', () => {
    const acts = [act('began', 40, { stage: 'cut' }), act('ended', 10, { stage: 'cut', counted: null })]
    const [only] = workedOnWall(acts)
    expect(only).toMatchObject({ backwards: true })
    expect(only && minutesOfWork(only, NOW)).toBe(0)
    expect(workedOnWall([...acts, act('struck', 50, { entry: acts[0]?.id })])).toEqual([])
  })
  test('two people each have their own; what nobody ended runs, but not forever', () => {
    const worked = workedOnWall([
      act('began', 0, { stage: 'fit', member: 'a' }),
      act('began', 5, { stage: 'fit', member: 'b' }),
      act('ended', 9, { stage: 'fit', member: 'b', counted: null }),
    ])
    expect(running(worked, 'fit', 'a')?.from).toBe(at(0))
    expect(running(worked, 'fit', 'b')).toBeNull()
    const open = running(worked, 'fit', 'a')
    expect(open && minutesOfWork(open, NOW)).toBe(LEFT_RUNNING_MS / 60_000)
  })
  test('tasks: a tick ends what runs, what was typed counts as typed', () => {
    const worked = workedOnJob([
      act('taskBegan', 0, { task: 'room/r/prepare' }),
      act('taskDone', 25, { task: 'room/r/prepare', at: '2026-05-22T10:00' }),
      act('timed', 100, { task: 'wall/w/caulk', from: at(30), to: at(70), counted: null }),
    ] as never)
    expect(worked.map((each) => [each.by, minutesOfWork(each, NOW)])).toEqual([
      ['pressed', 25],
      ['typed', 40],
    ])
  })
})

const sample = (value: number, n: number, more: Partial<Sample> = {}): Sample => ({
  id: `wall/w${n}/fit`,
  job: `job${n}`,
  rate: 'fitOne',
  value,
  amount: 10,
  minutes: value * 10,
  at: NOW - DAY,
  ...more,
})

describe('rates from logs', () => {
  test('the median with its spread, on how many jobs; what was planted far off is shown and does not count', () => {
    const values = [5, 5.5, 6, 6.5, 7, 60, 0.2]
    const [rate] = learnRates(
      values.map((value, i) => sample(value, i)),
      NOW,
    )
    expect(rate).toMatchObject({ median: 6, low: 5.5, high: 6.5, jobs: 5 })
    expect(
      rate?.samples
        .filter(({ out }) => out === 'outlier')
        .map(({ value }) => value)
        .sort(),
    ).toEqual([0.2, 60])
  })
  test('by hand one is left out, and the rest is looked at anew', () => {
    const all = [4, 5, 6].map((value, i) => sample(value, i))
    expect(learnRates(all, NOW)[0]?.median).toBe(5)
    const [rate] = learnRates(all, NOW, new Set(['fitOne job0 wall/w0/fit']))
    expect([rate?.median, rate?.jobs]).toEqual([5.5, 2])
    expect(rate?.samples.find(({ out }) => out === 'hand')?.value).toBe(4)
    expect(learnRates([sample(4, 0)], NOW, new Set(['fitOne job0 wall/w0/fit']))).toEqual([])
  })
  test('older ones fade: three slow walls of years ago stand against two of last month', () => {
    const old = [9, 9, 9].map((value, i) => sample(value, i, { at: NOW - 4 * 365 * DAY }))
    const young = [6, 6].map((value, i) => sample(value, i + 5))
    expect(learnRates([...old, ...young], NOW)[0]?.median).toBe(6)
    expect(learnRates(old, NOW)[0]?.median).toBe(9)
  })
  test('law: planted outliers never move the median beyond the honest ones, whatever they are', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 4, max: 8, noNaN: true }), { minLength: 7, maxLength: 20 }),
        fc.array(fc.double({ min: 100, max: 1000, noNaN: true }), { maxLength: 2 }),
        (honest, planted) => {
          const all = [...honest, ...planted].map((value, i) => sample(value, i))
          const [rate] = learnRates(all, NOW)
          expect(rate?.median).toBeGreaterThanOrEqual(Math.min(...honest))
          expect(rate?.median).toBeLessThanOrEqual(Math.max(...honest))
          for (const each of rate?.samples ?? []) if (each.value >= 100) expect(each.out).toBe('outlier')
        },
      ),
      { numRuns: runs(60) },
    )
  })
  test('minutes for one, or so much an hour; of no time and of nothing done nothing is said', () => {
    const of = { id: 'x', job: 'j', at: NOW }
    expect(sampleOf(of, 'fitOne', 12, 60)?.value).toBe(5)
    expect(sampleOf(of, 'caulkFeet', 90, 30)?.value).toBe(180)
    expect(sampleOf(of, 'caulkFeet', 0, 30)).toBeNull()
    expect(sampleOf(of, 'fitOne', 3, 0)).toBeNull()
  })
  test('a task rested from is one sample of all its time and one count; set-ups are taken off', () => {
    const counted = { rate: 'cutOne' as const, amount: 20, less: 6, planned: 50 }
    const worked = workedOnWall([
      act('began', 0, { stage: 'cut' }),
      act('ended', 20, { stage: 'cut', counted: null }),
      act('began', 60, { stage: 'cut' }),
      act('ended', 86, { stage: 'cut', counted }),
    ])
    expect(samplesOf('j', 'wall/w', worked, NOW)).toMatchObject([
      { id: 'wall/w/cut', rate: 'cutOne', amount: 20, minutes: 40, value: 2 },
    ])
  })
  test('what the log shows takes the place of what is usual, never of what was typed', () => {
    const learned = learnRates([sample(4.5, 1)], NOW)
    expect(workWithLearned(USUAL_WORK, learned).rates.fitOne).toBe(4.5)
    expect(rateFrom(USUAL_WORK.rates, 'fitOne', learned)).toBe('log')
    const typed = { ...USUAL_WORK, rates: { ...USUAL_RATES, fitOne: 8 } }
    expect(workWithLearned(typed, learned).rates.fitOne).toBe(8)
    expect(rateFrom(typed.rates, 'fitOne', learned)).toBe('own')
    const brush = learnRates([sample(11, 1, { rate: 'coatBoard.brush' })], NOW)
    expect(workWithLearned(USUAL_WORK, brush).rates.coatBoard).toEqual({
      ...USUAL_RATES.coatBoard,
      brush: 11,
    })
    expect(USUAL_RATES.coatBoard.brush).toBe(7)
  })
})

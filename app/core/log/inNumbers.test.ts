// Worked by hand, figure by figure: what times, rates and clashes come to, and what does not count.
import { inches } from '~/length'
import { type Act, USUAL_RATES, USUAL_WORK, type WorkAct } from '~/model'
import { actClashes } from './clashes'
import { learnRates, rateFrom, type Sample, sampleOf, samplesOf, workWithLearned } from './rates'
import { running, workedOnJob, workedOnWall } from './worked'

const MIN = 60_000
let n = 0
const act = (kind: string, minute: number, more: object = {}) =>
  ({ id: `num-${String(++n).padStart(6, '0')}`, kind, doneAt: minute * MIN, ...more }) as Act
const job = (kind: string, minute: number, more: object = {}) => act(kind, minute, more) as unknown as WorkAct
const spans = (acts: readonly Act[]) =>
  workedOnWall(acts).map(({ of, by, from, to, ticks }) => [
    of,
    by,
    from / MIN,
    to === null ? null : to / MIN,
    ticks,
  ])

describe('time by ticks', () => {
  const cut = (minute: number, member: string | null = null) => act('pieceCut', minute, { member })
  test('each kind of tick is of its stage; twenty minutes are no pause, a moment more is; spans are told oldest first', () => {
    expect(spans([cut(0), cut(20), cut(40.001), cut(41)])).toEqual([
      ['cut', 'ticks', 0, 20, 1],
      ['cut', 'ticks', 40.001, 41, 1],
    ])
    const kinds = ['finishDone', 'marked', 'pieceUp'].flatMap((kind, i) => [act(kind, i), act(kind, i + 5)])
    expect(spans(kinds)).toEqual([
      ['finish', 'ticks', 0, 5, 1],
      ['mark', 'ticks', 1, 6, 1],
      ['fit', 'ticks', 2, 7, 1],
    ])
    expect(spans([cut(9), cut(3), cut(6)])).toEqual([['cut', 'ticks', 3, 9, 2]])
  })

  test('made in one go they tell nothing: eight seconds apart on the mean do, a little less does not', () => {
    const apart = (seconds: number) => [0, 1, 2].map((i) => cut((i * seconds) / 60))
    expect(spans(apart(8))).toHaveLength(1)
    expect(spans(apart(7.9))).toEqual([])
  })

  test('what was pressed covers only ticks of its stage, of its person and in its time', () => {
    const pressed = (stage: string, member: string | null) => [
      act('began', 0, { stage, member }),
      act('ended', 10, { stage, member, counted: null }),
    ]
    const ticks = [cut(2, 'ann'), cut(6, 'ann')]
    const by = (acts: readonly Act[]) => workedOnWall(acts).map((each) => each.by)
    expect(by([...pressed('cut', 'ann'), ...ticks])).toEqual(['pressed'])
    expect(by([...pressed('fit', 'ann'), ...ticks])).toEqual(['pressed', 'ticks'])
    expect(by([...pressed('cut', 'bo'), ...ticks])).toEqual(['pressed', 'ticks'])
    expect(by([...pressed('cut', 'ann'), cut(12, 'ann'), cut(16, 'ann')])).toEqual(['pressed', 'ticks'])
    const [own] = workedOnWall([
      ...pressed('cut', 'ann'),
      ...ticks,
      cut(10, 'ann'),
      cut(11, 'ann'),
      cut(3, 'bo'),
    ])
    expect(own?.ticks).toBe(3)
    // still running it covers all that comes
    const runs = [act('began', 0, { stage: 'cut', member: 'ann' }), ...ticks]
    expect(by(runs)).toEqual(['pressed'])
    expect(running(workedOnWall(runs), 'cut', 'ann')?.ticks).toBe(2)
    expect(running(workedOnWall(runs), 'fit', 'ann')).toBeNull()
    expect(running(workedOnWall(runs), 'cut', 'bo')).toBeNull()
  })
})

describe('time on tasks', () => {
  test('begun, ended with its count, ticked, typed; an end where nothing was begun is none; what was struck out is gone', () => {
    const counted = { rate: 'sandBoard', amount: 6, less: 0, planned: 6 }
    const began = job('taskBegan', 0, { task: 't', counted })
    const typed = job('timed', 50, { task: 'u', from: 5 * MIN, to: 9 * MIN, counted: null })
    const acts = [
      job('taskEnded', -5, { task: 't', counted: null }),
      began,
      job('taskEnded', 30, { task: 't', counted }),
      job('taskBegan', 40, { task: 't' }),
      job('taskDone', 45, { task: 't', at: 0 }),
      typed,
      job('taskUndone', 60, { task: 't' }),
    ]
    const told = (all: readonly WorkAct[]) =>
      workedOnJob(all).map(({ of, from, to, by, counted: c }) => [of, from / MIN, (to ?? 0) / MIN, by, c])
    expect(told(acts)).toEqual([
      ['t', 0, 30, 'pressed', counted],
      ['u', 5, 9, 'typed', null],
      ['t', 40, 45, 'pressed', null],
    ])
    const struck = [began, typed].map(({ id }, i) => job('struck', 70 + i, { entry: id }))
    expect(told([...acts, ...struck])).toEqual([['t', 40, 45, 'pressed', null]])
    expect(workedOnJob([job('timed', 1, { task: 'u', from: 9, to: 9, counted: null })])[0]?.backwards).toBe(
      true,
    )
  })
})

describe('rates in numbers', () => {
  const DAY = 86_400_000
  const sample = (value: number, at = 0, id = `s${value}`): Sample => ({
    id,
    job: id,
    at,
    rate: 'cutOne',
    amount: 1,
    minutes: value,
    value,
  })
  const learn = (values: readonly Sample[], now = 0) => learnRates(values, now)[0]
  test('median and middle half of plain and of fading samples; the newest is shown first', () => {
    expect(learn([4, 1, 3, 2, 5].map((v) => sample(v)))).toMatchObject({
      median: 3,
      low: 2,
      high: 4,
      jobs: 5,
    })
    expect(learn([1, 2, 3, 4].map((v) => sample(v)))).toMatchObject({ median: 2.5, low: 1.5, high: 3.5 })
    // a year old counts half: 1/2, 1/2 and 1 reach their half right between 2 and 3
    const aged = [sample(1, 0), sample(2, 0), sample(3, 365 * DAY)]
    const found = learn(aged, 365 * DAY)
    expect(found?.median).toBe(2.5)
    expect(found?.samples.map(({ value, weight }) => [value, weight])).toEqual([
      [3, 1],
      [1, 0.5],
      [2, 0.5],
    ])
  })

  test('far off: a modified z-score over 3.5, of four samples at least; where most are alike by half or more', () => {
    const outs = (...values: readonly number[]) =>
      learn(values.map((v, i) => sample(v, 0, `o${i}`)))?.samples.flatMap(({ value, out }) =>
        out ? [value] : [],
      )
    // about 11 1/2, spread 1: 0.6745 x 5 = 3.37 stays, 0.6745 x 5.5 = 3.71 goes
    expect(outs(10, 11, 12, 10, 12, 16.5)).toEqual([])
    expect(outs(10, 11, 12, 10, 12, 17)).toEqual([17])
    expect(outs(5, 5, 50)).toEqual([])
    // all alike but one: 0.15 of the middle is its unit, so 3.5 of it are 52.5 in a hundred
    expect(outs(100, 100, 100, 100, 152)).toEqual([])
    expect(outs(100, 100, 100, 100, 153)).toEqual([153])
    expect(outs(100, 100, 100, 47)).toEqual([47])
  })

  test('one sample for all times of a thing: pauses add up, a count stands, set-ups come off, what runs and nothing are left out', () => {
    const counted = { rate: 'caulkFeet' as const, amount: 40, less: 5, planned: 40 }
    const worked = (of: string, from: number, to: number | null, more: object = {}) => ({
      id: `${of}${from}`,
      of,
      member: null,
      from: from * MIN,
      to: to === null ? null : to * MIN,
      by: 'pressed' as const,
      counted: null,
      backwards: false,
      ticks: 0,
      ...more,
    })
    const all = [
      worked('cut', 0, 10, { ticks: 3 }),
      worked('cut', 20, 30, { ticks: 2 }),
      worked('cut', 40, null, { ticks: 9 }),
      worked('cut', 50, 50, { ticks: 9 }),
      worked('caulk', 0, 20, { counted }),
      worked('caulk', 30, 45, { counted: { ...counted, amount: 30 } }),
      worked('log', 0, 9, { ticks: 4 }),
      worked('mark', 0, 6, { ticks: 6 }),
      worked('fit', 0, 6, { ticks: 2 }),
    ]
    const found = samplesOf('j', 'wall/w', all, 60 * MIN)
    expect(
      found.map(({ id, rate, amount, minutes, value, at }) => [id, rate, amount, minutes, value, at / MIN]),
    ).toEqual([
      ['wall/w/cut', 'cutOne', 5, 20, 4, 30],
      // forty feet in 35 minutes less 5 and 5: 96 an hour
      ['wall/w/caulk', 'caulkFeet', 40, 25, 96, 45],
      ['wall/w/mark', 'markOne', 6, 6, 1, 6],
      ['wall/w/fit', 'fitOne', 2, 6, 3, 6],
    ])
    expect(samplesOf('j', '', all, 0)[0]?.id).toBe('cut')
    expect(sampleOf({ id: 'x', job: 'j', at: 1 }, 'fillOne', 30, 15)?.value).toBe(120)
  })

  test('of each way of painting its own; what was typed is one’s own', () => {
    const learned = [
      { rate: 'wallFeet.roller' as const, median: 333.333 },
      { rate: 'coatBoard.brush' as const, median: 8.5 },
    ]
    const { rates } = workWithLearned(USUAL_WORK, learned)
    expect(rates.wallFeet).toEqual({ ...USUAL_RATES.wallFeet, roller: 333.33 })
    expect(rates.coatBoard).toEqual({ ...USUAL_RATES.coatBoard, brush: 8.5 })
    expect(USUAL_WORK.rates).toEqual(USUAL_RATES)
    expect(workWithLearned(USUAL_WORK, [])).toBe(USUAL_WORK)
    expect(rateFrom(USUAL_RATES, 'wallFeet.roller', learned)).toBe('log')
    expect(rateFrom(USUAL_RATES, 'cutOne', learned)).toBe('usual')
    expect(rateFrom({ ...USUAL_RATES, cutOne: 9 }, 'cutOne', [{ rate: 'cutOne' }])).toBe('own')
  })
})

describe('clashes, case by case', () => {
  const of = (kind: string, minute: number, member: string | null, more: object = {}) =>
    act(kind, minute, { release: 'list', piece: 'A1', member, from: 'board', ...more })
  const read = (minute: number, off: number | null, more: object = {}) =>
    act('builtAt', minute, {
      strip: 'b',
      edge: 'left',
      place: off === null ? null : inches(20) + off,
      planned: inches(20),
      with: 'tape',
      ...more,
    })
  const kinds = (...acts: readonly Act[]) => actClashes(acts, 100).map(({ kind }) => kind)
  test('who and when stand beside each', () => {
    const up = [of('pieceUp', 1, 'ann'), of('pieceUp', 2, null)]
    expect(actClashes(up, 1)[0]?.acts).toEqual([
      { id: up[0]?.id, member: 'ann', at: MIN },
      { id: up[1]?.id, member: null, at: 2 * MIN },
    ])
    const reads = [read(1, 0), read(2, 200)]
    expect(actClashes(reads, 100)[0]?.acts.map(({ id }) => id)).toEqual(reads.map(({ id }) => id))
    const spoiled = [of('spoiled', 1, 'ann'), of('pieceUp', 2, 'bo')]
    expect(actClashes(spoiled, 100)[0]?.acts.map(({ id }) => id)).toEqual(spoiled.map(({ id }) => id))
  })
  // before, one piece cut by two phones was kept twice and nobody was told
  test('cut twice: by two phones or one, whenever, unless it was spoiled or not cut after all between', () => {
    const cuts = [of('pieceCut', 1, 'ann'), of('pieceCut', 500, 'bo')]
    expect(actClashes(cuts, 1)).toEqual([
      expect.objectContaining({
        kind: 'cutTwice',
        acts: [
          { id: cuts[0]?.id, member: 'ann', at: MIN },
          { id: cuts[1]?.id, member: 'bo', at: 500 * MIN },
        ],
      }),
    ])
    expect(kinds(of('pieceCut', 1, null), of('pieceCut', 2, null))).toEqual(['cutTwice'])
    expect(kinds(of('pieceCut', 1, 'ann'), of('pieceUncut', 2, 'ann'), of('pieceCut', 3, 'bo'))).toEqual([])
    expect(kinds(of('pieceCut', 1, 'ann'), of('spoiled', 2, 'ann'), of('pieceCut', 3, 'ann'))).toEqual([])
    expect(kinds(of('pieceCut', 1, 'ann'), of('pieceUp', 2, 'bo'))).toEqual([])
    // settled it is told no more
    const settled = act('struck', 600, { entry: cuts[1]?.id })
    expect(kinds(...cuts, settled)).toEqual([])
  })
  test('up, spoiled and off again by two people within ten minutes of each other', () => {
    expect(kinds(of('spoiled', 1, 'ann'), of('pieceUp', 2, 'bo'))).toEqual(['spoiledUp'])
    expect(kinds(of('pieceUp', 1, 'ann'), of('spoiled', 2, 'bo'))).toEqual(['spoiledUp'])
    expect(kinds(of('pieceUp', 1, 'ann'), of('spoiled', 2, 'ann'))).toEqual([])
    expect(kinds(of('pieceUp', 1, 'ann'), of('spoiled', 11, 'bo'))).toEqual([])
    expect(kinds(of('spoiled', 1, 'ann'), of('spoiled', 2, 'bo'))).toEqual([])
    expect(kinds(of('pieceDown', 1, 'ann'), of('spoiled', 2, 'bo'))).toEqual([])
    expect(kinds(of('pieceUp', 1, 'ann'), of('pulledOff', 2, 'ann'), of('pieceUp', 3, 'bo'))).toEqual([])
    expect(kinds(of('pieceUp', 1, 'ann'), of('pieceCut', 2, 'bo'), of('pieceUp', 3, 'bo'))).toEqual([
      'upTwice',
    ])
    expect(kinds(of('pieceUp', 1, 'a'), of('pieceUp', 2, 'b', { piece: 'A2' }))).toEqual([])
    expect(kinds(of('pieceUp', 1, 'a'), of('pieceUp', 2, 'b', { release: 'other' }))).toEqual([])
  })
  test('read twice: farther apart than allowed, the same edge, within ten minutes, neither taken back; heights like places', () => {
    expect(kinds(read(1, 0), read(2, 101))).toEqual(['readTwice'])
    expect(kinds(read(1, 0), read(2, 100))).toEqual([])
    expect(kinds(read(1, 0), read(11, 500))).toEqual([])
    expect(kinds(read(1, 0), read(2, 500, { edge: 'right' }))).toEqual([])
    expect(kinds(read(1, null), read(2, 500))).toEqual([])
    expect(kinds(read(1, 0), read(2, null))).toEqual([])
    const high = (minute: number, off: number) => read(minute, off, { kind: 'builtHeight', edge: 'bottom' })
    expect(kinds(high(1, 0), high(2, 500))).toEqual(['readTwice'])
    // a rail's height is not where an upright of that name stands
    expect(kinds(read(1, 0, { edge: 'bottom' }), high(2, 500))).toEqual([])
  })
})

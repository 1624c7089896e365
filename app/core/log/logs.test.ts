import fc from 'fast-check'
import { runs } from '../../../tests/anyWall'
import { factsOf } from '../../../tests/demoFacts'
import { inches } from '~/length'
import { type Act, startingSettings, USUAL_WORK, type YardAct } from '~/model'
import { orderOfWork } from '../sequence/orderOfWork'
import { actClashes } from './clashes'
import { spentOn } from './cost'
import { countedOf } from './counted'
import { dayPages } from './dayPages'
import { estimateAndActual } from './estimates'
import { workedOnWall } from './worked'

let n = 0
const act = (kind: string, at: number, more: object = {}) =>
  ({ id: `log-${String(++n).padStart(6, '0')}`, kind, doneAt: at * 60_000, ...more }) as Act
const piece = (kind: string, at: number, name: string, member: string | null, more: object = {}) =>
  act(kind, at, { release: 'list-0001', piece: name, member, ...more })

describe('what two phones did that can not both hold', () => {
  test('fitted twice, spoiled while it was fitted, read twice: both are told; what came down between is none', () => {
    const acts = [
      piece('pieceUp', 1, 'A1', 'ann'),
      piece('pieceUp', 2, 'A1', 'bo'),
      piece('pieceUp', 3, 'A2', 'ann'),
      piece('pieceDown', 4, 'A2', 'ann'),
      piece('pieceUp', 5, 'A2', 'bo'),
      piece('spoiled', 6, 'A3', 'ann', { from: 'board' }),
      piece('pieceUp', 7, 'A3', 'bo'),
      act('builtAt', 8, {
        strip: 'batten-2',
        edge: 'left',
        place: inches(20),
        planned: inches(20),
        with: 'tape',
        member: 'ann',
      }),
      act('builtAt', 9, {
        strip: 'batten-2',
        edge: 'left',
        place: inches(21),
        planned: inches(20),
        with: 'tape',
        member: 'bo',
      }),
    ]
    expect(actClashes(acts, inches(1 / 16)).map(({ kind, piece: name }) => [kind, name])).toEqual([
      ['upTwice', 'A1'],
      ['spoiledUp', 'A3'],
      ['readTwice', 'batten-2'],
    ])
    const settled = act('struck', 10, { entry: acts[1]?.id })
    expect(actClashes([...acts, settled], inches(1 / 16)).map(({ kind }) => kind)).not.toContain('upTwice')
  })
  test('law: in whatever order acts arrive the same clashes are found', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            kind: fc.constantFrom('pieceUp', 'pieceDown', 'spoiled'),
            at: fc.integer({ min: 0, max: 200 }),
            name: fc.constantFrom('A1', 'A2'),
            member: fc.constantFrom('ann', 'bo'),
          }),
          { maxLength: 12 },
        ),
        fc.nat(),
        (all, turn) => {
          const acts = all.map(({ kind, at, name, member }, i) =>
            piece(kind, at * 20 + i, name, member, { from: 'board' }),
          )
          const other = [...acts.slice(turn % (acts.length + 1)), ...acts.slice(0, turn % (acts.length + 1))]
          expect(actClashes(other, 1)).toEqual(actClashes(acts, 1))
        },
      ),
      { numRuns: runs(60) },
    )
  })
})

describe('a day’s page writes itself', () => {
  const dayOf = (at: number) => Math.floor(at / 86_400_000)
  test('what was done by one person on one day is one line; notes with their place; what was struck out is gone', () => {
    const note = act('noted', 30, {
      what: 'split',
      text: 'end split',
      at: { x: inches(4), y: inches(8) },
      photo: null,
    })
    const used = act('used', 31, { product: 'Filler', color: '', batch: 'F9' })
    const acts = [
      ...[1, 4, 9].map((at, i) => piece('pieceUp', at, `A${i + 1}`, null)),
      piece('pieceUp', 12, 'B1', 'bo'),
      note,
      used,
      piece('pieceUp', 1_500, 'B2', null),
      act('struck', 40, { entry: used.id }),
    ]
    const pages = dayPages([{ place: 'Den', acts, worked: workedOnWall(acts) }], 2_000 * 60_000, dayOf)
    expect(pages.map(({ day }) => day)).toEqual([1, 0])
    const lines = pages[1]?.lines ?? []
    expect(lines.filter(({ kind }) => kind === 'done').map((line) => 'names' in line && line.names)).toEqual([
      ['A1', 'A2', 'A3'],
      ['B1'],
    ])
    expect(lines.find(({ kind }) => kind === 'worked')).toMatchObject({ of: 'fit', by: 'ticks', minutes: 8 })
    expect(lines.find(({ kind }) => kind === 'noted')).toMatchObject({
      text: 'end split',
      spot: note.kind === 'noted' ? note.at : null,
    })
    expect(lines.some(({ kind }) => kind === 'used')).toBe(false)
  })
})

describe('estimates, counts and cost', () => {
  const rooms = factsOf('back-bedroom')
  test('a task counts what its rate speaks of, and its time by the rate is its estimate', () => {
    const tasks = orderOfWork(rooms, USUAL_WORK).tasks
    const counted = tasks.map((task) => [task, countedOf(task, rooms, USUAL_WORK)] as const)
    const kinds = new Set(counted.flatMap(([task, each]) => (each ? [task.kind] : [])))
    for (const kind of ['mark', 'cut', 'fit', 'prepare', 'caulk', 'fill'] as const)
      expect(kinds).toContain(kind)
    for (const [task, each] of counted) {
      if (!each || task.kind !== 'mark') continue
      expect(Math.abs(each.amount * USUAL_WORK.rates.markOne - task.minutes)).toBeLessThanOrEqual(5)
    }
  })
  test('only what was timed is compared, estimate beside what it took', () => {
    const tasks = orderOfWork(rooms, USUAL_WORK).tasks.map((task) => ({ task }))
    const fit = tasks.find(({ task }) => task.kind === 'fit')?.task
    const worked = {
      id: 'w1', of: 'fit', member: null, from: 0, to: 50 * 60_000, by: 'pressed' as const, counted: null, backwards: false, ticks: 0, wall: fit?.wall ?? null,
    } // prettier-ignore
    const found = estimateAndActual(tasks, [worked], 0)
    const estimated = tasks
      .filter(({ task }) => task.kind === 'fit' && task.wall === fit?.wall)
      .reduce((sum, { task }) => sum + task.minutes, 0)
    expect(found).toEqual([{ kind: 'fit', estimated, actual: 50 }])
    expect(estimateAndActual(tasks, [], 0)).toEqual([])
  })
  test('cost to the cent: what was paid, else the list; put back it takes its price along', () => {
    const settings = startingSettings('inches', '1/16')
    const offers = settings.shop.offers.map((offer, i) => (i === 0 ? { ...offer, price: 725 } : offer))
    const [first, second] = offers
    const bought = (at: number, offer: typeof first, count: number, paid: number | null) =>
      ({
        id: `buy-${at}-0000`,
        kind: 'bought',
        doneAt: at,
        job: 'j',
        material: offer?.material,
        length: offer?.length,
        count,
        paid,
      }) as YardAct
    const of = { ...settings, shop: { ...settings.shop, offers } }
    const acts = [
      bought(1, first, 2, 699),
      bought(2, first, 1, null),
      bought(3, second, 2, null),
      bought(4, first, -1, null),
    ]
    const found = spentOn(acts, 'j', of)
    expect(found.map(({ count, sum, unpriced }) => [count, sum, unpriced])).toEqual([
      [2, Math.round(((2 * 699 + 725) * 2) / 3), 0],
      [2, 0, 2],
    ])
    expect(spentOn(acts, 'other', of)).toEqual([])
  })
})

import fc from 'fast-check'
import { inches, nanometers } from '~/length'
import type { YardAct } from '~/model'
import { boardsCut, boughtOf, nextLabel, onHandOf, rackOf, uncutOf, wishOf } from './yardState'
import {
  boughtBoards,
  cutForNothing,
  inHandOf,
  jobRequests,
  likeliestPiece,
  sourceOf,
  stillToCut,
} from './jobRequests'
import type { JobPiece } from './wallLeft'
import { USUAL_WISH } from './yardState'
import { startingSettings } from '~/model'
import { firstBoards } from '../stock'

let at = 0
const act = (kind: YardAct['kind'], more: object): YardAct =>
  ({ id: `act-${String(++at).padStart(6, '0')}`, kind, doneAt: at, ...more }) as YardAct

const PINE = 'pine-1x3'
const of = (feet: number) => ({ material: PINE, length: inches(feet * 12) })

describe('the rack', () => {
  test('holds what was left of a board, until it is cut from, gone, or the board was not cut after all', () => {
    const cut = act('boardCut', {
      job: 'job',
      ...of(8),
      from: 'bought',
      offcut: null,
      pieces: [{ id: 'w/a', length: inches(50) }],
      left: 1,
    })
    const left = act('racked', { ...of(2), label: 'R1', job: 'job', of: cut.id })
    const found = act('racked', { ...of(4), label: 'R2', job: null, of: null })
    expect(rackOf([cut, left, found]).map(({ label }) => label)).toEqual(['R2', 'R1'])
    expect(rackOf([cut, left, found, act('boardUncut', { job: 'job', cut: cut.id })])).toHaveLength(1)
    const used = act('boardCut', {
      job: 'other',
      ...of(4),
      from: 'rack',
      offcut: found.id,
      pieces: [{ id: 'v/b', length: inches(50) }],
      left: 0,
    })
    expect(rackOf([cut, left, found, used]).map(({ label }) => label)).toEqual(['R1'])
    // not cut after all: the offcut it was to be cut from lies there again
    const back = act('boardUncut', { job: 'other', cut: used.id })
    expect(rackOf([cut, left, found, used, back])).toHaveLength(2)
    const shorter = act('measured', { offcut: left.id, length: inches(23) })
    expect(rackOf([cut, left, shorter])[0]?.length).toBe(inches(23))
    expect(rackOf([cut, left, act('gone', { offcut: left.id })])).toEqual([])
  })

  test('a label that was written once is not given again', () => {
    const acts = [act('racked', { ...of(2), label: 'R7', job: null, of: null })]
    expect(nextLabel(acts)).toBe('R8')
    expect(nextLabel([...acts, act('gone', { offcut: acts[0]?.id })])).toBe('R8')
    expect(nextLabel([])).toBe('R1')
  })
})

describe('boards on hand and bought', () => {
  test('a count stands until the next one, less what was cut since', () => {
    const counted = act('counted', { ...of(8), count: 3 })
    const cut = act('boardCut', {
      job: 'job',
      ...of(8),
      from: 'hand',
      offcut: null,
      pieces: [{ id: 'w/a', length: inches(50) }],
      left: 0,
    })
    expect(onHandOf([counted, cut])).toEqual([{ ...of(8), count: 2 }])
    expect(onHandOf([counted, cut, act('boardUncut', { job: 'job', cut: cut.id })])[0]?.count).toBe(3)
    expect(onHandOf([counted, cut, act('counted', { ...of(8), count: 0 })])).toEqual([])
  })

  test('what is bought is the job’s own; what is cut of it is no more to be cut', () => {
    const acts = [
      act('bought', { job: 'job', ...of(8), count: 3, paid: 700 }),
      act('bought', { job: 'job', ...of(8), count: 1, paid: null }),
      act('boardCut', {
        job: 'job',
        ...of(8),
        from: 'bought',
        offcut: null,
        pieces: [{ id: 'w/a', length: inches(50) }],
        left: 0,
      }),
    ]
    expect(boughtOf(acts, 'job')).toEqual([{ ...of(8), count: 4, paid: 2100, paidFor: 3 }])
    expect(uncutOf(acts, 'job')).toEqual([{ ...of(8), count: 3 }])
    expect(boughtOf(acts, 'other')).toEqual([])
  })

  test('in the cart and back again is nothing, whatever was paid', () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ count: fc.integer({ min: 1, max: 5 }), paid: fc.option(fc.nat(2_000)) }), {
          minLength: 1,
          maxLength: 6,
        }),
        (bundles) => {
          const into = bundles.map(({ count, paid }) => act('bought', { job: 'job', ...of(10), count, paid }))
          const all = bundles.reduce((sum, { count }) => sum + count, 0)
          const one = () => act('bought', { job: 'job', ...of(10), count: -1, paid: null })
          const [half] = boughtOf([...into, ...Array.from({ length: all - 1 }, one)], 'job')
          expect(half?.count).toBe(1)
          expect(half?.paid ?? 0).toBeGreaterThanOrEqual(0)
          expect(boughtOf([...into, ...Array.from({ length: all }, one)], 'job')).toEqual([])
        },
      ),
    )
  })
})

const settings = {
  ...startingSettings('inches', '1/16'),
  shop: {
    ...startingSettings('inches', '1/16').shop,
    offers: [8, 12].map((feet) => ({ id: `o${feet}`, ...of(feet), price: feet * 80 })),
  },
}
const piece = (id: string, length: number, wall = 'w'): JobPiece => ({
  id: `${wall}/${id}`,
  wall,
  label: 'A',
  material: PINE,
  length: inches(length),
})
const wanted = (acts: readonly YardAct[], more: Partial<typeof USUAL_WISH> = {}) => ({
  wish: { ...USUAL_WISH, ...more },
  inHand: inHandOf(acts, 'job', [], settings),
  out: [],
})

describe('what a job asks', () => {
  test('in hand comes before bought: the rack, the boards on hand, those in the cart; each no more than there are', () => {
    const acts = [
      act('counted', { ...of(8), count: 1 }),
      act('bought', { job: 'job', ...of(8), count: 1, paid: null }),
      act('racked', { material: PINE, length: inches(41), label: 'R1', job: null, of: null }),
    ]
    const pieces = Array.from({ length: 7 }, (_, i) => piece(`p${i}`, 40))
    const [request] = jobRequests(pieces, settings, wanted(acts))
    if (!request) throw new Error('nothing asked')
    const plan = firstBoards(request)
    if (!plan.ok) throw new Error(plan.issue.code)
    const from = plan.value.boards.map(({ offerId }) => sourceOf(offerId).from).sort()
    // two from each whole board in hand, one from the rack, two still to buy
    expect(from).toEqual(['bought', 'buy', 'hand', 'rack'])
    expect(plan.value.known.sum).toBe(640)
  })

  test('lengths that do not go in the car, and those out of stock, are not asked for', () => {
    const offers = (more: object) =>
      jobRequests([piece('p', 40)], settings, { ...wanted([]), ...more })[0]?.offers.map(({ id }) => id)
    expect(offers({})).toEqual(['buy:o8', 'buy:o12'])
    expect(offers({ wish: { ...USUAL_WISH, longest: inches(96) } })).toEqual(['buy:o8'])
    expect(offers({ out: ['o8'] })).toEqual(['buy:o12'])
  })

  test('a board that truly is longer is cut as it is; sold and found again as what it is sold as', () => {
    const over = {
      ...settings,
      shop: {
        ...settings.shop,
        offers: [{ id: 'o8', ...of(8), price: 640, trueLength: inches(96.5) }],
      },
    }
    const acts = [act('counted', { ...of(8), count: 1 })]
    const [request] = jobRequests([piece('p', 96.25)], over, wanted(acts))
    expect(request?.offers.map(({ id, length }) => [id, length])).toEqual([
      [`hand:${inches(96)}`, inches(96.5)],
      ['buy:o8', inches(96.5)],
    ])
    expect(sourceOf(`hand:${inches(96)}`)).toEqual({ from: 'hand', length: inches(96) })
  })

  test('spares are of the likeliest piece, and those that are cut are not asked for again', () => {
    const pieces = [piece('a', 50), piece('b', 20), piece('c', 20)]
    expect(likeliestPiece(pieces)?.length).toBe(inches(20))
    const spares = (acts: readonly YardAct[]) =>
      jobRequests(pieces, settings, wanted(acts, { spares: { [PINE]: 2 } }))[0]?.pieces.filter(({ id }) =>
        id.startsWith('spare/'),
      ).length
    expect(spares([])).toBe(2)
    const cut = act('boardCut', {
      job: 'job',
      ...of(8),
      from: 'hand',
      offcut: null,
      pieces: [{ id: 'spare/1', length: inches(50) }],
      left: 0,
    })
    expect(spares([cut])).toBe(1)
  })

  test('pieces on boards that are cut are not planned again, in this job alone', () => {
    const pieces = [piece('a', 50), piece('a', 50, 'v')]
    const cut = act('boardCut', {
      job: 'job',
      ...of(8),
      from: 'hand',
      offcut: null,
      pieces: [{ id: 'w/a', length: inches(50) }],
      left: 0,
    })
    expect(stillToCut(pieces, [cut], 'job').map(({ id }) => id)).toEqual(['v/a'])
    expect(stillToCut(pieces, [cut], 'other')).toHaveLength(2)
    expect(boardsCut([cut])).toHaveLength(1)
  })

  test('a piece cut before the layout went on is planned anew, and what was cut for nothing is told', () => {
    const cut = act('boardCut', {
      job: 'job',
      ...of(8),
      from: 'hand',
      offcut: null,
      pieces: [{ id: 'w/a', length: inches(50) }],
      left: 0,
    })
    const longer = piece('a', 51)
    expect(stillToCut([longer], [cut], 'job')).toEqual([longer])
    expect(cutForNothing([longer], new Set(), ['w'], [cut], 'job')).toEqual(['w/a'])
    expect(stillToCut([{ ...piece('a', 50), material: 'pine-1x4' }], [cut], 'job')).toHaveLength(1)
    // gone from the layout altogether; of a wall that is not looked at nothing is said
    expect(cutForNothing([], new Set(), ['w'], [cut], 'job')).toEqual(['w/a'])
    expect(cutForNothing([], new Set(), ['v'], [cut], 'job')).toEqual([])
    expect(cutForNothing([piece('a', 50)], new Set(), ['w'], [cut], 'job')).toEqual([])
  })

  test('strips ripped from a sheet are no boards to buy', () => {
    const ripped = {
      ...settings,
      shop: {
        ...settings.shop,
        ripped: { [PINE]: 'sheet' },
        sheets: [
          {
            id: 'sheet',
            stuff: 'mdf' as const,
            width: inches(48),
            length: inches(96),
            thickness: inches(3 / 4),
            edge: inches(0),
            price: null,
          },
        ],
      },
    }
    const [request] = jobRequests([piece('p', 40)], ripped, wanted([]))
    if (!request) throw new Error('nothing asked')
    const plan = firstBoards(request)
    if (!plan.ok) throw new Error(plan.issue.code)
    expect(plan.value.boards).toHaveLength(1)
    expect(boughtBoards(plan.value, ripped)).toEqual([])
  })

  test('the last wish stands', () => {
    const first = act('wished', {
      job: 'job',
      longest: inches(96),
      spares: {},
      sparePercent: null,
      rackFrom: inches(9),
    })
    expect(
      wishOf([first, act('wished', { job: 'other', longest: null, spares: {}, rackFrom: 0 })], 'job'),
    ).toEqual({
      longest: inches(96),
      spares: {},
      sparePercent: null,
      rackFrom: inches(9),
    })
    expect(wishOf([], 'job')).toEqual(USUAL_WISH)
  })
})

test('a life of a job: planned, bought, cut board by board; at the end nothing is left to cut and nothing was lost', () => {
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 12, max: 90 }), { minLength: 1, maxLength: 12 }),
      fc.array(fc.integer({ min: 20, max: 60 }), { maxLength: 3 }),
      fc.nat(2),
      (lengths, offcuts, onHand) => {
        const pieces = lengths.map((length, i) => piece(`p${i}`, length))
        let acts: YardAct[] = [
          act('counted', { ...of(8), count: onHand }),
          ...offcuts.map((length, i) =>
            act('racked', {
              material: PINE,
              length: inches(length),
              label: `R${i + 1}`,
              job: null,
              of: null,
            }),
          ),
        ]
        const before = rackOf(acts).length
        let fromRack = 0
        for (let round = 0; round < 40; round++) {
          const [request] = jobRequests(stillToCut(pieces, acts, 'job'), settings, wanted(acts))
          if (!request) break
          const plan = firstBoards(request)
          if (!plan.ok) throw new Error(plan.issue.code)
          const [board] = plan.value.boards
          if (!board) break
          const source = sourceOf(board.offerId)
          if (source.from === 'buy')
            acts = [
              ...acts,
              act('bought', { job: 'job', ...of(board.length / inches(12)), count: 1, paid: null }),
            ]
          if (source.from === 'rack') fromRack += 1
          acts = [
            ...acts,
            act('boardCut', {
              job: 'job',
              material: PINE,
              length: 'length' in source ? source.length : board.length,
              from: source.from === 'buy' ? 'bought' : source.from,
              offcut: source.from === 'rack' ? source.offcut : null,
              pieces: board.pieces.map(({ pieceId, length }) => ({ id: pieceId, length })),
              left: board.offcut,
            }),
          ]
        }
        expect(stillToCut(pieces, acts, 'job')).toEqual([])
        expect(rackOf(acts)).toHaveLength(before - fromRack)
        expect(uncutOf(acts, 'job')).toEqual([])
        expect(onHandOf(acts).reduce((sum, { count }) => sum + count, 0)).toBeLessThanOrEqual(onHand)
        expect(nanometers(0)).toBe(0)
      },
    ),
    { numRuns: 60 },
  )
})

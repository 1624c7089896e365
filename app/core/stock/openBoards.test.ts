import { inches, type Length } from '~/length'
import type { BoardPlan, CutBoard } from './boardPlan'
import type { BoardRequest } from './cuttingProblem'
import {
  asCutSoFar,
  isInHand,
  leftPieceOf,
  newBoards,
  offersInHand,
  type OpenBoard,
  restOf,
  withOpen,
} from './openBoards'

const [kerf, endTrim] = [inches(1 / 8), inches(1 / 2)]

const openBoard = (number: number, lengths: readonly number[], more: Partial<OpenBoard> = {}): OpenBoard => ({
  materialId: 'm',
  number,
  length: inches(96),
  of: null,
  pieces: lengths.map((length, i) => ({
    pieceId: `b${number}-${i}`,
    label: `A${i}`,
    length: inches(length),
    spoiled: false,
  })),
  ...more,
})

const board = (
  number: number,
  offerId: string,
  pieces: readonly (readonly [id: string, length: number])[],
  price: number | null = 500,
): CutBoard => {
  let from = 0
  return {
    number,
    offerId,
    length: inches(96),
    price,
    pieces: pieces.map(([pieceId, length]) => {
      const piece = { pieceId, label: 'A', from: inches(from), length: inches(length) }
      from += length + 1 / 8
      return piece
    }),
    offcut: inches(96 - 1 / 2 - from),
  }
}

function planOf(boards: readonly CutBoard[], more: Partial<BoardPlan> = {}): BoardPlan {
  const sum = boards.reduce((all, { price }) => all + (price ?? 0), 0)
  return {
    materialId: 'm',
    boards,
    cost: sum,
    known: { sum, unpricedBoards: 0, lengths: 1, pricedLengths: 1 },
    bought: inches(96 * boards.length),
    used: inches(0),
    waste: 0,
    spares: [],
    proven: true,
    bound: sum,
    ...more,
  }
}

function requestOf(pieces: readonly (readonly [id: string, length: number, label?: string])[]): BoardRequest {
  return {
    materialId: 'm',
    kerf,
    endTrim,
    offers: [{ id: 'buy', length: inches(96), price: 500 }],
    pieces: pieces.map(([id, length, label = 'A']) => ({ id, label, length: inches(length) })),
  }
}

describe('what is left of a board something was cut from', () => {
  test('is as long as the board that holds as much: less each piece and a kerf after it', () => {
    expect(restOf(openBoard(1, [30, 20]), kerf)).toBe(inches(96 - 30 - 20 - 2 / 8))
    expect(restOf(openBoard(1, []), kerf)).toBe(inches(96))
    expect(restOf(openBoard(1, [60, 40]), kerf)).toBe(0)
  })

  test('is on offer once, for nothing, and so is a piece cut for nothing, which needs no trim; what is used up is not', () => {
    const over = [{ name: 'B2', materialId: 'm', length: inches(33) }]
    expect(offersInHand([openBoard(3, [30]), openBoard(4, [60, 40])], over, { kerf, endTrim })).toEqual([
      { id: 'open:3', length: inches(96 - 30 - 1 / 8), price: 0, limit: 1 },
      { id: 'over:B2', length: inches(33 + 1 / 2), price: 0, limit: 1 },
    ])
  })

  test('is told from what is bought by its offer', () => {
    const plan = planOf([board(1, 'open:1', [['x', 9]]), board(2, 'over:B2', []), board(3, 'buy', [])])
    expect(plan.boards.map(isInHand)).toEqual([true, true, false])
    expect(plan.boards.map(leftPieceOf)).toEqual([null, 'B2', null])
    expect(leftPieceOf({ offerId: 'buyover:' })).toBeNull()
    expect(newBoards(plan).map(({ number }) => number)).toEqual([3])
  })
})

describe('a plan with the open boards in it', () => {
  const open = [openBoard(2, [30, 20])]
  const plan = planOf([
    board(1, 'buy', [['new1', 50]]),
    { ...board(2, 'open:2', [['next', 24]], 0), offcut: inches(5) },
    board(3, 'buy', [['new2', 50]]),
  ])
  const request = requestOf([
    ['new1', 50],
    ['next', 24],
    ['new2', 50],
  ])

  test('an open board keeps its number, first what was cut of it, then what is to come; new ones take the free numbers', () => {
    const { boards } = withOpen(plan, request, open)
    expect(boards.map(({ number, offerId }) => [number, offerId])).toEqual([
      [1, 'buy'],
      [2, 'open:2'],
      [3, 'buy'],
    ])
    const [, second] = boards
    expect(second?.pieces).toEqual([
      { pieceId: 'b2-0', label: 'A0', from: 0, length: inches(30), cut: true },
      { pieceId: 'b2-1', label: 'A1', from: inches(30.125), length: inches(20), cut: true },
      { pieceId: 'next', label: 'A', from: inches(50.25), length: inches(24) },
    ])
    expect(second).toMatchObject({ length: inches(96), price: 0, offcut: inches(5) })
  })

  test('a new board never takes the number of an open one, and they stand in order', () => {
    const { boards } = withOpen(plan, request, [openBoard(1, [30]), openBoard(3, [10])])
    expect(boards.map(({ number, offerId }) => [number, offerId])).toEqual([
      [1, 'open:1'],
      [2, 'buy'],
      [3, 'open:3'],
      [4, 'buy'],
    ])
  })

  test('one that nothing more is cut from has left what the trim leaves; of another material nothing changes', () => {
    const [first] = withOpen(planOf([]), requestOf([]), [openBoard(1, [30])]).boards
    expect(first).toMatchObject({ offcut: inches(96 - 30 - 1 / 8 - 1 / 2) })
    expect(withOpen(plan, request, [openBoard(1, [30], { materialId: 'other' })])).toBe(plan)
  })

  test('what was spoiled took its wood and counts as waste', () => {
    const spoiled = openBoard(1, [48])
    const { boards, bought, used, waste } = withOpen(planOf([]), requestOf([]), [
      { ...spoiled, pieces: spoiled.pieces.map((piece) => ({ ...piece, spoiled: true })) },
      openBoard(2, [48]),
    ])
    expect(boards[0]?.pieces[0]).toMatchObject({ pieceId: 'spoiled:b1-0', spoiled: true, cut: true })
    expect([bought, used, waste]).toEqual([inches(192), inches(48), 0.75])
  })
})

describe('a plan that is followed', () => {
  const plan = planOf([
    board(1, 'buy', [
      ['a', 40],
      ['b', 40],
    ]),
    board(2, 'buy', [['c', 60]]),
    board(3, 'buy', [['d', 60]], null),
  ])
  const left = requestOf([
    ['b', 40, 'K'],
    ['c', 60],
    ['d', 60],
  ])
  const cutA: OpenBoard = {
    ...openBoard(1, []),
    pieces: [{ pieceId: 'a', label: 'A1', length: inches(40), spoiled: false }],
  }

  test('stays as it is: what is open is paid, what was cut is told, letters are those of the list', () => {
    const so = asCutSoFar(plan, left, [cutA])
    expect(so?.boards.map(({ offerId, price }) => [offerId, price])).toEqual([
      ['open:1', 0],
      ['buy', 500],
      ['buy', null],
    ])
    expect(so?.boards[0]?.pieces.map(({ pieceId, cut, label }) => [pieceId, cut, label])).toEqual([
      ['a', true, 'A'],
      ['b', undefined, 'K'],
    ])
    expect([so?.cost, so?.bound, so?.known.sum, so?.known.unpricedBoards]).toEqual([500, 500, 500, 1])
    // where prices are missing it is the length that is bought
    const unpriced = asCutSoFar({ ...plan, cost: null }, left, [cutA])
    expect([unpriced?.cost, unpriced?.bound]).toEqual([null, inches(192)])
    expect(asCutSoFar(plan, left, [cutA, openBoard(9, [5], { materialId: 'other' })])).toEqual(so)
  })

  const of = (change: Partial<OpenBoard>): readonly OpenBoard[] => [{ ...cutA, ...change }]
  const piece = (change: object) => of({ pieces: cutA.pieces.map((each) => ({ ...each, ...change })) })
  test.each<[string, BoardPlan, BoardRequest, readonly OpenBoard[]]>([
    ['it is not proven', { ...plan, proven: false }, left, [cutA]],
    ['a piece came from another board', plan, left, of({ number: 2 })],
    ['the board was another length', plan, left, of({ length: inches(120) })],
    ['a piece was cut to another length', plan, left, piece({ length: inches(39) })],
    ['a piece was cut that it did not plan', plan, left, piece({ pieceId: 'x' })],
    ['a piece was spoiled', plan, left, piece({ spoiled: true })],
    [
      'a piece it has is wanted no more',
      plan,
      requestOf([
        ['b', 40],
        ['c', 60],
      ]),
      [cutA],
    ],
    ['a piece is wanted longer', plan, requestOf([['b', 41], ['c', 60], ['d', 60]]), [cutA]], // prettier-ignore
    ['a piece is wanted that it has not', plan, requestOf([['b', 40], ['c', 60], ['e', 60]]), [cutA]], // prettier-ignore
  ])('is planned anew where %s', (_, was, request, open) => {
    expect(asCutSoFar(was, request, open)).toBeNull()
  })

  test('a piece that is cut long takes its board by that', () => {
    const long = (by: number) => ({
      ...left,
      pieces: left.pieces.map((each) => ({ ...each, long: inches(by) as Length })),
    })
    expect(asCutSoFar(plan, long(1 / 8), [cutA])).toBeNull()
    expect(asCutSoFar(plan, long(0), [cutA])).not.toBeNull()
  })
})

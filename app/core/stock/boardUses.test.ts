import fc from 'fast-check'
import { inches, toInches } from '~/length'
import { FLAW_AT } from '~/model'
import { bestFaces, type BoardFlaw } from './bestFaces'
import { blockKit } from './blockKit'
import type { BoardPlan } from './boardPlan'
import type { BoardRequest } from './cuttingProblem'
import { planBoardsQuickly } from './planBoards'

const KERF = inches(1 / 8)

function planOf(lengths: readonly number[], boards: readonly number[] = [96]): BoardPlan {
  const request: BoardRequest = {
    materialId: 'pine',
    kerf: KERF,
    endTrim: inches(0),
    offers: boards.map((length) => ({ id: String(length), length: inches(length), price: length })),
    pieces: lengths.map((length, i) => ({ id: `p${i}`, label: String(length), length: inches(length) })),
  }
  const plan = planBoardsQuickly(request)
  if (!plan.ok) throw new Error(plan.issue.code)
  return plan.value
}

/** Pieces lie on their board one after the other, a kerf between, none past its end. */
function isCuttable({ boards }: BoardPlan): boolean {
  return boards.every(({ pieces, length }) => {
    const inOrder = [...pieces].sort((a, b) => a.from - b.from)
    return inOrder.every((piece, i) => {
      const before = inOrder[i - 1]
      const free = before ? before.from + before.length + KERF : 0
      return piece.from >= free && piece.from + piece.length <= length
    })
  })
}

const anyLengths = fc.array(
  fc.integer({ min: 20, max: 380 }).map((n) => n / 4),
  { minLength: 1, maxLength: 20 },
)
const anyFlaws = fc.array(
  fc.record({
    materialId: fc.constant('pine'),
    board: fc.integer({ min: 1, max: 8 }),
    flaw: fc.constantFrom('knot' as const, 'bow' as const),
    at: fc.constantFrom(...FLAW_AT),
  }),
  { maxLength: 4 },
)

describe('best faces', () => {
  const flaw = (board: number, at: BoardFlaw['at'] = 'first'): BoardFlaw => ({
    materialId: 'pine',
    board,
    flaw: 'knot',
    at,
  })

  test('pieces of a flawed board go where they are seen least; its bad end is what is left over', () => {
    const plan = planOf([40, 40, 40, 40])
    const seen = (id: string) => (id === 'p3' ? 0 : id === 'p1' ? 0.1 : 1)
    const better = bestFaces(plan, [flaw(1)], seen, KERF)
    expect(better.boards[0]?.pieces.map(({ pieceId }) => pieceId).sort()).toEqual(['p1', 'p3'])
    // 96 less two of 40 and two kerfs is 15 3/4
    expect(better.boards[0]?.pieces.map(({ from }) => toInches(from))).toEqual([15.875, 56])
    expect(bestFaces(plan, [flaw(1, 'last')], seen, KERF).boards[0]?.pieces[0]?.from).toBe(0)
  })

  test('of boards of one length the flawed one takes the pattern that shows least', () => {
    const plan = planOf([90, 30, 30])
    const long = plan.boards.find(({ pieces }) => pieces.length === 1)?.number ?? 0
    const better = bestFaces(plan, [flaw(long)], () => 0.5, KERF)
    expect(better.boards.find(({ number }) => number === long)?.pieces).toHaveLength(2)
  })

  test('law: the same pieces from the same boards, every one cut once, whatever is flawed', () => {
    fc.assert(
      fc.property(
        anyLengths,
        anyFlaws,
        fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 20, maxLength: 20 }),
        (lengths, flaws, seen) => {
          const plan = planOf(lengths, [96, 120])
          const better = bestFaces(plan, flaws, (id) => seen[Number(id.slice(1))] ?? 0, KERF)
          expect(isCuttable(better)).toBe(true)
          expect(better.boards.map(({ number, length }) => [number, length])).toEqual(
            plan.boards.map(({ number, length }) => [number, length]),
          )
          const ids = better.boards.flatMap(({ pieces }) => pieces.map(({ pieceId }) => pieceId))
          expect([...ids].sort()).toEqual(lengths.map((_, i) => `p${i}`).sort())
          for (const { pieces } of better.boards)
            for (const { pieceId, length } of pieces)
              expect(length).toBe(inches(lengths[Number(pieceId.slice(1))] ?? 0))
          for (const { boardNumber, labels } of better.spares) {
            const board = better.boards.find(({ number }) => number === boardNumber)
            expect(labels.every((label) => inches(Number(label)) <= (board?.offcut ?? 0))).toBe(true)
          }
        },
      ),
    )
  })
})

describe('the block kit', () => {
  const wanted = (...lengths: readonly number[]) =>
    lengths.map((length, i) => ({ id: `b${i}`, length: inches(length) }))

  test('the longest first, each where it leaves least; too long for every offcut is told', () => {
    const plan = planOf([80, 90])
    const kit = blockKit(wanted(3, 14, 5, 40), [plan], KERF)
    expect(kit.without.map(({ id }) => id)).toEqual(['b3', 'b0'])
    const at = new Map(kit.placed.map(({ id, board, from }) => [id, { board, from: toInches(from) }]))
    // what is left: 5 7/8 behind the 90, 15 7/8 behind the 80
    expect(at.get('b1')?.from).toBe(80.125)
    expect(at.get('b2')?.from).toBe(90.125)
    expect(at.get('b0')).toBeUndefined()
    expect(kit.without).toHaveLength(2)
  })

  test('law: blocks lie behind the pieces, in what is left, a kerf apart', () => {
    fc.assert(
      fc.property(
        anyLengths,
        fc.array(
          fc.integer({ min: 4, max: 160 }).map((n) => n / 4),
          { maxLength: 8 },
        ),
        (lengths, blocks) => {
          const plan = planOf(lengths)
          const kit = blockKit(wanted(...blocks), [plan], KERF)
          expect(kit.placed.length + kit.without.length).toBe(blocks.length)
          for (const board of plan.boards) {
            const on = [
              ...board.pieces.map(({ from, length }) => ({ from: from as number, length: length as number })),
              ...kit.placed
                .filter((each) => each.board === board.number)
                .map(({ from, length }) => ({ from: from as number, length: length as number })),
            ].sort((a, b) => a.from - b.from)
            on.forEach((each, i) => {
              const before = on[i - 1]
              if (before) expect(each.from).toBeGreaterThanOrEqual(before.from + before.length + KERF)
              expect(each.from + each.length).toBeLessThanOrEqual(board.length)
            })
          }
          for (const { length } of kit.without)
            expect(
              plan.boards.some(
                ({ number, offcut }) => offcut >= length && !kit.placed.some(({ board }) => board === number),
              ),
            ).toBe(false)
        },
      ),
    )
  })
})

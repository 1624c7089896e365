import { addLengths, type Length, nearestNanometer, ZERO } from '~/length'
import { type BoardPiece, type BoardPlan, type CutBoard, sparesOf } from './boardPlan'
import { type BoardOffer, type BoardRequest, takenBy } from './cuttingProblem'

/** A board that something was cut from. Lengths in nanometers. */
export interface OpenBoard {
  readonly materialId: string
  /** Its number in the wall's plan of its material: it keeps it. */
  readonly number: number
  readonly length: Length
  /** The name of the cut piece that it was, where it was not a board. */
  readonly of: string | null
  readonly pieces: readonly {
    readonly pieceId: string
    readonly label: string
    readonly length: Length
    /** It was spoiled: it took its wood, and it is no piece of the wall. */
    readonly spoiled: boolean
  }[]
}

/** A piece that was cut and goes in nowhere any more: square stuff something shorter can be cut from. */
export interface LeftPiece {
  readonly name: string
  readonly materialId: string
  readonly length: Length
}

const OPEN = 'open:'
const OVER = 'over:'

/** The board is there already and is not bought: what is left of an open one, or a piece that was left over. */
export function isInHand({ offerId }: Pick<CutBoard, 'offerId'>): boolean {
  return offerId.startsWith(OPEN) || offerId.startsWith(OVER)
}

/** The name of the left-over piece that a board of a plan is; null where it is a board. */
export function leftPieceOf({ offerId }: Pick<CutBoard, 'offerId'>): string | null {
  return offerId.startsWith(OVER) ? offerId.slice(OVER.length) : null
}

/** The boards of a plan that no saw has touched yet: what is bought for it. */
export function newBoards({ boards }: BoardPlan): CutBoard[] {
  return boards.filter((board) => !isInHand(board))
}

/** As long as a whole board would be that has room for just what is left of this one. */
export function restOf({ length, pieces }: OpenBoard, kerf: Length): Length {
  const used = pieces.reduce((sum, piece) => sum + piece.length + kerf, 0)
  return nearestNanometer(Math.max(0, length - used))
}

/** What is left of open boards and of pieces cut for nothing, as boards on offer: one of each, for nothing. */
export function offersInHand(
  open: readonly OpenBoard[],
  over: readonly LeftPiece[],
  { kerf, endTrim }: { readonly kerf: Length; readonly endTrim: Length },
): BoardOffer[] {
  return [
    ...open.map((board) => ({ id: `${OPEN}${board.number}`, length: restOf(board, kerf) })),
    // both of its ends are cut clean
    ...over.map(({ name, length }) => ({ id: `${OVER}${name}`, length: addLengths(length, endTrim) })),
  ].flatMap(({ id, length }): BoardOffer[] => (length > 0 ? [{ id, length, price: 0, limit: 1 }] : []))
}

/** What was cut from an open board, laid from its trimmed end. */
function cutFrom(board: OpenBoard, kerf: Length): BoardPiece[] {
  let at: number = ZERO
  return board.pieces.map(({ pieceId, label, length, spoiled }) => {
    const from = nearestNanometer(at)
    at += length + kerf
    const own = { pieceId, label, from, length, cut: true as const }
    return spoiled ? { ...own, pieceId: `spoiled:${pieceId}`, spoiled: true as const } : own
  })
}

function shareOf(boards: readonly CutBoard[]) {
  const bought = boards.reduce((sum, { length }) => sum + length, 0)
  const used = boards.reduce(
    (sum, { pieces }) => sum + pieces.reduce((of, { spoiled, length }) => of + (spoiled ? 0 : length), 0),
    0,
  )
  return {
    bought: nearestNanometer(bought),
    used: nearestNanometer(used),
    waste: bought === 0 ? 0 : 1 - used / bought,
  }
}

/** The plan of what is left with the open boards in it: each with what was cut from it and what is to come, under its own number. */
export function withOpen(plan: BoardPlan, request: BoardRequest, open: readonly OpenBoard[]): BoardPlan {
  const own = open.filter(({ materialId }) => materialId === plan.materialId)
  if (own.length === 0) return plan
  const { kerf, endTrim } = request
  const begun = own.map((board): CutBoard => {
    const offerId = `${OPEN}${board.number}`
    const cut = cutFrom(board, kerf)
    const from = cut.reduce((sum, { length }) => sum + length + kerf, 0)
    const planned = plan.boards.find((each) => each.offerId === offerId)
    return {
      number: board.number,
      offerId,
      length: board.length,
      price: 0,
      pieces: [
        ...cut,
        ...(planned?.pieces ?? []).map((piece) => ({ ...piece, from: nearestNanometer(piece.from + from) })),
      ],
      offcut: planned?.offcut ?? nearestNanometer(Math.max(0, restOf(board, kerf) - endTrim)),
    }
  })
  const taken = new Set(own.map(({ number }) => number))
  let next = 0
  const fresh = plan.boards
    .filter(({ offerId }) => !offerId.startsWith(OPEN))
    .map((board): CutBoard => {
      do next++
      while (taken.has(next))
      return { ...board, number: next }
    })
  const boards = [...begun, ...fresh].sort((a, b) => a.number - b.number)
  return { ...plan, boards, ...shareOf(boards), spares: sparesOf(boards, request) }
}

/**
 * A proven plan after some of its pieces were cut from the boards it said: the same boards, what is bought less by those that are open now.
 * Null where anything was cut, read or wanted otherwise than it said: then what is left is planned anew.
 */
export function asCutSoFar(
  plan: BoardPlan,
  request: BoardRequest,
  open: readonly OpenBoard[],
): BoardPlan | null {
  if (!plan.proven) return null
  const planned = new Map(
    plan.boards.flatMap((board) => board.pieces.map((piece) => [piece.pieceId, { board, piece }] as const)),
  )
  const own = open.filter(({ materialId }) => materialId === plan.materialId)
  const cut = new Map(
    own.flatMap((board) =>
      board.pieces.map(({ pieceId, length, spoiled }) => [
        spoiled ? `spoiled:${pieceId}` : pieceId,
        { board, length },
      ]),
    ) as [string, { board: OpenBoard; length: Length }][],
  )
  const asSaid = [...cut].every(([id, { board, length }]) => {
    const known = planned.get(id)
    return (
      known?.board.number === board.number &&
      known.board.length === board.length &&
      known.piece.length === length
    )
  })
  const wanted = request.pieces.every((piece) => {
    const known = planned.get(piece.id)
    return known !== undefined && !known.piece.cut && takenBy(known.piece) === takenBy(piece)
  })
  if (!asSaid || !wanted || planned.size !== cut.size + request.pieces.length) return null
  const isOpen = new Set(own.map(({ number }) => number))
  // a list that went out may have given rows other letters
  const labels = new Map(request.pieces.map(({ id, label }) => [id, label]))
  const boards = plan.boards.map((board): CutBoard => {
    const pieces = board.pieces.map((piece) => {
      const { cut: _, ...rest } = piece
      return cut.has(piece.pieceId)
        ? { ...rest, cut: true as const }
        : { ...rest, label: labels.get(piece.pieceId) ?? rest.label }
    })
    return isOpen.has(board.number)
      ? { ...board, pieces, offerId: `${OPEN}${board.number}`, price: 0 }
      : { ...board, pieces }
  })
  const fresh = boards.filter((board) => !isInHand(board))
  const sum = fresh.reduce((all, { price }) => all + (price ?? 0), 0)
  return {
    ...plan,
    boards,
    cost: plan.cost === null ? null : sum,
    bound: plan.cost === null ? fresh.reduce((all, { length }) => all + length, 0) : sum,
    known: { ...plan.known, sum, unpricedBoards: fresh.filter(({ price }) => price === null).length },
  }
}

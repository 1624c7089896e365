import type { Flaw, FlawAt } from '~/model'
import { nearestNanometer } from '~/length'
import type { BoardPlan, CutBoard } from './boardPlan'
import { takenBy } from './cuttingProblem'
import { newBoards } from './openBoards'

/** What is the matter with one board. */
export interface BoardFlaw {
  readonly materialId: string
  readonly board: number
  readonly flaw: Flaw
  readonly at: FlawAt
}

/** How much a place on the wall is seen: at the eye most, least at floor and ceiling and behind what stands before the wall. */
export type Seen = (pieceId: string) => number

/** Pieces alike change places freely: the least seen first go to flawed boards. */
function shared(boards: readonly CutBoard[], flawed: ReadonlySet<number>, seen: Seen): CutBoard[] {
  const byLabel = new Map<string, string[]>()
  for (const { pieces } of boards)
    for (const { label, pieceId, cut } of pieces)
      if (!cut) byLabel.set(label, [...(byLabel.get(label) ?? []), pieceId])
  for (const ids of byLabel.values()) ids.sort((a, b) => seen(a) - seen(b))
  const take = (label: string, worst: boolean) => {
    const ids = byLabel.get(label) ?? []
    return (worst ? ids.shift() : ids.pop()) ?? ''
  }
  const renamed = (board: CutBoard, worst: boolean) => ({
    ...board,
    pieces: board.pieces.map((piece) =>
      piece.cut ? piece : { ...piece, pieceId: take(piece.label, worst) },
    ),
  })
  const first = new Map(
    boards.filter(({ number }) => flawed.has(number)).map((board) => [board.number, renamed(board, true)]),
  )
  return boards.map((board) => first.get(board.number) ?? renamed(board, false))
}

/** What a cutting pattern puts where it is seen: long pieces and seen ones. */
function showing({ pieces }: CutBoard, seen: Seen): number {
  return pieces.reduce((sum, { pieceId, length }) => sum + length * (1 + seen(pieceId)), 0)
}

/** A board's pieces laid so that the flawed end is what is left over, or holds its shortest pieces. */
function turned(board: CutBoard, at: FlawAt, kerf: number): CutBoard {
  const inOrder = [...board.pieces].sort((a, b) =>
    at === 'first' ? a.length - b.length : b.length - a.length,
  )
  // a flaw at the end that is cut first: what is left over lies there, and a kerf parts it from the first piece
  let from = at === 'first' && board.offcut > 0 ? board.offcut + kerf : 0
  return {
    ...board,
    pieces: inOrder.map((piece) => {
      const here = nearestNanometer(from)
      from += takenBy(piece) + kerf
      return { ...piece, from: here }
    }),
  }
}

/**
 * The same boards with flawed ones put to use where it shows least: of boards of one length a flawed one takes the pattern that shows least,
 * its pieces go to the places seen least, and on it the flaw falls into the offcut or among the shortest pieces. What is bought stays as it is.
 */
export function bestFaces(plan: BoardPlan, flaws: readonly BoardFlaw[], seen: Seen, kerf: number): BoardPlan {
  // a board that something was cut from stays as it is
  const patterns = newBoards(plan)
  const numbered = new Set(patterns.map(({ number }) => number))
  const own = flaws.filter(({ materialId, board }) => materialId === plan.materialId && numbered.has(board))
  if (own.length === 0) return plan
  const at = new Map(own.map((flaw) => [flaw.board, flaw]))
  const lengths = [...new Set(patterns.map(({ length }) => length))]
  const swapped: CutBoard[] = [...plan.boards]
  const moved = new Map<number, number>()
  for (const length of lengths) {
    const numbers = patterns.filter((board) => board.length === length).map(({ number }) => number)
    const calm = patterns
      .filter((board) => board.length === length)
      .sort((a, b) => showing(a, seen) - showing(b, seen) || a.number - b.number)
    const bad = numbers.filter((number) => at.has(number))
    const good = numbers.filter((number) => !at.has(number))
    const taken = calm.slice(0, bad.length)
    // those that keep sound boards keep their numbers as far as they can
    const rest = patterns.filter((board) => board.length === length && !taken.includes(board))
    ;[...bad, ...good].forEach((number, i) => {
      const pattern = i < bad.length ? taken[i] : rest[i - bad.length]
      const index = plan.boards.findIndex((board) => board.number === number)
      if (!pattern || index < 0) return
      swapped[index] = { ...pattern, number }
      moved.set(pattern.number, number)
    })
  }
  const boards = shared(swapped, new Set(at.keys()), seen).map((board) => {
    const flaw = at.get(board.number)
    return flaw ? turned(board, flaw.at, kerf) : board
  })
  const spares = plan.spares.map((spare) => ({
    ...spare,
    boardNumber: moved.get(spare.boardNumber) ?? spare.boardNumber,
  }))
  return { ...plan, boards, spares }
}

import { type Length, nearestNanometer } from '~/length'
import { type BoardRequest, type CuttingProblem, hasPrices } from './cuttingProblem'
import type { CutPattern } from './packMix'

/** A piece on its board: where it starts and what it is. Nanometers from the board's trimmed end. */
export interface BoardPiece {
  readonly pieceId: string
  readonly label: string
  readonly from: Length
  readonly length: Length
}

/** One board: what is cut from it in order, longest first, and what is left after the last cut. */
export interface CutBoard {
  readonly number: number
  readonly offerId: string
  readonly length: Length
  readonly price: number | null
  readonly pieces: readonly BoardPiece[]
  readonly offcut: Length
}

/** An offcut long enough for a piece that is spoiled: one of these, not one of each. */
export interface Spare {
  readonly boardNumber: number
  readonly labels: readonly string[]
}

/** What boards cost as far as prices are known. */
export interface KnownCost {
  /** The priced boards of the plan together, in hundredths of money. */
  readonly sum: number
  readonly unpricedBoards: number
  /** Lengths on sale, and how many of them have a price. */
  readonly lengths: number
  readonly pricedLengths: number
}

/** Which boards of one material to buy and what to cut from each. */
export interface BoardPlan {
  readonly materialId: string
  readonly boards: readonly CutBoard[]
  /** In hundredths of money; null when a price is missing. */
  readonly cost: number | null
  readonly known: KnownCost
  readonly bought: Length
  readonly used: Length
  /** Share of the bought length that is not in a piece: kerfs, trims and offcuts. */
  readonly waste: number
  readonly spares: readonly Spare[]
  /** True when no plan costs less, nor as little with fewer boards, nor that with less length. */
  readonly proven: boolean
  /** No plan can cost less than this (bought length in nanometers where prices are missing). */
  readonly bound: number
}

/** Why there is no plan. */
export type BoardIssue =
  | { readonly code: 'noBoardsListed'; readonly materialId: string }
  | {
      readonly code: 'pieceTooLong'
      readonly materialId: string
      readonly pieceIds: readonly string[]
      readonly length: Length
      readonly longest: Length
    }

/** Checks that there are boards and that every piece fits the longest of them. */
export function boardIssue(request: BoardRequest): BoardIssue | null {
  const { materialId, offers, endTrim, pieces } = request
  if (offers.length === 0) return { code: 'noBoardsListed', materialId }
  const longest = nearestNanometer(Math.max(...offers.map((offer) => offer.length - endTrim)))
  const tooLong = pieces.filter((piece) => piece.length > longest)
  const [first] = [...tooLong].sort((a, b) => b.length - a.length)
  if (!first) return null
  return {
    code: 'pieceTooLong',
    materialId,
    pieceIds: tooLong.map(({ id }) => id),
    length: first.length,
    longest,
  }
}

/** The offcuts that hold a spare, those that hold the most first; each board is one spare, whichever of its pieces it is. */
function sparesOf(boards: readonly CutBoard[], request: BoardRequest): Spare[] {
  const labels = new Map(request.pieces.map(({ label, length }) => [label, length]))
  const holding = boards.map(({ number, offcut }) => ({
    boardNumber: number,
    labels: [...labels].filter(([, length]) => length <= offcut).map(([label]) => label),
  }))
  return holding.filter((spare) => spare.labels.length > 0).sort((p, q) => q.labels.length - p.labels.length)
}

function knownCost(boards: readonly CutBoard[], { offers }: BoardRequest): KnownCost {
  return {
    sum: boards.reduce((sum, { price }) => sum + (price ?? 0), 0),
    unpricedBoards: boards.filter(({ price }) => price === null).length,
    lengths: offers.length,
    pricedLengths: offers.filter(({ price }) => price !== null).length,
  }
}

/** What several materials cost together, as far as prices are known. */
export function addKnownCosts(costs: readonly KnownCost[]): KnownCost {
  const total = (key: keyof KnownCost) => costs.reduce((sum, cost) => sum + cost[key], 0)
  return {
    sum: total('sum'),
    unpricedBoards: total('unpricedBoards'),
    lengths: total('lengths'),
    pricedLengths: total('pricedLengths'),
  }
}

/** Boards whose pieces leave no more than a tolerance, where one of them is only measured in place. */
export function tightBoards(
  { boards }: BoardPlan,
  isMeasured: (label: string) => boolean,
  within: number,
): readonly { readonly boardNumber: number; readonly labels: readonly string[]; readonly offcut: Length }[] {
  return boards.flatMap(({ number, pieces, offcut }) => {
    const labels = [...new Set(pieces.map(({ label }) => label))].filter(isMeasured)
    return offcut <= within && labels.length > 0 ? [{ boardNumber: number, labels, offcut }] : []
  })
}

/** Lays the pieces of a request out on boards as the patterns say. */
export function drawUp(
  request: BoardRequest,
  problem: CuttingProblem,
  patterns: readonly CutPattern[],
  proven: boolean,
  bound: number,
): BoardPlan {
  const { kerf, endTrim } = request
  const waiting = new Map<number, (typeof request.pieces)[number][]>()
  for (const piece of request.pieces)
    waiting.set(piece.length + kerf, [...(waiting.get(piece.length + kerf) ?? []), piece])
  const fullest = (pattern: CutPattern) => pattern.counts.findIndex((n) => n > 0)
  const ordered = patterns
    .filter((pattern) => fullest(pattern) >= 0)
    .sort(
      (a, b) => fullest(a) - fullest(b) || a.counts.join().localeCompare(b.counts.join()) || a.room - b.room,
    )
  const boards = ordered.map((pattern, index): CutBoard => {
    const offer = request.offers[pattern.room]
    if (!offer) throw new Error(`pattern names offer ${pattern.room} of ${request.offers.length}`)
    let at = 0
    const pieces = pattern.counts.flatMap((count, i) =>
      Array.from({ length: count }, (): BoardPiece => {
        const piece = waiting.get(problem.sizes[i] ?? 0)?.shift()
        if (!piece) throw new Error(`pattern cuts more pieces of ${problem.sizes[i]} than asked`)
        const from = nearestNanometer(at)
        at += piece.length + kerf
        return { pieceId: piece.id, label: piece.label, from, length: piece.length }
      }),
    )
    return {
      number: index + 1,
      offerId: offer.id,
      length: offer.length,
      price: offer.price,
      pieces,
      offcut: nearestNanometer(Math.max(0, offer.length - endTrim - at)),
    }
  })
  const bought = boards.reduce((sum, board) => sum + board.length, 0)
  const used = request.pieces.reduce((sum, piece) => sum + piece.length, 0)
  return {
    materialId: request.materialId,
    boards,
    cost: hasPrices(request) ? boards.reduce((sum, board) => sum + (board.price ?? 0), 0) : null,
    known: knownCost(boards, request),
    bought: nearestNanometer(bought),
    used: nearestNanometer(used),
    waste: bought === 0 ? 0 : 1 - used / bought,
    spares: sparesOf(boards, request),
    proven,
    bound,
  }
}

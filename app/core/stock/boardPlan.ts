import { type Length, nearestNanometer } from '~/length'
import { type BoardRequest, hasPrices, takenBy, type toProblem } from './cuttingProblem'
import { mostPlaced } from './mostPlaced'
import type { CutPattern } from './patternPool'

/** A piece on its board: where it starts, what it is, and how much longer it is cut first. Nanometers from the board's trimmed end. */
export interface BoardPiece {
  readonly pieceId: string
  readonly label: string
  readonly from: Length
  readonly length: Length
  readonly long?: Length
  /** It is cut already. */
  readonly cut?: true
  /** It was spoiled: it took its wood and is no piece of the wall. */
  readonly spoiled?: true
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
  | {
      readonly code: 'shortOfStock'
      readonly materialId: string
      /** What finds no board when the longest are placed first. */
      readonly pieceIds: readonly string[]
      readonly length: Length
      /** True when every way was ruled out, not only the ones tried. */
      readonly proven: boolean
    }

/** Checks that there are boards and that every piece fits the longest of them. */
export function boardIssue(request: BoardRequest): BoardIssue | null {
  const { materialId, offers, endTrim, pieces } = request
  if (offers.length === 0) return { code: 'noBoardsListed', materialId }
  const there = offers.filter(({ limit }) => limit !== 0)
  const longest = nearestNanometer(Math.max(0, ...there.map((offer) => offer.length - endTrim)))
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

/** The issue of boards that are too few: what is left when the longest pieces are placed first. */
export function shortOfStock(
  request: BoardRequest,
  problem: ReturnType<typeof toProblem>,
  proven: boolean,
): BoardIssue {
  const left = mostPlaced(problem)
  const waiting = new Map<number, number>(problem.sizes.map((size, i) => [size, left[i] ?? 0]))
  // the first of a length find boards, the last of them don't
  const pieces = inOneOrder(request.pieces)
    .toReversed()
    .filter((piece) => {
      const size = takenBy(piece) + request.kerf
      const n = waiting.get(size) ?? 0
      if (n > 0) waiting.set(size, n - 1)
      return n > 0
    })
    .toReversed()
  return {
    code: 'shortOfStock',
    materialId: request.materialId,
    pieceIds: pieces.map(({ id }) => id),
    length: nearestNanometer(Math.max(0, ...pieces.map(({ length }) => length))),
    proven,
  }
}

/** Pieces in one order whatever the order of the rows: by label, then by name. */
function inOneOrder(pieces: BoardRequest['pieces']): BoardRequest['pieces'] {
  const by = new Intl.Collator('en', { numeric: true }).compare
  return [...pieces].sort((a, b) => by(a.label, b.label) || by(a.id, b.id))
}

/** The offcuts that hold a spare, those that hold the most first; each board is one spare, whichever of its pieces it is. */
export function sparesOf(boards: readonly CutBoard[], request: BoardRequest): Spare[] {
  const labels = new Map(inOneOrder(request.pieces).map((piece) => [piece.label, takenBy(piece)]))
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
    // a board in hand is none on sale
    lengths: offers.filter(({ limit }) => limit === undefined).length,
    pricedLengths: offers.filter(({ limit, price }) => limit === undefined && price !== null).length,
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

/**
 * Boards whose pieces leave no more than a tolerance, where one of them is only measured in place: not even what it is cut long by. What
 * was read or cut already is as long as it gets.
 */
export function tightBoards(
  { boards }: BoardPlan,
  isMeasured: (label: string) => boolean,
  within: number,
): readonly { readonly boardNumber: number; readonly labels: readonly string[]; readonly offcut: Length }[] {
  return boards.flatMap(({ number, pieces, offcut }) => {
    const open = pieces.filter(
      ({ cut, label, long = 0 }) => !cut && isMeasured(label) && offcut + long <= within,
    )
    const labels = [...new Set(open.map(({ label }) => label))]
    return labels.length > 0 ? [{ boardNumber: number, labels, offcut }] : []
  })
}

/** Lays the pieces of a request out on boards as the patterns say: the same whatever the order of its rows. */
export function drawUp(
  request: BoardRequest,
  problem: ReturnType<typeof toProblem>,
  patterns: readonly CutPattern[],
  proven: boolean,
  bound: number,
): BoardPlan {
  const { kerf, endTrim } = request
  const waiting = new Map<number, BoardRequest['pieces'][number][]>()
  for (const piece of inOneOrder(request.pieces)) {
    const size = takenBy(piece) + kerf
    const known = waiting.get(size)
    if (known) known.push(piece)
    else waiting.set(size, [piece])
  }
  const given = new Map<number, number>()
  // longest pieces first, and more of them before fewer
  const ordered = patterns
    .map(({ room, counts }) => ({ room, held: counts.flatMap((n, i) => (n > 0 ? [[i, n] as const] : [])) }))
    .filter(({ held }) => held.length > 0)
    .sort((a, b) => {
      const at = a.held.findIndex(([i, n], j) => i !== b.held[j]?.[0] || n !== b.held[j]?.[1])
      const [p, q] = [a.held[at], b.held[at]]
      if (!p || !q) return b.held.length - a.held.length || a.room - b.room
      return p[0] - q[0] || q[1] - p[1]
    })
  // of boards that cost the same the ones there are only so many of go first
  const open = problem.members.map((members) =>
    members.map((index) => ({
      offer: request.offers[index],
      left: request.offers[index]?.limit ?? Infinity,
    })),
  )
  const boards = ordered.map((pattern, index): CutBoard => {
    const member = open[pattern.room]?.find(({ left }) => left > 0)
    if (!member?.offer) throw new Error(`pattern takes more boards of kind ${pattern.room} than there are`)
    member.left -= 1
    const { offer } = member
    let at = 0
    const pieces = pattern.held.flatMap(([i, count]) =>
      Array.from({ length: count }, (): BoardPiece => {
        const size = problem.sizes[i] ?? 0
        const n = given.get(size) ?? 0
        given.set(size, n + 1)
        const piece = waiting.get(size)?.[n]
        if (!piece) throw new Error(`pattern cuts more pieces of ${size} than asked`)
        const from = nearestNanometer(at)
        at += size
        const { id, label, length, long } = piece
        return { pieceId: id, label, from, length, ...(long ? { long } : {}) }
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

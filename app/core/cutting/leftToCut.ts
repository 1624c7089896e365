import { type Length, ZERO } from '~/length'
import { type CutFrom, TAKEN_OFF, type Workpiece } from '~/model'
import { servesItself, standingIn, type ToRelease } from '../asbuilt/freeze'
import { type CutFacts, leftPieces, NOTHING_CUT } from '../asbuilt/cutFacts'
import { letterOf, lengthNow } from '../asbuilt/release'
import { type CutRow, SAME_WITHIN } from '../pieces'
import {
  type BoardPlan,
  type BoardRequest,
  boardRequests,
  firstBoards,
  leftPieceOf,
  type LeftPiece,
  newBoards,
  offersInHand,
  type OpenBoard,
  type PieceToCut,
} from '../stock'
import { offersOf } from '../stock/offers'
import { cutLongBy } from './cutCards'
import { toRelease } from './toRelease'

type PlanOfWall = Parameters<typeof toRelease>[0]

/** What of a wall is still to be cut, and what there is of it already to cut that from. */
export interface LeftToCut {
  readonly pieces: readonly PieceToCut[]
  readonly open: readonly OpenBoard[]
  readonly over: readonly LeftPiece[]
  /** Pieces of the layout that are cut, those cut anew from themselves not among them. */
  readonly cut: readonly { readonly id: string; readonly materialId: string }[]
  /** Pieces that are cut anew from what was cut in their place, by its name: they need no board. */
  readonly fromThemselves: readonly { readonly id: string; readonly of: string; readonly length: Length }[]
}

/**
 * The one answer to what is still cut from boards: the pieces of the layout less those that are cut and fit, each as long as it is by its
 * reading and with what it is cut long by; the boards that are open, and pieces cut for nothing that others can be cut from. The footer,
 * Buy, the job's boards, the list for the shop, options, ways on, budget and booklet ask here. Lengths in nanometers.
 */
export function leftToCut(
  plan: ToRelease,
  { settings }: Pick<Workpiece, 'settings'>,
  facts: CutFacts = NOTHING_CUT,
): LeftToCut {
  if (facts.isCut) {
    const cut = plan.cutList.flatMap(({ pieceIds, materialId }) => pieceIds.map((id) => ({ id, materialId })))
    return { pieces: [], open: [], over: [], cut, fromThemselves: [] }
  }
  const { release, elsewhere, open } = facts
  const { standing, over } = standingIn(release, plan)
  const cutThere = new Map(elsewhere.pieces.map((piece) => [piece.id, piece]))
  const cut: { id: string; materialId: string }[] = []
  const fromThemselves: { id: string; of: string; length: Length }[] = []
  const idle = [...(release?.pieces ?? []), ...(release?.leftOver ?? [])].filter(({ piece }) =>
    over.has(piece.name),
  )
  const spare = new Set([...over].filter((name) => !facts.used.includes(name)))
  const toCut = (row: CutRow, id: string): PieceToCut[] => {
    const state = standing.get(id)
    const piece = state?.piece
    const read = state?.read ?? null
    const length = state ? lengthNow(state).cutLength : row.cutLength
    const there = cutThere.get(id)
    const isThere =
      there !== undefined &&
      there.material === row.materialId &&
      Math.abs(there.length - length) <= SAME_WITHIN
    if (isThere || (state && state.cutAt !== null)) {
      cut.push({ id, materialId: row.materialId })
      return []
    }
    const itself = idle.find(
      (each) => each.piece.pieceId === id && spare.has(each.piece.name) && servesItself(each, row),
    )
    if (itself) {
      spare.delete(itself.piece.name)
      fromThemselves.push({ id, of: itself.piece.name, length: lengthNow(itself).cutLength })
      return []
    }
    // what was read at its place is cut to its reading
    const long = read === null ? cutLongBy(piece?.advice ?? plan.adviceOf(row), settings) : ZERO
    const label = piece ? (read === null ? letterOf(piece.name) : piece.name) : row.label
    return [{ id, label, length, materialId: row.materialId, ...(long > 0 ? { long } : {}) }]
  }
  const pieces = plan.cutList.flatMap((row) => row.pieceIds.flatMap((id) => toCut(row, id)))
  return { pieces, open, over: leftPieces(facts, spare), cut, fromThemselves }
}

/**
 * What is asked of the boards of a wall, a request a material: what is left to cut, from what is open first. A material of which
 * everything is cut is asked for no piece.
 */
export function requestsFor(
  { pieces, open, over, cut }: LeftToCut,
  { settings }: Pick<Workpiece, 'settings'>,
): BoardRequest[] {
  const inHand = (materialId: string) =>
    offersInHand(
      open.filter((board) => board.materialId === materialId),
      over.filter((piece) => piece.materialId === materialId),
      settings.shop,
    )
  const asked = boardRequests(pieces, settings, inHand)
  const { kerf, endTrim } = settings.shop
  const done = new Set([...cut, ...open].map(({ materialId }) => materialId).filter((id) => id !== TAKEN_OFF))
  for (const { materialId } of asked) done.delete(materialId)
  return [
    ...asked,
    ...[...done].map((materialId): BoardRequest => {
      const offers = [...inHand(materialId), ...offersOf(materialId, settings)]
      return { materialId, kerf, endTrim, offers, pieces: [] }
    }),
  ]
}

/** The same of a plan of the wall. */
export function boardsAsked(
  plan: PlanOfWall,
  workpiece: Workpiece,
  facts: CutFacts = NOTHING_CUT,
): BoardRequest[] {
  return requestsFor(leftToCut(toRelease(plan, workpiece), workpiece, facts), workpiece)
}

/** Boards of good plans that need not be the best, and what of them can be told: those to buy for what is left to cut. */
export function boardsNear(plan: PlanOfWall, workpiece: Workpiece, facts: CutFacts = NOTHING_CUT) {
  return boardsFor(leftToCut(toRelease(plan, workpiece), workpiece, facts), workpiece)
}

/** The same of what is left to cut. */
export function boardsFor(left: LeftToCut, workpiece: Pick<Workpiece, 'settings'>) {
  const found = requestsFor(left, workpiece).map(firstBoards)
  const plans = found.flatMap((each) => (each.ok ? [each.value] : []))
  return {
    /** Every piece has a board. */
    whole: plans.length === found.length,
    plans,
    count: plans.reduce((sum, each) => sum + newBoards(each).length, 0),
    /** In hundredths of money; null where a price is missing. */
    cost: plans.reduce<number | null>((sum, each) => {
      // no board costs nothing, whatever one would cost
      const own = newBoards(each).length === 0 ? 0 : each.cost
      return sum === null || own === null ? null : sum + own
    }, 0),
  }
}

/** The board that these plans cut a piece from, as it is ticked with the piece; null where none of them does, or it is cut already. */
export function boardOf(plans: readonly BoardPlan[], pieceId: string): CutFrom | null {
  for (const { boards } of plans) {
    const board = boards.find(({ pieces }) => pieces.some((each) => each.pieceId === pieceId && !each.cut))
    if (!board) continue
    const of = leftPieceOf(board)
    return { number: board.number, length: board.length, ...(of === null ? {} : { of }) }
  }
  return null
}

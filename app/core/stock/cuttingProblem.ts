import type { Length } from '~/length'
import { type Settings, TAKEN_OFF } from '~/model'
import type { CutRow } from '../pieces'
import { offersOf } from './offers'

/** What is to be cut from boards of one material. Lengths in nanometers. */
export interface BoardRequest {
  readonly materialId: string
  readonly kerf: Length
  readonly endTrim: Length
  readonly offers: readonly { readonly id: string; readonly length: Length; readonly price: number | null }[]
  readonly pieces: readonly { readonly id: string; readonly label: string; readonly length: Length }[]
}

/** The same in the solver's terms: sizes hold one kerf, so n pieces fit when their sizes sum to the room. */
export interface CuttingProblem {
  /** Distinct sizes, longest first, and how many of each. */
  readonly sizes: readonly number[]
  readonly demands: readonly number[]
  /** Per board on offer: room for sizes, price, length. */
  readonly rooms: readonly number[]
  readonly prices: readonly number[]
  readonly lengths: readonly number[]
}

/** One request per material of the cut list, in the order in which the list first names them. */
export function boardRequests(cutList: readonly CutRow[], settings: Settings): BoardRequest[] {
  const { kerf, endTrim } = settings.shop
  // trim that goes back is cut from itself
  const bought = new Set(cutList.map((row) => row.materialId).filter((id) => id !== TAKEN_OFF))
  return [...bought].map((materialId) => ({
    materialId,
    kerf,
    endTrim,
    offers: offersOf(materialId, settings),
    pieces: cutList
      .filter((row) => row.materialId === materialId)
      .flatMap((row) => row.pieceIds.map((id) => ({ id, label: row.label, length: row.cutLength }))),
  }))
}

/** True when every board on offer has a price; otherwise the plan buys the least length instead. */
export function hasPrices(request: BoardRequest): boolean {
  return request.offers.length > 0 && request.offers.every((offer) => offer.price !== null)
}

/** n pieces need n - 1 or n cuts: size = length + kerf, room = board - end trim + kerf. */
export function toProblem(request: BoardRequest): CuttingProblem {
  const { kerf, endTrim, offers, pieces } = request
  const counts = new Map<number, number>()
  for (const piece of pieces) counts.set(piece.length + kerf, (counts.get(piece.length + kerf) ?? 0) + 1)
  const sizes = [...counts.keys()].sort((a, b) => b - a)
  const priced = hasPrices(request)
  return {
    sizes,
    demands: sizes.map((size) => counts.get(size) ?? 0),
    rooms: offers.map((offer) => offer.length - endTrim + kerf),
    prices: offers.map((offer) => (priced ? (offer.price ?? 0) : offer.length)),
    lengths: offers.map((offer) => offer.length),
  }
}

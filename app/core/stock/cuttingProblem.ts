import type { Length } from '~/length'
import { type Settings, TAKEN_OFF } from '~/model'
import type { CutRow } from '../pieces'
import { offersOf } from './offers'

/** A board that can be had: in hundredths of money, or without a price; `limit` of them, or as many as wished. */
export interface BoardOffer {
  readonly id: string
  readonly length: Length
  readonly price: number | null
  readonly limit?: number
}

/** What is to be cut from boards of one material. Lengths in nanometers. */
export interface BoardRequest {
  readonly materialId: string
  readonly kerf: Length
  readonly endTrim: Length
  readonly offers: readonly BoardOffer[]
  readonly pieces: readonly { readonly id: string; readonly label: string; readonly length: Length }[]
}

/**
 * The same in the solver's terms: sizes hold one kerf, so n pieces fit when their sizes sum to the room. In one
 * order whatever the order of the rows; equal boards are one, and boards nobody would take are left out.
 */
export interface CuttingProblem {
  /** Distinct sizes, longest first, and how many of each. */
  readonly sizes: readonly number[]
  readonly demands: readonly number[]
  /** Per kind of board: room for sizes, price, length, and how many there are (Infinity: as many as wished). */
  readonly rooms: readonly number[]
  readonly prices: readonly number[]
  readonly lengths: readonly number[]
  readonly limits: readonly number[]
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

/** Boards of one length and price: which offers of the request they are, those there are only so many of first. */
interface Kind {
  readonly length: number
  readonly price: number
  readonly limit: number
  readonly members: readonly number[]
}

function kindsOf(request: BoardRequest, most: number): Kind[] {
  const priced = hasPrices(request)
  const kinds = new Map<string, Kind>()
  request.offers.forEach((offer, index) => {
    // a board that is there costs nothing whether the others have prices or not
    const price = priced || offer.price === 0 ? (offer.price ?? 0) : offer.length
    const limit = Math.max(0, offer.limit ?? Infinity)
    if (limit === 0) return
    const key = `${offer.length} ${price}`
    const known = kinds.get(key)
    const members = [...(known?.members ?? []), index].sort((a, b) => {
      const [p, q] = [request.offers[a], request.offers[b]]
      return (
        (p?.limit ?? Infinity) - (q?.limit ?? Infinity) ||
        Number((p?.id ?? '') > (q?.id ?? '')) - Number((p?.id ?? '') < (q?.id ?? ''))
      )
    })
    kinds.set(key, { length: offer.length, price, limit: (known?.limit ?? 0) + limit, members })
  })
  // no plan takes more boards than there are pieces
  return [...kinds.values()].map((kind) => (kind.limit >= most ? { ...kind, limit: Infinity } : kind))
}

/** True where nobody would take `a` while there is `b`: longer for less money, or as long for no more. */
function beats(b: Kind, a: Kind): boolean {
  if (b.limit !== Infinity || b === a) return false
  return b.length === a.length
    ? b.price < a.price || (b.price === a.price && a.limit !== Infinity)
    : b.length > a.length && b.price < a.price
}

/** n pieces need n - 1 or n cuts: size = length + kerf, room = board - end trim + kerf. */
export function toProblem(
  request: BoardRequest,
): CuttingProblem & { readonly members: readonly (readonly number[])[] } {
  const { kerf, endTrim, pieces } = request
  const counts = new Map<number, number>()
  for (const piece of pieces) counts.set(piece.length + kerf, (counts.get(piece.length + kerf) ?? 0) + 1)
  const sizes = [...counts.keys()].sort((a, b) => b - a)
  const all = kindsOf(request, pieces.length)
  const kinds = all
    .filter((kind) => !all.some((other) => beats(other, kind)))
    .sort((a, b) => a.length - b.length || a.price - b.price)
  return {
    sizes,
    demands: sizes.map((size) => counts.get(size) ?? 0),
    rooms: kinds.map(({ length }) => length - endTrim + kerf),
    prices: kinds.map(({ price }) => price),
    lengths: kinds.map(({ length }) => length),
    limits: kinds.map(({ limit }) => limit),
    members: kinds.map(({ members }) => members),
  }
}

import { addLengths, type Length, nearestNanometer, ZERO } from '~/length'
import { type Settings, TAKEN_OFF } from '~/model'
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
  readonly pieces: readonly AskedPiece[]
}

/** A piece that is still to be cut, as long as it ends up; `long` is how much longer it is cut first, which its board must hold as well. */
export interface AskedPiece {
  readonly id: string
  readonly label: string
  readonly length: Length
  readonly long?: Length
}

/** A piece of a wall that is still to be cut from a board. */
export interface PieceToCut extends AskedPiece {
  readonly materialId: string
}

/** What a piece takes of its board, without the kerf. */
export function takenBy({ length, long = ZERO }: Pick<AskedPiece, 'length' | 'long'>): Length {
  return addLengths(length, long)
}

/** The piece as its boards can hold it: where not even the longest has room for it cut long, it is cut as long as that board is. */
export function asHeld<P extends AskedPiece>(piece: P, offers: readonly BoardOffer[], endTrim: Length): P {
  if (!piece.long) return piece
  const most = Math.max(0, ...offers.map(({ length }) => length - endTrim)) - piece.length
  if (piece.long <= most) return piece
  const { long: _, ...whole } = piece
  return (most > 0 ? { ...whole, long: nearestNanometer(most) } : whole) as P
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

/**
 * One request per material, in the order in which the pieces first name them. What is left of boards in hand goes before what is bought:
 * `inHand` by material.
 */
export function boardRequests(
  pieces: readonly PieceToCut[],
  settings: Settings,
  inHand: (materialId: string) => readonly BoardOffer[] = () => [],
): BoardRequest[] {
  const { kerf, endTrim } = settings.shop
  // trim that goes back is cut from itself
  const bought = new Set(pieces.map(({ materialId }) => materialId).filter((id) => id !== TAKEN_OFF))
  return [...bought].map((materialId) => {
    const offers = [...inHand(materialId), ...offersOf(materialId, settings)]
    return {
      materialId,
      kerf,
      endTrim,
      offers,
      pieces: pieces
        .filter((piece) => piece.materialId === materialId)
        .map(({ materialId: _, ...piece }) => asHeld(piece, offers, endTrim)),
    }
  })
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
  for (const piece of pieces) {
    const size = takenBy(piece) + kerf
    counts.set(size, (counts.get(size) ?? 0) + 1)
  }
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

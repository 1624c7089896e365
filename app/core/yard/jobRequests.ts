import { type Length, nanometers } from '~/length'
import { type Settings, TAKEN_OFF, type Workpiece } from '~/model'
import { computePlan } from '../computePlan'
import { SAME_WITHIN } from '../pieces'
import type { BoardOffer, BoardPlan, BoardRequest, CutBoard } from '../stock'
import { offersOf } from '../stock/offers'
import { type BoardCount, boardsCut, onHandOf, rackOf, uncutOf, type Wish } from './yardState'
import type { YardAct } from '~/model'

/** A piece of a job: of which wall, its letter in that wall's list, what it is cut from. */
export interface JobPiece {
  /** wall/piece: one name in the whole job. */
  readonly id: string
  readonly wall: string
  readonly label: string
  readonly material: string
  readonly length: Length
}

/** A wall of a job with what it is planned from. */
export interface WallOfJob {
  readonly id: string
  readonly name: string
  readonly workpiece: Workpiece
}

/** Every piece of a wall, named in its job. */
export function piecesOfWall({ id, workpiece }: WallOfJob): JobPiece[] {
  return computePlan(workpiece).cutList.flatMap(({ label, materialId, cutLength, pieceIds }) =>
    materialId === TAKEN_OFF
      ? []
      : pieceIds.map((piece) => ({
          id: `${id}/${piece}`,
          wall: id,
          label,
          material: materialId,
          length: cutLength,
        })),
  )
}

/** What a job can cut from besides what it buys. */
export interface InHand {
  readonly onHand: readonly BoardCount[]
  readonly bought: readonly BoardCount[]
  readonly rack: readonly { readonly id: string; readonly material: string; readonly length: Length }[]
  /** Spare pieces that are cut already, by material. */
  readonly sparesCut: Readonly<Record<string, number>>
}
export const NOTHING_IN_HAND: InHand = { onHand: [], bought: [], rack: [], sparesCut: {} }

/** What a job has in hand: bought and not cut, the crew's boards on hand, the rack. */
export function inHandOf(acts: readonly YardAct[], job: string): InHand {
  const sparesCut: Record<string, number> = {}
  for (const { job: of, material, pieces } of boardsCut(acts))
    if (of === job)
      sparesCut[material] =
        (sparesCut[material] ?? 0) + pieces.filter(({ id }) => id.startsWith('spare/')).length
  return { onHand: onHandOf(acts), bought: uncutOf(acts, job), rack: rackOf(acts), sparesCut }
}

/** Where a planned board comes from, as its offer's id says. */
export type BoardSource =
  | { readonly from: 'buy'; readonly offer: string }
  | { readonly from: 'bought' | 'hand'; readonly length: Length }
  | { readonly from: 'rack'; readonly offcut: string }

export function sourceOf(offerId: string): BoardSource {
  const [kind, rest = ''] = [offerId.slice(0, offerId.indexOf(':')), offerId.slice(offerId.indexOf(':') + 1)]
  if (kind === 'rack') return { from: 'rack', offcut: rest }
  if (kind === 'bought' || kind === 'hand') return { from: kind, length: nanometers(Number(rest)) }
  return { from: 'buy', offer: rest }
}

export interface JobWish {
  readonly wish: Wish
  readonly inHand: InHand
  /** Lengths that can't be had now, by the id of the job's offer. */
  readonly out: readonly string[]
}

/** The likeliest piece to be spoiled: of the length there are most of, the longest where equal. Common practice, no source. */
export function likeliestPiece(pieces: readonly JobPiece[]): JobPiece | null {
  const counts = new Map<number, number>()
  for (const { length } of pieces) counts.set(length, (counts.get(length) ?? 0) + 1)
  const [length] = [...counts].sort((a, b) => b[1] - a[1] || b[0] - a[0])[0] ?? []
  return pieces.find((piece) => piece.length === length) ?? null
}

/** What a material can be cut from: bought first, then on hand, the rack, and what is on sale and goes in the car. */
function offersFor(material: string, settings: Settings, { wish, inHand, out }: JobWish): BoardOffer[] {
  const trueLengths = new Map(
    settings.shop.offers.flatMap((offer) =>
      offer.material === material && offer.trueLength ? [[offer.length, offer.trueLength] as const] : [],
    ),
  )
  const held = (from: 'bought' | 'hand', counts: readonly BoardCount[]) =>
    counts.flatMap((each): BoardOffer[] =>
      each.material === material
        ? [
            {
              id: `${from}:${each.length}`,
              length: trueLengths.get(each.length) ?? each.length,
              price: 0,
              limit: each.count,
            },
          ]
        : [],
    )
  return [
    ...held('bought', inHand.bought),
    ...held('hand', inHand.onHand),
    ...inHand.rack.flatMap(({ id, material: of, length }): BoardOffer[] =>
      of === material ? [{ id: `rack:${id}`, length, price: 0, limit: 1 }] : [],
    ),
    ...offersOf(material, settings).flatMap(({ id, length, price }): BoardOffer[] => {
      const sold = settings.shop.offers.find((offer) => offer.id === id)?.length ?? length
      if (out.includes(id) || (wish.longest !== null && sold > wish.longest)) return []
      return [{ id: `buy:${id}`, length, price }]
    }),
  ]
}

/**
 * One request per material for walls of a job, spares among the pieces, what is in hand before what is bought. Pieces
 * of boards that are cut already are left out. `nameOf` says a piece's wall where there is more than one.
 */
export function jobRequests(
  pieces: readonly JobPiece[],
  settings: Settings,
  wanted: JobWish,
  nameOf: (piece: JobPiece) => string = ({ label }) => label,
): BoardRequest[] {
  const { kerf, endTrim } = settings.shop
  return [...new Set(pieces.map(({ material }) => material))].map((materialId) => {
    const own = pieces.filter(({ material }) => material === materialId)
    const likeliest = likeliestPiece(own)
    const wished = (wanted.wish.spares[materialId] ?? 0) - (wanted.inHand.sparesCut[materialId] ?? 0)
    const spares = likeliest ? Math.max(0, wished) : 0
    return {
      materialId,
      kerf,
      endTrim,
      offers: offersFor(materialId, settings, wanted),
      pieces: [
        ...own.map((piece) => ({ id: piece.id, label: nameOf(piece), length: piece.length })),
        ...Array.from({ length: spares }, (_, i) => ({
          id: `spare/${i + 1}`,
          label: `spare ${likeliest ? nameOf(likeliest) : ''}`,
          length: likeliest?.length ?? nanometers(0),
        })),
      ],
    }
  })
}

/** A piece of a board that is cut, and what that board was. */
interface CutPiece {
  readonly id: string
  readonly length: Length
  readonly material: string
}

function cutPieces(acts: readonly YardAct[], job: string): CutPiece[] {
  return boardsCut(acts)
    .filter((board) => board.job === job)
    .flatMap(({ material, pieces }) => pieces.map((piece) => ({ ...piece, material })))
}

const sameAs = (a: CutPiece, b: CutPiece) =>
  a.id === b.id && a.material === b.material && Math.abs(a.length - b.length) <= SAME_WITHIN

/** The pieces that are not on a board that is cut already: one cut to another length or of other stuff is no longer it. */
export function stillToCut(pieces: readonly JobPiece[], acts: readonly YardAct[], job: string): JobPiece[] {
  const cut = cutPieces(acts, job)
  return pieces.filter((piece) => !cut.some((each) => sameAs(each, piece)))
}

/** Pieces that were cut for these walls and that the layout has no more as they are: ids as in the job. */
export function cutForNothing(
  pieces: readonly JobPiece[],
  walls: readonly string[],
  acts: readonly YardAct[],
  job: string,
): string[] {
  return cutPieces(acts, job)
    .filter(({ id }) => walls.some((wall) => id.startsWith(`${wall}/`)))
    .filter((each) => !pieces.some((piece) => sameAs(each, piece)))
    .map(({ id }) => id)
}

/** The boards of a plan that are bought: not those in hand, and no strips ripped from a sheet. */
export function boughtBoards({ boards }: BoardPlan, { shop }: Settings): CutBoard[] {
  const sold = new Set(shop.offers.map(({ id }) => id))
  return boards.filter(({ offerId }) => {
    const source = sourceOf(offerId)
    return source.from === 'buy' && sold.has(source.offer)
  })
}

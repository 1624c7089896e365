import { type Length, nanometers } from '~/length'
import type { Settings, YardAct } from '~/model'
import { SAME_WITHIN } from '../pieces'
import { asHeld, type BoardOffer, type BoardPlan, type BoardRequest, type CutBoard } from '../stock'
import { offersOf } from '../stock/offers'
import { type JobPiece, lessTaken, openedAtWalls, openOfJob, type OpenOfJob, type WallLeft } from './wallLeft'
import { type BoardCount, boardsCut, onHandOf, rackOf, sparesWished, uncutOf, type Wish } from './yardState'

/** What a job can cut from besides what it buys. */
export interface InHand {
  readonly onHand: readonly BoardCount[]
  readonly bought: readonly BoardCount[]
  readonly rack: readonly { readonly id: string; readonly material: string; readonly length: Length }[]
  /** What is left of boards that are open at its walls. */
  readonly open: readonly OpenOfJob[]
  /** Spare pieces that are cut already, by material. */
  readonly sparesCut: Readonly<Record<string, number>>
}
export const NOTHING_IN_HAND: InHand = { onHand: [], bought: [], rack: [], open: [], sparesCut: {} }

/** What a job has in hand: what is left of open boards, bought and not cut, the crew's boards on hand, the rack. */
export function inHandOf(
  acts: readonly YardAct[],
  job: string,
  walls: readonly WallLeft[],
  settings: Settings,
): InHand {
  const sparesCut: Record<string, number> = {}
  for (const { job: of, material, pieces } of boardsCut(acts))
    if (of === job)
      sparesCut[material] =
        (sparesCut[material] ?? 0) + pieces.filter(({ id }) => id.startsWith('spare/')).length
  // what was cut at a wall came from those bought for the job, else from those on hand
  const bought = lessTaken(uncutOf(acts, job), openedAtWalls(walls, acts, job, settings))
  const onHand = lessTaken(onHandOf(acts), bought.more)
  return {
    onHand: onHand.left,
    bought: bought.left,
    rack: rackOf(acts),
    open: openOfJob(walls, acts, job, settings),
    sparesCut,
  }
}

/** Where a planned board comes from, as its offer's id says. */
export type BoardSource =
  | { readonly from: 'buy'; readonly offer: string }
  | { readonly from: 'bought' | 'hand'; readonly length: Length }
  | { readonly from: 'rack'; readonly offcut: string }
  /** Left of a board that is open at a wall, by its number there; or a piece cut for nothing, by its name. */
  | { readonly from: 'open'; readonly wall: string; readonly number: number }
  | { readonly from: 'over'; readonly wall: string; readonly piece: string }

export function sourceOf(offerId: string): BoardSource {
  const [kind, rest = ''] = [offerId.slice(0, offerId.indexOf(':')), offerId.slice(offerId.indexOf(':') + 1)]
  if (kind === 'rack') return { from: 'rack', offcut: rest }
  const [wall = '', name = ''] = [rest.slice(0, rest.lastIndexOf('/')), rest.slice(rest.lastIndexOf('/') + 1)]
  if (kind === 'open') return { from: kind, wall, number: Number(name) }
  if (kind === 'over') return { from: kind, wall, piece: name }
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

/** What a material can be cut from: what is left of open boards first, then bought, then on hand, the rack, and what is on sale and goes in the car. */
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
    ...inHand.open.flatMap(({ wall, number, piece, material: of, length }): BoardOffer[] =>
      of === material
        ? [
            {
              id: number === null ? `over:${wall}/${piece}` : `open:${wall}/${number}`,
              length,
              price: 0,
              limit: 1,
            },
          ]
        : [],
    ),
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
    const wished =
      sparesWished(wanted.wish, materialId, own.length) - (wanted.inHand.sparesCut[materialId] ?? 0)
    const spares = likeliest ? Math.max(0, wished) : 0
    const offers = offersFor(materialId, settings, wanted)
    return {
      materialId,
      kerf,
      endTrim,
      offers,
      pieces: [
        ...own.map((piece) => {
          const { id, length, long } = piece
          return asHeld({ id, label: nameOf(piece), length, ...(long ? { long } : {}) }, offers, endTrim)
        }),
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

/** The pieces that are not on a board that is cut already: one cut to another length or of another material is no longer it. */
export function stillToCut(pieces: readonly JobPiece[], acts: readonly YardAct[], job: string): JobPiece[] {
  const cut = cutPieces(acts, job)
  return pieces.filter((piece) => !cut.some((each) => sameAs(each, piece)))
}

/**
 * Pieces that were cut on the job's boards for these walls and that the layout has no more as they are: ids as in the job. `atWall` are those
 * that are cut at the wall as well.
 */
export function cutForNothing(
  pieces: readonly JobPiece[],
  atWall: ReadonlySet<string>,
  walls: readonly string[],
  acts: readonly YardAct[],
  job: string,
): string[] {
  return cutPieces(acts, job)
    .filter(({ id }) => walls.some((wall) => id.startsWith(`${wall}/`)))
    .filter((each) => !atWall.has(each.id) && !pieces.some((piece) => sameAs(each, piece)))
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

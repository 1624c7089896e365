import type { Length } from '~/length'
import type { BoardPlan, BoardRequest } from '../stock'
import { firstBoards, planBoards, type SolveInteger } from '../stock'
import { likeliestPiece } from './jobRequests'

/** What a choice of lengths comes to. Money in hundredths; null where a price is not known. */
export interface LengthChoice {
  /** The lengths bought from. */
  readonly lengths: readonly Length[]
  readonly cost: number | null
  readonly boards: number
  readonly waste: number
  readonly bought: Length
  readonly proven: boolean
}

/** One more spare of the likeliest piece: which, and what it adds. */
export interface OneMore {
  readonly label: string
  readonly length: Length
  /** What it adds in hundredths (boards where prices are missing). */
  readonly cost: number | null
  readonly boards: number
}

export interface Alternatives {
  readonly choices: readonly LengthChoice[]
  readonly oneMore: OneMore | null
}

/** What some requests come to together: boards to buy, and money in hundredths; null where some piece has no board or no price is known. */
export interface AskedPrice {
  readonly boards: number | null
  readonly cost: number | null
}

const MOST_CHOICES = 15

const isBought = ({ id }: { readonly id: string }) => id.startsWith('buy:')

/** Each length alone, each pair, and all: what there is to choose from at the yard. */
function sets(lengths: readonly Length[]): Length[][] {
  const single = lengths.map((length) => [length])
  const pairs = lengths.flatMap((a, i) => lengths.slice(i + 1).map((b) => [a, b]))
  const all = lengths.length > 2 ? [[...lengths]] : []
  return [...single, ...all, ...pairs].slice(0, MOST_CHOICES)
}

/** Boards of a plan that are bought, not those in hand. */
function boughtOf(plan: BoardPlan) {
  return plan.boards.filter(({ offerId }) => offerId.startsWith('buy:'))
}

/** What the boards of some requests cost, as far as prices are known; past the time by good plans that need not be the best. */
export async function priceOf(
  requests: readonly BoardRequest[],
  solve: SolveInteger,
  over: () => boolean,
): Promise<AskedPrice> {
  let [boards, cost, priced] = [0, 0, false]
  for (const request of requests) {
    const found = over() ? firstBoards(request) : await planBoards(request, solve, { over })
    if (!found.ok) return { boards: null, cost: null }
    boards += boughtOf(found.value).length
    cost += found.value.known.sum
    priced ||= found.value.known.pricedLengths > 0
  }
  return { boards, cost: priced ? cost : null }
}

/** What the yard's lengths come to one by one and mixed, what is in hand used in each; and what one more spare adds. */
export async function alternativesOf(
  request: BoardRequest,
  plan: BoardPlan,
  solve: SolveInteger,
  over: () => boolean,
): Promise<Alternatives> {
  const lengths = [...new Set(request.offers.filter(isBought).map(({ length }) => length))].sort(
    (a, b) => a - b,
  )
  const planned = async (asked: BoardRequest) =>
    over() ? firstBoards(asked) : planBoards(asked, solve, { over })
  const choices: LengthChoice[] = []
  for (const set of sets(lengths)) {
    const offers = request.offers.filter((offer) => !isBought(offer) || set.includes(offer.length))
    const found = await planned({ ...request, offers })
    if (!found.ok) continue
    const { cost, boards, waste, bought, proven } = found.value
    choices.push({ lengths: set, cost, boards: boards.length, waste, bought, proven })
  }
  const likeliest = likeliestPiece(
    request.pieces.map(({ id, label, length }) => ({ id, label, length, wall: '', material: '' })),
  )
  if (!likeliest) return { choices, oneMore: null }
  const { label, length } = likeliest
  const more = await planned({
    ...request,
    pieces: [...request.pieces, { id: 'spare/one-more', label, length }],
  })
  if (!more.ok) return { choices, oneMore: null }
  return {
    choices,
    oneMore: {
      label,
      length,
      cost: more.value.cost === null || plan.cost === null ? null : more.value.cost - plan.cost,
      boards: boughtOf(more.value).length - boughtOf(plan).length,
    },
  }
}

/**
 * How many boards one would say by total length, of those the plan takes: the shortest left out as long as the rest are
 * as long together as the pieces. Fewer than the plan has where the saw needs more than the sum says.
 */
export function byTotalLength({ boards, used }: BoardPlan): number {
  const lengths = boards.map(({ length }) => length).sort((a, b) => b - a)
  let sum = 0
  const enough = lengths.findIndex((length) => (sum += length) >= used)
  return enough < 0 ? lengths.length : enough + 1
}

import type { CheaperChange } from '~/core/yard/cheaperWays'
import type { AskedPrice, OneMore } from '~/core/yard/alternatives'
import type { ShoppingGroup, ShoppingLine, ShoppingSum } from '~/core/yard/shoppingList'
import { type BoardPlan, isInHand } from '~/core/stock'
import { count, materialName, money, sayStock, sayWithUnit, type Wording } from './words'
import { yardText } from './yardText'

type Money = Wording & { readonly currency: string }

/** What the boards of a job say. */
export const boardsText = {
  title: 'Boards',
  scope: 'Plan for',
  whole: 'the whole job',
  room: (name: string) => `${name}, all its walls`,
  wall: (name: string) => name,
  working: 'Working out the pieces of every wall …',
  broken: 'The pieces could not be worked out here. Load the page again.',
  none: 'Nothing is left to cut here, so nothing to buy.',
  cutWalls: (names: readonly string[]) => `Left out, as they are cut already: ${names.join(', ')}.`,
  unreadable: (names: readonly string[]) =>
    `Left out, as what is kept of them can’t be read: ${names.join(', ')}.`,
  list: 'Shopping list',
  nothingToBuy: 'nothing to buy',
  boardsToBuy: (n: number) => (n === 1 ? 'board to buy' : 'boards to buy'),
  ripped:
    'Ripped from sheets: each board here is a strip. The sheets are planned on the walls’ Buy stages and are not in these sums.',
  forNothing: (n: number) =>
    `${count(n, 'piece')} on these boards ${n === 1 ? 'does' : 'do'} not fit the layout any more: it has gone on since. What it asks now is planned anew.`,
  toPay: 'still to pay',
  inHand: 'from what is in hand',
  wasteAll: 'waste, kerfs too',
  stop: 'Stop looking',
  begun: 'open',
  spoiled: 'spoiled:',
  was: (name: string) => `what was cut as ${name}`,
  open: (number: number, wall: string) => `what is left of board ${number}${wall ? `, ${wall}` : ''}`,
  overPiece: (piece: string, wall: string) => `what was cut as ${piece}${wall ? `, ${wall}` : ''}`,
  newOnly: 'These are boards bought new, for this wall alone.',
  withInHand: 'With what is on hand and on the rack, and the other walls',
  howCut: 'What is cut from each',
  cutOne: (what: string) => `Cut: ${what}`,
  cut: 'Cut',
  cutAll: (n: number) => `All ${n} boards are cut`,
  cutAlready: 'Cut already',
  uncut: (what: string) => `${what} is not cut after all`,
  rackAs: (label: string, length: string) => `${length} left, goes on the rack as ${label}`,
  firewood: (length: string) => `${length} left`,
  wishes: 'How you want it',
  longest: 'Longest board that goes in the car',
  anyLength: 'any length',
  spare: 'Spare to buy',
  sparePercent: (percent: number, pieces: number) =>
    percent === 0 ? 'none' : `${percent} %, ${count(pieces, 'piece')}`,
  spareOwn: 'your own percent',
  ownPercent: 'Spare, percent of the pieces',
  sparePieces: 'so many pieces',
  spares: (stuff: string) => `Spare pieces of ${stuff}`,
  rackFrom: 'Offcuts are kept from',
  prices: 'Prices of today',
  take: (n: number) => `Take ${count(n, 'price')} of today`,
  takenNote: 'The job keeps the prices it took. These differ in the yard now:',
  pricesAway:
    'They could not be taken: the server is away, or somebody changed the job. Load the page again.',
  notKept: (what: readonly string[]) => `Not kept in the yard yet: ${what.join(', ')}.`,
  keep: (n: number) => `Keep ${n === 1 ? 'it' : `these ${n}`} in the yard`,
  out: (what: readonly string[]) => `Out of stock and left out of the plan: ${what.join(', ')}.`,
  later: (what: readonly string[]) => `Delivered later: ${what.join(', ')}.`,
  budget: 'Budget',
  budgetOf: (what: string) => `What the boards of ${what} may cost`,
  under: (left: string) => `${left} left of it after all is bought.`,
  over: (more: string) => `${more} over it.`,
  ways: 'What would make it cheaper',
  waysNone: 'No narrower stuff on the list, one bay less, joints or other lengths would save anything.',
  waysLooking: 'Looking for what would save …',
  takeWay: 'Do it',
  wayDone: 'Done. Undo it on the wall’s own page.',
  mixes: 'The same pieces from other lengths',
  mixTable: ['Bought from', 'Cost', 'Boards', 'Waste', 'Best'],
  mixChart: 'Cost against waste of each mix of lengths; the table below has the same numbers.',
  byWall: 'Cost by stuff and wall',
  byWallChart: 'What the boards of each wall cost, by stuff; the table below has the same numbers.',
  wallColumn: 'Wall',
  sum: 'Together',
  best: '✓ best',
  yard: 'The yard',
} as const

/** Proven, or how far from proven. */
export function provenText(
  plan: BoardPlan,
  state: 'searching' | 'settled' | 'stopped',
  currency: string,
): string {
  if (plan.proven)
    return plan.cost === null
      ? 'Proven: no plan buys less length.'
      : 'Proven: no plan costs less, nor as little with fewer boards or less waste.'
  const gap = gapText(plan, currency)
  return state === 'searching' ? `Looking for a better plan; ${gap}` : `Stopped before the proof; ${gap}`
}

/** How far a plan may be from the best there is. */
export function gapText(plan: BoardPlan, currency: string): string {
  const is = plan.cost ?? plan.boards.reduce((sum, { length, price }) => sum + (price === 0 ? 0 : length), 0)
  if (is <= 0 || plan.bound <= 0) return 'how good it is, is not known yet.'
  const gap = Math.max(0, 1 - plan.bound / is) * 100
  const bound = plan.cost === null ? 'less length than' : `less than ${money(plan.bound, currency)}`
  return plan.cost === null
    ? `no plan can do with ${gap.toFixed(1)} % less length than this one.`
    : `no plan costs ${bound}, ${gap < 0.05 ? 'under 0.1' : gap.toFixed(1)} % below this one.`
}

/** By total length it looks like 5, the saw needs 6. */
export function byLengthText(said: number, plan: BoardPlan): string | null {
  const needs = plan.boards.length
  return said < needs ? `By total length it looks like ${said}; the saw needs ${needs}.` : null
}

/** What of a wall's boards is cut already, and what of the rest comes from boards that are open. */
export function cutSoFarText({ boards }: BoardPlan, cut: number): string {
  const toGo = (of: BoardPlan['boards']) => of.flatMap(({ pieces }) => pieces.filter((piece) => !piece.cut))
  const fromOpen = toGo(boards.filter(isInHand)).length
  const left = toGo(boards).length
  if (left === 0) return `${cut === 1 ? 'It is cut' : `All ${cut} are cut`}. Nothing is left to buy.`
  const open =
    fromOpen > 0
      ? `${fromOpen} from boards that are open, ${left - fromOpen} from new ones`
      : 'from new boards'
  return `${cut} cut, ${left} to go: ${open}.`
}

/** What one more spare of the likeliest piece costs. */
export function oneMorePieceText({ label, length, cost, boards }: OneMore, w: Money): string {
  const what = `One more spare of ${label} (${sayWithUnit(length, w)})`
  const board = boards > 0 ? `, ${count(boards, 'board')} more` : ''
  if (cost === null)
    return boards > 0
      ? `${what} takes ${count(boards, 'more board', 'more boards')}.`
      : `${what} takes no more boards.`
  return cost === 0 ? `${what} costs nothing${board}.` : `${what} costs ${money(cost, w.currency)}${board}.`
}

/** What a choice of spares costs more than none: in money where prices are known, else in boards. */
export function sparePriceText(price: AskedPrice, none: AskedPrice, currency: string): string {
  if (price.boards === null || none.boards === null) return ''
  const boards = price.boards - none.boards
  const cost = price.cost === null || none.cost === null ? null : price.cost - none.cost
  if (boards === 0 && !cost) return ': costs nothing more'
  return `: ${cost === null ? '' : `${money(cost, currency)} more, `}${count(boards, 'board')}`
}

/** What would be changed to save. */
export function cheaperText(change: CheaperChange, wallName: (id: string) => string, w: Wording): string {
  switch (change.kind) {
    case 'narrower':
      return `${wallName(change.wall)}: ${materialName(change.to, w)} instead of ${materialName(change.from, w)}`
    case 'fewer':
      return `${wallName(change.wall)}: ${change.count} instead of ${change.now}, so one bay less`
    case 'joints':
      return `${wallName(change.wall)}: let runs be joined that are whole now`
    case 'anyLength':
      return `Boards longer than ${sayStock(change.longest, w)} too`
  }
}

export const savesText = (saves: number, currency: string) => `saves about ${money(saves, currency)}`
export const wrongThenText = (wrong: number) =>
  `${count(wrong, 'thing')} on the wall would have to be settled then.`

/** What the list in the shop says. */
export const shoppingText = {
  title: 'Shopping list',
  nobody: 'Anywhere',
  inCart: (line: string) => `One more ${line} is in the cart`,
  outOfCart: (line: string) => `Put one ${line} back`,
  paid: (line: string) => `Paid for each ${line}`,
  of: (inCart: number, need: number) => `${inCart} of ${need}`,
  back: 'Boards of the job',
  copy: 'Copy as text',
  copied: 'Copied.',
  notCopied: 'The browser would not copy it. Select the text below.',
  share: 'Share',
  csv: 'Save as CSV',
  print: 'Print',
  done: 'Everything is in the cart.',
  empty: 'Nothing to buy.',
  waiting: (n: number) =>
    `${count(n, 'tick')} not sent yet: they wait on this phone until the server is there.`,
  least: (n: number) => `sold by ${n} and more`,
  columns: ['supplier', 'material', 'length', 'need', 'in_cart', 'price', 'paid'],
} as const

/** 1x3 pine 8 ft. */
export function lineName(
  { material, length }: Pick<ShoppingLine, 'material' | 'length'>,
  w: Wording,
): string {
  return `${materialName(material, w)} ${sayStock(length, w)}`
}

/** $48.20 paid, $12.40 to go; $1.20 more than the list says. */
export function sumText(
  { spent, toSpend, unpriced, unpricedPacks, difference }: ShoppingSum,
  currency: string,
): string {
  const parts = [
    `${money(spent, currency)} in the cart`,
    `${money(toSpend, currency)} to go`,
    ...(unpriced > 0 ? [`${count(unpriced, 'board')} without a price`] : []),
    ...(unpricedPacks > 0 ? [`${count(unpricedPacks, 'pack')} of supplies without a price`] : []),
  ]
  const differs =
    difference === 0
      ? ''
      : ` Paid ${money(Math.abs(difference), currency)} ${difference > 0 ? 'more' : 'less'} than the prices the job has.`
  return `${parts.join(', ')}.${differs}`
}

/** The list as a text to send: a line each. */
export function shoppingAsText(
  groups: readonly ShoppingGroup[],
  w: Money,
  job: string,
  supplies: readonly string[] = [],
): string {
  const lines = groups.flatMap(({ supplier, lines: of }) => [
    '',
    supplier?.name ?? shoppingText.nobody,
    ...of.map((line) => {
      const open = line.need - line.inCart
      const price = line.price === null ? '' : ` at ${money(line.price, w.currency)}`
      const state = line.state === 'there' ? '' : ` (${yardText.state(line.state, line.there)})`
      return `${open > 0 ? `[ ] ${open}` : '[x] 0'} × ${lineName(line, w)}${price}${state}`
    }),
  ])
  return [`${job}: boards to buy`, ...lines, ...supplies].join('\n')
}

/** What is said of a line in the shop besides its price. */
export function lineNotes({ state, there, leastOrder }: ShoppingLine): string[] {
  return [
    state === 'there' ? '' : yardText.state(state, there),
    leastOrder > 1 ? shoppingText.least(leastOrder) : '',
  ]
}

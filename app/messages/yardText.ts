import type { StockChange } from '~/core/yard/stockChanges'
import type { PriceProblem, PriceRow } from '~/core/yard/priceList'
import type { Units } from '~/length'
import type { StockKind, StockState } from '~/model'
import { lengthIssueText } from './lengthIssue'
import { count, money, sayStock, sayWithUnit, type Wording } from './words'

const KINDS: Readonly<Record<StockKind, string>> = {
  square: 'square',
  eased: 'eased edges',
  molding: 'molding',
  sheet: 'sheet',
}
const STATES: Readonly<Record<StockState, string>> = {
  there: 'there',
  out: 'out of stock',
  later: 'there later',
}

/** What of a length two windows may both change. */
const FIELDS: Readonly<Record<string, string>> = {
  price: 'the price',
  trueLength: 'the true length',
  leastOrder: 'the least order',
  supplier: 'the supplier',
}

/** What the crew's yard says. */
export const yardText = {
  title: 'The yard',
  intro:
    'What the crew buys and what it has: lengths with the price of the day, boards on hand, offcuts on the rack. A job keeps the prices it took; a price that changes here is offered to it.',
  boards: 'Lengths and prices',
  invented: 'The prices it starts with are invented. Type yours, or take a supplier’s list in.',
  columns: ['Length', 'Truly', 'Price', 'At least', 'From', 'On hand', 'Drop'],
  kind: (kind: StockKind) => KINDS[kind],
  state: (state: StockState, there: string | null) =>
    state === 'later' && there ? `there on ${there}` : STATES[state],
  addLength: 'Add a length',
  newLength: 'Length as sold, in feet or as typed',
  trueLength: (what: string) => `What ${what} truly measures`,
  price: (what: string) => `Price of ${what}`,
  least: (what: string) => `Least order of ${what}`,
  onHand: (what: string) => `${what} on hand`,
  from: (what: string) => `Supplier of ${what}`,
  drop: (what: string) => `Take ${what} off the list`,
  noSupplier: 'nobody named',
  newStuff: 'Stuff the yard keeps besides',
  newStuffHelp: 'Name: actual width x thickness, one a line, like “ripped lath: 1 7/8 x 1/2”',
  newKind: 'Kind',
  keepStuff: (n: number) => `Keep ${count(n, 'material')}`,
  suppliers: 'Suppliers',
  addSupplier: 'Add supplier',
  supplierName: 'Name of a supplier',
  supplierAddress: 'Its address on this machine, if it has one',
  addStandIn: 'Add the stand-in supplier',
  standInHelp:
    'The stand-in answers on this machine like a lumber yard with an address would, to try what happens when it is sold out, dearer, late or not there.',
  mood: 'The stand-in',
  moods: {
    usual: 'has everything at its usual prices',
    soldOut: 'is out of some lengths',
    dearer: 'has raised its prices',
    later: 'delivers some lengths later',
    away: 'can’t be reached',
    garbled: 'answers rubbish',
  },
  ask: (name: string) => `Ask ${name} for its prices`,
  byList: 'sends lists',
  bring: 'Take in a price list',
  bringHelp:
    'CSV with the columns material, length and price, and if you like code, least_order, state, there and true_length. A length without a unit is in feet. Nothing is taken in before you have seen it.',
  bringFor: 'Whose list it is',
  listText: 'The list, pasted or from a file',
  file: 'From a file',
  read: 'Look at the list',
  save: 'Save the prices as CSV',
  take: (rows: number) => `Take in ${count(rows, 'row')}`,
  leave: 'Put the list away',
  waiting: (supplier: string) => `A list of ${supplier} waits`,
  good: (rows: number) => (rows === 0 ? 'No row can be taken in.' : `${count(rows, 'row')} can be taken in:`),
  bad: (rows: number) => `${count(rows, 'row')} can’t, and ${rows === 1 ? 'is' : 'are'} left out:`,
  rack: 'The rack',
  rackNone: 'No offcuts on the rack. Tick boards as they are cut and what is left of them comes here.',
  rackHelp: 'Write the label on the end. The next plan of any job takes these first.',
  measured: (label: string) => `What ${label} measures`,
  gone: (label: string) => `${label} is not there any more`,
  add: 'Put an offcut on the rack',
  addStuff: 'Stuff',
  addLengthOf: 'Length',
  put: (label: string) => `Put it on as ${label}`,
  found: 'found there',
  all: 'All stuff',
  clash: (fields: readonly string[], length: string) =>
    `Another window also changed ${fields.map((field) => FIELDS[field] ?? 'it').join(' and ')} of ${length}.`,
  dropAll: 'Take it out all the same',
  leaveIt: 'Leave it',
  keepMine: 'Keep what is here',
  takeTheirs: 'Take the other',
  refused: 'That could not be kept: is the length there already, or longer than anything may be?',
} as const

/** What came of asking a supplier. */
export function askedText(
  asked:
    | {
        readonly kind: 'taken'
        readonly changed: number
        readonly out: number
        readonly later: number
        readonly unknown: number
      }
    | { readonly kind: 'noAddress' | 'notHere' | 'unreachable' | 'garbled' },
  name: string,
): string {
  switch (asked.kind) {
    case 'noAddress':
      return `${name} has no address to ask at. Take its price list in.`
    case 'notHere':
      return `${name} is asked on this machine only; its address is elsewhere. Nothing was sent and nothing changed.`
    case 'unreachable':
      return `${name} can’t be reached. The prices of last time stand; ask again later or take its list in.`
    case 'garbled':
      return `${name} answered something that can’t be read. Nothing was taken in; the prices of last time stand.`
    case 'taken': {
      const { changed, out, later, unknown } = asked
      const rest = [
        out > 0 ? `${count(out, 'length')} out of stock` : '',
        later > 0 ? `${count(later, 'length')} there later` : '',
        unknown > 0 ? `${count(unknown, 'item')} of stuff you don’t keep left out` : '',
      ].filter((part) => part !== '')
      const first = changed === 0 ? 'nothing changed' : `${count(changed, 'length')} changed`
      return `${name} answered: ${[first, ...rest].join(', ')}. Jobs keep the prices they took.`
    }
  }
}

/** One row that can't be taken in. */
export function priceProblemText(problem: PriceProblem, units: Units): string {
  switch (problem.code) {
    case 'noColumns':
      return `The heading has no ${problem.missing.join(', no ')}. Columns are named in the first line.`
    case 'unknownMaterial':
      return `Line ${problem.line}: the crew keeps no “${problem.read}”, or more than one.`
    case 'badLength':
      return `Line ${problem.line}: ${lengthIssueText(problem.issue, units)}`
    case 'badPrice':
      return `Line ${problem.line}: “${problem.read}” is no price.`
    case 'negativePrice':
      return `Line ${problem.line}: a price can’t be less than nothing (${problem.read}).`
    case 'badCount':
      return `Line ${problem.line}: “${problem.read}” is no least order.`
    case 'badState':
      return `Line ${problem.line}: “${problem.read}” is none of there, out, later.`
    case 'badDay':
      return `Line ${problem.line}: “${problem.read}” is no day like 2026-03-09.`
    case 'twice':
      return `Line ${problem.line}: ${problem.read} stands twice; the first one counts.`
  }
}

/** 1x3 pine 8 ft: $6.20, was $5.90. */
export function priceRowText(
  { length, price, state, there }: PriceRow,
  before: number | null | undefined,
  stuff: string,
  w: Wording & { readonly currency: string },
): string {
  const is = price === null ? 'no price' : money(price, w.currency)
  const was =
    before === undefined
      ? ', new'
      : before === price
        ? ', as it was'
        : `, was ${before === null ? 'not known' : money(before, w.currency)}`
  const has = state === 'there' ? '' : `; ${yardText.state(state, there)}`
  return `${stuff} ${sayStock(length, w)}: ${is}${was}${has}`
}

/** What a change of the crew's stock would mean for a job. */
export function stockChangeText(
  change: StockChange & { readonly stuff: string },
  w: Wording & { readonly currency: string },
): string {
  const { stuff, length, job, now } = change
  const price = (value: number | null) => (value === null ? 'no price' : money(value, w.currency))
  const truly =
    now.trueLength === (job?.trueLength ?? null)
      ? ''
      : `; truly ${now.trueLength === null ? 'as sold' : sayWithUnit(now.trueLength, w)}`
  const head = `${stuff} ${sayStock(length, w)}`
  if (!job) return `${head}: ${price(now.price)}; the job does not have this length${truly}`
  return job.price === now.price
    ? `${head}: ${price(now.price)}${truly}`
    : `${head}: ${price(now.price)} now, the job has ${price(job.price)}${truly}`
}

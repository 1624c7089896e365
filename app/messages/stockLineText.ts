import type { StockLineProblem } from '~/core/files/stockLines'
import type { Units } from '~/length'
import type { Offer } from '~/model'
import { lengthIssueText } from './lengthIssue'
import { sayStock, type Wording } from './words'

/** What is wrong in a line of a list of boards or materials, and what to do. */
export function stockLineProblemText(problem: StockLineProblem, units: Units): string {
  switch (problem.code) {
    case 'badLength':
      return `Line ${problem.line}: ${lengthIssueText(problem.issue, units)}`
    case 'badPrice':
      return `Line ${problem.line}: “${problem.read}” costs more than any board.`
    case 'twice':
      return `Line ${problem.line}: “${problem.read}” is a length that stands above already.`
    case 'outOfRange':
      return `Line ${problem.line}: “${problem.read}” is no size of a board or a strip. Check the unit.`
    case 'noName':
      return `Line ${problem.line}: “${problem.read}” has no name before a colon, of 40 letters at most.`
    case 'noSize':
      return `Line ${problem.line}: “${problem.read}” gives no width x thickness.`
  }
}

/** The boards on sale as they are typed: 8 ft 7.35. */
export function offerLines(offers: readonly Offer[], w: Wording): string {
  return offers
    .map(
      ({ length, price }) => `${sayStock(length, w)}${price === null ? '' : ` ${(price / 100).toFixed(2)}`}`,
    )
    .join('\n')
}

export const stockLineText = {
  openOffers: 'Type the whole list',
  offers: 'Lengths with their prices, one a line',
  offersHelp: (units: Units) =>
    units === 'mm'
      ? 'Like 2400 8.40; without a price it is open.'
      : 'Like 8 7.35 (feet, then the price); without a price it is open.',
  keepOffers: (lines: number) => (lines === 1 ? 'List this length' : `List these ${lines} lengths`),
  materials: 'Name: actual width x thickness, one a line',
  materialsExample: (units: Units) => (units === 'mm' ? 'ripped lath: 48 x 12' : 'ripped lath: 1 7/8 x 1/2'),
  keepMaterial: 'Use it for the battens',
  keepMaterials: (lines: number) => `Add ${lines}, use the first for the battens`,
} as const

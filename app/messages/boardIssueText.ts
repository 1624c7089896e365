import type { BoardIssue, KnownCost, Spare } from '~/core/stock'
import type { Length } from '~/length'
import { count, materialName, money, say, sayWithUnit, type Wording } from './words'

/** Why no board plan can be made, and what to do. */
export function boardIssueText(issue: BoardIssue, w: Wording): string {
  switch (issue.code) {
    case 'noBoardsListed':
      return `No boards of ${materialName(issue.materialId, w)} are listed. Add a length to plan with.`
    case 'pieceTooLong':
      return `${count(issue.pieceIds.length, 'piece')} up to ${sayWithUnit(issue.length, w)}: the longest board listed gives ${sayWithUnit(issue.longest, w)}. List a longer board or lower the layout.`
    case 'shortOfStock':
      return issue.proven
        ? `The boards there are do not hold everything: ${count(issue.pieceIds.length, 'piece')} up to ${sayWithUnit(issue.length, w)} of ${materialName(issue.materialId, w)} find none. List more boards that hold them, or have them joined.`
        : `No plan was found in the boards there are: ${count(issue.pieceIds.length, 'piece')} up to ${sayWithUnit(issue.length, w)} of ${materialName(issue.materialId, w)} found none. List more boards that hold them.`
  }
}

/** One A or one B from board 2; or that there is none. */
export function sparesText(spares: readonly Spare[]): string {
  if (spares.length === 0) return 'none. A spoiled piece takes another board.'
  return `${spares
    .map(
      ({ boardNumber, labels }) =>
        `${labels.map((label) => `one ${label}`).join(' or ')} from board ${boardNumber}`,
    )
    .join('; ')}.`
}

/** What the sum shown is of: all boards, or those that have a price. */
export function knownCostText({ unpricedBoards, lengths, pricedLengths }: KnownCost): string {
  if (pricedLengths === 0) return 'no price known yet'
  const priced = pricedLengths === lengths ? '' : ` (${pricedLengths} of ${count(lengths, 'length')} priced)`
  return unpricedBoards === 0
    ? `to pay${priced}`
    : `and ${count(unpricedBoards, 'board')} without a price${priced}`
}

/** A board with nothing to spare for a piece that is only measured in place. */
export function tightBoardText(
  board: { readonly boardNumber: number; readonly labels: readonly string[]; readonly offcut: Length },
  w: Wording,
): string {
  const left = board.offcut === 0 ? 'nothing' : `only ${sayWithUnit(board.offcut, w)}`
  return `board ${board.boardNumber} has ${left} left, and ${board.labels.join(' and ')} ${board.labels.length === 1 ? 'is' : 'are'} measured in place: a hair longer and it takes another board. Measure before you buy, or take a longer board.`
}

/** Before the last change: 11 boards, $80.20. */
export function beforeText(
  {
    pieces,
    boards,
    cost,
  }: { readonly pieces: number; readonly boards: number; readonly cost: number | null },
  currency: string,
): string {
  const paid = cost === null ? '' : `, ${money(cost, currency)}`
  return `before: ${count(pieces, 'piece')}, ${count(boards, 'board')}${paid}`
}

/** 12 3/8 left. */
export function leftText(offcut: number, w: Wording): string {
  return `${say(offcut, w)} left`
}

/** How long a piece is on its board, and what it is cut long by: 53 + 1/8. */
export function lengthOnBoard(
  { length, long }: { readonly length: Length; readonly long?: Length | undefined },
  w: Wording,
): string {
  return `${say(length, w)}${long ? ` + ${say(long, w)}` : ''}`
}

/** A board with its pieces, in one line. */
export function boardText(
  board: {
    readonly number: number
    readonly offcut: number
    readonly pieces: readonly { readonly label: string; readonly length: number }[]
  },
  w: Wording,
): string {
  const pieces = board.pieces.map(({ label, length }) => `${label} ${say(length, w)}`).join(', ')
  return `Board ${board.number}: ${pieces}; ${leftText(board.offcut, w)}`
}

/** board 3; 4 boards alike, 3 to 6; 3 boards alike, 1, 4 and 5. */
export function boardsNamed(numbers: readonly number[]): string {
  const [first] = numbers
  const last = numbers.at(-1)
  if (numbers.length === 1 || first === undefined || last === undefined) return `board ${first ?? ''}`
  const inRow = numbers.every((number, i) => number === first + i)
  const which =
    inRow && numbers.length > 2 ? `${first} to ${last}` : `${numbers.slice(0, -1).join(', ')} and ${last}`
  return `${numbers.length} × alike, ${which}`
}

import type { BoardIssue, BoardRequest } from '~/core/stock'
import { formatLengthWithUnit, type Length } from '~/length'
import { count } from './words'

const inInches = (length: Length) => formatLengthWithUnit(length, { units: 'inches', tape: '1/32' })

/** 2 A, 1 B. */
function pieceCounts(ids: readonly string[], { pieces }: BoardRequest): string {
  const labels = new Map(pieces.map(({ id, label }) => [id, label]))
  const counts = new Map<string, number>()
  for (const id of ids) {
    const label = labels.get(id) ?? id
    counts.set(label, (counts.get(label) ?? 0) + 1)
  }
  return [...counts].map(([label, n]) => `${n} of ${label}`).join(', ')
}

/** Why a cutting problem has no plan, a line each: which pieces find no board. */
export function cuttingReasons(issue: BoardIssue, request: BoardRequest): string[] {
  switch (issue.code) {
    case 'noBoardsListed':
      return ['No boards are listed.']
    case 'pieceTooLong':
      return [
        `${pieceCounts(issue.pieceIds, request)}: up to ${inInches(issue.length)} long, and the longest board gives ${inInches(issue.longest)}.`,
      ]
    case 'shortOfStock': {
      const none = `${pieceCounts(issue.pieceIds, request)}: up to ${inInches(issue.length)} long, no board is left for ${count(issue.pieceIds.length, 'piece')}.`
      return issue.proven ? [none] : [none, 'The time was over before every way was tried.']
    }
  }
}

import type { BoardIssue } from '~/core/stock'
import { count, materialName, sayWithUnit, type Wording } from './words'

/** Why no board plan can be made, and what to do. */
export function boardIssueText(issue: BoardIssue, w: Wording): string {
  switch (issue.code) {
    case 'noBoardsListed':
      return `No boards of ${materialName(issue.materialId, w)} are listed. Add a length to plan with.`
    case 'pieceTooLong':
      return `${count(issue.pieceIds.length, 'piece')} up to ${sayWithUnit(issue.length, w)}: the longest board listed gives ${sayWithUnit(issue.longest, w)}. List a longer board or lower the layout.`
  }
}

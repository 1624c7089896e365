import type { CsvProblem } from '~/core/files/readingsCsv'
import type { Units } from '~/length'
import { LIMITS } from '~/model'
import { lengthIssueText } from './lengthIssue'

/** One line for one problem of a readings file. */
export function csvProblemText(problem: CsvProblem, units: Units): string {
  switch (problem.code) {
    case 'noColumns':
      return `The heading lacks ${problem.missing.join(', ')}. Start from the template.`
    case 'unknownKind':
      return `Line ${problem.line}: nobody knows a reading called “${problem.kind}”. Known are width, height, floorFall, ceilingFall, plumbLeft, plumbRight, cornerLeft, cornerRight.`
    case 'badLength':
      return `Line ${problem.line}, ${problem.column}: ${lengthIssueText(problem.issue, units)}`
    case 'badCorner':
      return `Line ${problem.line}, degrees: “${problem.read}” is no corner of a room. Write ${LIMITS.cornerDeg.least} to ${LIMITS.cornerDeg.most}.`
    case 'badCell':
      return `Line ${problem.line}, ${problem.column}: “${problem.read}” can’t be used here.`
  }
}

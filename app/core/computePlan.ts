import type { Workpiece } from '~/model'
import { boardFindings } from './findings/boardFindings'
import { cornerFindings } from './findings/cornerFindings'
import type { Finding, Severity } from './findings/finding'
import { heightFindings } from './findings/heightFindings'
import { meetingFindings } from './findings/meetingFindings'
import { spacingFindings } from './findings/spacingFindings'
import { surveyFindings } from './findings/surveyFindings'
import { proudFindings, slopeFindings } from './findings/trimFindings'
import { widthFindings } from './findings/widthFindings'
import { cutLayout } from './layout/cutLayout'
import { layOut } from './layout/layOutWall'
import type { Layout } from './layout/layout'
import { stripPlans } from './layout/strips'
import { type ClosingSum, closingOf } from './marks/closingSum'
import { buildCutList, type CutRow, type Piece } from './pieces'

/** Everything that follows from one wall and its design, but for the boards, which take longer. */
export interface Plan {
  readonly layout: Layout
  readonly pieces: readonly Piece[]
  readonly cutList: readonly CutRow[]
  readonly closing: ClosingSum | null
  readonly findings: readonly Finding[]
}

const ORDER: readonly Severity[] = ['wrong', 'watch', 'note', 'good']

/** The pipeline: survey and design -> layout -> pieces -> cut list, and what there is to say about them. */
export function computePlan(workpiece: Workpiece): Plan {
  const { survey, design } = workpiece.wall
  const layout = layOut(survey, design, workpiece.settings)
  const plans = stripPlans(layout, survey, design, workpiece.settings)
  const pieces = cutLayout(layout, plans, design, workpiece.settings)
  const cutList = buildCutList(pieces)
  const closing = closingOf(layout)
  const findings: Finding[] = [
    ...surveyFindings(workpiece, layout),
    ...meetingFindings(workpiece, layout, plans),
    ...spacingFindings(workpiece, layout),
    ...heightFindings(workpiece, layout),
    ...proudFindings(workpiece, layout, plans),
    ...slopeFindings(workpiece, layout),
    ...boardFindings(workpiece, layout, pieces),
    ...widthFindings(workpiece, layout),
    ...cornerFindings(workpiece, layout, pieces),
  ]
  if (closing?.difference === 0 && layout.spacingIssue === null)
    findings.push({
      stage: 'layout',
      severity: 'good',
      says: { code: 'closes', wall: closing.wall },
      stripIds: [],
      waysOut: [],
    })
  findings.sort((a, b) => ORDER.indexOf(a.severity) - ORDER.indexOf(b.severity))
  return { layout, pieces, cutList, closing, findings }
}

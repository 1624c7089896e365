import type { Workpiece } from '~/model'
import { boardFindings } from './findings/boardFindings'
import { boxFindings } from './findings/boxFindings'
import { clearanceFindings } from './findings/clearanceFindings'
import { companionFindings } from './findings/companionFindings'
import { cornerFindings } from './findings/cornerFindings'
import { flatFindings } from './findings/flatFindings'
import { floorFindings, returningFindings } from './findings/groundFindings'
import { heatFindings } from './findings/heatFindings'
import { leanFindings } from './findings/leanFindings'
import { edgeFindings, ledgeFindings } from './findings/ledgeFindings'
import type { Finding, Severity } from './findings/finding'
import { heightFindings } from './findings/heightFindings'
import { lineFindings } from './findings/lineFindings'
import { meetingFindings } from './findings/meetingFindings'
import { openLineFindings } from './findings/openLines'
import { bandsOffWall, extentFindings, overlapFindings, vanishedFindings } from './findings/overlapFindings'
import { onWallFindings } from './findings/onWallFindings'
import { sawFindings } from './findings/sawFindings'
import { sideFindings, smallFindings } from './findings/smallFindings'
import { slopeFindings } from './findings/slopeFindings'
import { spacingFindings } from './findings/spacingFindings'
import { surveyFindings } from './findings/surveyFindings'
import { proudFindings } from './findings/proudFindings'
import { widthFindings } from './findings/widthFindings'
import { cutWall } from './layout/cutWall'
import type { Band, Layout } from './layout/layout'
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

/** Horizontals of which no piece is left have no marks either; a mitered border's rails are sides of its frame. */
function withoutVanished(layout: Layout, pieces: readonly Piece[]): { layout: Layout; vanished: Band[] } {
  if (layout.right <= layout.left) return { layout: { ...layout, bands: [] }, vanished: [] }
  const cut = new Set(pieces.map(({ stripId }) => stripId))
  const isCut = ({ id, role }: Band) => cut.has(id) || (role === 'border' && cut.has('border'))
  const vanished = layout.bands.filter((band) => !isCut(band))
  return vanished.length === 0
    ? { layout, vanished }
    : { layout: { ...layout, bands: layout.bands.filter(isCut) }, vanished }
}

const ORDER: readonly Severity[] = ['wrong', 'watch', 'note', 'good']

/** The pipeline: survey and design -> layout -> pieces -> cut list, and what there is to say about them. */
export function computePlan(workpiece: Workpiece): Plan {
  const { layout: laid, pieces } = cutWall(workpiece)
  const { layout, vanished } = withoutVanished(laid, pieces)
  const cutList = buildCutList(pieces)
  const closing = closingOf(layout)
  const findings: Finding[] = [
    ...surveyFindings(workpiece, layout),
    ...onWallFindings(workpiece, layout),
    ...extentFindings(workpiece, layout),
    ...overlapFindings(workpiece, layout, pieces),
    ...vanishedFindings(workpiece, vanished),
    ...bandsOffWall(workpiece, layout),
    ...meetingFindings(workpiece, layout),
    ...clearanceFindings(workpiece, layout, pieces),
    ...boxFindings(workpiece, layout),
    ...spacingFindings(workpiece, layout),
    ...heightFindings(workpiece, layout),
    ...proudFindings(workpiece, layout, pieces),
    ...slopeFindings(workpiece, layout),
    ...smallFindings(pieces),
    ...sideFindings(workpiece, layout, pieces),
    ...flatFindings(workpiece, pieces),
    ...heatFindings(workpiece, layout, pieces),
    ...floorFindings(workpiece, layout),
    ...returningFindings(workpiece, pieces),
    ...ledgeFindings(workpiece, layout, pieces),
    ...leanFindings(workpiece, layout),
    ...edgeFindings(workpiece, pieces),
    ...lineFindings(workpiece, layout, pieces),
    ...openLineFindings(workpiece, layout, pieces),
    ...companionFindings(workpiece, layout, pieces),
    ...sawFindings(workpiece, layout, pieces),
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

import { type Workpiece, inForce } from '~/model'
import { cornerOf } from '../layout/corners'
import type { Layout } from '../layout/layout'
import { isMissing } from '../survey/obstacles'
import { isUpright, type Piece } from '../pieces'
import type { Finding } from './finding'

/** Mitered or coped corners that nobody measured, and stairs that the layout does not follow. */
export function cornerFindings({ wall }: Workpiece, layout: Layout, pieces: readonly Piece[]): Finding[] {
  const { survey } = wall
  const design = inForce(wall.design)
  const findings: Finding[] = []
  const horizontals = pieces.filter(
    ({ role, stripId }) =>
      !isUpright(role) && !['boxRail', 'boxStile', 'sideTrim'].includes(role) && stripId !== 'border',
  )
  for (const side of ['left', 'right'] as const) {
    const end = design.corners[side]
    const atEnd = horizontals.filter(
      ({ startsAt, endsAt }) => (side === 'left' ? startsAt : endsAt) === 'wall',
    )
    const corner = cornerOf(survey, side, layout.beside?.[side])
    if ((end !== 'miter' && end !== 'cope') || atEnd.length === 0) continue
    if (corner.measured || corner.turn === 'none') continue
    findings.push({
      stage: 'measure',
      severity: 'watch',
      says: { code: 'cornerNotRead', side, end },
      stripIds: [...new Set(atEnd.map(({ stripId }) => stripId))],
      waysOut: [],
      blocks: { key: `corner.${side}`, figure: null },
    })
  }
  const stair = survey.things.find(
    ({ kind, fate, bottom, slope }) =>
      isMissing(kind) && fate !== 'remove' && (kind === 'stair' || bottom <= 0) && slope !== null,
  )
  if (stair && layout.lines.followed.length === 0)
    findings.push({
      stage: 'layout',
      severity: 'note',
      says: { code: 'stairNotFollowed', thingId: stair.id },
      stripIds: [],
      waysOut: [
        { says: { code: 'followStair' }, edits: [{ type: 'patchDesign', patch: { levelRule: 'floor' } }] },
      ],
    })
  return findings
}

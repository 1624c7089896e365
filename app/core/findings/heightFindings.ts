import { subtractLengths } from '~/length'
import { type Workpiece, inForce } from '~/model'
import { capHeight, type Layout } from '../layout/layout'
import { partOfHeight } from '../survey/wallLines'
import type { Finding, WayOut } from './finding'

/** What the heights have to say: above the ceiling, no room for battens, no baseboard to stand on. */
export function heightFindings({ wall }: Workpiece, layout: Layout): Finding[] {
  const { survey } = wall
  const design = inForce(wall.design)
  const { lines } = layout
  const findings: Finding[] = []
  const highest = subtractLengths(lines.headLine, capHeight(layout))
  const usualHeights: WayOut[] = (['third', 'half', 'twoThirds'] as const)
    .map((rule) => ({ rule, height: partOfHeight(survey, rule) }))
    .filter(
      ({ height }) => height <= highest && height - (layout.height - layout.uprightHead) > layout.uprightFoot,
    )
    .map(({ rule, height }) => ({
      says: { code: 'heightRule', rule, height },
      edits: [{ type: 'patchDesign', patch: { height: { rule } } }],
    }))
  if (layout.top > lines.headLine) {
    findings.push({
      stage: 'layout',
      severity: 'wrong',
      says: {
        code: 'topAboveHead',
        top: layout.top,
        headLine: lines.headLine,
        crown: lines.headLine < lines.ceiling,
      },
      stripIds: layout.bands.filter((band) => band.top > lines.headLine).map((band) => band.id),
      waysOut: [
        ...(highest > layout.uprightFoot
          ? [
              {
                says: { code: 'lowerTo' as const, height: highest },
                edits: [{ type: 'patchDesign' as const, patch: { height: { rule: 'full' as const } } }],
              },
            ]
          : []),
        ...usualHeights.slice(-1),
      ],
    })
  }
  if (layout.uprightHead <= layout.uprightFoot) {
    findings.push({
      stage: 'layout',
      severity: 'wrong',
      says: { code: 'noRoomForBattens', foot: layout.uprightFoot, head: layout.uprightHead },
      stripIds: [],
      waysOut: usualHeights,
    })
  }
  if (design.foot.kind === 'baseboard' && survey.baseboard?.fate !== 'keep') {
    findings.push({
      stage: 'layout',
      severity: 'wrong',
      says: { code: 'footWithoutBaseboard' },
      stripIds: [],
      waysOut: [
        {
          says: { code: 'addBottomRail' },
          edits: [
            {
              type: 'patchDesign',
              patch: { foot: { kind: 'rail', material: design.topRail?.material ?? design.battenMaterial } },
            },
          ],
        },
        {
          says: { code: 'standOnFloor' },
          edits: [{ type: 'patchDesign', patch: { foot: { kind: 'floor' } } }],
        },
      ],
    })
  }
  return findings
}

import { nearestNanometer } from '~/length'
import type { LengthReading, Workpiece } from '~/model'
import { newWidthWays } from '../asbuilt/newWidth'
import { layOut } from '../layout/layOutWall'
import type { Layout } from '../layout/layout'
import type { Finding } from './finding'

/** The width readings that were read again, without their newest taking. */
function beforeReread({ wall }: Workpiece): LengthReading | null {
  const seen = new Set<number>()
  for (const reading of wall.survey.readings) {
    if (reading.kind !== 'width') continue
    if (seen.has(reading.place)) return reading
    seen.add(reading.place)
  }
  return null
}

/** Rails cut to a bay: those that land on the uprights, or that uprights stand between. */
function piecesPerBay({ bands, uprightsThrough, uprightHead, uprightFoot }: Layout): number {
  const between = bands.filter(({ bottom, top }) => bottom >= uprightFoot && top <= uprightHead)
  return uprightsThrough ? between.length : 0
}

/**
 * A width read again after the layout was made: the ways to take up the difference, each with the pieces that have to be
 * cut anew if they were cut to the earlier reading. Only for strips hard at both ends, whose bays hold cut pieces.
 */
export function widthFindings(workpiece: Workpiece, layout: Layout): Finding[] {
  const again = beforeReread(workpiece)
  const { survey, design } = workpiece.wall
  if (!again || design.pattern === 'boxes' || layout.placement?.leftEnd !== 0) return []
  const earlier = { ...survey, readings: survey.readings.filter(({ id }) => id !== again.id) }
  const before = layOut(
    earlier,
    { ...design, spacing: evenly(workpiece, layout) },
    workpiece.settings,
  ).placement
  if (!before || before.nearEdges.length !== layout.placement.nearEdges.length) return []
  const by = layout.placement.span - before.span
  const each = piecesPerBay(layout)
  if (by === 0 || before.leftEnd !== 0 || each === 0) return []
  return [
    {
      stage: 'layout',
      severity: 'note',
      says: {
        code: 'widthChanged',
        before: before.span,
        now: layout.placement.span,
        pieces: each * before.gaps.length,
      },
      stripIds: [],
      waysOut: newWidthWays(before, by).map(({ uptake, nearEdges, baysChanged }) => ({
        says: { code: 'takeUp', uptake, recut: baysChanged * each },
        edits: [
          {
            type: 'patchDesign',
            patch: {
              spacing:
                uptake === 'even'
                  ? evenly(workpiece, layout)
                  : { school: 'placed', nearEdges: [...nearEdges] },
              shift: nearestNanometer(0),
            },
          },
        ],
      })),
    },
  ]
}

/** The layout as it was even before, whatever was done about it since. */
function evenly({ wall }: Workpiece, layout: Layout) {
  const { spacing } = wall.design
  const strips = layout.placement?.nearEdges.length ?? 2
  return spacing.school === 'placed'
    ? ({ school: 'equalByCount', strips, ends: 'strip' } as const)
    : spacing.school === 'nearWish'
      ? { ...spacing, strips }
      : spacing
}

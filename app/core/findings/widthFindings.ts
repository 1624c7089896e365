import { type Length, nearestNanometer, ZERO } from '~/length'
import { type Design, type Edit, type Survey, type Workpiece, inForce, withDesign } from '~/model'
import { type NewWidthWay, newWidthWays } from '../asbuilt/newWidth'
import { sawAdvice } from '../cutting/batch'
import { recutsBetween } from '../asbuilt/recuts'
import { applyEdits } from '../edits/applyEdit'
import { cutWall } from '../layout/cutWall'
import { layOutStanding } from '../layout/layOutWall'
import type { Layout } from '../layout/layout'
import { rulesOf } from '../patterns/rules'
import type { Finding, WayOut } from './finding'

/** A width that differs by more than this part is another wall or a slip, not one measured again. */
const MEASURED_AGAIN = 0.1

/** The survey as it was before its width was last read or typed: without its newest width, with an earlier one. */
function earlierSurveys(survey: Survey): Survey[] {
  const newest = survey.readings.findLast(({ kind }) => kind === 'width')
  return [
    ...(newest ? [{ ...survey, readings: survey.readings.filter((each) => each !== newest) }] : []),
    ...[...survey.widthsBefore].reverse().map((width) => ({ ...survey, width })),
  ]
}

/** The layout as it was even before, whatever was done about it since. */
function evenly({ spacing }: Design, layout: Layout): Design['spacing'] {
  const strips = layout.placement?.nearEdges.length ?? 2
  return spacing.school === 'placed'
    ? { school: 'equalByCount', strips, ends: 'strip' }
    : spacing.school === 'nearWish'
      ? { ...spacing, strips }
      : spacing
}

function takenUp({ uptake, nearEdges }: NewWidthWay, by: Length, even: Design['spacing']): Edit[] {
  const half = nearestNanometer(by / 2)
  return [
    {
      type: 'patchDesign',
      patch: {
        shift: ZERO,
        spacing:
          uptake === 'even' || uptake === 'ends' ? even : { school: 'placed', nearEdges: [...nearEdges] },
        fillers: uptake === 'ends' ? { left: half, right: nearestNanometer(by - half) } : null,
      },
    },
  ]
}

/**
 * A width read or typed anew after the layout was made: the ways to take up the difference, each with the pieces that have
 * to be cut anew if they were cut to the earlier width, and the boards and money for it. Only for strips hard at both
 * ends, whose bays hold cut pieces. It stays while the earlier width is known, so that a way taken can be gone back on.
 */
export function widthFindings(workpiece: Workpiece, layout: Layout): Finding[] {
  const { wall, settings } = workpiece
  const { survey } = wall
  const design = inForce(wall.design)
  const { placement } = layout
  if (!placement || placement.leftEnd !== 0 || placement.rightEnd !== 0) return []
  if (rulesOf(design).places === 'margins') return []
  const now = nearestNanometer(layout.right - layout.left)
  const even = evenly(design, layout)
  const asBefore = { spacing: even, fillers: null, shift: ZERO }
  for (const earlier of earlierSurveys(survey)) {
    const before = layOutStanding(earlier, { ...design, ...asBefore }, settings).placement
    if (!before || before.nearEdges.length !== placement.nearEdges.length) continue
    const by = nearestNanometer(now - before.span)
    // less than a piece may miss its place by is taken up by the caulk
    if (Math.abs(by) <= settings.fit || Math.abs(by) > before.span * MEASURED_AGAIN || before.leftEnd !== 0)
      continue
    const cut = cutWall({
      wall: { survey: earlier, design: withDesign(wall.design, asBefore) },
      settings,
    }).pieces
    const waysOut = newWidthWays(before, by).map((way): WayOut => {
      const edits = takenUp(way, by, even)
      const next = applyEdits(workpiece, edits)
      const then = cutWall(next)
      const { pieces, boards, cost } = recutsBetween(cut, then.pieces, settings, sawAdvice(then, next).of)
      return { says: { code: 'takeUp', uptake: way.uptake, recut: pieces, boards, cost }, edits }
    })
    const most = Math.max(0, ...waysOut.map(({ says }) => (says.code === 'takeUp' ? says.recut : 0)))
    if (most === 0) return []
    return [
      {
        stage: 'layout',
        severity: 'note',
        says: { code: 'widthChanged', before: before.span, now, pieces: most },
        stripIds: [],
        waysOut,
      },
    ]
  }
  return []
}

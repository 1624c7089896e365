import { inches, type Length, nearestNanometer, ZERO } from '~/length'
import { type Ends, type Spacing, type Workpiece, inForce } from '~/model'
import { gapOf, laidOut } from '../edits/laidOut'
import type { Layout } from '../layout/layout'
import { endsOf, rulesOf } from '../patterns/rules'
import {
  choicesAround,
  type CountChoice,
  countChoices,
  fewestStrips,
  type Placement,
  type SpacingIssue,
  isEnough,
} from '../spacing'
import type { Finding, WayOut } from './finding'

/** A spacing taken as it is: a shift, chosen for another, goes with it, and so do counts of single sections. */
function takeSpacing(spacing: Spacing): WayOut['edits'] {
  return [{ type: 'patchDesign', patch: { spacing, shift: ZERO, sectionOwn: {} } }]
}

/** A spacing as a way out; its figures are those of the layout it makes, and one that makes none is not offered. */
function spacingWay(workpiece: Workpiece, spacing: Spacing): WayOut[] {
  const edits = takeSpacing(spacing)
  const layout = laidOut(workpiece, edits)
  const gap = gapOf(layout)
  if (layout.spacingIssue || gap === null || layout.uprights.length === 0) return []
  return [{ says: { code: 'useStrips', strips: layout.uprights.length, gap }, edits }]
}

/** The counts of equal gaps nearest to a wished clear gap, as ways out. */
function evenWaysOut(workpiece: Workpiece, wish: Length, layout: Layout, howMany: number): WayOut[] {
  const ends = endsOf(inForce(workpiece.wall.design))
  const choices = countChoices(
    { school: 'nearWish', wish, measure: 'gap', least: wish, most: wish, ends, strips: null },
    spanOf(layout),
    layout.stripWidth,
  )
  return choicesAround(choices, howMany).flatMap((choice: CountChoice) =>
    spacingWay(workpiece, { school: 'equalByCount', strips: choice.strips, ends }),
  )
}

/** The span that is in trouble, or the first. */
function spanOf({ sections, left, right }: Layout): Length {
  const section = sections.find(({ issue }) => issue !== null) ?? sections[0]
  return nearestNanometer((section?.right ?? right) - (section?.left ?? left))
}

function waysOutOfIssue(issue: SpacingIssue, workpiece: Workpiece, layout: Layout): WayOut[] {
  const { wall, settings } = workpiece
  const { spacing } = inForce(wall.design)
  const span = spanOf(layout)
  const width = layout.stripWidth
  const ends = endsOf(inForce(wall.design))
  const byCount = (strips: number, at: Ends) =>
    spacingWay(workpiece, { school: 'equalByCount', strips, ends: at })
  const narrower = (needed: number): WayOut[] =>
    settings.materials
      .filter((material) => material.width < width && material.width <= needed)
      .sort((a, b) => b.width - a.width)
      .slice(0, 1)
      .map((material) => ({
        says: { code: 'useMaterial', materialId: material.id },
        edits: [{ type: 'patchDesign', patch: { battenMaterial: material.id } }],
      }))
  switch (issue.code) {
    case 'stripsWiderThanSpan':
      return [
        ...byCount(Math.max(fewestStrips(ends), Math.floor(issue.mostStrips / 2)), ends),
        ...narrower(span / issue.strips),
      ]
    case 'needTwoStrips':
      return [...byCount(2, 'strip'), ...byCount(1, 'gap')]
    case 'pitchWithinStrip': {
      if (!('measure' in spacing) || spacing.measure !== 'pitch') return narrower(issue.pitch)
      const edits = takeSpacing({ ...spacing, measure: 'gap' })
      return [{ says: { code: 'gapIsClear', gap: spacing.wish }, edits }]
    }
    case 'noStripFits':
      return narrower(span)
    case 'tooManyStrips':
      return evenWaysOut(workpiece, nearestNanometer(span / 8), layout, 1)
    case 'noCountInLimits':
      return evenWaysOut(workpiece, nearestNanometer((issue.least + issue.most) / 2), layout, 2)
    case 'noStudsKnown':
    case 'stripsOverlap':
      return evenWaysOut(workpiece, nearestNanometer(span / 8), layout, 2)
    case 'rowsTooMany':
      return [{ says: { code: 'rows', rows: 1 }, edits: [{ type: 'patchDesign', patch: { rows: [1] } }] }]
    case 'boxesTooTight': {
      // a box as high as two of its margins, on the half inch
      const half = inches(0.5)
      const margin = nearestNanometer(Math.floor(Math.min(issue.height, issue.width) / 4 / half) * half)
      const { boxes } = inForce(wall.design)
      return margin < half || margin >= issue.margin
        ? []
        : [
            {
              says: { code: 'margin', margin },
              edits: [{ type: 'patchDesign', patch: { boxes: { ...boxes, margin } } }],
            },
          ]
    }
    case 'noRoomForBoxes':
      return []
  }
}

/** An end space under half the gap reads as a sliver. Common practice, no source. */
const SLIVER_OF_GAP = 0.5

/** Rounding of one figure is no sliver. */
const ROUNDING = 2

/**
 * The bays at the two ends of a section against the others: where strips stand hard at the ends it is the bays beside
 * them. The common bay is the middle one by size.
 */
function endBays({
  leftEnd,
  rightEnd,
  gaps,
}: Placement): { left: number; right: number; common: number } | null {
  const inner = [...gaps].sort((a, b) => a - b)
  const common = inner[Math.floor(inner.length / 2)]
  if (common === undefined) return null
  const beside = (end: Length, gap: Length | undefined) => (end > 0 ? end : (gap ?? common))
  return { left: beside(leftEnd, gaps[0]), right: beside(rightEnd, gaps[gaps.length - 1]), common }
}

/** End bays so narrow that they look like a mistake, whatever the school made them, a shift or a stud. */
function slivers(workpiece: Workpiece, layout: Layout): Finding[] {
  const { spacing, shift } = inForce(workpiece.wall.design)
  return layout.sections.flatMap((section): Finding[] => {
    const bays = section.placement && endBays(section.placement)
    if (!bays) return []
    const isThin = (bay: number) => bay > 0 && bay < bays.common * SLIVER_OF_GAP - ROUNDING
    const [left, right] = [isThin(bays.left), isThin(bays.right)]
    if (!left && !right) return []
    const on = spacing.school === 'fromCenter' && spacing.centerOn === 'strip' ? 'gap' : 'strip'
    const other = spacing.school === 'fromCenter' ? takeSpacing({ ...spacing, centerOn: on }) : null
    const otherEnd = other && laidOut(workpiece, other).placement?.leftEnd
    return [
      {
        stage: 'layout',
        severity: 'watch',
        says: {
          code: 'endSliver',
          end: nearestNanometer(left ? bays.left : bays.right),
          other: nearestNanometer(left ? bays.right : bays.left),
          gap: nearestNanometer(bays.common),
          where: left && right ? 'both' : left ? 'left' : 'right',
        },
        stripIds: layout.uprights
          .filter(({ left: at }) => at >= section.left && at < section.right)
          .filter((_, i, here) => (left && i === 0) || (right && i === here.length - 1))
          .map(({ id }) => id),
        waysOut: [
          ...(shift !== 0
            ? [
                {
                  says: { code: 'putBack' as const, by: shift },
                  edits: [{ type: 'patchDesign' as const, patch: { shift: ZERO } }],
                },
              ]
            : []),
          ...(other && otherEnd !== undefined && otherEnd !== null
            ? [{ says: { code: 'centerOn' as const, on, end: otherEnd }, edits: other } as const]
            : []),
          ...evenWaysOut(workpiece, nearestNanometer(bays.common), layout, 2),
        ],
      },
    ]
  })
}

function centerMarks(workpiece: Workpiece, placement: Placement): Finding[] {
  const design = inForce(workpiece.wall.design)
  const { gaps, leftEnd, rightEnd } = placement
  const innerBay = gaps[0]
  if (design.spacing.school !== 'centerMarks' || innerBay === undefined) return []
  // where all strips were moved the two ends differ
  const [left, right] = [leftEnd, rightEnd].map((end) => (end > 0 ? end : null))
  const off = [left, right].map((end) => (end == null ? 0 : Math.abs(end - innerBay)))
  if (left === undefined || right === undefined || Math.max(...off) <= ROUNDING) return []
  return [
    {
      stage: 'layout',
      severity: 'watch',
      says: { code: 'centerMarksUneven', left, right, innerBay },
      stripIds: [],
      waysOut: spacingWay(workpiece, {
        school: 'equalByCount',
        strips: placement.nearEdges.length,
        ends: endsOf(design),
      }),
    },
  ]
}

function outsideLimits(workpiece: Workpiece, layout: Layout): Finding[] {
  const { spacing } = inForce(workpiece.wall.design)
  const gap = gapOf(layout)
  if (spacing.school !== 'nearWish' || spacing.strips === null || gap === null) return []
  const enough = spacing.moreThan === true ? isEnough(gap, spacing) : gap >= spacing.least - ROUNDING
  if (enough && gap <= spacing.most + ROUNDING) return []
  return [
    {
      stage: 'layout',
      severity: 'watch',
      says: { code: 'gapOutsideLimits', gap, least: spacing.least, most: spacing.most },
      stripIds: [],
      waysOut: spacingWay(workpiece, { ...spacing, strips: null }),
    },
  ]
}

/** What the spacing has to say: why there is none, slivers, uneven marks, limits overstepped. */
export function spacingFindings(workpiece: Workpiece, layout: Layout): Finding[] {
  if (layout.spacingIssue) {
    return [
      {
        stage: 'layout',
        severity: 'wrong',
        says: layout.spacingIssue,
        stripIds: [],
        // two sides of a frame that find no room are not to be counted otherwise
        waysOut: rulesOf(layout).counts(layout.design)
          ? waysOutOfIssue(layout.spacingIssue, workpiece, layout)
          : [],
      },
    ]
  }
  const narrow = layout.sections.flatMap(({ issue }): Finding[] =>
    issue ? [{ stage: 'layout', severity: 'note', says: issue, stripIds: [], waysOut: [] }] : [],
  )
  if (rulesOf(layout).places === 'margins' || !rulesOf(layout).counts(layout.design)) return narrow
  const { placement } = layout
  return [
    ...narrow,
    ...slivers(workpiece, layout),
    ...(placement ? centerMarks(workpiece, placement) : []),
    ...(placement ? outsideLimits(workpiece, layout) : []),
  ]
}

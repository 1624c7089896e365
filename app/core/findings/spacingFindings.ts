import { addLengths, inches, type Length, nearestNanometer } from '~/length'
import type { Ends, Spacing, Workpiece } from '~/model'
import type { Layout } from '../layout/layout'
import {
  choicesAround,
  type CountChoice,
  countChoices,
  equalGap,
  fewestStrips,
  type Placement,
  placeStrips,
  type SpacingIssue,
} from '../spacing'
import type { Finding, WayOut } from './finding'

function takeSpacing(spacing: Spacing): WayOut['edits'] {
  return [{ type: 'patchDesign', patch: { spacing } }]
}

function strips(count: number, gap: number, ends: Ends): WayOut {
  return {
    says: { code: 'useStrips', strips: count, gap },
    edits: takeSpacing({ school: 'equalByCount', strips: count, ends }),
  }
}

/** The counts of equal gaps nearest to a wished clear gap, as ways out. */
function evenWaysOut(wish: Length, layout: Layout, howMany: number): WayOut[] {
  const width = layout.battenMaterial.width
  const choices = countChoices(
    { school: 'nearWish', wish, measure: 'gap', least: wish, most: wish, ends: 'gap', strips: null },
    layout.lines.right,
    width,
  )
  return choicesAround(choices, howMany).map((choice: CountChoice) =>
    strips(choice.strips, choice.gap, 'gap'),
  )
}

function waysOutOfIssue(issue: SpacingIssue, { wall, settings }: Workpiece, layout: Layout): WayOut[] {
  const { spacing } = wall.design
  const span = layout.lines.right
  const width = layout.battenMaterial.width
  const ends = 'ends' in spacing ? spacing.ends : 'gap'
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
    case 'stripsWiderThanSpan': {
      const fits = Math.max(fewestStrips(ends), Math.floor(issue.mostStrips / 2))
      const gap = equalGap(span, width, fits, ends)
      return [...(gap > 0 ? [strips(fits, gap, ends)] : []), ...narrower(span / issue.strips)]
    }
    case 'needTwoStrips': {
      const gap = equalGap(span, width, 2, 'strip')
      return [
        ...(gap > 0 ? [strips(2, gap, 'strip')] : []),
        strips(1, equalGap(span, width, 1, 'gap'), 'gap'),
      ]
    }
    case 'pitchWithinStrip':
      return 'measure' in spacing && spacing.measure === 'pitch'
        ? [
            {
              says: { code: 'gapIsClear', gap: spacing.wish },
              edits: takeSpacing({ ...spacing, measure: 'gap' }),
            },
          ]
        : narrower(issue.pitch)
    case 'noStripFits':
      return narrower(span)
    case 'tooManyStrips':
      return evenWaysOut(nearestNanometer(span / 8), layout, 1)
    case 'noCountInLimits':
      return evenWaysOut(addLengths(nearestNanometer((issue.least + issue.most) / 2)), layout, 2)
    case 'noStudsKnown':
    case 'stripsOverlap':
      return evenWaysOut(nearestNanometer(span / 8), layout, 2)
    case 'rowsTooMany':
      return [{ says: { code: 'rows', rows: 1 }, edits: [{ type: 'patchDesign', patch: { rows: [1] } }] }]
    case 'boxesTooTight': {
      // a box as high as two of its margins, on the half inch
      const half = inches(0.5)
      const margin = nearestNanometer(Math.floor(Math.min(issue.height, issue.width) / 4 / half) * half)
      const { boxes } = wall.design
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

function sliver(placement: Placement, spacing: Spacing, layout: Layout): Finding[] {
  if (spacing.school !== 'fromCenter' && spacing.school !== 'fromEnd') return []
  const gap = placement.gaps[0]
  if (gap === undefined) return []
  const thin = (end: Length) => end > 0 && end < gap * SLIVER_OF_GAP
  const left = thin(placement.leftEnd)
  const right = thin(placement.rightEnd)
  if (!left && !right) return []
  const waysOut: WayOut[] = []
  if (spacing.school === 'fromCenter') {
    const on = spacing.centerOn === 'strip' ? 'gap' : 'strip'
    const other: Spacing = { ...spacing, centerOn: on }
    const placed = placeStrips(other, placement.span, placement.stripWidth)
    if (placed.ok)
      waysOut.push({ says: { code: 'centerOn', on, end: placed.value.leftEnd }, edits: takeSpacing(other) })
  }
  return [
    {
      stage: 'layout',
      severity: 'watch',
      says: {
        code: 'endSliver',
        end: left ? placement.leftEnd : placement.rightEnd,
        gap,
        where: left && right ? 'both' : left ? 'left' : 'right',
      },
      stripIds: layout.uprights
        .filter((b) => (left && b.number === 1) || (right && b.number === layout.uprights.length))
        .map((b) => b.id),
      waysOut: [...waysOut, ...evenWaysOut(gap, layout, 2)],
    },
  ]
}

function centerMarks(placement: Placement, spacing: Spacing, layout: Layout): Finding[] {
  const inner = placement.gaps[0]
  if (spacing.school !== 'centerMarks' || inner === undefined || spacing.bays < 3) return []
  const count = placement.nearEdges.length
  return [
    {
      stage: 'layout',
      severity: 'watch',
      says: { code: 'centerMarksUneven', endBay: placement.leftEnd, innerBay: inner },
      stripIds: [],
      waysOut: [strips(count, equalGap(placement.span, layout.battenMaterial.width, count, 'gap'), 'gap')],
    },
  ]
}

function outsideLimits(placement: Placement, spacing: Spacing, layout: Layout): Finding[] {
  if (spacing.school !== 'nearWish' || spacing.strips === null) return []
  const gap = equalGap(placement.span, layout.battenMaterial.width, spacing.strips, spacing.ends)
  if (gap >= spacing.least && gap <= spacing.most) return []
  const nearest: Spacing = { ...spacing, strips: null }
  const placed = placeStrips(nearest, placement.span, layout.battenMaterial.width)
  return [
    {
      stage: 'layout',
      severity: 'watch',
      says: { code: 'gapOutsideLimits', gap, least: spacing.least, most: spacing.most },
      stripIds: [],
      waysOut: placed.ok
        ? [
            {
              says: {
                code: 'useStrips',
                strips: placed.value.nearEdges.length,
                gap: placed.value.gaps[0] ?? placed.value.leftEnd,
              },
              edits: takeSpacing(nearest),
            },
          ]
        : [],
    },
  ]
}

/** What the spacing has to say: why there is none, slivers, uneven marks, limits overstepped. */
export function spacingFindings(workpiece: Workpiece, layout: Layout): Finding[] {
  const { spacing } = workpiece.wall.design
  if (layout.spacingIssue) {
    return [
      {
        stage: 'layout',
        severity: 'wrong',
        says: layout.spacingIssue,
        stripIds: [],
        waysOut: waysOutOfIssue(layout.spacingIssue, workpiece, layout),
      },
    ]
  }
  const narrow = layout.sections.flatMap(({ issue }): Finding[] =>
    issue ? [{ stage: 'layout', severity: 'note', says: issue, stripIds: [], waysOut: [] }] : [],
  )
  const { placement } = layout
  if (!placement || layout.pattern === 'boxes') return narrow
  return [
    ...sliver(placement, spacing, layout),
    ...centerMarks(placement, spacing, layout),
    ...outsideLimits(placement, spacing, layout),
  ]
}

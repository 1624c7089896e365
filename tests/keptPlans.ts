import type { Tape } from '~/length'
import { sawAdvice } from '~/core/cutting/batch'
import { rowFixings } from '~/core/cutting/fixing'
import { computePlan } from '~/core/computePlan'
import { heightMarks, headLessFoot, hookHeight, runningMarks, spacerBlock } from '~/core/marks/runningMarks'
import { roundPoint } from '~/core/geometry'
import type { Workpiece } from '~/model'

/** A short mark of a long text, to see that it changed (FNV-1a). */
function mark(text: string): string {
  let hash = 0x811c9dc5
  for (const letter of text) hash = Math.imul(hash ^ letter.charCodeAt(0), 0x01000193)
  return (hash >>> 0).toString(16)
}

function short(value: unknown): unknown {
  const text = JSON.stringify(value)
  return text.length > 160 ? `#${mark(text)}` : value
}

const whole = (value: unknown): unknown =>
  JSON.parse(
    JSON.stringify(value, (_, each: unknown) => (typeof each === 'number' ? Number(each.toFixed(3)) : each)),
  )

/** A plan as plain lines: what is kept of it, so that a change of any figure is seen and looked at. */
export function keptPlan(workpiece: Workpiece): unknown {
  const plan = computePlan(workpiece)
  const advice = sawAdvice(plan, workpiece)
  const { layout } = plan
  const tape: Tape = workpiece.settings.tape
  const marksOf = (...args: Parameters<typeof runningMarks>) =>
    runningMarks(...args).map(({ stripId, near, center, far }) =>
      [stripId, near.tick, near.side, center.tick, far.tick, far.side].join(' '),
    )
  const spacer = spacerBlock(layout, 'left', tape)
  return whole({
    sections: layout.sections.map(({ id, left, right, row, opening, free, placement, issue, shifted }) =>
      short({
        id,
        left,
        right,
        row,
        opening,
        free,
        issue,
        shifted,
        edges: placement?.nearEdges,
        ends: [placement?.leftEnd, placement?.rightEnd],
      }),
    ),
    lines: [
      layout.left,
      layout.right,
      layout.uprightFoot,
      layout.uprightHead,
      layout.height,
      layout.top,
      layout.uprightsThrough,
      layout.lines.base,
      layout.lines.headLine,
    ],
    bands: layout.bands.map(({ id, role, bottom, top, held }) => [id, role, bottom, top, held].join(' ')),
    pieces: plan.pieces.map(
      ({
        id,
        stripId,
        role,
        number,
        materialId,
        faceWidth,
        directionDeg,
        start,
        end,
        startsAt,
        endsAt,
        notches,
        longLength,
        shortLength,
        cutLength,
        polygon,
      }) =>
        [
          id,
          stripId,
          role,
          number,
          materialId,
          faceWidth,
          directionDeg.toFixed(4),
          startsAt,
          endsAt,
          longLength,
          shortLength,
          cutLength,
          JSON.stringify(whole(start)),
          JSON.stringify(whole(end)),
          JSON.stringify(notches),
          mark(JSON.stringify(polygon.map(roundPoint))),
        ].join(' '),
    ),
    rows: plan.cutList.map((row) => ({
      row: [row.label, row.role, row.cutLength, row.pieceIds.join()].join(' '),
      batch: advice.of(row),
      fixings: rowFixings(row, plan.pieces, workpiece),
    })),
    closing: plan.closing,
    marks: {
      left: marksOf(layout, 'left', tape),
      rightHead: marksOf(layout, 'right', tape, 'head'),
      hooks: [
        headLessFoot(layout, 'left'),
        headLessFoot(layout, 'right'),
        hookHeight(layout, 'right', 'head'),
      ],
      heights: heightMarks(layout, tape).map(({ id, what, bandId, reading }) =>
        [id, what, bandId, reading.tick, reading.side].join(' '),
      ),
      spacer: spacer && [
        spacer.length.tick,
        spacer.checks.map(({ stripId, near }) => `${stripId} ${near.tick}`),
      ],
    },
    findings: plan.findings.map(({ stage, severity, says, stripIds, waysOut, blocks }) => ({
      is: [stage, severity, blocks?.key ?? '', blocks?.figure ?? ''].join(' '),
      says,
      strips: short(stripIds),
      ways: waysOut.map((way) => ({ says: way.says, edits: short(way.edits) })),
    })),
  })
}

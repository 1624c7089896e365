import { formatLengthWithUnit, type LengthFormat, type Result, type TapeReading, tickOf } from '~/length'
import type { JobFile, Workpiece } from '~/model'
import { boardsAsked } from './cutting/leftToCut'
import { computePlan } from './computePlan'
import type { ClosingSum } from './marks/closingSum'
import { saidOfJob } from './planSupplies'
import { saidOfWall } from './planWall'
import { asRooms } from './room/beside'
import { said } from './saidLength'
import {
  headLessFoot,
  heightMarks,
  hookHeight,
  runningMarks,
  spacerBlock,
  type StripMarks,
} from './marks/runningMarks'
import type { Lap, Notch, Taper } from './pieces'
import { type BoardIssue, type BoardPlan, planBoards, type SearchControl, type SolveInteger } from './stock'

function marked({ exact, tick, side }: TapeReading, format: LengthFormat) {
  return { nm: exact, text: formatLengthWithUnit(tick, format), tick, side }
}

function markedEdges({ near, center, far }: StripMarks, format: LengthFormat) {
  return { near: marked(near, format), center: marked(center, format), far: marked(far, format) }
}

function saidNotch({ from, to, depth, edge }: Notch, format: LengthFormat) {
  return { from: said(from, format), to: said(to, format), depth: said(depth, format), edge }
}

function saidLap({ from, to, lean, depth, outOf, with: strip }: Lap, format: LengthFormat) {
  const places = { from: said(from, format), to: said(to, format), lean: said(lean, format) }
  return { ...places, depth: said(depth, format), outOf, with: strip }
}

function saidTaper({ edge, atStart, atEnd, by }: Taper, format: LengthFormat) {
  return { edge, atStart: said(atStart, format), atEnd: said(atEnd, format), by }
}

function saidBoards(result: Result<BoardPlan, BoardIssue>, format: LengthFormat) {
  if (!result.ok) return { issue: result.issue }
  const { materialId, boards, cost, bought, used, waste, spares, proven, bound } = result.value
  return {
    material: materialId,
    cost,
    proven,
    bound,
    bought: said(bought, format),
    used: said(used, format),
    waste,
    spares,
    boards: boards.map(({ number, offerId, length, price, pieces, offcut }) => ({
      number,
      offer: offerId,
      length: said(length, format),
      price,
      pieces: pieces.map((piece) => ({
        piece: piece.pieceId,
        label: piece.label,
        from: said(piece.from, format),
        length: said(piece.length, format),
        ...(piece.long ? { cutLong: said(piece.long, format) } : {}),
      })),
      offcut: said(offcut, format),
    })),
  }
}

/** The parts of a closing sum that come in groups of one size. */
function partsOf({ gaps, others, openings, leans, fillers, overlaps }: ClosingSum, format: LengthFormat) {
  const groups = (of: ClosingSum['gaps']) =>
    of.map(({ count, size }) => ({ count, size: said(size, format) }))
  return {
    gaps: groups(gaps),
    others: groups(others),
    openings: groups(openings),
    leans: groups(leans),
    fillers: groups(fillers),
    overlaps: groups(overlaps),
  }
}

async function planWall(
  workpiece: Workpiece,
  solve: SolveInteger,
  control: () => SearchControl,
  figures: () => () => boolean,
) {
  const figuresOver = figures()
  const { settings } = workpiece
  const format: LengthFormat = { units: settings.units, tape: settings.tape }
  const plan = computePlan(workpiece)
  const { layout, closing } = plan
  const spacer = spacerBlock(layout, 'left', settings.tape)
  const atHead = runningMarks(layout, 'left', settings.tape, 'head')
  const boards = await Promise.all(
    boardsAsked(plan, workpiece).map((request) => planBoards(request, solve, control())),
  )
  return {
    closing: closing && {
      wall: said(closing.wall, format),
      strips: { count: closing.strips.count, width: said(closing.strips.width, format) },
      ends: closing.ends && {
        left: said(closing.ends.left, format),
        right: said(closing.ends.right, format),
      },
      // every part, so that they add up to the wall: strips, ends and each of these, less what is shared, and the difference
      ...partsOf(closing, format),
      difference: closing.difference,
    },
    // where the end of the wall leans the marks hold along the line the tape is hooked on, and no other
    hooked: {
      foot: said(Math.round(hookHeight(layout, 'left', 'foot')), format),
      head: said(Math.round(hookHeight(layout, 'left', 'head')), format),
    },
    marks: runningMarks(layout, 'left', settings.tape).map((mark, i) => ({
      strip: mark.stripId,
      ...markedEdges(mark, format),
      ...(Math.abs(headLessFoot(layout, 'left')) > tickOf(settings.tape) && atHead[i]
        ? { atHead: markedEdges(atHead[i], format) }
        : {}),
    })),
    heights: heightMarks(layout, settings.tape).map(({ id, reading }) => ({
      id,
      ...marked(reading, format),
      ...(layout.lines.build > 0
        ? { fromPresentFloor: said(reading.exact + layout.lines.build, format) }
        : {}),
    })),
    ...saidOfWall(workpiece, plan, format, figuresOver),
    spacer: spacer && {
      length: marked(spacer.length, format),
      checks: spacer.checks.map(({ stripId, near }) => ({ strip: stripId, ...marked(near, format) })),
    },
    pieces: plan.pieces.map((piece) => ({
      id: piece.id,
      role: piece.role,
      material: piece.materialId,
      cutLength: said(piece.cutLength, format),
      longPoint: said(piece.longLength, format),
      shortPoint: said(piece.shortLength, format),
      start: piece.start,
      end: piece.end,
      notches: piece.notches.map((notch) => saidNotch(notch, format)),
      ...(piece.laps.length > 0 ? { laps: piece.laps.map((lap) => saidLap(lap, format)) } : {}),
      ...(piece.taper ? { taper: saidTaper(piece.taper, format) } : {}),
      polygon: piece.polygon,
    })),
    cutList: plan.cutList.map((row) => ({
      label: row.label,
      role: row.role,
      material: row.materialId,
      count: row.pieceIds.length,
      cutLength: said(row.cutLength, format),
      start: row.start,
      end: row.end,
      notches: row.notches.map((notch) => saidNotch(notch, format)),
      ...(row.laps.length > 0 ? { laps: row.laps.map((lap) => saidLap(lap, format)) } : {}),
      ...(row.taper ? { taper: saidTaper(row.taper, format) } : {}),
      pieces: row.pieceIds,
    })),
    boards: boards.map((result) => saidBoards(result, format)),
    findings: plan.findings.map(({ severity, says, stripIds }) => ({ severity, strips: stripIds, ...says })),
  }
}

/**
 * The plan of every wall of a job as one plain document: lengths both exact (whole nanometers, fractional
 * where a running value is) and as printed to the job's tape. The shape of `npm run plan`. `control` says when the search
 * of one material's boards is ended: what it has then stands with its bound.
 */
export async function planJob(
  file: JobFile,
  solve: SolveInteger,
  control: () => SearchControl = () => ({ over: () => false }),
  /** Says of each wall, from when it is begun, when no more of its figures are asked for. */
  figures: () => () => boolean = () => () => false,
) {
  const rooms = []
  for (const room of file.rooms) {
    const walls = []
    const met = asRooms(
      room.walls.map(({ id, name, survey, design }) => ({
        id,
        name,
        workpiece: { wall: { survey, design }, settings: file.settings },
      })),
    )
    for (const { id, name, workpiece } of met)
      walls.push({ id, name, ...(await planWall(workpiece, solve, control, figures)) })
    rooms.push({ id: room.id, name: room.name, walls })
  }
  return {
    format: 'regla-plan' as const,
    version: 1 as const,
    job: file.name,
    rooms,
    ...saidOfJob(file),
  }
}

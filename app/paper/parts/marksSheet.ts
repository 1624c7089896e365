import { placeArch } from '~/core/companions/arch'
import { placeRow } from '~/core/companions/itemRow'
import { lineMarks } from '~/core/marks/lineMarks'
import { headLessFoot, heightMarks, hookSaid, runningMarks, spacerBlock } from '~/core/marks/runningMarks'
import { formatLengthWithUnit, type TapeReading, tickOf } from '~/length'
import {
  archText,
  capital,
  companionsText,
  heightMarkName,
  hookName,
  lineMarkText,
  markedOnText,
  paperText,
  patternWords,
  rowText,
  say,
  sayWithUnit,
  stripName,
  type Wording,
} from '~/messages'
import { inForce } from '~/model'
import type { Column, Flow } from '../pdf/flow'
import type { PlannedWall } from '../paperJob'

const columns = (names: readonly string[]): Column[] =>
  names.map((name, i) => ({ name, share: i === 0 ? 1.6 : 1.4, bold: i > 0 }))

/** A reading as one draws it: the tick, and the side it lies on as a sign a pencil can read. */
export function readingText({ tick, side }: TapeReading, w: Wording): string {
  return `${say(tick, w)}${paperText.side[side]}`
}

/** Everything there is to mark on a wall, as tables: along the tape, up from the floor, on struck lines, arches and rows. */
export function marksSheet(flow: Flow, planned: PlannedWall): void {
  const { plan, wording, wall, workpiece, marking } = planned
  const { layout, pieces } = plan
  const { tape } = workpiece.settings
  const { datum } = marking
  flow.page(paperText.headOf(wall.name, paperText.parts.marks), paperText.fromCorner(datum))
  flow.para(paperText.sideNote, { size: 8.5, color: '#333333' })
  const marks = runningMarks(layout, datum, tape)
  const leans = Math.abs(headLessFoot(layout, datum)) > tickOf(tape)
  const heads = leans ? runningMarks(layout, datum, tape, 'head') : []
  const strip = capital(patternWords(layout).one)
  if (marks.length > 0) {
    const at = hookName('foot', hookSaid(layout, datum, 'foot'), wording)
    flow.table(
      columns([strip, ...paperText.edgeColumns, ...(leans ? paperText.headColumns : [])]),
      marks.map(({ stripId, near, far }, i) => [
        stripName(stripId, wording),
        readingText(near, wording),
        readingText(far, wording),
        ...(leans
          ? [heads[i]?.near, heads[i]?.far].map((each) => (each ? readingText(each, wording) : ''))
          : []),
      ]),
      paperText.hooked(at, leans),
    )
    const spacer = spacerBlock(layout, datum, tape)
    if (spacer)
      flow.para(
        paperText.block(
          sayWithUnit(spacer.length.tick, wording),
          spacer.checks.map(({ number }) => number),
        ),
      )
  }
  const heights = heightMarks(layout, tape)
  if (heights.length > 0)
    flow.table(
      columns([
        paperText.heightColumn,
        paperText.heightFrom,
        ...(layout.lines.build > 0 ? [paperText.present] : []),
      ]),
      heights.map((mark) => [
        capital(heightMarkName(mark, wording)),
        readingText(mark.reading, wording),
        ...(layout.lines.build > 0
          ? [formatLengthWithUnit(mark.reading.tick + layout.lines.build, wording.format)]
          : []),
      ]),
      paperText.heights,
    )
  for (const { on, marks: struck, spacer } of lineMarks(layout, pieces, tape)) {
    flow.table(
      columns([paperText.stripColumn, ...paperText.edgeColumns]),
      struck.map(({ stripId, near, far }) => [
        stripName(stripId, wording),
        readingText(near, wording),
        readingText(far, wording),
      ]),
      markedOnText(on, wording),
    )
    if (spacer)
      flow.para(
        lineMarkText.spacer(
          sayWithUnit(spacer.along.tick, wording),
          sayWithUnit(spacer.square.tick, wording),
        ),
      )
  }
  const { arches, rows } = inForce(wall.design).companions
  arches.forEach((arch, i) => {
    const placed = placeArch(arch, layout)
    if (!placed) return
    flow.heading(companionsText.arch(i + 1))
    flow.para(archText(placed, wording))
    flow.table(
      columns([companionsText.fromMiddle, companionsText.overSpring]),
      placed.offsets.map(({ from, height }) => [
        say(Math.round(from), wording),
        say(Math.round(height), wording),
      ]),
      companionsText.offsets,
    )
  })
  rows.forEach((row, i) => {
    const placed = placeRow(row, layout, pieces, (id) => layout.materials.get(id)?.thickness ?? 0)
    if (!placed) return
    flow.heading(companionsText.row(i + 1))
    flow.para(rowText(placed, wording))
    flow.table(
      columns([paperText.itemColumn, ...paperText.itemEdges]),
      placed.items.map(({ name, left, width }) => [
        name,
        say(Math.round(left), wording),
        say(Math.round(left + width), wording),
      ]),
    )
  })
  if (marks.length + heights.length === 0) flow.para(paperText.nothing)
}

import { edgesOf, isSmall } from '~/core/pieces'
import { type CutCard, cardGroups } from '~/core/cutting/cutCards'
import { sawLimits } from '~/core/cutting/sawSetting'
import { rowFixings } from '~/core/cutting/fixing'
import { planSetups, sawRows } from '~/core/cutting/setups'
import type { Piece } from '~/core/pieces'
import {
  batchText,
  capital,
  creepText,
  edgesText,
  endCutName,
  endSettingText,
  fixingText,
  groupSettingText,
  lapTexts,
  listed,
  materialName,
  notchText,
  SMALL_PIECE_CAUTION,
  taperText,
  otherWayText,
  paperText,
  ripText,
  rowNames,
  sayWithUnit,
  setupsText,
  visitText,
  WORK_CAUTIONS,
  workText,
} from '~/messages'
import type { Flow } from '../pdf/flow'
import type { PlannedWall } from '../paperJob'
import { dayOfTime } from './when'

/** All a card takes to be cut, in one cell: its two ends, the saw, other ways, laps and notches. */
function endsOf({ row, start, end, work }: CutCard, { wording }: PlannedWall): string {
  const other = [...start, ...end].find((cut) => cut.other !== null)?.other
  return [
    `${capital(endCutName(row.start, row.faceWidth, wording))}; ${endCutName(row.end, row.faceWidth, wording)}.`,
    `${endSettingText(start)}; ${endSettingText(end)}.`,
    ...(other ? [`${capital(otherWayText(other))}.`] : []),
    ...lapTexts(row.laps, row.directionDeg, wording),
    ...(row.taper ? [taperText(row.taper, wording)] : []),
    ...(isSmall(row) ? [SMALL_PIECE_CAUTION] : []),
    ...row.notches.map((notch) => capital(`${notchText(notch, row.directionDeg, wording)}.`)),
    ...work.filter((each) => each.work !== 'rip').map((each) => `${workText(each)}.`),
  ].join(' ')
}

/** Batch or measured in place, ripped first, how it goes on. */
function howOf(card: CutCard, pieces: readonly Piece[], { workpiece, wording }: PlannedWall): string {
  const batch = batchText(card.advice, wording)
  const fixings = rowFixings({ pieceIds: pieces.map(({ id }) => id) }, pieces, workpiece)
  return [
    ...(card.rip ? [ripText(card.rip, wording)] : []),
    `${capital(batch.name)}: ${batch.why}.`,
    ...(card.creep === null ? [] : [creepText(card.creep, wording)]),
    ...fixings.map((fixing) => {
      const whose =
        fixings.length > 1
          ? `${rowNames(
              pieces.filter(({ id }) => fixing.pieceIds.includes(id)),
              wording,
            )}: `
          : ''
      const said = fixingText(fixing, wording)
      return `${whose}${whose === '' ? capital(said) : said}.`
    }),
  ].join(' ')
}

/** The cut cards by set-up, each enough to cut its pieces, with boxes to tick; and the set-ups in their order. */
export function cutSheet(flow: Flow, planned: PlannedWall, clock: number): void {
  const { plan, wording, wall, workpiece, cards, release } = planned
  flow.page(paperText.headOf(wall.name, paperText.parts.cut), planned.roomName, true)
  if (cards.length === 0) return flow.para(paperText.noPieces)
  flow.para(release ? paperText.released(dayOfTime(release.doneAt, clock)) : paperText.notReleased, {
    size: 8.5,
    color: '#333333',
  })
  const byId = new Map(plan.pieces.map((piece) => [piece.id, piece]))
  const names = new Map(release?.pieces.map(({ piece }) => [piece.pieceId, piece.name]))
  for (const group of cardGroups(cards)) {
    flow.heading(
      paperText.group(materialName(group.materialId, wording), groupSettingText(group.start, group.end)),
    )
    flow.table(
      [
        { name: paperText.cutColumns[1], share: 0.5, bold: true, tick: true },
        { name: paperText.cutColumns[2], share: 1.6 },
        { name: paperText.cutColumns[3], share: 0.9, bold: true },
        { name: paperText.cutColumns[4], share: 2.6 },
        { name: paperText.cutColumns[5], share: 2.6 },
      ],
      group.cards.map((card) => {
        const { row } = card
        const pieces = row.pieceIds.flatMap((id) => byId.get(id) ?? [])
        const own = row.pieceIds.flatMap((id) => names.get(id) ?? [])
        const where = rowNames(pieces, wording) || listed(own)
        return [
          row.label,
          `${row.pieceIds.length} × ${where}${own.length > 0 && own.length <= 12 ? ` (${own.join(', ')})` : ''}`,
          [sayWithUnit(edgesOf(row).measured, wording), edgesText(row, wording)]
            .filter((text) => text !== null)
            .join('; '),
          endsOf(card, planned),
          howOf(card, pieces, planned),
        ]
      }),
    )
  }
  const setups = planSetups(sawRows(cards, workpiece.settings.materials), sawLimits(workpiece.settings.shop))
  flow.heading(paperText.setups)
  flow.para(setupsText(setups))
  setups.visits.forEach((visit, i) => flow.para(`${i + 1}. ${visitText(visit, wording)}`))
  flow.heading(paperText.cautions)
  for (const caution of WORK_CAUTIONS) flow.para(caution)
}

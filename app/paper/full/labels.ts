import { kitOf } from '~/core/marks/kit'
import {
  endSettingText,
  kitText,
  labelText,
  materialName,
  paperText,
  rowNames,
  sayWithUnit,
} from '~/messages'
import type { LabelSheet } from '~/model'
import { edgesOf } from '~/core/pieces'
import { dayOfTime } from '../parts/when'
import type { PaperJob, PlannedWall } from '../paperJob'
import { type Pdf, SIDES } from '../pdf/sheets'
import { labelPlaces } from './labelSheets'

/** What a label says, the most needed first. */
export interface Label {
  readonly name: string
  readonly length: string
  readonly where: string
  readonly more: readonly string[]
}

/** A label for each piece of a wall's list, and each block of its kit. */
export function labelsOf({ cards, plan, wording, wall, release, workpiece }: PlannedWall): Label[] {
  const names = new Map(release?.pieces.map(({ piece }) => [piece.pieceId, piece.name]))
  const byId = new Map(plan.pieces.map((piece) => [piece.id, piece]))
  const pieces = cards.flatMap((card) =>
    card.row.pieceIds.map((id): Label => {
      const piece = byId.get(id)
      return {
        name: names.get(id) ?? card.row.label,
        length: sayWithUnit(edgesOf(card.row).measured, wording),
        where: `${wall.name}: ${piece ? rowNames([piece], wording) : ''}`,
        more: [
          materialName(card.row.materialId, wording),
          labelText.ends(endSettingText(card.start), endSettingText(card.end)),
        ],
      }
    }),
  )
  const blocks = kitOf(plan.layout, plan.pieces, workpiece.settings.tape).map((block): Label => ({
    name: labelText.block,
    length: sayWithUnit(block.length, wording),
    where: `${wall.name}: ${kitText(block, wording)}`,
    more: [],
  }))
  return [...pieces, ...blocks]
}

/** Room kept free inside a label: a printer's rollers shift a sheet by a millimeter or two. Common practice, no source. */
const INSIDE = (1.5 * 72) / 25.4

/** Labels on sheets, from the first that is left on a used one. Words that do not fit are set smaller, and left out last. */
export function drawLabels(
  pdf: Pdf,
  labels: readonly Label[],
  sheet: LabelSheet,
  { skip, shift }: { readonly skip: number; readonly shift: { readonly x: number; readonly y: number } },
  job: Pick<PaperJob, 'name' | 'revision' | 'made' | 'clock'>,
): void {
  const places = labelPlaces(sheet, labels.length, skip, shift)
  const said = paperText.foot(job.name, dayOfTime(job.made, job.clock), job.revision)
  let page = -1
  places.forEach((place, i) => {
    const label = labels[i]
    if (!label) return
    for (; page < place.page; page++) pdf.addPage(SIDES[sheet.paper])
    const [x, width] = [place.x + INSIDE, place.width - 2 * INSIDE]
    const foot = place.y + place.height - INSIDE
    const big = Math.min(20, place.height * 0.3)
    let y = place.y + INSIDE
    const fit = (text: string, size: number, bold: boolean) => {
      const weight = bold ? ('bold' as const) : ('regular' as const)
      const wide = pdf.widthOf(text, { size, weight })
      return { size: wide > width ? Math.max(4.5, (size * width) / wide) : size, weight }
    }
    const head = `${label.name}  ${label.length}`
    const own = fit(head, big, true)
    pdf.words(head, x, y, own)
    y += own.size * 1.15
    for (const text of [label.where, ...label.more, said]) {
      const how = fit(text, Math.min(8.5, place.height * 0.16), false)
      if (y + how.size * 1.1 > foot) break
      pdf.words(text, x, y, how)
      y += how.size * 1.2
    }
  })
}

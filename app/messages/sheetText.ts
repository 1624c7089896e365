import { isPlate } from '~/core/survey/obstacles'
import type { PanelCut, Panels, Panel } from '~/core/panels/panels'
import type { BoughtReady } from '~/core/sheets/ripped'
import type { CutSheet, SheetIssue, SheetPlan } from '~/core/sheets/stripSheets'
import type { Flaw, FlawAt, Sheet } from '~/model'
import { thingCalled } from './thingNames'
import {
  capital,
  count,
  listed,
  materialName,
  money,
  say,
  sayWithUnit,
  stripName,
  type Wording,
} from './words'

/** What stands about sheets and the skin under the trim. */
export const sheetText = {
  title: 'Strips from sheets',
  none: 'No sheet is listed. List one to rip strips from it.',
  list: 'List a sheet',
  asStrips: 'bought as strips',
  rippedHere:
    'Ripped from sheets, not bought as boards: each board here is a strip. The sheets and what they cost stand beside.',
  longWay:
    'Strips run along the sheet’s long way; each is ripped to its pieces’ own width, then cut to length.',
  dust: 'MDF and wood dust: respirator, extraction, cut outside if you can, clean up by vacuum.',
  backer: 'A skin of sheets under the trim',
  noBacker: 'none',
  face: 'from its face',
  back: 'from its back',
  panels: 'Panels',
} as const

/** 3/4 in MDF, 49 × 97. */
export function sheetName({ stuff, thickness, width, length }: Sheet, w: Wording): string {
  const name = stuff === 'mdf' ? 'MDF' : stuff
  return `${sayWithUnit(thickness, w)} ${name}, ${say(width, w)} × ${say(length, w)}`
}

export function sheetIssueText(issue: SheetIssue, w: Wording): string {
  switch (issue.code) {
    case 'longerThanSheet':
      return `${capital(materialName(issue.materialId, w))}: a piece of ${sayWithUnit(issue.length, w)} is longer than the sheet gives, ${sayWithUnit(issue.sheet, w)}. Join the run, or buy it as strips.`
    case 'widerThanSheet':
      return `${capital(materialName(issue.materialId, w))} is ${sayWithUnit(issue.width, w)} wide; the sheet gives ${sayWithUnit(issue.sheet, w)} across.`
    case 'kerfOverPiece':
      return `${capital(materialName(issue.materialId, w))}: a piece of ${sayWithUnit(issue.length, w)} is shorter than the kerf of ${sayWithUnit(issue.kerf, w)}. Look at the kerf.`
  }
}

/** 3 sheets: 14 strips; searched through. */
export function sheetPlanText(plan: SheetPlan, currency: string): string {
  const { sheets, strips, cost, proven, bound } = plan
  return [
    `${capital(count(sheets.length, 'sheet'))} for ${count(strips, 'strip')}`,
    ...(cost === null ? [] : [money(cost, currency)]),
    proven ? 'searched through: no fewer do' : `no fewer than ${bound}`,
  ].join(', ')
}

/** Against buying the same: money, hours, dust. */
export function againstText(
  bought: BoughtReady | null,
  plan: SheetPlan,
  work: { readonly minutes: number; readonly cubicInches: number },
  currency: string,
): string {
  const dust =
    work.cubicInches < 1 ? 'under a cubic inch' : `about ${Math.round(work.cubicInches)} cubic inches`
  const own = `Ripping them takes about ${work.minutes} min and makes ${dust} of dust`
  if (!bought) return `${own}; no strips of this are on sale to set beside it.`
  const cost = bought.cost === null ? '' : `, ${money(bought.cost, currency)}`
  const dearer =
    bought.cost === null || plan.cost === null
      ? ''
      : ` ${bought.cost > plan.cost ? `Sheets save ${money(bought.cost - plan.cost, currency)}.` : `The strips cost ${money(plan.cost - bought.cost, currency)} less.`}`
  return `${own}. Bought ready: ${count(bought.boards, 'strip')}${cost}.${dearer}`
}

export function oneMoreText(
  { fits, cost }: { readonly fits: boolean; readonly cost: number | null },
  material: string,
  currency: string,
): string {
  return fits
    ? `One more strip of ${material} comes out of what is left.`
    : `One more strip of ${material} costs one more sheet${cost === null ? '' : `, ${money(cost, currency)}`}.`
}

/** First into 18 in (5 strips of 3 1/2). */
export function breakDownText(
  parts: readonly { readonly strips: number; readonly strip: number; readonly width: number }[],
  w: Wording,
): string {
  const told = new Map<string, number>()
  for (const { strips, strip, width } of parts) {
    const part =
      strips === 1 ? sayWithUnit(width, w) : `${sayWithUnit(width, w)} (${strips} strips of ${say(strip, w)})`
    told.set(part, (told.get(part) ?? 0) + 1)
  }
  return `On a small saw first into ${listed([...told].map(([part, many]) => (many === 1 ? part : `${many} of ${part}`)))}.`
}

/** P2, 47 3/8 × 91: scribe up to 1/4 off its left and right. */
export function panelText(
  { id, width, height, filler, scribe, studs, fasteners }: Panel,
  w: Wording,
): string {
  return [
    `${id}${filler ? ', a filler' : ''}: ${say(width, w)} × ${sayWithUnit(height, w)}.`,
    ...(say(scribe.across, w) !== '0' && scribe.across > 0
      ? [`Scribe up to ${say(scribe.across, w)} off its side.`]
      : []),
    ...(say(scribe.up, w) !== '0' && scribe.up > 0
      ? [`Scribe up to ${say(scribe.up, w)} off its head.`]
      : []),
    studs.length > 0
      ? `${capital(count(fasteners, 'fastener'))} on ${count(studs.length, 'stud')}, from its left edge at ${listed(studs.map((at) => say(at, w)))}.`
      : 'No stud is known behind it.',
  ].join(' ')
}

/** Cutout for the box of the left outlet: 11 3/8 from the left, 2 1/8 wide, 31 1/8 from the right; ... */
export function panelCutText(cut: PanelCut, w: Wording): string {
  const name = thingCalled(w, cut.thingId, cut.thing)
  const what = isPlate(cut.thing)
    ? `Cutout for the box of the ${name}`
    : `${cut.kind === 'hole' ? 'Hole' : 'Notch'} for the ${name}`
  return `${what}: across ${say(cut.left, w)} + ${say(cut.width, w)} + ${say(cut.right, w)}, up ${say(cut.bottom, w)} + ${say(cut.height, w)} + ${say(cut.top, w)}`
}

/** Seams: where, on what, under what. */
export function seamTexts({ seams }: Panels, w: Wording): string[] {
  return seams.map(
    ({ along, at, onStud, coveredBy }) =>
      `${along === 'up' ? `Seam at ${sayWithUnit(at, w)} from the left` : `Seam at ${sayWithUnit(at, w)} up`}: ${
        along === 'up' ? (onStud ? 'on a stud, ' : 'no stud behind it, ') : ''
      }${coveredBy ? `under ${stripName(coveredBy, w).toLowerCase()}` : 'no strip over it'}`,
  )
}

export function panelsText({ sheets, turned, panels, sheet }: Panels, rented: boolean, w: Wording): string {
  return `${capital(count(panels.length, 'panel'))} out of ${count(sheets, 'sheet')} of ${sheetName(sheet, w)}, ${turned === 'upright' ? 'standing' : 'lying'}. ${
    rented
      ? 'Rented: few fasteners, in studs alone, and ask the owner first.'
      : 'Fasteners in studs, adhesive between them.'
  } The trim stands ${sayWithUnit(sheet.thickness, w)} farther out on it.`
}

export function flawName(flaw: Flaw): string {
  return { knot: 'knot', edge: 'bad edge', bow: 'bowed', end: 'split end', stain: 'stain' }[flaw]
}

export function flawAtName(at: FlawAt): string {
  return { first: 'at the end cut first', middle: 'in the middle', last: 'at the far end' }[at]
}

/** Board 3: knot, in the middle. */
export function flawText(board: number, flaw: Flaw, at: FlawAt): string {
  const told = `Board ${board}: ${flawName(flaw)} ${flaw === 'bow' ? '' : flawAtName(at)}`.trim()
  return flaw === 'knot' ? `${told}. Seal it with shellac before paint.` : `${told}.`
}

/** What a ticket for the store or a friend says. */
export const ticketText = {
  nothing: 'Nothing on this wall has to be cut by others.',
  lead: (kerf: string) =>
    `Sizes are finished sizes. Our saw takes ${kerf} a cut; if yours takes more, keep the sizes and tell us.`,
  rips: 'To be ripped to width, the sawn edge to the wall',
  columns: ['Mark', 'Stuff', 'Rip to', 'Length', 'How many'],
  others: 'Cut by who has the tool',
  other: (
    { label, pieceIds, cutLength }: { label: string; pieceIds: readonly string[]; cutLength: number },
    w: Wording,
  ) =>
    `${label}: ${count(pieceIds.length, 'piece')} of ${sayWithUnit(cutLength, w)}, its drawing on the cut card`,
  /** Sheet 1: 5 strips of 3 1/2, 2 of 1 1/2; 1 7/8 left. */
  sheet: ({ number, strips, left }: CutSheet, w: Wording) => {
    const widths = new Map<number, number>()
    for (const { width } of strips) widths.set(width, (widths.get(width) ?? 0) + 1)
    return `Sheet ${number}: ${listed([...widths].map(([width, many]) => `${count(many, 'strip')} of ${say(width, w)}`))}; ${sayWithUnit(left, w)} left.`
  },
} as const

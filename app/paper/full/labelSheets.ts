import { LABEL_SHEETS, type LabelSheet } from '~/model'

const PAPER = {
  letter: { width: 8.5, height: 11, unit: 72 },
  a4: { width: 210, height: 297, unit: 72 / 25.4 },
} as const

/** A label's place: its sheet, and its box in points from the sheet's left top. */
export interface LabelPlace {
  readonly page: number
  readonly x: number
  readonly y: number
  readonly width: number
  readonly height: number
}

export const labelSheet = (id: string): LabelSheet | null =>
  LABEL_SHEETS.find((each) => each.id === id) ?? null

/** Where labels lie, in reading order; `skip` of the first sheet are gone already. A printer's shift is added to all of them. */
export function labelPlaces(
  sheet: LabelSheet,
  count: number,
  skip = 0,
  shift: { readonly x: number; readonly y: number } = { x: 0, y: 0 },
): LabelPlace[] {
  const { unit } = PAPER[sheet.paper]
  const each = sheet.across * sheet.down
  return Array.from({ length: count }, (_, i) => {
    const on = (i + skip) % each
    return {
      page: Math.floor((i + skip) / each),
      x: (sheet.left + (on % sheet.across) * sheet.pitchX) * unit + shift.x,
      y: (sheet.top + Math.floor(on / sheet.across) * sheet.pitchY) * unit + shift.y,
      width: sheet.width * unit,
      height: sheet.height * unit,
    }
  })
}

/** How much wider (higher) the margin after the last label is than the one before the first, in the sheet's units: 0 for a sheet measured right. */
export function offCenter({ paper, across, down, width, height, left, top, pitchX, pitchY }: LabelSheet) {
  return {
    x: PAPER[paper].width - 2 * left - (across - 1) * pitchX - width,
    y: PAPER[paper].height - 2 * top - (down - 1) * pitchY - height,
  }
}

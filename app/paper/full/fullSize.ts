import type { PaperSize } from '~/model'
import { fullSizeText } from '~/messages'
import { type Pdf, PT_PER_NM, SIDES } from '../pdf/sheets'

/** A line of a drawing at full size, in nanometers, y up. */
export interface FullPath {
  readonly points: readonly (readonly [number, number])[]
  readonly closed?: boolean
  readonly fill?: boolean
  readonly dash?: boolean
  /** Points wide. */
  readonly weight?: number
}

/** A word at a place of it; kept inside the page it is on. */
export interface FullWord {
  readonly at: readonly [number, number]
  readonly text: string
  readonly size: number
  readonly bold?: boolean
}

/** A drawing that is printed as large as it is. Its box starts at its lower left corner. */
export interface Full {
  readonly title: string
  readonly box: {
    readonly left: number
    readonly right: number
    readonly bottom: number
    readonly top: number
  }
  readonly paths: readonly FullPath[]
  readonly words: readonly FullWord[]
}

/** What it is printed on: sheets, or a roll of this width. */
export type FullPaper = { readonly kind: 'sheets'; readonly paper: PaperSize } | { readonly kind: 'roll' }

/** How far sheets lie over one another. */
const OVERLAP = 36
const MARGIN = 36
/** Room under the drawing for the bars and what the sheet is of. */
const FOOT = 58
/** A page of PDF may be 200 in a side (ISO 32000-1, annex C); a roll is cut in lengths below that. */
export const LONGEST_PAGE = 14_400
const ROLL = 288 // 4 in
/** The bars a print is checked by, in points: 6 in and 100 mm. */
export const BARS = { inches: 432, mm: (100 * 72) / 25.4 } as const

/** Windows over a length: each shows `usable`, the next starts `overlap` before its end. */
export function tiles(
  length: number,
  usable: number,
  overlap: number,
): { readonly from: number; readonly to: number }[] {
  const step = usable - overlap
  const count = Math.max(1, Math.ceil((length - overlap) / step - 1e-9))
  return Array.from({ length: count }, (_, i) => ({
    from: i * step,
    to: Math.min(length, i * step + usable),
  }))
}

interface Sheet {
  readonly size: readonly [number, number]
  /** What of the drawing it shows, in points from its left top. */
  readonly x: { readonly from: number; readonly to: number }
  readonly y: { readonly from: number; readonly to: number }
  readonly column: number
  readonly row: number
}

/** The sheets a drawing takes, row by row from its left top. */
function sheetsFor(width: number, height: number, on: FullPaper): { sheets: Sheet[]; columns: number } {
  const turned = on.kind === 'roll' || width >= height
  const [short, long] = on.kind === 'roll' ? [ROLL, LONGEST_PAGE] : SIDES[on.paper]
  const [pageWidth, pageHeight] = turned ? [long, short] : [short, long]
  const across = tiles(width, pageWidth - 2 * MARGIN, OVERLAP)
  const down = tiles(height, pageHeight - 2 * MARGIN - FOOT, OVERLAP)
  const sheets = down.flatMap((y, row) =>
    across.map((x, column): Sheet => {
      // a roll is as long as it needs to be
      const own = on.kind === 'roll' ? Math.max(BARS.inches + 110, x.to - x.from) + 2 * MARGIN : pageWidth
      return { size: [own, pageHeight], x, y, row, column }
    }),
  )
  return { sheets, columns: across.length }
}

/**
 * Draws something at full size over as many sheets as it takes, with overlaps, crosses to join them by and two bars to check the print by.
 * `measured` is what the 6-in bar came out as on this printer, in points; the drawing makes up for it, the bars never do.
 */
export function drawFull(pdf: Pdf, full: Full, on: FullPaper, measured: number = BARS.inches): number {
  const { doc } = pdf
  const k = (PT_PER_NM * BARS.inches) / measured
  const { left, top, right, bottom } = full.box
  const X = (x: number) => (x - left) * k
  const Y = (y: number) => (top - y) * k
  const { sheets, columns } = sheetsFor(X(right), Y(bottom), on)
  for (const [n, sheet] of sheets.entries()) {
    const { x, y, size, row, column } = sheet
    pdf.addPage(size)
    const at = (px: number, py: number) => [MARGIN + px - x.from, MARGIN + py - y.from] as const
    doc.save()
    doc.rect(MARGIN - 0.5, MARGIN - 0.5, x.to - x.from + 1, y.to - y.from + 1).clip()
    for (const path of full.paths) {
      const points = path.points.map(([px, py]) => at(X(px), Y(py)))
      const xs = points.map(([px]) => px)
      const ys = points.map(([, py]) => py)
      const seen =
        Math.max(...xs) >= MARGIN - 1 &&
        Math.min(...xs) <= MARGIN + 1 + x.to - x.from &&
        Math.max(...ys) >= MARGIN - 1 &&
        Math.min(...ys) <= MARGIN + 1 + y.to - y.from
      if (!seen) continue
      const [first, ...rest] = points
      if (!first) continue
      doc.lineWidth(path.weight ?? 0.6).strokeColor('#000000')
      if (path.dash) doc.dash(4, { space: 3 })
      doc.moveTo(first[0], first[1])
      for (const [px, py] of rest) doc.lineTo(px, py)
      if (path.closed) doc.closePath()
      if (path.fill) doc.fillColor('#ececec').fillAndStroke()
      else doc.stroke()
      if (path.dash) doc.undash()
    }
    for (const word of full.words) {
      const [px, py] = at(X(word.at[0]), Y(word.at[1]))
      const inside =
        px >= MARGIN - 1 &&
        px <= MARGIN + x.to - x.from + 1 &&
        py >= MARGIN - 1 &&
        py <= MARGIN + y.to - y.from + 1
      if (!inside) continue
      const how = { size: word.size, weight: word.bold ? ('bold' as const) : ('regular' as const) }
      const room = MARGIN + x.to - x.from - pdf.widthOf(word.text, how) - 2
      // a word that would run off the sheet stands before its place
      pdf.words(
        word.text,
        px + 4 <= room ? px + 4 : Math.max(MARGIN, Math.min(room, px - 4 - pdf.widthOf(word.text, how))),
        py,
        how,
      )
    }
    doc.restore()
    crosses(pdf, sheet, sheets.length, columns)
    foot(pdf, full.title, sheet, { n: n + 1, of: sheets.length, row, column, columns }, measured)
  }
  return sheets.length
}

/** Crosses in the middle of each overlap: the same two places on both sheets. */
function crosses(pdf: Pdf, { x, y, row, column }: Sheet, count: number, columns: number): void {
  if (count === 1) return
  const rows = count / columns
  const along = [
    ...(column > 0 ? [x.from + OVERLAP / 2] : []),
    ...(column < columns - 1 ? [x.to - OVERLAP / 2] : []),
  ]
  const down = [...(row > 0 ? [y.from + OVERLAP / 2] : []), ...(row < rows - 1 ? [y.to - OVERLAP / 2] : [])]
  const cross = (px: number, py: number) => {
    const [cx, cy] = [MARGIN + px - x.from, MARGIN + py - y.from]
    pdf.line(cx - 9, cy, cx + 9, cy, 0.35)
    pdf.line(cx, cy - 9, cx, cy + 9, 0.35)
  }
  for (const px of along) for (const py of [y.from + 14, y.to - 14]) cross(px, py)
  for (const py of down) for (const px of [x.from + 60, x.to - 60]) cross(px, py)
}

interface Numbered {
  readonly n: number
  readonly of: number
  readonly row: number
  readonly column: number
  readonly columns: number
}

function foot(pdf: Pdf, title: string, { size, y }: Sheet, of: Numbered, measured: number): void {
  const top = MARGIN + (y.to - y.from) + 16
  // the bars are never made up for: they are what is measured
  pdf.line(MARGIN, top, MARGIN + BARS.inches, top, 1)
  pdf.line(MARGIN, top + 14, MARGIN + BARS.mm, top + 14, 1)
  for (const [length, at] of [
    [BARS.inches, top],
    [BARS.mm, top + 14],
  ] as const)
    for (const end of [MARGIN, MARGIN + length]) pdf.line(end, at - 4, end, at + 4, 0.5)
  pdf.words('6 in', MARGIN + BARS.inches + 6, top - 5, { size: 8 })
  pdf.words('100 mm', MARGIN + BARS.mm + 6, top + 9, { size: 8 })
  pdf.words(
    `${title} · ${fullSizeText.sheet(of.n, of.of, of.columns > 1 && of.of > of.columns ? [of.row + 1, of.column + 1] : null)} · ${
      Math.abs(measured - BARS.inches) < 1e-6
        ? fullSizeText.plain
        : fullSizeText.corrected(measured / BARS.inches)
    }`,
    MARGIN,
    Math.min(size[1] - 20, top + 26),
    { size: 8 },
  )
}

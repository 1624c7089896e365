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

/** A part of the drawing as it lies on a sheet. */
interface Window {
  /** What of the drawing it shows, in points from its left top. */
  readonly x: { readonly from: number; readonly to: number }
  readonly y: { readonly from: number; readonly to: number }
  readonly column: number
  readonly row: number
  /** Where on the sheet it begins. */
  readonly top: number
}

interface Sheet {
  readonly size: readonly [number, number]
  readonly windows: readonly Window[]
}

/** Between two windows on one sheet: room for scissors. */
const CUT = 18

/** The sheets a drawing takes, row by row from its left top; of what is long and low as many stretches on each as it has room for. */
function sheetsFor(
  width: number,
  height: number,
  on: FullPaper,
): { readonly sheets: readonly Sheet[]; readonly columns: number; readonly rows: number } {
  const turned = on.kind === 'roll' || width >= height
  const [short, long] = on.kind === 'roll' ? [ROLL, LONGEST_PAGE] : SIDES[on.paper]
  const [pageWidth, pageHeight] = turned ? [long, short] : [short, long]
  const usable = pageHeight - 2 * MARGIN - FOOT
  const across = tiles(width, pageWidth - 2 * MARGIN, OVERLAP)
  const down = tiles(height, usable, OVERLAP)
  const all = down.flatMap((y, row) => across.map((x, column) => ({ x, y, row, column })))
  const each =
    on.kind === 'roll' || down.length > 1 ? 1 : Math.max(1, Math.floor((usable + CUT) / (height + CUT)))
  const sheets: Sheet[] = []
  for (let from = 0; from < all.length; from += each) {
    const own = all.slice(from, from + each)
    // a roll is as long as it needs to be
    const reach = Math.max(...own.map(({ x }) => x.to - x.from))
    const wide = on.kind === 'roll' ? Math.max(BARS.inches + 110, reach) + 2 * MARGIN : pageWidth
    sheets.push({
      size: [wide, pageHeight],
      windows: own.map((part, i) => ({ ...part, top: MARGIN + i * (height + CUT) })),
    })
  }
  return { sheets, columns: across.length, rows: down.length }
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
  const { sheets, columns, rows } = sheetsFor(X(right), Y(bottom), on)
  sheets.forEach((sheet, n) => {
    pdf.addPage(sheet.size)
    for (const window of sheet.windows) {
      draw(window)
      crosses(pdf, window, columns, rows)
      if (columns > 1)
        pdf.words(
          fullSizeText.part(window.row * columns + window.column + 1, columns * rows),
          MARGIN + 60,
          window.top + 1,
          { size: 7, color: '#555555' },
        )
    }
    foot(pdf, full.title, sheet, { n: n + 1, of: sheets.length }, measured)
  })
  return sheets.length

  function draw({ x, y, top: from }: Window): void {
    const [wide, high] = [x.to - x.from, y.to - y.from]
    const at = (px: number, py: number) => [MARGIN + px - x.from, from + py - y.from] as const
    const isSeen = (points: readonly (readonly [number, number])[]) => {
      const [xs, ys] = [points.map(([px]) => px), points.map(([, py]) => py)]
      return (
        Math.max(...xs) >= MARGIN - 1 &&
        Math.min(...xs) <= MARGIN + 1 + wide &&
        Math.max(...ys) >= from - 1 &&
        Math.min(...ys) <= from + 1 + high
      )
    }
    doc.save()
    doc.rect(MARGIN - 0.5, from - 0.5, wide + 1, high + 1).clip()
    for (const path of full.paths) {
      const points = path.points.map(([px, py]) => at(X(px), Y(py)))
      const [first, ...rest] = points
      if (!first || !isSeen(points)) continue
      doc.lineWidth(path.weight ?? 0.6).strokeColor('#000000')
      if (path.dash) doc.dash(4, { space: 3 })
      doc.moveTo(first[0], first[1])
      for (const [px, py] of rest) doc.lineTo(px, py)
      if (path.closed) doc.closePath()
      if (path.fill) doc.fillColor('#ececec').fillAndStroke()
      else doc.stroke()
      if (path.dash) doc.undash()
    }
    for (const { at: place, text, size, bold } of full.words) {
      const [px, py] = at(X(place[0]), Y(place[1]))
      if (!isSeen([[px, py]])) continue
      const how = { size, weight: bold ? ('bold' as const) : ('regular' as const) }
      const room = MARGIN + wide - pdf.widthOf(text, how) - 2
      // a word that would run off the sheet stands before its place
      const before = Math.max(MARGIN, Math.min(room, px - 4 - pdf.widthOf(text, how)))
      pdf.words(text, px + 4 <= room ? px + 4 : before, py, how)
    }
    doc.restore()
  }
}

/** Crosses in the middle of each overlap: the same two places on both sides of it. */
function crosses(pdf: Pdf, { x, y, row, column, top }: Window, columns: number, rows: number): void {
  const along = [
    ...(column > 0 ? [x.from + OVERLAP / 2] : []),
    ...(column < columns - 1 ? [x.to - OVERLAP / 2] : []),
  ]
  const down = [...(row > 0 ? [y.from + OVERLAP / 2] : []), ...(row < rows - 1 ? [y.to - OVERLAP / 2] : [])]
  const cross = (px: number, py: number) => {
    const [cx, cy] = [MARGIN + px - x.from, top + py - y.from]
    pdf.line(cx - 9, cy, cx + 9, cy, 0.35)
    pdf.line(cx, cy - 9, cx, cy + 9, 0.35)
  }
  for (const px of along) for (const py of [y.from + 14, y.to - 14]) cross(px, py)
  for (const py of down) for (const px of [x.from + 60, x.to - 60]) cross(px, py)
}

/** The bars and what the sheet is of, at its foot. The bars are never made up for: they are what is measured. */
function foot(
  pdf: Pdf,
  title: string,
  { size: [, height] }: Sheet,
  of: { readonly n: number; readonly of: number },
  measured: number,
): void {
  const top = height - MARGIN - FOOT + 16
  pdf.line(MARGIN, top, MARGIN + BARS.inches, top, 1)
  pdf.line(MARGIN, top + 14, MARGIN + BARS.mm, top + 14, 1)
  for (const [length, at] of [
    [BARS.inches, top],
    [BARS.mm, top + 14],
  ] as const)
    for (const end of [MARGIN, MARGIN + length]) pdf.line(end, at - 4, end, at + 4, 0.5)
  pdf.words(fullSizeText.bars.inches, MARGIN + BARS.inches + 6, top - 5, { size: 8 })
  pdf.words(fullSizeText.bars.mm, MARGIN + BARS.mm + 6, top + 9, { size: 8 })
  const said =
    Math.abs(measured - BARS.inches) < 1e-6
      ? fullSizeText.plain
      : fullSizeText.corrected(measured / BARS.inches)
  pdf.words(title, MARGIN, top + 24, { size: 10, weight: 'bold' })
  pdf.words(
    `${fullSizeText.sheet(of.n, of.of)} · ${said}`,
    MARGIN + pdf.widthOf(title, { size: 10, weight: 'bold' }) + 12,
    top + 26,
    { size: 8 },
  )
}

import type { PaperSize } from '~/model'
import { type Pdf, SIDES, type WordsAt } from './sheets'

export interface Column {
  readonly name: string
  /** Its share of the width. */
  readonly share: number
  readonly align?: 'left' | 'right'
  readonly bold?: boolean
  /** A box to tick stands before its words; an empty cell has none. */
  readonly tick?: boolean
}

const BOX = 8

/** Pages filled from top to bottom, each with the same head; what does not fit goes on the next. */
export interface Flow {
  readonly pdf: Pdf
  readonly width: number
  /** Begins a page, with a head of its own; on its side for what is wide. */
  readonly page: (title: string, under: string, turned?: boolean) => void
  /** Room is made for so much: on the next page where this one has it not. */
  readonly room: (height: number) => void
  readonly heading: (text: string) => void
  readonly para: (text: string, how?: WordsAt) => void
  readonly table: (columns: readonly Column[], rows: readonly (readonly string[])[], caption?: string) => void
  /** Draws something of a height: its left top is handed in. */
  readonly draw: (height: number, draw: (x: number, y: number, width: number) => void) => void
  readonly left: () => number
}

export const MARGIN = 40
const HEAD = 46
const FOOT = 30

/** A flow of pages in a PDF; `foot` is written at the end, when it is known how many there are. */
export function flowOf(pdf: Pdf, paper: PaperSize): Flow {
  const [short, long] = SIDES[paper]
  let [size, y, title, under, turned] = [[short, long] as readonly [number, number], 0, '', '', false]
  let width = short - 2 * MARGIN
  const bottom = () => size[1] - MARGIN - FOOT
  const begin = () => {
    size = turned ? [long, short] : [short, long]
    width = size[0] - 2 * MARGIN
    pdf.addPage(size)
    pdf.words(title, MARGIN, MARGIN - 8, { size: 17, weight: 'bold' })
    pdf.words(under, size[0] - MARGIN, MARGIN - 3, { size: 9, align: 'right', color: '#333333' })
    pdf.line(MARGIN, MARGIN + 18, size[0] - MARGIN, MARGIN + 18, 1.2)
    y = MARGIN + HEAD - 18
  }
  const room = (height: number) => {
    if (y + height > bottom() && y > MARGIN + HEAD) begin()
  }
  const para = (text: string, how: WordsAt = {}) => {
    const height = pdf.heightOf(text, { size: 9.5, ...how, width })
    room(height + 3)
    pdf.words(text, MARGIN, y, { size: 9.5, ...how, width })
    y += height + 3
  }
  return {
    pdf,
    get width() {
      return width
    },
    page: (name, more, wide = false) => {
      ;[title, under, turned] = [name, more, wide]
      begin()
    },
    room,
    heading: (text) => {
      room(46)
      y += 8
      pdf.words(text, MARGIN, y, { size: 11.5, weight: 'bold', width })
      y += pdf.heightOf(text, { size: 11.5, weight: 'bold', width }) + 3
    },
    para,
    table: (columns, rows, caption) => {
      if (rows.length === 0) return
      const all = columns.reduce((sum, { share }) => sum + share, 0)
      const cells = () => {
        let x = MARGIN
        return columns.map((column) => {
          const room = (width * column.share) / all
          const box = column.tick ? BOX + 5 : 0
          const cell = { x: x + 2 + box, width: room - 6 - box, align: column.align ?? ('left' as const) }
          x += room
          return cell
        })
      }
      const head = () => {
        const height = Math.max(
          ...cells().map((cell, i) =>
            pdf.heightOf(columns[i]?.name ?? '', { size: 8, weight: 'bold', width: cell.width }),
          ),
        )
        cells().forEach((cell, i) =>
          pdf.words(columns[i]?.name ?? '', cell.x, y, {
            size: 8,
            weight: 'bold',
            width: cell.width,
            align: cell.align,
            color: '#333333',
          }),
        )
        y += height + 2
        pdf.line(MARGIN, y, MARGIN + width, y, 0.8)
        y += 3
      }
      if (caption) {
        room(60)
        para(caption, { color: '#333333' })
      }
      room(40)
      head()
      for (const row of rows) {
        const how = (i: number): WordsAt => ({ size: 9.5, weight: columns[i]?.bold ? 'bold' : 'regular' })
        const height = Math.max(
          ...cells().map((cell, i) => pdf.heightOf(row[i] ?? '', { ...how(i), width: cell.width })),
        )
        if (y + height + 4 > bottom()) {
          begin()
          head()
        }
        cells().forEach((cell, i) => {
          pdf.words(row[i] ?? '', cell.x, y, { ...how(i), width: cell.width, align: cell.align })
          if (columns[i]?.tick && row[i] !== '')
            pdf.doc
              .lineWidth(0.8)
              .strokeColor('#000000')
              .rect(cell.x - BOX - 4, y + 1, BOX, BOX)
              .stroke()
        })
        y += height + 2
        pdf.line(MARGIN, y, MARGIN + width, y, 0.25)
        y += 2.5
      }
      y += 6
    },
    draw: (height, draw) => {
      room(height)
      draw(MARGIN, y, width)
      y += height
    },
    left: () => bottom() - y,
  }
}

/** Writes at the foot of every page what it is of, and its number of how many. */
export function footPages(pdf: Pdf, text: string, number: (page: number, of: number) => string): number {
  const { count } = pdf.doc.bufferedPageRange()
  for (let page = 0; page < count; page++) {
    pdf.doc.switchToPage(page)
    const { width, height } = pdf.doc.page
    pdf.line(MARGIN, height - MARGIN - 4, width - MARGIN, height - MARGIN - 4, 0.5)
    pdf.words(text, MARGIN, height - MARGIN + 2, { size: 8, color: '#333333' })
    pdf.words(number(page + 1, count), width - MARGIN, height - MARGIN + 2, { size: 8, align: 'right' })
  }
  return count
}

import PDFDocument from 'pdfkit'
import type { PaperSize } from '~/model'
import { setForType, typeFile, type Weight } from './fonts'

/** Points in a nanometer. */
export const PT_PER_NM = 72 / 25_400_000

/** Short and long side in points. */
export const SIDES: Readonly<Record<PaperSize, readonly [number, number]>> = {
  letter: [612, 792],
  a4: [(210 * 72) / 25.4, (297 * 72) / 25.4],
}

export interface Opened {
  readonly title: string
  /** A fixed moment: the same plan on the same day is the same file, byte for byte. */
  readonly made: Date
  readonly author?: string
}

export type Align = 'left' | 'right' | 'center'

export interface WordsAt {
  readonly size?: number
  readonly weight?: Weight
  readonly align?: Align
  /** Room they are set in: they wrap there. Without it they run on in one line. */
  readonly width?: number
  readonly color?: string
}

/** A PDF being drawn, in points from a page's left top. */
export interface Pdf {
  readonly doc: PDFKit.PDFDocument
  readonly addPage: (size: readonly [number, number]) => void
  readonly words: (text: string, x: number, y: number, how?: WordsAt) => void
  readonly widthOf: (text: string, how?: WordsAt) => number
  readonly heightOf: (text: string, how: WordsAt & { readonly width: number }) => number
  readonly line: (x1: number, y1: number, x2: number, y2: number, weight?: number, dash?: number) => void
  readonly end: () => Promise<Buffer>
}

/** Opens a PDF with the house's type. */
export function openPdf({ title, made, author = 'Regla' }: Opened): Pdf {
  const doc = new PDFDocument({
    autoFirstPage: false,
    // the library's default is a version from before transparency
    pdfVersion: '1.7',
    lang: 'en-US',
    displayTitle: true,
    info: { Title: title, Author: author, CreationDate: made },
    // else Helvetica comes along unasked
    font: null as unknown as string,
    // "3 of 24" is known when the last is there
    bufferPages: true,
  })
  const parts: Buffer[] = []
  doc.on('data', (chunk: Buffer) => parts.push(chunk))
  const ended = new Promise<Buffer>((resolve, reject) => {
    doc.on('end', () => resolve(Buffer.concat(parts)))
    doc.on('error', reject)
  })
  doc.registerFont('regular', typeFile('regular'))
  doc.registerFont('bold', typeFile('bold'))
  const set = ({ size = 9, weight = 'regular' }: WordsAt) => doc.font(weight).fontSize(size)
  return {
    doc,
    addPage: (size) => void doc.addPage({ size: [...size], margin: 0 }),
    words: (text, x, y, how = {}) => {
      const { align = 'left', width, color = '#000000' } = how
      set(how).fillColor(color)
      const shown = setForType(text)
      if (width !== undefined) doc.text(shown, x, y, { width, align })
      else {
        const shift = align === 'left' ? 0 : doc.widthOfString(shown) / (align === 'right' ? 1 : 2)
        doc.text(shown, x - shift, y, { lineBreak: false })
      }
    },
    widthOf: (text, how = {}) => set(how).widthOfString(setForType(text)),
    heightOf: (text, how) => set(how).heightOfString(setForType(text), { width: how.width }),
    line: (x1, y1, x2, y2, weight = 0.5, dash) => {
      doc.lineWidth(weight).strokeColor('#000000')
      if (dash) doc.dash(dash, { space: dash })
      doc.moveTo(x1, y1).lineTo(x2, y2).stroke()
      if (dash) doc.undash()
    },
    end: () => {
      doc.end()
      return ended
    },
  }
}

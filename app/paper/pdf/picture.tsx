import { renderToStaticMarkup } from 'react-dom/server'
import SVGtoPDF from 'svg-to-pdfkit'
import { FileType, type SetType } from '~/drawing/view/fileType'
import { setForType } from './fonts'
import type { Pdf } from './sheets'

/** Words whose reader has the type: a PDF brings it along. It knows two weights. */
function inType(text: string, { fontWeight = 400, ...type }: SetType) {
  return (
    <text {...type} fontWeight={fontWeight >= 600 ? 700 : 400}>
      {setForType(text)}
    </text>
  )
}

/** Draws what the screen draws into a PDF, as lines and words, in a frame of points. */
export function drawPicture(
  { doc }: Pdf,
  { width, height }: { readonly width: number; readonly height: number },
  x: number,
  y: number,
  content: React.ReactNode,
): void {
  const svg = renderToStaticMarkup(
    <svg xmlns="http://www.w3.org/2000/svg" width={width} height={height} viewBox={`0 0 ${width} ${height}`}>
      <FileType.Provider value={inType}>{content}</FileType.Provider>
    </svg>,
  )
  SVGtoPDF(doc, svg, x, y, {
    width,
    height,
    assumePt: true,
    fontCallback: (_family: string, bold: boolean) => (bold ? 'bold' : 'regular'),
  })
}

import type * as fontkit from 'fontkit'
import type { SetType } from '~/drawing/view/fileType'
import { setForType, typeOf } from '../pdf/fonts'

/** A text as an outline: its baseline begins (or is centered, or ends) at x and y, y down, `size` in the drawing's units. */
export function outlineText(
  font: fontkit.Font,
  text: string,
  {
    x,
    y,
    size,
    anchor = 'start',
  }: { x: number; y: number; size: number; anchor?: 'start' | 'middle' | 'end' },
): { readonly d: string; readonly width: number } {
  const run = font.layout(setForType(text))
  const k = size / font.unitsPerEm
  const width = run.advanceWidth * k
  let at = x - (anchor === 'middle' ? width / 2 : anchor === 'end' ? width : 0)
  let d = ''
  run.glyphs.forEach((glyph, i) => {
    const place = run.positions[i]
    if (!place) return
    d += glyph.path.transform(k, 0, 0, -k, at + place.xOffset * k, y - place.yOffset * k).toSVG()
    at += place.xAdvance * k
  })
  return { d, width }
}

/** Words as outlines, the same wherever the file is opened; what they say stays beside them. */
export function asOutlines(
  text: string,
  { x, y, fontSize, fontWeight = 400, textAnchor, fill, fillOpacity, transform }: SetType,
) {
  const { d } = outlineText(typeOf(fontWeight >= 600 ? 'bold' : 'regular'), text, {
    x,
    y,
    size: fontSize,
    anchor: textAnchor ?? 'start',
  })
  return (
    <path
      d={d}
      fill={fill}
      fillOpacity={fillOpacity}
      transform={transform}
      role="img"
      aria-label={text}
      data-text={text}
    />
  )
}

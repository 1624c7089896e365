import { inkOn, isPainted, shadeOf, type WallColors } from '~/core/agree/wallColors'
import type { Palette } from './palette'

/** A palette with a wall's own colors in it; the same palette where nothing is painted. */
export function paintedPalette(palette: Palette, colors: WallColors): Palette {
  if (!isPainted(colors)) return palette
  const { trim, field, above, plates, base, paper } = colors
  return {
    ...palette,
    ...(field ? { field: field.hex } : {}),
    ...(trim ? { strip: trim.hex, stripEdge: shadeOf(trim.hex), shade: '#000000', shadeOpacity: 0.3 } : {}),
    ...(trim && base ? { running: trim.hex } : {}),
    above: paper ? paper.hex : (above?.hex ?? null),
    ...(paper ? { seam: inkOn(paper.hex) } : {}),
    plate: plates?.hex ?? null,
  }
}

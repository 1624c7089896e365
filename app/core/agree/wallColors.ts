import { colord, extend } from 'colord'
import a11y from 'colord/plugins/a11y'
import lab from 'colord/plugins/lab'
import { type Design, type Paint, type PaintUse, type Paper, PAINT_USES, type Settings } from '~/model'

extend([a11y, lab])

/** What a wall is painted in: the paints its design names, as far as the job has them; null where it is as it is. */
export interface WallColors {
  readonly trim: Paint | null
  readonly field: Paint | null
  readonly above: Paint | null
  readonly plates: Paint | null
  /** The baseboard goes with the trim. */
  readonly base: boolean
  readonly paper: Paper | null
}

/** The paints of a design. A paint that is gone from the job's list is none. */
export function colorsOf({ paint }: Pick<Design, 'paint'>, { paints }: Pick<Settings, 'paints'>): WallColors {
  const of = (use: PaintUse) => paints.find(({ id }) => id === paint[use]) ?? null
  return {
    trim: of('trim'),
    field: of('field'),
    above: of('above'),
    plates: of('plates'),
    base: paint.base,
    paper: paint.paper,
  }
}

/** Whether anything of a wall has a color of its own. */
export function isPainted(colors: WallColors): boolean {
  return colors.paper !== null || PAINT_USES.some((use) => colors[use] !== null)
}

/** A color as six hexadecimal digits from what was typed (#ABC, abc123, rgb(1, 2, 3)); null where it is none. */
export function readHex(text: string): string | null {
  const typed = text.trim()
  const color = colord(/^[0-9a-f]{3}([0-9a-f]{3})?$/i.test(typed) ? `#${typed}` : typed)
  return color.isValid() && color.alpha() === 1 ? color.toHex() : null
}

/** How two colors that lie side by side stand apart. */
export interface Contrast {
  readonly between: readonly [PaintUse, PaintUse]
  /** Contrast ratio, 1 to 21: (L1 + 0.05) / (L2 + 0.05), W3C, Web Content Accessibility Guidelines 2.2, "contrast ratio". */
  readonly ratio: number
  /** Color difference, 0 to 100: CIEDE2000, ISO/CIE 11664-6:2014 (as colord's lab plugin computes it). */
  readonly difference: number
  /** The same paint, hardly told apart, seen by its relief, seen from across the room. Common practice, no source. */
  readonly seen: 'same' | 'hardly' | 'soft' | 'clear'
}

/** Below this difference two colors side by side are taken for one; above that one they part by themselves. Common practice, no source. */
const HARDLY = 3
const CLEAR = 12

/** How far two colors stand apart. */
export function contrastOf(a: string, b: string): Omit<Contrast, 'between'> {
  const [one, other] = [colord(a), colord(b)]
  const difference = one.delta(other.toHex()) * 100
  const seen = a === b ? 'same' : difference < HARDLY ? 'hardly' : difference < CLEAR ? 'soft' : 'clear'
  return { ratio: one.contrast(other.toHex()), difference, seen }
}

const NEIGHBORS: readonly (readonly [PaintUse, PaintUse])[] = [
  ['trim', 'field'],
  ['trim', 'above'],
  ['field', 'above'],
  ['field', 'plates'],
]

/** How the colors that lie side by side on a wall stand apart; a color that is not picked is left out, paper stands for what is above. */
export function contrastsOf(colors: WallColors): Contrast[] {
  const hexOf = (use: PaintUse) =>
    use === 'above' && colors.paper ? colors.paper.hex : (colors[use]?.hex ?? null)
  return NEIGHBORS.flatMap((between): Contrast[] => {
    const [a, b] = [hexOf(between[0]), hexOf(between[1])]
    return a === null || b === null ? [] : [{ between, ...contrastOf(a, b) }]
  })
}

/** Ink that can be read on a color: dark or light, whichever stands out more. */
export function inkOn(hex: string): string {
  const color = colord(hex)
  return color.contrast('#1d2224') >= color.contrast('#ffffff') ? '#1d2224' : '#ffffff'
}

/** A color as it is in the shade of an edge, and where light falls on it. */
export function shadeOf(hex: string): string {
  return colord(hex).darken(0.16).toHex()
}

import type { Length } from '~/length'

/**
 * How one end of a piece is cut. `sawSettingDeg` is what the saw's scale reads (0 is a square cut).
 * `longEdge` is the edge that carries the long point, seen from the face with the piece's start at the left.
 * A scarf tilts the blade through the thickness; `hidden` is how far the back runs on behind the next piece.
 */
export type EndCut =
  | { readonly kind: 'square' }
  | { readonly kind: 'miter'; readonly sawSettingDeg: number; readonly longEdge: 'left' | 'right' }
  /** Tilted at the back, so that the face dies into what it meets. */
  | { readonly kind: 'bevel'; readonly bevelDeg: number }
  | { readonly kind: 'scarf'; readonly bevelDeg: number; readonly hidden: Length }
  /** Cut to the profile of the trim it meets in an inside corner, along the line a mitre leaves. */
  | { readonly kind: 'cope'; readonly sawSettingDeg: number }
  /**
   * Half of the room corner's angle through the thickness. In an inside corner the back is the long side and runs
   * on behind the face by `hidden`, in an outside corner the face is.
   */
  | {
      readonly kind: 'cornerMiter'
      readonly sawSettingDeg: number
      readonly longSide: 'back' | 'face'
      readonly hidden: Length
    }

export const SQUARE: EndCut = { kind: 'square' }

/** A key that is equal for ends cut at the same saw setting, whichever the hand. */
export function endCutKey(cut: EndCut): string {
  switch (cut.kind) {
    case 'square':
      return 'square'
    case 'miter':
      return `miter ${cut.sawSettingDeg.toFixed(2)} ${cut.longEdge}`
    case 'bevel':
      return `bevel ${cut.bevelDeg}`
    case 'scarf':
      return `scarf ${cut.bevelDeg} ${cut.hidden > 0 ? 'under' : 'over'}`
    case 'cope':
      return `cope ${cut.sawSettingDeg.toFixed(2)}`
    case 'cornerMiter':
      return `corner ${cut.sawSettingDeg.toFixed(2)} ${cut.longSide}`
  }
}

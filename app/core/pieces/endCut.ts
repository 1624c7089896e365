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
  /** Cut to the profile of the trim it meets in an inside corner, along the line a miter leaves. */
  | { readonly kind: 'cope'; readonly sawSettingDeg: number }
  /**
   * Half of the room corner's angle through the thickness. In an inside corner the back is the long side and runs
   * on behind the face by `hidden`, in an outside corner the face is. Of a cap or shelf that lies `flat` it goes across the width: the
   * back is the wall's edge, the face the front edge.
   */
  | {
      readonly kind: 'cornerMiter'
      readonly sawSettingDeg: number
      readonly longSide: 'back' | 'face'
      readonly hidden: Length
      readonly flat?: true
    }
  /**
   * Mitered through a cap or shelf that lies flat, its front edge the long side, with a piece of the same board that returns from there
   * to the wall: `depth` long at its own front. `hidden` is what that piece and the cut before it take off the board besides.
   */
  | {
      readonly kind: 'returned'
      readonly sawSettingDeg: number
      readonly depth: Length
      readonly hidden: Length
    }
  /**
   * Two cuts that meet in a point inside the width, where two things end the piece at once. `leftBack`, `meetBack` and
   * `rightBack` say how far the left edge, the meeting point and the right edge lie behind the end's long point.
   */
  | {
      readonly kind: 'twoCuts'
      readonly meetFromLeft: Length
      readonly leftBack: Length
      readonly meetBack: Length
      readonly rightBack: Length
    }

  /**
   * Three cuts or more, where the end of a short block points into a corner: how far each point of the end lies from the left edge, and
   * behind its long point, from the left edge to the right one.
   */
  | { readonly kind: 'severalCuts'; readonly points: readonly EndPoint[] }

/** A point of an end: how far from the left edge, how far behind the long point. */
export interface EndPoint {
  readonly fromLeft: Length
  readonly back: Length
}

export const SQUARE: EndCut = { kind: 'square' }

/** A hundredth of a millimeter: what no saw can tell apart. */
const KEY_WITHIN = 10_000

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
      return `corner ${cut.sawSettingDeg.toFixed(2)} ${cut.longSide}${cut.flat ? ' flat' : ''}`
    case 'returned':
      return `returned ${cut.depth}`
    case 'severalCuts':
      return `several ${cut.points.flatMap(({ fromLeft, back }) => [fromLeft, back].map((at) => Math.round(at / KEY_WITHIN))).join(' ')}`
    case 'twoCuts':
      return `two ${[cut.meetFromLeft, cut.leftBack, cut.meetBack, cut.rightBack].map((at) => Math.round(at / KEY_WITHIN)).join(' ')}`
  }
}

/** What the saw reads for each of several cuts, from the left edge to the right one. */
export function severalSettings({ points }: Extract<EndCut, { kind: 'severalCuts' }>): number[] {
  return points.slice(1).map(({ fromLeft, back }, i) => {
    const before = points[i] ?? { fromLeft, back }
    return (Math.atan2(Math.abs(back - before.back), fromLeft - before.fromLeft) * 180) / Math.PI
  })
}

/** What the saw reads for the two cuts of a pointed end, at the left and at the right edge of the face. */
export function twoSawSettings(
  { meetFromLeft, leftBack, meetBack, rightBack }: Extract<EndCut, { kind: 'twoCuts' }>,
  faceWidth: number,
): { readonly leftDeg: number; readonly rightDeg: number } {
  const degrees = (rise: number, run: number) => (Math.atan2(Math.abs(rise), run) * 180) / Math.PI
  return {
    leftDeg: degrees(leftBack - meetBack, meetFromLeft),
    rightDeg: degrees(rightBack - meetBack, faceWidth - meetFromLeft),
  }
}

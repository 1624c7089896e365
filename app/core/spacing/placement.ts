import { fail, type Length, nearestNanometer, ok, type Result, subtractLengths } from '~/length'
import { LIMITS, type Spacing } from '~/model'

/**
 * Strips placed along a span. `nearEdges` are the left edges from the span's left end, each worked out from
 * the exact figure and rounded once. `leftEnd` + strips + `gaps` + `rightEnd` = span, to the nanometer.
 */
export interface Placement {
  readonly span: Length
  readonly stripWidth: Length
  readonly nearEdges: readonly Length[]
  readonly leftEnd: Length
  readonly rightEnd: Length
  readonly gaps: readonly Length[]
  /** Where strips are not all as wide (margins between boxes as they were built): each one's width. */
  readonly widths?: readonly Length[]
}

/** Why a school gives no layout on this span. Lengths in nanometers. */
export type SpacingIssue =
  | {
      readonly code: 'stripsWiderThanSpan'
      readonly strips: number
      readonly stripWidth: Length
      readonly span: Length
      readonly mostStrips: number
    }
  | { readonly code: 'pitchWithinStrip'; readonly pitch: Length; readonly stripWidth: Length }
  | { readonly code: 'needTwoStrips' }
  | { readonly code: 'noStripFits'; readonly span: Length; readonly stripWidth: Length }
  | { readonly code: 'tooManyStrips'; readonly strips: number; readonly most: number }
  | {
      readonly code: 'noCountInLimits'
      readonly least: Length
      readonly most: Length
      /** It has to be more than the least. */
      readonly moreThan?: true
    }
  | { readonly code: 'noStudsKnown' }
  | { readonly code: 'stripsOverlap'; readonly strip: number; readonly by: Length }
  | { readonly code: 'rowsTooMany'; readonly rows: number; readonly needed: Length; readonly height: Length }
  | {
      readonly code: 'boxesTooTight'
      readonly margin: Length
      readonly width: Length
      readonly height: Length
    }
  | { readonly code: 'noRoomForBoxes'; readonly width: Length; readonly needed: Length }

/** More strips than this on one wall is a slip of the finger. */
export const MOST_STRIPS = LIMITS.strips

/** What a school may need to know of the wall, from the span's left end: studs, and the middles of things. */
export interface SpanContext {
  readonly studs: readonly number[]
  readonly middles: ReadonlyMap<string, number>
}

/** A span on which nothing is known. */
export const BARE_SPAN: SpanContext = { studs: [], middles: new Map() }

/** One school: places strips of a width on a span, or says why it can't. */
export type SchoolOf<S extends Spacing> = (
  spacing: S,
  span: Length,
  stripWidth: Length,
  context: SpanContext,
) => Result<Placement, SpacingIssue>

/** Makes a Placement from exact near edges (nanometers, may be fractional); rounds each once. */
export function placementAt(
  exactNearEdges: readonly number[],
  span: Length,
  stripWidth: Length,
): Result<Placement, SpacingIssue> {
  if (exactNearEdges.length > MOST_STRIPS)
    return fail({ code: 'tooManyStrips', strips: exactNearEdges.length, most: MOST_STRIPS })
  const nearEdges = exactNearEdges.map(nearestNanometer)
  const first = nearEdges[0]
  const last = nearEdges[nearEdges.length - 1]
  if (first === undefined || last === undefined) return fail({ code: 'noStripFits', span, stripWidth })
  return ok({
    span,
    stripWidth,
    nearEdges,
    leftEnd: first,
    rightEnd: nearestNanometer(span - last - stripWidth),
    gaps: nearEdges
      .slice(1)
      .map((edge, i) => subtractLengths(edge, nearestNanometer((nearEdges[i] ?? 0) + stripWidth))),
  })
}

/** The same strips moved along the span, as far as its ends let them; the closing sum still holds. */
export function shiftPlacement(placement: Placement, by: Length): Placement {
  const moved = nearestNanometer(Math.min(Math.max(by, -placement.leftEnd), placement.rightEnd))
  if (moved === 0) return placement
  return {
    ...placement,
    nearEdges: placement.nearEdges.map((edge) => nearestNanometer(edge + moved)),
    leftEnd: nearestNanometer(placement.leftEnd + moved),
    rightEnd: nearestNanometer(placement.rightEnd - moved),
  }
}

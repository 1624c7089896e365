import type { FieldCorner, FieldSide, Move } from '~/model'
import type { Line, Point, Polygon } from '../geometry'
import type { EndsAt } from '../pieces'
import type { Strip } from '../strips/strip'

/** An edge that bounds what is struck: the field lies to its left. */
export interface RegionEdge {
  readonly line: Line
  readonly against: EndsAt
  /** The side of the field it is, the strip whose face it is, or the line up its middle on which two hands meet. */
  readonly of: FieldSide | 'middle' | { readonly strip: string; readonly edge: 'left' | 'right' }
}

/** A convex part of the wall that lines are struck in: the field inside the frame, or a bay of it. */
export interface Region {
  readonly edges: readonly RegionEdge[]
  readonly outline: Polygon
}

/** The field with its four sides, whatever it is bounded by. */
export interface LineField extends Region {
  readonly corners: Readonly<Record<FieldCorner, Point>>
  /** The bays between its uprights, from the left; one where there is none. */
  readonly bays: readonly Region[]
}

/** Why a move makes nothing, or not all of what was asked for. Figures in wall units. */
export type MoveIssue =
  | { readonly code: 'missing'; readonly ref: string }
  | { readonly code: 'refersLater'; readonly move: string }
  | { readonly code: 'noField' }
  | { readonly code: 'missesField' }
  | { readonly code: 'neverHits' }
  | { readonly code: 'alongEdge'; readonly side: FieldSide }
  | { readonly code: 'noLength' }
  | { readonly code: 'doubles'; readonly strips: readonly string[] }
  | { readonly code: 'noRoom' }
  | { readonly code: 'tooMany'; readonly made: number; readonly most: number }

/** What one move came to. */
export interface MoveMade {
  readonly id: string
  readonly kind: Move['kind']
  readonly on: boolean
  readonly stripIds: readonly string[]
  readonly issues: readonly MoveIssue[]
}

/** What all moves came to, with the frame and the uprights before them. */
export interface MovesMade {
  readonly strips: readonly Strip[]
  readonly moves: readonly MoveMade[]
  /** What was struck in: null where the frame leaves nothing. */
  readonly field: LineField | null
  /** The line up the middle on which two hands meet with no upright between them; null where they do not. */
  readonly middle: { readonly from: Point; readonly to: Point } | null
  /** Which move each struck strip is of. */
  readonly moveOf: Readonly<Record<string, string>>
}

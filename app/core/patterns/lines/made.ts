import type { Length } from '~/length'
import type { FieldSide, Lines, Material, Move } from '~/model'
import type { LaidOut } from '../../layout/layout'
import type { End, Strip } from '../../strips/strip'
import type { LineField, Region } from './region'
import type { Ray, Solid } from './rays'

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

/** A strip as a move made it, with what another move needs to repeat or mirror it. */
export interface Struck {
  readonly ray: Ray
  readonly region: Region
  /** Ends that were given, not found: the corners of a diamond. */
  readonly ends?: { readonly start: End; readonly end: End }
  /** Such ends were moved with it: the field may end it before them. */
  readonly moved?: true
  /** It lies within the region alone and crosses nothing. */
  readonly crossesNothing?: true
}

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
  /** Which move each struck strip is of. */
  readonly moveOf: Readonly<Record<string, string>>
}

/** What a move has to work with. */
export interface Striking {
  readonly layout: LaidOut
  readonly field: LineField
  readonly lines: Lines
  readonly material: Material
  readonly faceWidth: Length
  /** All strips before it, and their faces where they were asked for. */
  readonly stripOf: (id: string) => Strip | undefined
  readonly struckBy: (move: string) => readonly Struck[] | null
  readonly solids: () => readonly Solid[]
}

/** What a move gives: what it strikes, or why it strikes nothing. */
export interface Strikes {
  readonly struck: readonly Struck[]
  readonly issues?: readonly MoveIssue[]
}

/** A move that strikes nothing, for a reason. */
export function nothing(issue: MoveIssue): Strikes {
  return { struck: [], issues: [issue] }
}

import type { Length } from '~/length'
import type { Lines, Material } from '~/model'
import type { LaidOut } from '../../layout/layout'
import type { LineField, MoveIssue, Region } from '../../layout/moves'
import type { End, Strip } from '../../strips/strip'
import type { Ray, Solid } from './rays'

/** A strip as a move made it, with what another move needs to repeat or mirror it. */
export interface Struck {
  readonly ray: Ray
  readonly region: Region
  /** What it is of, once it was struck: a copy is of the same, unless it was said otherwise. */
  readonly material?: Material
  /** Ends that were given, not found: the corners of a diamond. */
  readonly ends?: { readonly start: End; readonly end: End }
  /** Such ends were moved with it: the field may end it before them. */
  readonly moved?: true
  /** It lies within the region alone and crosses nothing. */
  readonly crossesNothing?: true
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
  /** Whether a name is that of a move, or of a strip of one, that stands later in the list. */
  readonly comesLater: (ref: string) => boolean
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

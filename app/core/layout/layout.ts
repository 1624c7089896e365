import { type Length, ZERO } from '~/length'
import type { Ledge, Material, Pattern } from '~/model'
import type { Polygon } from '../geometry'
import type { EndsAt, Role } from '../pieces'
import type { MovesMade } from './moves'
import type { Placement, SpacingIssue } from '../spacing'
import type { Strip } from '../strips/strip'
import type { StripId, StripName } from '../strips/stripId'
import type { RuleLine } from '../survey/wallLines'
import { type Field, materialIn } from './field'

/**
 * A horizontal member: its face between two heights above the base line. On a rake the edge it is `held` by keeps
 * its height, measured plumb, and the face keeps its width, measured square.
 */
export interface Band {
  readonly id: StripId
  readonly name: StripName
  readonly role: Role
  readonly material: Material
  readonly bottom: Length
  readonly top: Length
  readonly held: 'bottom' | 'top'
  /** How far it stands out from the wall: its thickness, or lying flat its depth. */
  readonly standsOut: Length
  /** What a cap or shelf that lies flat has besides its stuff. */
  readonly ledge?: Ledge
}

/** A cap or a shelf that lies with its width level: it stands out farther than it is thick. */
export function liesFlat({ standsOut, material }: Pick<Band, 'standsOut' | 'material'>): boolean {
  return standsOut > material.thickness
}

/** An upright's place across the wall, or a box's: what is marked from the corner. */
export interface Upright {
  readonly id: StripId
  readonly name: StripName
  readonly number: number
  readonly left: Length
  readonly right: Length
}

/** A frame of moulding, by the outline of its outer edge, counter-clockwise. */
export interface BoxFrame {
  readonly id: StripId
  readonly name: StripName
  readonly number: number
  readonly row: number
  readonly outline: Polygon
  /** What its margins below and above are measured from. */
  readonly below: EndsAt
  readonly above: EndsAt
}

/** A box that is left out, since what stands there would part its frame: where it would be, and what does. */
export interface BrokenBox {
  readonly outline: Polygon
  readonly thingIds: readonly string[]
}

/** Where a section begins; `wall` where there is but one. */
export type SectionStart =
  { readonly kind: 'wall' | 'corner' | 'bend' } | { readonly kind: 'after'; readonly thingId: string }

/** A part of the wall with a spacing of its own. Free heights are absolute; where there is none nothing stands. */
export interface Section {
  readonly id: string
  /** What it begins at: the left corner or the whole wall, the thing to its left, a bend of the base line. */
  readonly from: SectionStart
  readonly left: number
  readonly right: number
  /** The opening it lies over or under. */
  readonly opening: string | null
  readonly free: readonly { readonly bottom: number; readonly top: number }[]
}

/** A section with its strips placed, or why they can't be. In boxes the strips are the margins, the gaps the boxes. */
export interface SectionPlace extends Section {
  readonly row: number
  readonly placement: Placement | null
  readonly issue: SpacingIssue | null
  /** How far its strips were moved from where the school puts them: what was asked for, as far as the ends let them. */
  readonly shifted: Length
}

/** Where everything goes. Distances from the left corner, heights above the base line. */
export interface LaidOut extends Field {
  readonly pattern: Pattern
  readonly battenMaterial: Material
  /** The material that is placed along the wall: the upright's width, or the boxes' margin. */
  readonly stripWidth: Length
  /** Where the uprights stand and where they end. */
  readonly uprightFoot: Length
  readonly uprightHead: Length
  /** Top of the rail (of the uprights without one), as the height rule gives it. */
  readonly height: Length
  /** Top of the main layout, cap included. */
  readonly top: Length
  readonly bands: readonly Band[]
  readonly uprights: readonly Upright[]
  /** Strips ripped to width between the layout and the ends of the wall. */
  readonly fillers: readonly Upright[]
  readonly frames: readonly BoxFrame[]
  /** Boxes that can't be whole where they would lie; none of the other patterns. */
  readonly broken: readonly BrokenBox[]
  readonly sections: readonly SectionPlace[]
  /** The one placement of a wall that is one section; null where there are several. */
  readonly placement: Placement | null
  /** Why there is no layout, of the first section that has none. */
  readonly spacingIssue: SpacingIssue | null
  /** Uprights run through and horizontals land on them. */
  readonly uprightsThrough: boolean
}

/** A layout: the strips it consists of, and the uprights, horizontals and frames as which they are marked and spoken of. */
export interface Layout extends LaidOut {
  /** What a list of moves came to; null where the pattern has none. */
  readonly moves: MovesMade | null
  readonly strips: readonly Strip[]
}

/** The face height of a member that lies flat or stands on edge. */
export function faceHeight(material: Material, lay: 'flat' | 'edge'): Length {
  return lay === 'flat' ? material.thickness : material.width
}

/** How far a member stands out from the wall: on edge its thickness, lying flat its width, or the depth it is ripped to. */
export function standsOutBy(material: Material, lay: 'flat' | 'edge', ledge?: Ledge): Length {
  return lay === 'edge' ? material.thickness : (ledge?.depth ?? material.width)
}

/** The face height of a cap: its thickness lying flat, its width on edge; zero without one. */
export function capHeight(field: Pick<Field, 'design' | 'materials'>): Length {
  const { cap } = field.design
  return cap ? faceHeight(materialIn(field, cap.material), cap.lay) : ZERO
}

/** An edge of a band along a course of the base line. */
export function bandEdge(band: Band, course: RuleLine, edge: 'bottom' | 'top'): RuleLine {
  const plumb = (band.top - band.bottom) * Math.hypot(1, course.slope)
  const held = band[band.held]
  const rise = edge === band.held ? 0 : edge === 'top' ? plumb : -plumb
  // what lies on the baseboard lies on the skirt board along a stair
  const lift = band.role === 'bottomRail' || band.role === 'ledger' ? (course.lift ?? 0) : 0
  return { at0: course.at0 + lift + held + rise, slope: course.slope }
}

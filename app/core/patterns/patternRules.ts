import type { Length } from '~/length'
import type { Design, Ends, Rail, Spacing, Survey, Workpiece } from '~/model'
import type { Field } from '../layout/field'
import type { Band, BoxFrame, BrokenBox, LaidOut, SectionPlace, Upright } from '../layout/layout'
import type { Role } from '../pieces'
import type { ThroughRule } from '../strips/crossings'
import type { Strip } from '../strips/strip'
import type { MovesMade } from '../layout/moves'

/** What a pattern has to work with: the field, its covered part less the fillers, and what frames it. */
export interface LayInput extends Field {
  readonly foot: number
  readonly head: number
  readonly stripWidth: Length
  /** Absolute heights the layout reaches over. */
  readonly range: { readonly bottom: number; readonly top: number }
  /** What frames it. */
  readonly bands: readonly Band[]
}

/** What a pattern makes of a wall, besides what frames it. */
export interface Laid {
  readonly sections: readonly SectionPlace[]
  readonly uprights: readonly Upright[]
  readonly bands: readonly Band[]
  readonly frames: readonly BoxFrame[]
  readonly broken?: readonly BrokenBox[]
}

/** A material that a design names, and where. */
export interface NamedMaterial {
  readonly at: string
  readonly material: string
}

/** All that differs from pattern to pattern. What is the same for all stands where it is done. */
export interface PatternRules {
  /** Lays it out. Never fails: what cannot be is told as a section's issue. */
  readonly lay: (input: LayInput) => Laid
  /** What a list of moves came to, of the pattern that has one; null of the others. */
  readonly moves: (layout: LaidOut) => MovesMade | null
  /** The strips a layout consists of, before they meet anything. */
  readonly strips: (layout: LaidOut, moves: MovesMade | null) => readonly Strip[]
  /** Who runs through where two of them cross. */
  readonly through: (design: Design) => ThroughRule
  /** What a wall that is turned to it usually starts from. Common practice, no source. */
  readonly usual: (wall: { readonly survey: Survey }) => Partial<Design>
  /** Horizontals that come with it where the wall has none, and what goes with it when the wall is turned to another. */
  readonly brings: (design: Design) => Partial<Design>
  readonly leaves: (design: Design) => Partial<Design>
  /** The materials its own options name, besides the uprights' and the frame's. */
  readonly materials: (design: Design) => readonly NamedMaterial[]
  /** What is placed along the wall: uprights, or margins with a box in each of their gaps; null where nothing is. */
  readonly places: 'uprights' | 'margins' | null
  /** It has strips or boxes to be counted and spaced, as this design stands. */
  readonly counts: (design: Design) => boolean
  /** The part its uprights play. */
  readonly uprightRole: Extract<Role, 'batten' | 'slat' | 'stile'>
  /** How wide what is placed is. */
  readonly stripWidth: (field: Field) => Length
  /** How wide the upright pieces are that may come to lie over a plate. */
  readonly faceWidth: (field: Field) => Length
  /** The spacing as it is asked for, with the ends the pattern gives. */
  readonly spacing: (design: Design) => Spacing
  /** What stands at the ends of a section where the pattern leaves no choice. */
  readonly givenEnds: ((design: Design) => Ends) | null
  /** The wall's count of what it counts, picked by hand. */
  readonly withCount: (design: Design, count: number) => Partial<Design>
  /** Counts are left to the wish again. */
  readonly withoutCount: (design: Design) => Partial<Design>
  /** What it counts, of so many strips, and how many strips so many of those take: boxes are one less than their margins. */
  readonly countOf: (strips: number) => number
  readonly stripsOf: (count: number) => number
  /** Its gap, or its boxes, pulled to a width on the drawing, on the tape's tick. */
  readonly withGap: (workpiece: Workpiece, gap: Length) => Partial<Design>
  /** Its height, which a rule or a line on the wall gives. */
  readonly withHeight: (design: Design, height: Rail['top']) => Partial<Design>
  /** Uprights stand free: all can be moved along the wall, hang over a baseboard, be had two from a board. */
  readonly standsFree: boolean
  /** The feet of its uprights can be beveled at the back, where they hang over what stays at the wall's foot. */
  readonly footBevels: (design: Design) => boolean
  /** It brings its own perimeter, and has neither bottom rail nor top rail of the frame's. */
  readonly framesItself: boolean
  /** It is known by its cells, so many across by so many up. */
  readonly hasCells: boolean
  /** Its perimeter, if it has one. */
  readonly border: (design: Design) => Design['border']
  /** The material of rails that are left whole or cut as the boards on sale decide; null where rails run through. */
  readonly railsByStock: (design: Design) => string | null
}

import type { Length } from '~/length'
import type { SideWay, ThingKind } from '~/model'
import type { Unusual } from '../survey/unusual'

/** What the wall as measured, and what is cut for it, have to say where two of its features meet. */
export type WallSays =
  /** Strips that end at a thinner strip, and stand out by so much beside it. */
  | { readonly code: 'proudOfStrip'; readonly stripId: string; readonly by: Length }
  /** Boxes left out, since a thing that strips are cut round would part their frames. */
  | {
      readonly code: 'boxBroken'
      readonly boxes: number
      readonly thingId: string
      readonly kind: ThingKind
    }
  /** Pieces shorter than they are wide, or than the saw holds safely; the shortest named. */
  | {
      readonly code: 'smallPieces'
      readonly stripId: string
      readonly pieceIds: readonly string[]
      readonly length: Length
    }
  /** Behind a stile that stands at an end of the wall: the most it stands off, and what is done about it. */
  | {
      readonly code: 'sideGap'
      readonly side: 'left' | 'right'
      readonly gap: Length
      readonly at: 'foot' | 'head'
      readonly way: SideWay
      readonly caulk: Length
    }
  /** A thing that reaches past the wall's end, its ceiling or its floor. */
  | {
      readonly code: 'thingOffWall'
      readonly thingId: string
      readonly kind: ThingKind
      readonly side: 'left' | 'right' | 'top' | 'bottom'
      readonly by: Length
    }
  /** A figure of a thing that is hardly ever so: a slip that no other reading shows. */
  | ({ readonly code: 'thingUnusual'; readonly thingId: string; readonly kind: ThingKind } & Unusual)
  /** A round figure typed beside readings that say something else. */
  | {
      readonly code: 'typedAgainstRead'
      readonly kind: 'width' | 'height'
      readonly typed: Length
      readonly least: Length
      readonly most: Length
    }
  /** A hole in the backer that its cover plate does not hide. */
  | { readonly code: 'holeShows'; readonly thingId: string; readonly kind: ThingKind; readonly by: Length }
  /** Full-height uprights that each end at the ceiling: the lowest and the highest of them, above the base line. */
  | { readonly code: 'topsFollow'; readonly least: Length; readonly most: Length }
  /** Ends of struck lines that leave more open than fitting takes up; the worst named. */
  | {
      readonly code: 'lineOpen'
      readonly stripId: string
      readonly gap: Length
      readonly places: number
    }

export type WallWaySays =
  | { readonly code: 'usualHole'; readonly width: Length; readonly height: Length }
  | { readonly code: 'topsWay'; readonly tops: 'ceiling' | 'level' }
  | { readonly code: 'splitAround'; readonly kind: ThingKind }
  | { readonly code: 'leaveOutShort'; readonly pieces: number }
  | { readonly code: 'sideWay'; readonly side: 'left' | 'right'; readonly way: SideWay }
  | { readonly code: 'digitsTurned'; readonly part: Unusual['part']; readonly value: Length }
  | { readonly code: 'placeOnWall'; readonly kind: ThingKind; readonly by: Length }
  | {
      readonly code: 'replaceReadings' | 'keepReadings'
      readonly kind: 'width' | 'height'
      readonly value: Length
    }

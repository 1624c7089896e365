import type { Length } from '~/length'
import type { Edit, HeightRule } from '~/model'
import type { SpacingIssue } from '../spacing'

type BandId = 'topRail' | 'bottomRail' | 'cap'

/** What a finding has to say: a code with its figures. messages/ makes the sentence. */
export type FindingSays =
  | SpacingIssue
  | {
      readonly code: 'topAboveHead'
      readonly top: Length
      readonly headLine: Length
      readonly crown: boolean
    }
  | { readonly code: 'noRoomForBattens'; readonly foot: Length; readonly head: Length }
  | { readonly code: 'footWithoutBaseboard' }
  | {
      readonly code: 'endSliver'
      readonly end: Length
      readonly gap: Length
      readonly where: 'left' | 'right' | 'both'
    }
  | { readonly code: 'centerMarksUneven'; readonly endBay: Length; readonly innerBay: Length }
  | { readonly code: 'gapOutsideLimits'; readonly gap: number; readonly least: Length; readonly most: Length }
  | {
      readonly code: 'pieceLongerThanBoards'
      readonly stripId: string
      readonly length: Length
      readonly longest: Length
    }
  | { readonly code: 'noBoardsListed'; readonly materialId: string }
  | {
      readonly code: 'bandJoined'
      readonly bandId: BandId
      readonly parts: number
      readonly joint: 'scarf' | 'butt'
    }
  | { readonly code: 'closes'; readonly wall: Length }

/** What a way out does, for its button. */
export type WayOutSays =
  | { readonly code: 'useStrips'; readonly strips: number; readonly gap: number }
  | { readonly code: 'useMaterial'; readonly materialId: string }
  | { readonly code: 'centerOn'; readonly on: 'strip' | 'gap'; readonly end: Length }
  | { readonly code: 'gapIsClear'; readonly gap: Length }
  | { readonly code: 'lowerTo'; readonly height: Length }
  | { readonly code: 'heightRule'; readonly rule: HeightRule; readonly height: Length }
  | { readonly code: 'addBottomRail' }
  | { readonly code: 'standOnFloor' }
  | { readonly code: 'addBoard'; readonly length: Length }
  | { readonly code: 'listUsualBoards' }
  | { readonly code: 'joinWith'; readonly joint: 'scarf' | 'butt' }

/** A way out of a finding: what it does and the edits that do it, so it can be previewed before it is taken. */
export interface WayOut {
  readonly says: WayOutSays
  readonly edits: readonly Edit[]
}

/** How much it matters: stops the work, deserves a look, is worth knowing, was checked and is right. */
export type Severity = 'wrong' | 'watch' | 'note' | 'good'

/** Something the plan has to say for itself, with where it stands on the drawing. */
export interface Finding {
  readonly severity: Severity
  readonly says: FindingSays
  readonly stripIds: readonly string[]
  readonly waysOut: readonly WayOut[]
}

import type { Length } from '~/length'
import type {
  Edit,
  Flatness,
  FlatWay,
  FloorToCome,
  Heat,
  HeightRule,
  LengthReadingKind,
  LevelRule,
  MoveKind,
  RailJoint,
  Stand,
  ThingKind,
} from '~/model'
import type { Uptake } from '../asbuilt/newWidth'
import type { Suspect } from '../survey/closure'
import type { MoveIssue } from '../layout/moves'
import type { SpacingIssue } from '../spacing'
import type { SawSays, SawWaySays } from './sawSays'
import type { WallSays, WallWaySays } from './wallSays'

/** What a finding has to say: a code with its figures. messages/ makes the sentence. */
export type FindingSays =
  | SpacingIssue
  | SawSays
  | WallSays
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
      readonly other: Length
      readonly gap: Length
      readonly where: 'left' | 'right' | 'both'
    }
  /** The bays at the two ends, null where none is left there, against those between. */
  | {
      readonly code: 'centerMarksUneven'
      readonly left: Length | null
      readonly right: Length | null
      readonly innerBay: Length
    }
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
      readonly bandId: string
      readonly parts: number
      readonly joint: RailJoint
    }
  | { readonly code: 'closes'; readonly wall: Length }
  | {
      readonly code: 'chainOpen'
      readonly thingId: string
      readonly kind: ThingKind
      readonly axis: 'across' | 'up'
      readonly first: Length
      readonly size: Length
      readonly second: Length
      readonly whole: number
      readonly difference: number
      readonly readings: number
      readonly limit: number
      /** What one slip would account for: several where the readings single none out, none where it takes more than one. */
      readonly suspects: readonly Suspect[]
    }
  | {
      readonly code: 'readingsContradict'
      readonly kind: 'width' | 'height'
      readonly places: readonly [number, number]
      readonly difference: number
      readonly limit: number
    }
  | { readonly code: 'readOnce'; readonly kind: 'width' | 'height'; readonly times: number }
  | { readonly code: 'thingReadOnce'; readonly thingId: string; readonly kind: ThingKind }
  | {
      readonly code: 'readingAbsurd'
      readonly readingId: string
      readonly kind: LengthReadingKind
      readonly place: Length
      readonly value: Length
      readonly expected: Length
    }
  | {
      readonly code: 'rereadDiffers'
      readonly kind: LengthReadingKind
      readonly place: Length
      readonly before: Length
      readonly now: Length
    }
  | {
      readonly code: 'floorFalls'
      readonly fall: number
      readonly rule: LevelRule
      readonly gap: number
      readonly outOfLevel: number
      readonly caulk: Length
    }
  | {
      readonly code: 'ceilingFalls'
      readonly fall: number
      readonly gap: number
      readonly caulk: Length
    }
  | {
      readonly code: 'stripMeets'
      readonly stripId: string
      readonly thingId: string
      readonly kind: ThingKind
      readonly at: Length
      readonly by: Length
      readonly whole: boolean
    }
  | {
      readonly code: 'proudOf'
      readonly what: 'baseboard' | 'crown' | ThingKind
      readonly thingId?: string
      readonly strip: Length
      readonly trim: Length
    }
  | { readonly code: 'notWalked'; readonly open: number }
  | { readonly code: 'cornerNotRead'; readonly side: 'left' | 'right'; readonly end: 'miter' | 'cope' }
  | { readonly code: 'stairNotFollowed'; readonly thingId: string }
  | { readonly code: 'stripsShareWall'; readonly stripId: string; readonly otherIds: readonly string[] }
  | { readonly code: 'stripVanishes'; readonly stripId: string }
  | {
      readonly code: 'bandOffWall'
      readonly bandId: string
      readonly edge: 'head' | 'foot'
      readonly by: Length
    }
  | {
      readonly code: 'extentEmpty' | 'extentBeyond'
      readonly left: Length
      readonly right: Length
      readonly wall: Length
    }
  | {
      readonly code: 'plateTooNear'
      readonly thingId: string
      readonly kind: ThingKind
      readonly stripId: string
      readonly space: Length
      readonly asked: Length
    }
  | {
      readonly code: 'notFlat'
      readonly shape: Flatness['shape']
      readonly depth: Length
      readonly length: Length
      readonly way: FlatWay
      readonly tooFar: boolean
      readonly stripIds: readonly string[]
    }
  | { readonly code: 'skimFirst'; readonly depth: Length; readonly beyond: Length }
  | {
      readonly code: 'nearHeat'
      readonly thingId: string
      readonly kind: Heat
      readonly stripId: string
      readonly space: Length
      readonly asked: Length
      /** How far the piece stands out from the wall, where that is what asks for more space. */
      readonly standsOut: Length | null
    }
  | { readonly code: 'heatStands'; readonly thingId: string; readonly kind: Heat; readonly clear: Length }
  | {
      readonly code: 'heatLeavesNothing'
      readonly thingId: string
      readonly kind: Heat
      readonly clear: Length
    }
  | { readonly code: 'floorToCome'; readonly floor: FloorToCome; readonly hides: Length | null }
  | { readonly code: 'floorOverBase'; readonly build: Length; readonly base: Length }
  | {
      readonly code: 'goesBack'
      readonly thingId: string
      readonly kind: ThingKind
      readonly length: Length
      readonly before: Length
      readonly parts: number
    }
  | { readonly code: 'goesBackNowhere'; readonly thingId: string }
  | {
      readonly code: 'ledgeStands'
      readonly stripId: string
      readonly depth: Length
      readonly pastRail: Length
      readonly pastCasing: Length | null
      readonly brackets: number
      readonly screwed: number
    }
  | {
      readonly code: 'shelfBeyondBrackets'
      readonly stripId: string
      readonly depth: Length
      readonly arm: Length
      readonly asked: Length
    }
  | { readonly code: 'noStudForBracket'; readonly stripId: string }
  | {
      readonly code: 'ledgeWiderThanStuff'
      readonly stripId: string
      readonly depth: Length
      readonly width: Length
    }
  | { readonly code: 'edgesDiffer'; readonly eased: string; readonly sharp: string }
  | { readonly code: 'leansFar'; readonly by: Length; readonly school: Stand['kind'] }
  | {
      readonly code: 'moveTells'
      /** Its place in the list, from 1. */
      readonly nth: number
      readonly kind: MoveKind
      readonly issue: MoveIssue
    }
  | { readonly code: 'linesVanish'; readonly lines: readonly string[] }
  | {
      readonly code: 'lineSliver'
      readonly pieceId: string
      readonly stripId: string
      readonly short: Length
      readonly long: Length
      readonly pieces: number
    }
  | {
      readonly code: 'archOver'
      readonly archId: string
      readonly what: 'ceiling' | 'wall' | 'strips' | 'thing' | 'tooHigh'
      readonly by: Length
    }
  | {
      readonly code: 'rowOver'
      readonly rowId: string
      readonly what: 'wall' | 'ceiling' | 'items' | 'thing'
      readonly by: Length
    }
  | { readonly code: 'middleGone'; readonly of: 'arch' | 'row'; readonly id: string }
  | { readonly code: 'rowBridges'; readonly rowId: string; readonly items: number; readonly packing: Length }
  | { readonly code: 'heavyOverBed'; readonly rowId: string }
  | { readonly code: 'widthChanged'; readonly before: Length; readonly now: Length; readonly pieces: number }

/** What a way out does, for its button. */
export type WayOutSays =
  | SawWaySays
  | WallWaySays
  | { readonly code: 'useStrips'; readonly strips: number; readonly gap: number }
  | { readonly code: 'useMaterial'; readonly materialId: string }
  | { readonly code: 'rows'; readonly rows: number }
  | { readonly code: 'margin'; readonly margin: Length }
  | { readonly code: 'centerOn'; readonly on: 'strip' | 'gap'; readonly end: Length }
  | { readonly code: 'gapIsClear'; readonly gap: Length }
  | { readonly code: 'lowerTo'; readonly height: Length }
  | { readonly code: 'heightRule'; readonly rule: HeightRule; readonly height: Length }
  | { readonly code: 'addBottomRail' }
  | { readonly code: 'standOnFloor' }
  | { readonly code: 'addBoard'; readonly length: Length }
  | { readonly code: 'listUsualBoards' }
  | { readonly code: 'joinWith'; readonly joint: RailJoint }
  | { readonly code: 'shiftBy' | 'putBack'; readonly by: Length }
  | { readonly code: 'notchIt' }
  | { readonly code: 'endThere' }
  | { readonly code: 'moveBox'; readonly by: Length }
  | {
      readonly code: 'useLevelRule'
      readonly rule: LevelRule
      readonly gap: number
      readonly outOfLevel: number
    }
  | { readonly code: 'backBevel' }
  | { readonly code: 'ledger' }
  | { readonly code: 'swapBase'; readonly thickness: Length }
  | { readonly code: 'removeBase' }
  | { readonly code: 'swapThing'; readonly kind: ThingKind; readonly thickness: Length }
  | { readonly code: 'removeThing'; readonly kind: ThingKind }
  | { readonly code: 'placeFromRight' }
  | { readonly code: 'followStair' }
  | { readonly code: 'moveRail'; readonly bandId: string; readonly top: Length }
  | { readonly code: 'takeRailOff'; readonly bandId: string }
  | { readonly code: 'askForLess'; readonly clearance: Length }
  | { readonly code: 'wholeWall' }
  | { readonly code: 'flatWay'; readonly way: FlatWay }
  | { readonly code: 'keepClear'; readonly clear: Length }
  | { readonly code: 'floorBuild'; readonly build: Length }
  | { readonly code: 'floorUnder' }
  | { readonly code: 'standPlumb' }
  | { readonly code: 'ripTo'; readonly depth: Length }
  | { readonly code: 'longerArm'; readonly arm: Length }
  | { readonly code: 'noBrackets' }
  | { readonly code: 'leaveOff'; readonly kind: ThingKind }
  | { readonly code: 'moveOff' | 'moveAway'; readonly nth: number }
  | { readonly code: 'linesOff'; readonly lines: number }
  | { readonly code: 'companionAway'; readonly of: 'arch' | 'row' }
  | { readonly code: 'archRise' | 'archLower' | 'rowLower'; readonly to: Length }
  | { readonly code: 'rowGap'; readonly gap: Length }
  | { readonly code: 'turnExtent'; readonly left: Length; readonly right: Length }
  | {
      readonly code: 'takeUp'
      readonly uptake: Uptake
      readonly recut: number
      readonly boards: number | null
      readonly cost: number | null
    }

/** A way out of a finding: what it does and the edits that do it, so it can be previewed before it is taken. */
export interface WayOut {
  readonly says: WayOutSays
  readonly edits: readonly Edit[]
}

/** How much it matters: stops the work, deserves a look, is worth knowing, was checked and is right. */
export type Severity = 'wrong' | 'watch' | 'note' | 'good'

/** Where in the work a finding belongs. */
export type FindingStage = 'measure' | 'layout' | 'buy'

/**
 * Names a finding that stops the work, for the overruling. `figure` is what the reason was given for (nanometers): an
 * overruling holds about that figure and no farther; null where the finding has none.
 */
export interface Block {
  readonly key: string
  readonly figure: number | null
}

/** Something the plan has to say for itself, with where it stands on the drawing. */
export interface Finding {
  readonly stage: FindingStage
  /** It stops the work until it is mended or overruled with a reason; names it for the overruling. */
  readonly blocks?: Block
  readonly severity: Severity
  readonly says: FindingSays
  readonly stripIds: readonly string[]
  readonly waysOut: readonly WayOut[]
}

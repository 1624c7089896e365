import type { Taper } from '~/core/pieces'
import type { WallSays, WallWaySays } from '~/core/findings/wallSays'
import { measuredSize } from '~/core/survey/measured'
import type { SideWay, Survey } from '~/model'
import { thingCalled, thingName } from './thingNames'
import { count, say, sayWithUnit, stripName, type Wording } from './words'

/** 139 1/4 × 97: a wall's width and height as measured, the same wherever they are shown. */
export function wallSizeText(survey: Survey, w: Wording): string {
  const { width, height } = measuredSize(survey)
  return `${say(width, w)} × ${say(height, w)}`
}

/** What a tapered edge takes, with where it is measured from. */
export function taperText({ edge, atStart, atEnd, by }: Taper, w: Wording): string {
  const how = by === 'rip' ? 'Rip' : 'Scribe'
  return `${how} the ${edge} edge to the wall: ${say(atStart, w)} off at the bottom, ${sayWithUnit(atEnd, w)} off at the top, straight between.`
}

/** Said of pieces that are hard to hold. */
const HOW_TO_HOLD = 'from a long strip, clamped, hands clear of the blade.'
export const SMALL_PIECE_CAUTION = `Small piece: cut it ${HOW_TO_HOLD}`

/** What is done behind a stile at an end of the wall, as a choice. */
export function sideWayName(way: SideWay): string {
  return { caulk: 'caulk it', scribe: 'scribe the stile', rip: 'rip the stile' }[way]
}

function sideWayText({ way, gap, caulk }: Extract<WallSays, { code: 'sideGap' }>, w: Wording): string {
  switch (way) {
    case 'scribe':
      return 'Hold the stile plumb, scribe it to the wall and cut to the line.'
    case 'rip':
      return 'Rip the stile to the taper on its card, then check it against the wall.'
    case 'caulk':
      return gap <= caulk
        ? 'Caulk it.'
        : `That is more than caulk fills (${say(caulk, w)}). Scribe the stile or rip it.`
  }
}

const EDGES = { left: 'the left end', right: 'the right end', top: 'the ceiling', bottom: 'the floor' }

/** What the wall as measured, and what is cut for it, have to say. */
export function meetText(says: WallSays, w: Wording): string {
  switch (says.code) {
    case 'proudOfStrip':
      return `Strips are ${sayWithUnit(says.by, w)} proud of ${stripName(says.stripId, w).toLowerCase()} where they meet it.`
    case 'boxBroken':
      return `${says.boxes === 1 ? 'A box is' : `${says.boxes} boxes are`} left out: the ${thingCalled(w, says.thingId, says.kind)} would cut through ${says.boxes === 1 ? 'its' : 'their'} molding.`
    case 'smallPieces': {
      const more = says.pieceIds.length - 1
      return `A piece of ${stripName(says.stripId, w).toLowerCase()} is only ${sayWithUnit(says.length, w)} long${more > 0 ? `, and ${count(more, 'more piece')} ${more === 1 ? 'is' : 'are'} as small` : ''}. Cut small pieces ${HOW_TO_HOLD}`
    }
    case 'sideGap':
      return `${sayWithUnit(says.gap, w)} open behind the ${says.side} stile at the ${says.at}: the wall is out of plumb there. ${sideWayText(says, w)}`
    case 'thingOffWall':
      return `The ${thingCalled(w, says.thingId, says.kind)} reaches ${sayWithUnit(says.by, w)} past ${EDGES[says.side]} of the wall. Check its place and size.`
    case 'thingUnusual': {
      const called = thingCalled(w, says.thingId, says.kind)
      const figure = {
        width: `is ${sayWithUnit(says.value, w)} wide`,
        height: `is ${sayWithUnit(says.value, w)} high`,
        bottom: `starts ${sayWithUnit(says.value, w)} above the floor`,
        middle: `has its middle ${sayWithUnit(says.value, w)} above the floor`,
      }[says.part]
      return `The ${called} ${figure}; nearly all are ${say(says.least, w)} to ${sayWithUnit(says.most, w)} (common practice, no source). Measure it again, or say that it is so.`
    }
    case 'typedAgainstRead': {
      const read =
        says.most - says.least < 1
          ? sayWithUnit(says.least, w)
          : `${say(says.least, w)} to ${sayWithUnit(says.most, w)}`
      return `You typed a ${says.kind} of ${sayWithUnit(says.typed, w)}, but the readings say ${read}. Which is right? The readings count until you decide.`
    }
    case 'holeShows':
      return `The hole for the box of the ${thingCalled(w, says.thingId, says.kind)} is ${sayWithUnit(says.by, w)} too large on a side: its cover plate would not hide the edge.`
    case 'topsFollow':
      return `The uprights end at the ceiling as measured, ${say(says.least, w)} to ${sayWithUnit(says.most, w)} up, each at its own length.`
    case 'lineOpen':
      return `${stripName(says.stripId, w)} leaves a gap of about ${sayWithUnit(says.gap, w)} that no single cut closes${says.places > 1 ? `, and so ${says.places === 2 ? 'does' : 'do'} ${count(says.places - 1, 'more place')}` : ''}. Cut a filler, or let the other strip land instead.`
  }
}

/** What a fix does, as its button says it. */
export function meetWayText(says: WallWaySays, w: Wording): string {
  switch (says.code) {
    case 'usualHole':
      return `Cut it ${say(says.width, w)} × ${sayWithUnit(says.height, w)}`
    case 'topsWay':
      return says.tops === 'level' ? 'Level tops' : 'Up to the ceiling, each its own'
    case 'splitAround':
      return `Boxes beside the ${thingName(says.kind)}`
    case 'leaveOutShort':
      return says.pieces === 1 ? 'Leave it out' : `Leave out ${says.pieces} pieces`
    case 'sideWay':
      return { caulk: 'Caulk it', scribe: 'Scribe the stile', rip: 'Rip the stile' }[says.way]
    case 'digitsTurned':
      return `It is ${sayWithUnit(says.value, w)}`
    case 'placeOnWall':
      return `Move it ${say(says.by, w)} onto the wall`
    case 'replaceReadings':
      return `Use ${sayWithUnit(says.value, w)}, drop the readings`
    case 'keepReadings':
      return `Keep the readings, ${sayWithUnit(says.value, w)}`
  }
}

const CODES: ReadonlySet<string> = new Set<WallSays['code']>([
  'proudOfStrip',
  'boxBroken',
  'smallPieces',
  'sideGap',
  'thingOffWall',
  'thingUnusual',
  'typedAgainstRead',
  'topsFollow',
  'holeShows',
  'lineOpen',
])
const WAY_CODES: ReadonlySet<string> = new Set<WallWaySays['code']>([
  'topsWay',
  'usualHole',
  'splitAround',
  'leaveOutShort',
  'sideWay',
  'placeOnWall',
  'digitsTurned',
  'replaceReadings',
  'keepReadings',
])

export function isMeetSays(says: { readonly code: string }): says is WallSays {
  return CODES.has(says.code)
}

export function isMeetWay(says: { readonly code: string }): says is WallWaySays {
  return WAY_CODES.has(says.code)
}

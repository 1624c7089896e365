import { formatExact, type Length } from '~/length'
import type { RailJoint, ThingKind } from '~/model'
import type { Suspect } from '~/core/survey/closure'
import type { FindingSays, WayOutSays } from '~/core/findings/finding'
import { lineFindingText, lineWayText } from './linesText'
import { isMeetSays, isMeetWay, meetText, meetWayText } from './meetText'
import { isSawSays, isSawWay, sawFindingText, sawWayText } from './sawFindingText'
import { levelRuleName, readingName } from './surveyWords'
import { thingCalled, thingName } from './thingNames'
import { wallFindingText, wallWayText } from './wallFindingText'
import {
  capital,
  count,
  heightRuleName,
  materialName,
  money,
  say,
  sayStock,
  sayWithUnit,
  stripName,
  type Wording,
} from './words'

/** Of a window or door it is the casing that strips meet. */
function trimName(what: ThingKind | 'baseboard' | 'crown'): string {
  if (what === 'window' || what === 'door') return `${what}’s casing`
  return what === 'baseboard' || what === 'crown' ? what : thingName(what)
}

function exact(length: number, wording: Wording): string {
  const { units } = wording.format
  const printed = say(length, wording)
  const whole = formatExact(length, units)
  return printed === whole || printed.includes("'") ? printed : `${printed} (exactly ${whole})`
}

/** Center marks, each end with its own figure: wider or narrower than the bays between, by how much. */
function centerMarksText(
  { left, right, innerBay }: Extract<FindingSays, { code: 'centerMarksUneven' }>,
  w: Wording,
): string {
  const inner = `the inner bays are ${exact(innerBay, w)}`
  const offBy = (end: Length) => {
    const by = end - innerBay
    return `${sayWithUnit(Math.abs(by), w)} ${by > 0 ? 'wider' : 'narrower'}`
  }
  if (left !== null && right !== null && Math.abs(left - right) <= 2)
    return `Center marks are not even: ${inner}, each end bay is ${exact(left, w)}. That is half a strip, ${offBy(left)}, at each end.`
  const ends = [
    ...(left === null ? [] : [`the left end bay is ${exact(left, w)}, ${offBy(left)}`]),
    ...(right === null ? [] : [`the right end bay is ${exact(right, w)}, ${offBy(right)}`]),
  ]
  return `Center marks are not even: ${inner}, ${ends.join(', ')}.`
}

/** What fills an open seam: caulk as far as it goes, beyond that wood. */
function fillText(gap: number, caulk: number, where: string, w: Wording): string {
  if (gap < 1) return `nothing open ${where}`
  return gap <= caulk
    ? `up to ${say(gap, w)} ${where}, which caulk fills`
    : `up to ${say(gap, w)} ${where}: more than caulk fills (${say(caulk, w)}), so scribe it or cover it`
}

/** a, b and 3 more. */
function listed(names: readonly string[]): string {
  const [first = '', second, ...more] = names
  if (second === undefined) return first
  return more.length === 0 ? `${first} and ${second}` : `${first}, ${second} and ${more.length} more`
}

/** How a run longer than the boards is to be joined. */
function joinText(joint: RailJoint): string {
  return {
    scarf: 'Scarf it instead',
    butt: 'Butt it instead',
    miter: 'Miter it across the face at 45°',
    miterHalf: 'Miter it across the face at 22 1/2°',
  }[joint]
}

/** What a finding says: what is so, where, and by how much. */
export function findingText(says: FindingSays, w: Wording): string {
  if (isSawSays(says)) return sawFindingText(says, w)
  if (isMeetSays(says)) return meetText(says, w)
  switch (says.code) {
    case 'stripsWiderThanSpan':
      return `${count(says.strips, 'strip')} of ${say(says.stripWidth, w)} need ${sayWithUnit(says.strips * says.stripWidth, w)}, more than the ${sayWithUnit(says.span, w)} there are. At most ${says.mostStrips} stand side by side.`
    case 'pitchWithinStrip':
      return `Center to center ${sayWithUnit(says.pitch, w)} leaves no gap: the strip alone is ${say(says.stripWidth, w)} wide.`
    case 'needTwoStrips':
      return 'With a strip at each end there must be at least two strips.'
    case 'noStripFits':
      return `Not one strip of ${sayWithUnit(says.stripWidth, w)} fits in ${sayWithUnit(says.span, w)} this way.`
    case 'tooManyStrips':
      return `That makes ${says.strips} strips on one wall; the most Regla lays out is ${says.most}. Check the gap.`
    case 'noCountInLimits':
      return says.moreThan
        ? `No count of strips gives equal gaps over ${say(says.least, w)} and up to ${sayWithUnit(says.most, w)}.`
        : `No count of strips gives equal gaps between ${say(says.least, w)} and ${sayWithUnit(says.most, w)}.`
    case 'noStudsKnown':
      return 'No studs are known on this stretch. Mark them where the wall is measured.'
    case 'stripsOverlap':
      return `Strip ${says.strip} runs ${sayWithUnit(says.by, w)} into what comes next.`
    case 'rowsTooMany':
      return `The rails of ${count(says.rows, 'row')} need ${sayWithUnit(says.needed, w)}, and there are ${say(says.height, w)}.`
    case 'boxesTooTight':
      return `No box finds room: ${say(says.width, w)} by ${sayWithUnit(says.height, w)} less margins of ${say(says.margin, w)} on all sides.`
    case 'noRoomForBoxes':
      return `A stretch of ${sayWithUnit(says.width, w)} is too narrow for a box: it takes ${say(says.needed, w)} with its margins.`
    case 'topAboveHead':
      return `The top at ${say(says.top, w)} is ${sayWithUnit(says.top - says.headLine, w)} above the ${says.crown ? 'crown’s underside' : 'ceiling'} at ${say(says.headLine, w)}.`
    case 'noRoomForBattens':
      return `Battens would start at ${say(says.foot, w)} and end at ${sayWithUnit(says.head, w)}: there is no room for them.`
    case 'footWithoutBaseboard':
      return 'The battens are to stand on the baseboard, but none stays on this wall.'
    case 'endSliver':
      return says.where === 'both'
        ? `Both end bays are slivers: ${say(says.end, w)} at the left and ${say(says.other, w)} at the right, against gaps of ${sayWithUnit(says.gap, w)}.`
        : `The ${says.where} end bay is only ${say(says.end, w)} against gaps of ${sayWithUnit(says.gap, w)}: a sliver.`
    case 'centerMarksUneven':
      return centerMarksText(says, w)
    case 'gapOutsideLimits':
      return `The gap of ${say(says.gap, w)} is outside your limits of ${say(says.least, w)} to ${sayWithUnit(says.most, w)}.`
    case 'pieceLongerThanBoards':
      return `${stripName(says.stripId, w)} needs ${sayWithUnit(says.length, w)}; the longest board listed gives ${sayWithUnit(says.longest, w)}.`
    case 'noBoardsListed':
      return `No boards of ${materialName(says.materialId, w)} are listed to buy.`
    case 'bandJoined':
      return `${stripName(says.bandId, w)} is longer than the boards: ${says.parts} parts${
        {
          scarf: ', each joint a scarf cut at 45° through the thickness',
          butt: ' butted square',
          miter: ', each joint mitered across the face at 45°',
          miterHalf: ', each joint mitered across the face at 22 1/2°',
        }[says.joint]
      }. Put joints on studs.`
    case 'chainOpen': {
      const [before, after] =
        says.axis === 'across' ? ['left of it', 'right of it'] : ['below it', 'above it']
      const blame = blameText(
        says.suspects,
        says.axis,
        thingCalled(w, says.thingId, says.kind),
        before,
        after,
      )
      return `${capital(thingCalled(w, says.thingId, says.kind))}: ${say(says.first, w)} ${before}, ${say(says.size, w)} itself and ${say(says.second, w)} ${after} make ${say(says.first + says.size + says.second, w)}, but the wall reads ${sayWithUnit(says.whole, w)}. ${say(Math.abs(says.difference), w)} ${says.difference > 0 ? 'is missing' : 'is too much'}; ${says.readings} honest readings miss by ${say(says.limit, w)} at most.${blame}`
    }
    case 'readingsContradict':
      return says.kind === 'width'
        ? `The widths at ${say(says.places[0], w)} and ${say(says.places[1], w)} up say another lean than was read: they differ by ${sayWithUnit(says.difference, w)}, where honest readings differ by ${say(says.limit, w)} at most. Read the leans of both ends and those widths again.`
        : `The heights at ${say(says.places[0], w)} and ${say(says.places[1], w)} from the left say another fall of the ceiling than was read: they differ by ${sayWithUnit(says.difference, w)}, where honest readings differ by ${say(says.limit, w)} at most. Read the falls and those heights again.`
    case 'readOnce':
      return `The ${says.kind} was read at ${says.times === 0 ? 'no place yet' : 'one place only'}. Read it at two ${says.kind === 'width' ? 'heights' : 'places along the wall'} at least: walls are not true.`
    case 'thingReadOnce':
      return `The ${thingCalled(w, says.thingId, says.kind)} was measured from the left only. Measure it from the right as well, so that a slip shows.`
    case 'readingAbsurd':
      return `${capital(readingName(says.kind, says.place, w))} reads ${sayWithUnit(says.value, w)}${says.expected > 0 ? `, with the wall at about ${say(says.expected, w)}` : ''}. That can’t be: check the unit and the digits, and read it again.`
    case 'rereadDiffers':
      return `${capital(readingName(says.kind, says.place, w))} read ${say(says.before, w)} before and ${sayWithUnit(says.now, w)} now. The last one counts; a third would settle it.`
    case 'floorFalls':
      return `The floor falls ${sayWithUnit(says.fall, w)} along the wall. ${levelRuleName(says.rule)}: ${fillText(says.gap, says.caulk, 'under the trim', w)}, and the rail ${says.outOfLevel < 1 ? 'level' : `${say(says.outOfLevel, w)} out of level`}.`
    case 'ceilingFalls':
      return `The ceiling is out of level by ${sayWithUnit(says.fall, w)} over what is covered: ${fillText(says.gap, says.caulk, 'above the trim', w)}.`
    case 'stripMeets':
      return `${stripName(says.stripId, w)} at ${say(says.at, w)} ${says.whole ? 'runs right over' : `overlaps by ${say(says.by, w)}`} the ${thingCalled(w, says.thingId, says.kind)}.`
    case 'proudOf':
      return `The strips are ${say(says.strip, w)} thick, the ${trimName(says.what)} ${sayWithUnit(says.trim, w)}: they stand proud of it by ${say(says.strip - says.trim, w)}.`
    case 'notWalked':
      return `${count(says.open, 'question')} of the walk round the room ${says.open === 1 ? 'is' : 'are'} open. What is found late costs most.`
    case 'cornerNotRead':
      return `Horizontals are ${says.end === 'miter' ? 'mitered' : 'coped'} in the ${says.side} corner, but its angle was never read: 90° is only assumed. Read the corner.`
    case 'stairNotFollowed':
      return 'The wall rises along a stair, and the layout is level: strips end at the slope.'
    case 'widthChanged':
      return `The width was ${say(says.before, w)} before and is ${sayWithUnit(says.now, w)} now. If the pieces are cut already, ${says.pieces} at most no longer fit: these are the ways out.`
    case 'stripsShareWall':
      return says.otherIds.every((id) => id === says.stripId)
        ? `The sides of ${stripName(says.stripId, w).toLowerCase()} lie over one another: it can’t be cut as drawn.`
        : `${stripName(says.stripId, w)} lies over ${listed(says.otherIds.map((id) => stripName(id, w).toLowerCase()))}: they can’t both be cut as drawn.`
    case 'stripVanishes':
      return `Of ${stripName(says.stripId, w).toLowerCase()} nothing is left to cut: what stands there takes all its place.`
    case 'bandOffWall':
      return `${stripName(says.bandId, w)} runs ${sayWithUnit(says.by, w)} ${says.edge === 'head' ? 'over the ceiling or the crown' : 'into the floor or the baseboard'}.`
    case 'extentEmpty':
      return `Nothing is covered: from ${say(says.left, w)} to ${say(says.right, w)} leaves no part of a wall that ends at ${sayWithUnit(says.wall, w)}.`
    case 'extentBeyond':
      return `The part to cover runs to ${say(says.right, w)}; the wall ends at ${sayWithUnit(says.wall, w)}, and so does the layout.`
    case 'plateTooNear':
      return `${stripName(says.stripId, w)} comes within ${say(says.space, w)} of the ${thingCalled(w, says.thingId, says.kind)}; ${sayWithUnit(says.asked, w)} was asked for.`
    case 'closes':
      return `Ends, strips and gaps close on ${sayWithUnit(says.wall, w)}.`
    case 'moveTells':
    case 'linesVanish':
    case 'lineSliver':
    case 'archOver':
    case 'rowOver':
    case 'middleGone':
    case 'rowBridges':
    case 'heavyOverBed':
      return lineFindingText(says, w)
    default:
      return wallFindingText(says, w)
  }
}

/** Which readings are taken again where a chain does not close: what one slip accounts for; all of them where nothing is singled out. */
function blameText(
  suspects: readonly Suspect[],
  axis: 'across' | 'up',
  thing: string,
  before: string,
  after: string,
): string {
  const names = {
    whole: `the whole ${axis === 'across' ? 'width' : 'height'}`,
    form: axis === 'across' ? 'how far the ends lean' : 'how far floor and ceiling fall',
    part: `the ${thing}, ${before}, itself and ${after}`,
  }
  const [one, ...more] = suspects
  if (!one) return ' More than one reading is off. Measure all of them again.'
  if (more.length > 0)
    return ` One of these is off. Measure again: ${suspects.map((each) => names[each]).join('; or ')}.`
  return one === 'part'
    ? ` The whole is right for other things here. Measure again: ${names.part}.`
    : ` Other things on the wall miss by as much. Measure again: ${names[one]}.`
}

/** How fixes are offered. */
export const fixText = {
  now: 'This is how it is now.',
  trying: 'Trying the fixes …',
  untried: 'The fixes could not be tried first. Look at each before you press it.',
} as const

/** What a fix brings with it, before it is pressed: the worst, and how much more. */
export function fixCausesText(causes: readonly FindingSays[], w: Wording): string {
  const [first, ...more] = causes
  const rest = more.length > 0 ? ` And ${more.length} more.` : ''
  return first ? `Then: ${findingText(first, w)}${rest}` : ''
}

/** What a way out does, as its button says it. */
export function wayOutText(says: WayOutSays, w: Wording): string {
  if (isSawWay(says)) return sawWayText(says, w)
  if (isMeetWay(says)) return meetWayText(says, w)
  switch (says.code) {
    case 'useStrips':
      return `${count(says.strips, 'strip')}, gaps ${say(says.gap, w)}`
    case 'rows':
      return says.rows === 1 ? 'One row' : `${says.rows} rows`
    case 'margin':
      return `Margins of ${say(says.margin, w)}`
    case 'useMaterial':
      return `Use ${materialName(says.materialId, w)}`
    case 'centerOn':
      return `${says.on === 'gap' ? 'Gap' : 'Strip'} on the center, ends ${say(says.end, w)}`
    case 'gapIsClear':
      return `Read ${say(says.gap, w)} as the clear gap`
    case 'lowerTo':
      return `Lower to ${say(says.height, w)}`
    case 'heightRule':
      return `${heightRuleName(says.rule).replace(/^./, (c) => c.toUpperCase())}, ${say(says.height, w)}`
    case 'addBottomRail':
      return 'Add a bottom rail'
    case 'standOnFloor':
      return 'Stand them on the floor'
    case 'addBoard':
      return `List a ${sayStock(says.length, w)} board`
    case 'listUsualBoards':
      return 'List the usual lengths'
    case 'shiftBy':
      return `Shift all by ${say(Math.abs(says.by), w)} ${says.by > 0 ? '→' : '←'}`
    case 'putBack':
      return `Take the shift of ${say(Math.abs(says.by), w)} back`
    case 'notchIt':
      return 'Notch it'
    case 'endThere':
      return 'End it there'
    case 'moveBox':
      return `Move the box ${say(Math.abs(says.by), w)} ${says.by > 0 ? '→' : '←'}: electrician`
    case 'useLevelRule':
      return `${levelRuleName(says.rule)}: ${says.gap < 1 ? 'nothing' : say(says.gap, w)} left under it`
    case 'backBevel':
      return '45° back bevel at the foot'
    case 'ledger':
      return 'Quarter-round as a ledger'
    case 'swapBase':
      return `Swap the base for one ${say(says.thickness, w)} thick`
    case 'swapThing':
      return `Swap the ${trimName(says.kind)} for one ${say(says.thickness, w)} thick`
    case 'removeThing':
      return `Take the ${thingName(says.kind)} off`
    case 'followStair':
      return 'Follow the slope'
    case 'takeUp': {
      const way = {
        even: 'Even everywhere',
        oneBay: 'All in one bay',
        endBays: 'Half in each end bay',
        ends: 'Fillers at both ends',
      }[says.uptake]
      const boards =
        says.boards === null
          ? 'not from the boards listed'
          : says.boards === 0
            ? 'no new board'
            : count(says.boards, 'new board')
      const cost =
        says.cost === null || says.boards === 0 || !w.currency ? '' : `, ${money(says.cost, w.currency)}`
      return `${way}: recut ${says.recut === 0 ? 'none' : says.recut}, ${boards}${cost}`
    }
    case 'moveRail':
      return `${stripName(says.bandId, w)} to a top of ${say(says.top, w)}`
    case 'takeRailOff':
      return `Leave ${stripName(says.bandId, w).toLowerCase()} out`
    case 'askForLess':
      return says.clearance === 0 ? 'Let it touch' : `${say(says.clearance, w)} will do`
    case 'wholeWall':
      return 'Cover the whole wall'
    case 'turnExtent':
      return `From ${say(says.left, w)} to ${say(says.right, w)}`
    case 'placeFromRight':
      return 'Place it by the reading from the right'
    case 'removeBase':
      return 'Take the base off, rail instead'
    case 'joinWith':
      return joinText(says.joint)
    case 'moveOff':
    case 'moveAway':
    case 'linesOff':
    case 'companionAway':
    case 'archRise':
    case 'archLower':
    case 'rowLower':
    case 'rowGap':
      return lineWayText(says, w)
    default:
      return wallWayText(says, w)
  }
}

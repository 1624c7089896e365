import { formatExact } from '~/length'
import type { FindingSays, WayOutSays } from '~/core/findings/finding'
import {
  count,
  heightRuleName,
  materialName,
  say,
  sayStock,
  sayWithUnit,
  stripName,
  type Wording,
} from './words'

function exact(length: number, wording: Wording): string {
  const { units } = wording.format
  const printed = say(length, wording)
  const whole = formatExact(length, units)
  return printed === whole || printed.includes("'") ? printed : `${printed} (exactly ${whole})`
}

/** What a finding says: what is so, where, and by how much. */
export function findingText(says: FindingSays, w: Wording): string {
  switch (says.code) {
    case 'stripsWiderThanSpan':
      return `${count(says.strips, 'strip')} of ${say(says.stripWidth, w)} need ${sayWithUnit(says.strips * says.stripWidth, w)}, more than the ${sayWithUnit(says.span, w)} there are. At most ${says.mostStrips} stand side by side.`
    case 'pitchWithinStrip':
      return `Centre to centre ${sayWithUnit(says.pitch, w)} leaves no gap: the strip alone is ${say(says.stripWidth, w)} wide.`
    case 'needTwoStrips':
      return 'With a strip at each end there must be at least two strips.'
    case 'noStripFits':
      return `Not one strip of ${sayWithUnit(says.stripWidth, w)} fits in ${sayWithUnit(says.span, w)} this way.`
    case 'tooManyStrips':
      return `That makes ${says.strips} strips on one wall; the most Regla lays out is ${says.most}. Check the gap.`
    case 'noCountInLimits':
      return `No count of strips gives equal gaps between ${say(says.least, w)} and ${sayWithUnit(says.most, w)}.`
    case 'topAboveHead':
      return `The top at ${say(says.top, w)} is ${sayWithUnit(says.top - says.headLine, w)} above the ${says.crown ? 'crown’s underside' : 'ceiling'} at ${say(says.headLine, w)}.`
    case 'noRoomForBattens':
      return `Battens would start at ${say(says.foot, w)} and end at ${sayWithUnit(says.head, w)}: there is no room for them.`
    case 'footWithoutBaseboard':
      return 'The battens are to stand on the baseboard, but none stays on this wall.'
    case 'endSliver':
      return `${says.where === 'both' ? 'Both end bays are' : `The ${says.where} end bay is`} only ${say(says.end, w)} against gaps of ${sayWithUnit(says.gap, w)}: a sliver.`
    case 'centerMarksUneven':
      return `Centre marks are not even: the end bays come out ${exact(says.endBay, w)}, the inner ones ${exact(says.innerBay, w)}. Half a strip, ${sayWithUnit(says.endBay - says.innerBay, w)}, too wide at each end.`
    case 'gapOutsideLimits':
      return `The gap of ${say(says.gap, w)} is outside your limits of ${say(says.least, w)} to ${sayWithUnit(says.most, w)}.`
    case 'pieceLongerThanBoards':
      return `${stripName(says.stripId)} needs ${sayWithUnit(says.length, w)}; the longest board listed gives ${sayWithUnit(says.longest, w)}.`
    case 'noBoardsListed':
      return `No boards of ${materialName(says.materialId, w)} are listed to buy.`
    case 'bandJoined':
      return says.joint === 'scarf'
        ? `${stripName(says.bandId)} is longer than the boards: ${says.parts} parts, each joint a scarf cut at 45° through the thickness. Put joints on studs.`
        : `${stripName(says.bandId)} is longer than the boards: ${says.parts} parts butted square. Put joints on studs.`
    case 'closes':
      return `Ends, strips and gaps close on ${sayWithUnit(says.wall, w)}.`
  }
}

/** What a way out does, as its button says it. */
export function wayOutText(says: WayOutSays, w: Wording): string {
  switch (says.code) {
    case 'useStrips':
      return `${count(says.strips, 'strip')}, gaps ${say(says.gap, w)}`
    case 'useMaterial':
      return `Use ${materialName(says.materialId, w)}`
    case 'centerOn':
      return `${says.on === 'gap' ? 'Gap' : 'Strip'} on the centre, ends ${say(says.end, w)}`
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
    case 'joinWith':
      return says.joint === 'scarf' ? 'Scarf it instead' : 'Butt it instead'
  }
}

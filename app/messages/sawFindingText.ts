import type { SawSays, SawWaySays } from '~/core/findings/sawSays'
import { otherWayText, settingText, toolName } from './sawText'
import { thingCalled } from './thingNames'
import { capital, count, materialName, say, sayWithUnit, stripName, type Wording } from './words'

/** What the saw, the joints and the backer have to say. */
export function sawFindingText(says: SawSays, w: Wording): string {
  switch (says.code) {
    case 'pastSaw': {
      const { other } = says
      const how =
        other.way === 'squareBlock'
          ? `${otherWayText(other)}, fingers well away; or let the other strip land instead`
          : otherWayText(other)
      return `${stripName(says.stripId, w)} is cut at ${settingText({ ...says.setting, face: 'up' })}, ${how}.${
        says.ends > 1 ? (says.ends === 2 ? ' So is 1 more end.' : ` So are ${says.ends - 1} more ends.`) : ''
      }`
    }
    case 'noTool': {
      const work = {
        notch: 'a notch',
        lap: 'a half-lap',
        cope: 'a cope',
        rip: 'a rip',
        point: 'a pointed end',
      }[says.work]
      return `${stripName(says.stripId, w)} has ${work}${says.pieces > 1 ? `, as have ${says.pieces - 1} more pieces` : ''}, and none of your tools makes it. Put it on the cutting ticket, or say what you have.`
    }
    case 'kerfOverPiece':
      return `A piece of ${stripName(says.stripId, w)} is ${sayWithUnit(says.length, w)} long, and the blade takes ${sayWithUnit(says.kerf, w)}: look at the kerf.`
    case 'jointGaveWay':
      return `The joints you placed on ${stripName(says.stripId, w)} would leave a part longer than its boards now: they lie by rule again.`
    case 'sheetMissing':
      return says.of === 'backer'
        ? 'The backer has no sheet: the one it was of is not on the list of this job.'
        : `${capital(materialName(says.materialId ?? '', w))} is to be ripped from a sheet that is not on the list.`
    case 'widerThanSheet':
      return `${capital(materialName(says.materialId, w))} is ${sayWithUnit(says.width, w)} wide; the sheet gives ${sayWithUnit(says.sheet, w)} across.`
    case 'backerNoRoom':
      return `There is no room for a backer from ${say(says.from, w)} to ${sayWithUnit(says.to, w)}.`
    case 'boxBehindPanel':
      return `A panel ${sayWithUnit(says.thickness, w)} thick comes over ${
        says.boxes === 1
          ? `the box of the ${thingCalled(w, says.thingId, 'outlet')}`
          : count(says.boxes, 'box', 'boxes')
      }: each must come flush with it by a box extender${says.wide > 0 ? `, ${count(says.wide, 'of them', 'of them')} two-gang or wider` : ''} (NFPA 70, 314.20: flush where the surface burns, set back 1/4 in at most where it does not). Power off; local code, and a licensed electrician.`
    case 'seamShows':
      return `${capital(count(says.seams, 'seam'))} of the backer ${says.seams === 1 ? 'is' : 'are'} not covered by a strip${says.offStud ? ' or has no stud behind it' : ''}, the first at ${sayWithUnit(says.at, w)}: tape and fill it, or let a strip come over it.`
  }
}

export function sawWayText(says: SawWaySays, w: Wording): string {
  switch (says.code) {
    case 'haveTool':
      return `We have a ${toolName(says.tool)}`
    case 'jointsByRule':
      return 'Leave them to the rule'
    case 'joinAgain':
      return 'Join it of several boards'
    case 'buyStrips':
      return `Buy ${materialName(says.materialId, w)} as strips`
    case 'listSheets':
      return 'List 1/4 in sheets, 48 by 96'
    case 'coverSeams':
      return `${capital(count(says.strips, 'strip'))} on studs: one over every seam`
    case 'noBacker':
      return 'No backer'
    case 'thinnerKerf':
      return `The blade takes ${sayWithUnit(says.kerf, w)}`
  }
}

const CODES: ReadonlySet<string> = new Set<SawSays['code']>([
  'pastSaw',
  'noTool',
  'kerfOverPiece',
  'jointGaveWay',
  'sheetMissing',
  'widerThanSheet',
  'backerNoRoom',
  'boxBehindPanel',
  'seamShows',
])
const WAY_CODES: ReadonlySet<string> = new Set<SawWaySays['code']>([
  'haveTool',
  'jointsByRule',
  'joinAgain',
  'buyStrips',
  'listSheets',
  'noBacker',
  'coverSeams',
  'thinnerKerf',
])

export function isSawSays(says: { readonly code: string }): says is SawSays {
  return CODES.has(says.code)
}

export function isSawWay(says: { readonly code: string }): says is SawWaySays {
  return WAY_CODES.has(says.code)
}

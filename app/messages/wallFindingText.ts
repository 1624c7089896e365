import type { FindingSays, WayOutSays } from '~/core/findings/finding'
import type { Flatness, FlatWay, FloorToCome, Heat, Stand } from '~/model'
import { thingCalled, thingName } from './thingNames'
import { capital, count, materialName, say, sayWithUnit, stripName, type Wording } from './words'

/** What is done about a strip that does not lie flat. */
export function flatWayName(way: FlatWay): string {
  return {
    pull: 'pull it in with more nails',
    shim: 'shim behind it',
    scribe: 'scribe its back',
    fill: 'fill the seam',
  }[way]
}

/** How it is done, in a sentence. */
export function flatWayText(way: FlatWay): string {
  return {
    pull: 'Pull it in: a nail every 8 in across it instead of every 16, from its middle outward.',
    shim: 'Shim behind it where it is nailed, then fill the seam.',
    scribe: 'Scribe its back to the wall, or plane the wall’s high place down first.',
    fill: 'Leave it straight and fill the seam.',
  }[way]
}

export function flatShapeName(shape: Flatness['shape']): string {
  return shape === 'hollow' ? 'hollow' : 'belly'
}

/** Tile, 5/8 high, laid before the trim goes on. */
export function floorText({ covering, build, when }: FloorToCome, w: Wording): string {
  const then = {
    before: 'laid before the trim goes on',
    under: 'laid later, under the trim',
    against: 'laid later, up against the trim',
  }[when]
  return `${capital(covering)} still to come, ${sayWithUnit(build, w)} high, ${then}`
}

export function standName(kind: Stand['kind']): string {
  return {
    plumb: 'plumb',
    square: 'square to the rails',
    left: 'parallel to the left corner',
    right: 'parallel to the right corner',
    own: 'leaning as you say',
  }[kind]
}

const HEAT_CAUTION: Readonly<Record<Heat, string>> = {
  fireplace:
    'Trim burns: 6 in clear of a fireplace opening, and within 12 in it stands out no more than 1/8 in for each inch (IRC R1001.11, value from memory). Local code comes first.',
  stove:
    'Trim burns: a stove without a listing of its own asks for 36 in (NFPA 211, value from memory). The maker’s listing and local code come first.',
  radiator:
    'Trim near a radiator dries and opens: the maker’s word comes first (common practice, no source).',
  heater:
    'Trim burns: the heater’s maker says how far it keeps (common practice, no source). Local code comes first.',
}

function names(ids: readonly string[], w: Wording): string {
  const all = ids.map((id, i) => (i === 0 ? stripName(id, w) : stripName(id, w).toLowerCase()))
  const [first = '', second, ...more] = all
  if (second === undefined) return first
  if (more.length === 0) return `${first} and ${second}`
  return `${first}, ${second} and ${more.length} more`
}

type WallCode =
  | 'notFlat'
  | 'skimFirst'
  | 'nearHeat'
  | 'heatStands'
  | 'heatLeavesNothing'
  | 'floorToCome'
  | 'floorOverBase'
  | 'goesBack'
  | 'goesBackNowhere'
  | 'ledgeStands'
  | 'shelfBeyondBrackets'
  | 'noStudForBracket'
  | 'ledgeWiderThanStuff'
  | 'edgesDiffer'
  | 'leansFar'

/** What the wall itself, and what stands and lies on it, has to say. */
export function wallFindingText(says: Extract<FindingSays, { code: WallCode }>, w: Wording): string {
  switch (says.code) {
    case 'notFlat': {
      const lies = `${names(says.stripIds, w)} ${says.stripIds.length === 1 ? 'lies' : 'lie'} over a ${flatShapeName(says.shape)} of up to ${say(says.depth, w)} over ${sayWithUnit(says.length, w)}`
      return says.tooFar
        ? `${lies}, and ${says.stripIds.length === 1 ? 'does' : 'do'} not bend so far: nails will not hold ${says.stripIds.length === 1 ? 'it' : 'them'} there.`
        : `${lies}. ${flatWayText(says.way)}`
    }
    case 'skimFirst':
      return `The wall is out by ${sayWithUnit(says.depth, w)} behind a strip: beyond ${say(says.beyond, w)} skim it flat before anything goes on it (common practice, no source).`
    case 'nearHeat':
      return `${stripName(says.stripId, w)} comes within ${sayWithUnit(says.space, w)} of the ${thingCalled(w, says.thingId, says.kind)}; ${
        says.standsOut === null
          ? `${say(says.asked, w)} is to be kept clear.`
          : `standing out ${say(says.standsOut, w)}, it has to keep ${say(says.asked, w)} away.`
      } ${HEAT_CAUTION[says.kind]}`
    case 'heatStands':
      return `Strips keep ${sayWithUnit(says.clear, w)} clear of the ${thingCalled(w, says.thingId, says.kind)}. ${HEAT_CAUTION[says.kind]}`
    case 'heatLeavesNothing':
      return `${sayWithUnit(says.clear, w)} kept clear of the ${thingCalled(w, says.thingId, says.kind)} leaves nothing of what is covered. Check the distance.`
    case 'floorToCome':
      return `${floorText(says.floor, w)}. Heights are from the floor that will be; from the floor there is they are ${say(says.floor.build, w)} more.${says.hides === null ? '' : ` It hides the lowest ${say(says.hides, w)} of what stands at the foot.`}`
    case 'floorOverBase':
      return `A floor ${sayWithUnit(says.build, w)} high leaves nothing to see of what stands at the foot, which is ${say(says.base, w)} high.`
    case 'goesBack':
      return says.parts === 1
        ? `The ${thingCalled(w, says.thingId, says.kind)} goes back at ${sayWithUnit(says.length, w)}; it was ${say(says.before, w)}. Cut it from itself when all it meets is up.`
        : `The ${thingCalled(w, says.thingId, says.kind)} goes back in ${says.parts} parts, ${sayWithUnit(says.length, w)} together; it was ${say(says.before, w)}. Cut them from itself when all they meet is up.`
    case 'goesBackNowhere':
      return 'Of the trim that is to go back nothing is left: strips take all its place.'
    case 'ledgeStands': {
      const past =
        says.pastCasing === null
          ? ''
          : ` It stands ${say(says.pastCasing, w)} past the casing it ends at: its end shows there.`
      const held =
        says.brackets === 0
          ? 'Nothing under it is screwed to a stud: it carries itself, and what lies on it stays light.'
          : `${count(says.brackets, 'bracket')} on studs: light things only, about 10 lb a stud as a rule of thumb (common practice, no source). Nothing over a bed or a crib.`
      return `${stripName(says.stripId, w)} is ${sayWithUnit(says.depth, w)} deep, ${say(says.pastRail, w)} past what it lies on.${past} ${held}`
    }
    case 'shelfBeyondBrackets':
      return `${stripName(says.stripId, w)} is ${sayWithUnit(says.depth, w)} deep; its brackets reach ${say(says.arm, w)} and should reach ${say(says.asked, w)}, two thirds of it (common practice, no source).`
    case 'noStudForBracket':
      return `Brackets under ${stripName(says.stripId, w).toLowerCase()} find no stud. Mark the studs where the wall is measured, or leave the brackets out.`
    case 'ledgeWiderThanStuff':
      return `${stripName(says.stripId, w)} is to be ${sayWithUnit(says.depth, w)} deep, and its stuff is ${say(says.width, w)} wide.`
    case 'edgesDiffer':
      return `Eased edges (${materialName(says.eased, w)}) meet sharp ones (${materialName(says.sharp, w)}): the joints show. Ease both, or neither.`
    case 'leansFar':
      return `Uprights ${standName(says.school)} are ${sayWithUnit(Math.abs(says.by), w)} out of plumb: anyone sees that. Look at it with a level held up first.`
  }
}

type WallWay =
  | 'flatWay'
  | 'keepClear'
  | 'floorBuild'
  | 'floorUnder'
  | 'standPlumb'
  | 'ripTo'
  | 'longerArm'
  | 'noBrackets'
  | 'leaveOff'

export function wallWayText(says: Extract<WayOutSays, { code: WallWay }>, w: Wording): string {
  switch (says.code) {
    case 'flatWay':
      return capital(flatWayName(says.way))
    case 'keepClear':
      return `Keep ${say(says.clear, w)} clear`
    case 'floorBuild':
      return `The floor is ${say(says.build, w)} high`
    case 'floorUnder':
      return 'Lay it under the trim'
    case 'standPlumb':
      return 'Stand them plumb'
    case 'ripTo':
      return `Rip it to ${say(says.depth, w)}`
    case 'longerArm':
      return `Brackets that reach ${say(says.arm, w)}`
    case 'noBrackets':
      return 'No brackets'
    case 'leaveOff':
      return `Leave the ${thingName(says.kind)} off`
  }
}

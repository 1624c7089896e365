import type { Length } from '~/length'
import type { BuiltWay, WayOn } from '~/core/asbuilt/waysOut'
import { type EvenIssue, EVENINGS_OUT } from '~/core/asbuilt/evenOut'
import type { Drift } from '~/core/evenness/learnErrors'
import type { FitCheck, HeldBy } from '~/core/fit/fitWalk'
import type { FitGroup } from '~/core/sequence/fitSteps'
import type { Stand } from '~/model'
import { money, say, sayWithUnit, stripName, type Wording } from './words'

/** The stage of fitting. */
export const fitText = {
  title: 'Fit',
  walk: 'One piece at a time',
  orderNote: 'What goes up first is chosen on the page Work.',
  place: (at: number, all: number) => `${at} of ${all}`,
  count: (up: number, all: number) => `${up} of ${all} up`,
  allUp: (all: number) => `✓ All ${all} are up`,
  next: 'The next thing is the finish list.',
  finish: 'Finish list',
  none: 'There is nothing to fit on this wall yet.',
  fitted: 'Fitted, next',
  down: 'Not up after all',
  upAt: (time: string) => `✓ up, ${time}`,
  undoUp: (name: string) => `Undo: ${name} up`,
  skip: 'Later',
  skipped: 'left for later',
  spoiled: 'Spoiled',
  spoiledOnce: (times: number) => `spoiled ${times === 1 ? 'once' : `${times} times`}, cut again`,
  backTo: 'Piece before',
  read: 'Read its opening first, then cut it',
  opening: 'Opening reads',
  cutAt: (length: string) => `Cut at ${length}`,
  cutNow: 'Cut it, back at the wall',
  waits: (names: readonly string[]) => `Comes up to ${names.join(', ')}: up first.`,
  fix: 'How it is fixed',
  check: 'Before it is nailed',
  alone: 'Alone',
  studs: (places: readonly string[], from: 'left' | 'lower') =>
    `Studs from its ${from} end: ${places.join(', ')}`,
  halfWhy:
    'The furniture is moved to the side that is done. Set the laser up again on a height mark of the first half, and check it on a second one.',
  caution:
    'Eyes and ears covered; never nail toward a hand; unplug or unload before you clear a jam. Cables and pipes run above, below and between boxes. Follow the tool maker’s instructions and local codes; licensed trades do electrical work and plumbing.',
  near: 'near edge',
  onFloor: (bottom: string, top: string) => `lower edge ${bottom} up, upper edge ${top}`,
  lower: 'lower edge, up from the floor',
  endOn: (on: string, near: string, far: string) => `${on}: ${near} to ${far}`,
  list: 'All pieces',
  listed: 'For the one at the saw',
  reissued: (count: number) =>
    count === 1
      ? '1 piece changed when the list went out again:'
      : `${count} pieces changed when the list went out again:`,
  anew: (name: string, length: string) => `${name}: new, ${length}`,
  changed: (name: string, before: string, now: string) => `${name}: ${before} before, now ${now}`,
  gone: (name: string) => `${name}: not wanted any more`,
  wasCut: ', cut already: cut again',
} as const

export const groupName = (group: FitGroup): string =>
  ({
    border: 'Border',
    uprights: 'Uprights',
    horizontals: 'Horizontals',
    slanted: 'Slanted strips',
    frames: 'Boxes',
    ledges: 'Cap and shelves',
    back: 'Trim that goes back',
  })[group]

const STANDS: Readonly<Record<Stand['kind'], string>> = {
  plumb: 'Plumb, both edges.',
  square: 'Square to the rails, not plumb.',
  left: 'Along the left corner, not plumb.',
  right: 'Along the right corner, not plumb.',
  own: 'At its own lean: foot and head on their marks.',
}

/** What to look at before a piece is nailed. Common practice, no source. */
export function fitCheckText(check: FitCheck, w: Wording): string {
  switch (check.kind) {
    case 'levelFirst':
      return 'Level, with the long level turned round once, before the second piece goes on.'
    case 'level':
      return 'Level.'
    case 'stands':
      return STANDS[check.stand]
    case 'gapBlock':
      return `Block of ${sayWithUnit(check.length.tick, w)} between it and the last, at foot and head.`
    case 'runningMark':
      return `Its near edge on the running mark at ${sayWithUnit(check.near.tick, w)}: trust the mark, not the block.`
    case 'straightedge':
      return 'Straightedge along it before the second nail.'
    case 'diagonal':
      return `Across its two marks the tape reads ${sayWithUnit(check.reads.tick, w)}.`
    case 'square':
      return `Square to ${stripName(check.to, w).toLowerCase()}.`
    case 'lookBack':
      return 'Look back along the line of heads before this covers them.'
    case 'nailDepth':
      return 'First nail: just under the face? Set the pressure now.'
  }
}

/** How one person alone holds a piece. Common practice, no source. */
export const heldText = (held: HeldBy): string =>
  ({
    prop: 'Stand it on the prop blocks at both ends, nail the middle first.',
    nailUnder: 'A nail under the far end carries it while you nail this one.',
    tape: 'Two strips of tape across it hold it while you check.',
    hand: 'One hand holds it.',
  })[held]

/** The wall as it is built. */
export const builtText = {
  title: 'As built',
  lead: 'Read where something truly is. What is up stays; the rest goes on from there.',
  what: 'What was read',
  place: 'Place',
  wall: 'Wall',
  height: 'Height',
  gap: 'Gap before it',
  length: 'Piece',
  end: (side: 'left' | 'right') => `The ${side} end of the wall`,
  edge: (edge: 'left' | 'right' | 'bottom' | 'top') => `Its ${edge} edge`,
  fromLine: (floorComes: boolean) =>
    floorComes ? 'up from the floor that will be' : 'up from the line heights are marked from',
  from: 'from the left corner',
  reads: 'The tape reads',
  gapReads: 'The gap reads',
  endReads: 'The whole wall reads',
  lengthReads: 'The piece reads',
  planned: (length: string) => `Laid out at ${length}.`,
  keep: 'That is where it is',
  forget: 'Take the reading back',
  onMark: 'Everything that was read is where it is laid out.',
  off: (name: string, by: string, more: boolean) =>
    `${name} is ${by} ${more ? 'farther right' : 'farther left'} than laid out.`,
  offUp: (name: string, by: string, higher: boolean) =>
    `${name} is ${by} ${higher ? 'higher' : 'lower'} than laid out.`,
  wallOff: (by: string, wider: boolean) => `The wall is ${by} ${wider ? 'wider' : 'narrower'} than laid out.`,
  byLaser: 'By the laser',
  noLaser: 'Stop waiting for the laser',
  looking: 'Looking for ways on…',
  noWays: 'The ways on could not be worked out. Change a reading, or load the page again.',
  ways: 'Ways on',
  asIs: 'The bays beside it take it: nothing else can move',
  take: 'Go on like this',
  taken: 'Taken. Marks, cards and boards are for the wall as it is built.',
  recuts: (count: number, themselves: number) =>
    count === 0
      ? 'nothing to recut'
      : `${count} to recut${themselves > 0 ? `, ${themselves === count ? 'all' : themselves} from ${count === 1 ? 'itself' : 'themselves'}` : ''}`,
  boards: (boards: number | null) =>
    boards === null
      ? 'no board on sale holds them'
      : boards === 0
        ? 'no more boards'
        : `${Math.abs(boards)} ${Math.abs(boards) === 1 ? 'board' : 'boards'} ${boards > 0 ? 'more' : 'fewer'}`,
  cost: (cost: number, w: Wording) =>
    `${money(Math.abs(cost), w.currency ?? 'USD')} ${cost > 0 ? 'more' : 'less'}`,
  minutes: (minutes: number) => (minutes === 0 ? '' : `about ${minutes} min`),
  uneven: (worst: string, step: string, seen: boolean) =>
    `worst bay off by ${worst}, step to its neighbor ${step}: ${seen ? 'an eye sees it' : 'no eye sees it'}`,
  seenRule:
    'An eye sees two gaps beside each other differ from 1/8 in on, or from a hundredth of the gap where that is more. A rule of ours, no source.',
  pull: 'Pull it off again',
  pulled: (name: string, holes: number) =>
    `${name} is off: a cut piece again. ${holes} nail ${holes === 1 ? 'hole is' : 'holes are'} on the finish list.`,
  pullWhy: 'It goes back to the cut pieces, its nail holes to the finish list.',
  offWall: 'That is off the wall. Read it again, from the left corner.',
  offHeight: 'That is below the floor or above the ceiling. Read it again.',
  tooLong: 'That gap is longer than the wall. Read it again.',
  trim: (by: string) => `It is ${by} too long: trim it in place.`,
  trimWhy: 'Score along the straightedge, saw the proud end, sand the cut.',
  short: (by: string) =>
    `It is ${by} short of its opening. Up to 1/8 in the filler or caulk hides it; more: spoil it, and cut another.`,
  fits: 'It fits.',
} as const

/** A grid's rows that came out as its rails were built. */
export const gridText = {
  builtRows: (clear: readonly Length[], w: Wording) => clear.map((each) => say(each, w)).join(', '),
  evenRows: 'All alike again',
} as const

export const builtWayName = (way: BuiltWay, boxes = false): string =>
  boxes && way === 'even'
    ? 'Boxes as they are cut, margins evened out'
    : {
        even: 'Even out what is left',
        firstBay: 'The next bay takes it, all else stays on its mark',
        lastBay: 'The last bay takes it',
        endBays: 'Half in the next bay, half in the last',
        middleBay: 'The middle bay takes it',
        fewestRecuts: 'Fewest pieces to recut',
        smallestStep: 'Smallest step from bay to bay',
        filler: 'Hide it in a strip ripped for the end',
        resize: 'Keep the margins, resize the boxes',
        stays: 'It stays there; what lands on it is cut to it',
      }[way]

/** Several names for what comes to the same. */
export const builtWayNames = ({ ways }: Pick<WayOn, 'ways'>, boxes: boolean): string =>
  // where every way comes to the same nothing can move any more
  ways.length >= EVENINGS_OUT.length
    ? builtText.asIs
    : ways.map((way) => builtWayName(way, boxes)).join(' · ')

export function evenIssueText(issue: EvenIssue, w: Wording): string {
  switch (issue.code) {
    case 'noRoom':
      return issue.room <= 0
        ? `What is left to go up needs ${sayWithUnit(issue.needed, w)}, and there is no room for it at all: the reading or the plan is wrong. Read it again.`
        : `What is left to go up needs ${sayWithUnit(issue.needed, w)}, and there is ${sayWithUnit(issue.room, w)}: the reading or the plan is wrong. Read it again.`
    case 'gapsTooSmall':
      return `Evened out the gaps would be ${sayWithUnit(issue.gap, w)}, less than the ${sayWithUnit(issue.least, w)} wanted at least. Read it again, or pull one off.`
    case 'beyondWall':
      return `${stripName(issue.strip, w)} would lie ${sayWithUnit(issue.by, w)} beyond the end of the wall as it was measured. Read the whole wall too.`
    case 'cannotBe':
      return `${stripName(issue.strip, w)} would lie over what is beside it: the reading can’t be. Read it again.`
  }
}

/** Three readings in a row on one side. */
export function driftText({ side, how, by }: Drift, w: Wording): string {
  const off = sayWithUnit(Math.abs(by), w)
  return how === 'same'
    ? `The last three readings are all about ${off} ${side}: the end of the tape is worn, or it was hooked on something. Prove the tape’s hook.`
    : `The last three readings get ${side === 'long' ? 'longer' : 'shorter'} by about ${off} each time: the block is too ${side}, or the tape was stepped. Go by the running marks.`
}

/** What was changed as the list went out again, in a line. */
export const lengthSaid = (length: number, w: Wording): string => say(length, w)

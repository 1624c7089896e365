import type { FindingSays, WayOutSays } from '~/core/findings/finding'
import type { LineGroup } from '~/core/cutting/lineGroups'
import type { LineLook } from '~/core/judgement/lineLook'
import type { MoveCost } from '~/core/judgement/moveCosts'
import type { MoveIssue } from '~/core/layout/moves'
import { type EndCut, severalSettings, twoSawSettings } from '~/core/pieces'
import type { MarkedOn } from '~/core/marks/lineMarks'
import type { Arch, FieldCorner, FieldSide, ItemRow, MoveKind } from '~/model'
import { batchText } from './surveyWords'
import { count, money, say, sayWithUnit, stripName, type Wording } from './words'

const KINDS: Readonly<Record<MoveKind, string>> = {
  strike: 'Strike a line',
  repeat: 'Repeat',
  mirror: 'Mirror',
  fan: 'Fan',
  branch: 'Branch',
  divide: 'Divide',
  diagonals: 'Diagonals',
  chevron: 'Chevron',
  corners: 'Nested corners',
  diamonds: 'Diamonds',
  lattice: 'Lattice',
  herringbone: 'Herringbone',
  sunburst: 'Sunburst',
}

/** A move by its kind, as its button and its clause say it. */
export function moveName(kind: MoveKind): string {
  return KINDS[kind]
}

export function sideName(side: FieldSide): string {
  return { left: 'left side', right: 'right side', bottom: 'foot', top: 'head' }[side]
}

export function fieldCornerName(corner: FieldCorner): string {
  return {
    bottomLeft: 'bottom left corner',
    bottomRight: 'bottom right corner',
    topLeft: 'top left corner',
    topRight: 'top right corner',
  }[corner]
}

/** What a move refers to: a side, a strip, another move by its place in the list. */
export function refName(ref: string, moves: readonly { id: string }[], w: Wording): string {
  if (ref === 'left' || ref === 'right' || ref === 'bottom' || ref === 'top') return `the ${sideName(ref)}`
  const at = moves.findIndex(({ id }) => id === ref)
  if (at >= 0) return `move ${at + 1}`
  const [move, nth] = ref.split('.')
  const of = moves.findIndex(({ id }) => id === move)
  if (w.strips?.has(ref)) return stripName(ref, w)
  return of >= 0 && nth ? `strip ${nth} of move ${of + 1}` : 'what was taken away'
}

/** Why a move strikes nothing, or not all. */
export function moveIssueText(issue: MoveIssue): string {
  switch (issue.code) {
    case 'missing':
      return 'what it refers to is not there: it was taken away, or is switched off. It is kept, and comes back with it.'
    case 'refersLater':
      return 'it refers to a move that comes after it, or to itself: a line can hang only on what was struck before. Move it down.'
    case 'noField':
      return 'the frame leaves nothing to strike lines in.'
    case 'missesField':
      return 'a line of it misses the field.'
    case 'neverHits':
      return 'the two lines it goes by are parallel: they never cross.'
    case 'alongEdge':
      return `a line of it runs along the ${sideName(issue.side)} and hangs over it by half its width: let its width lie on the inside.`
    case 'noLength':
      return 'it starts and ends in one point.'
    case 'doubles':
      return `${count(issue.strips.length, 'line')} of it would lie on ${issue.strips.length === 1 ? 'a line' : 'lines'} already struck: struck once.`
    case 'noRoom':
      return 'there is no room for a single one of it.'
    case 'tooMany':
      return `it makes ${issue.made} strips; the most Regla strikes on a wall is ${issue.most}. The rest are left out.`
  }
}

type LineCode =
  | 'moveTells'
  | 'linesVanish'
  | 'lineSliver'
  | 'archOver'
  | 'rowOver'
  | 'middleGone'
  | 'rowBridges'
  | 'heavyOverBed'

/** What struck lines, arches and rows have to say. */
export function lineFindingText(says: Extract<FindingSays, { code: LineCode }>, w: Wording): string {
  switch (says.code) {
    case 'moveTells':
      return `Move ${says.nth}, ${moveName(says.kind).toLowerCase()}: ${moveIssueText(says.issue)}`
    case 'linesVanish':
      return says.lines.length === 1
        ? `Of ${stripName(says.lines[0] ?? '', w).toLowerCase()} nothing is left: it lies wholly over an opening, or under what runs through.`
        : `Of ${says.lines.length} lines nothing is left: they lie wholly over an opening, or under what runs through.`
    case 'lineSliver': {
      const short =
        says.short > 0 ? `${say(says.short, w)} along its short edge` : 'a point, with no short edge at all'
      return `${stripName(says.stripId, w)} leaves a piece ${say(says.long, w)} long, ${short}: it splits, and takes no nail at each end.${
        says.pieces > 1 ? ` ${count(says.pieces, 'piece')} like it.` : ''
      } Glue it, or leave it out.`
    }
    case 'archOver': {
      const by = says.by > 0 ? ` by ${sayWithUnit(says.by, w)}` : ''
      return {
        ceiling: `The arch rises over the ceiling${by}.`,
        wall: `The arch runs over the end of the wall${by}.`,
        strips:
          'The arch crosses strips: it is drawn on the wall between them, and cut round them or they round it.',
        thing: 'The arch crosses something that stands on the wall.',
        tooHigh: `That arch can’t rise ${sayWithUnit(says.by, w)} at its width: a segment rises at most half its width, a three-centered arch less.`,
      }[says.what]
    }
    case 'rowOver': {
      const by = says.by > 0 ? ` by ${sayWithUnit(says.by, w)}` : ''
      return {
        wall: `The row is wider than its span${by}.`,
        ceiling: `The row stands over the ceiling${by}.`,
        items: `Its items run into one another${by}.`,
        thing: 'The row lies over something that stands on the wall.',
      }[says.what]
    }
    case 'middleGone':
      return says.of === 'arch'
        ? 'The arch is centered on something that is not there any more.'
        : 'The row is centered on something that is not there any more.'
    case 'rowBridges':
      return `${count(says.items, 'item')} of the row ${says.items === 1 ? 'bridges' : 'bridge'} open wall between strips: pack behind ${says.items === 1 ? 'it' : 'them'} on the wall with ${say(says.packing, w)}, or ${says.items === 1 ? 'it rocks' : 'they rock'}.`
    case 'heavyOverBed':
      return 'Nothing heavy over a bed or a crib: keep to light letters held by screws in studs or anchors rated for them, never by tape or hooks alone.'
  }
}

type LineWay =
  'moveOff' | 'moveAway' | 'linesOff' | 'companionAway' | 'archRise' | 'archLower' | 'rowLower' | 'rowGap'

export function lineWayText(says: Extract<WayOutSays, { code: LineWay }>, w: Wording): string {
  switch (says.code) {
    case 'moveOff':
      return `Switch move ${says.nth} off`
    case 'moveAway':
      return `Take move ${says.nth} away`
    case 'linesOff':
      return says.lines === 1 ? 'Leave it out' : `Leave ${says.lines} out`
    case 'companionAway':
      return says.of === 'arch' ? 'Take the arch away' : 'Take the row away'
    case 'archRise':
      return `Let it rise ${say(says.to, w)}`
    case 'archLower':
      return `Spring line at ${say(says.to, w)}`
    case 'rowLower':
      return `Line at ${say(says.to, w)}`
    case 'rowGap':
      return `Gaps of ${say(says.gap, w)}`
  }
}

/** 38.66°: as fine as a saw's scale is set by eye and a hair finer. */
export function degreesText(deg: number): string {
  return `${Number(deg.toFixed(2))}°`
}

/** What a move adds, as far as prices are known. */
export function moveCostText({ pieces, boards, cost }: MoveCost, on: boolean, currency: string): string {
  const sum = [
    count(pieces, 'piece'),
    ...(boards === 0 ? [] : [count(boards, 'board')]),
    ...(cost ? [money(cost, currency)] : []),
  ]
  return on ? `off saves about ${sum.join(', ')}` : `on costs about ${sum.join(', ')}`
}

/** How the slants of a move are cut: the advice of their rows, with how many are alike. */
export function groupText({ nth, kind, pieces, alike, short, advice }: LineGroup, w: Wording): string {
  const name = `Move ${nth}, ${moveName(kind).toLowerCase()}`
  const rest = short === 0 ? '' : ` ${count(short, 'piece')} cut short, each by its own card.`
  const { why } = batchText(advice, w)
  if (advice.advice === 'scribe') return `${name}: hold up and scribe, ${why}.${rest}`
  if (advice.advice === 'measureInPlace')
    return `${name}: measure each of ${pieces - short} in its place, ${why}. Never batch them.${rest}`
  return alike === 1
    ? `${name}: one slant by its card.${rest}`
    : `${name}: ${short === 0 ? `all ${alike}` : alike} alike. One setting, one stop, one batch; turn the strip over for the other hand.${rest}`
}

const PER = { inches: 144 * 25_400_000 ** 2, mm: 1e18 } as const

/** How a design looks, in numbers: to compare, no verdict. */
export function lookText(look: LineLook, before: LineLook | null, units: 'mm' | 'inch'): string[] {
  const unit = units === 'mm' ? PER.mm : PER.inches
  const per = units === 'mm' ? 'm²' : 'sq ft'
  const side = (of: LineLook) => {
    const all = of.left + of.right
    if (all === 0) return 'nothing struck'
    const left = Math.round((100 * of.left) / all)
    return left === 50 ? 'left and right weigh the same' : `left ${left} %, right ${100 - left} %`
  }
  const dense = (of: LineLook) =>
    of.field === 0
      ? '0'
      : `${((of.pieces * unit) / of.field).toFixed(2)} pieces and ${((of.joints * unit) / of.field).toFixed(2)} joints a ${per}, ${Math.round(of.covered * 100)} % of the field under trim`
  const was = (text: (of: LineLook) => string) =>
    before && text(before) !== text(look) ? ` (was: ${text(before)})` : ''
  return [`About the middle line: ${side(look)}${was(side)}.`, `${dense(look)}${was(dense)}.`]
}

/** What marks are made on. */
export function markedOnText(on: MarkedOn, w: Wording): string {
  if (on.kind === 'side')
    return {
      left: 'Left side, up from its foot',
      right: 'Right side, up from its foot',
      bottom: 'Foot, from its left end',
      top: 'Head, from its left end',
    }[on.side]
  if (on.kind === 'middle') return 'Center line, up from its foot'
  return `${stripName(on.stripId, w)}, ${on.face} face, from its foot or left end`
}

export function archKindName(kind: Arch['kind']): string {
  return {
    segment: 'a segment of a circle',
    half: 'half a circle',
    threeCentered: 'three-centered, by the bisector',
    threeEqual: 'of three arcs of 60°',
  }[kind]
}

export function rowKindName(kind: ItemRow['kind']): string {
  return { letters: 'letters', signs: 'signs', hooks: 'hooks', frames: 'frames' }[kind]
}

/** Words of the layout stage about lines. */
export const linesText = {
  title: 'Moves, from the top',
  add: 'Add a move',
  none: 'No moves yet: add one, or strike a line on the drawing.',
  strikeOn: 'Strike on the drawing',
  strikeOff: 'Done striking',
  strikeHint:
    'Press where a line starts and pull to where it goes. It snaps to corners, middles, marks and crossings, and to the usual angles.',
  breakUp: 'Break up into lines',
  brokenTooMany: 'It strikes more lines than a list takes moves.',
  up: 'Earlier',
  down: 'Later',
  away: 'Take away',
  on: 'On',
  off: 'Off',
  strips: 'Lines, one by one',
  crossings: 'Where it crosses',
  look: 'Weight and density',
  lookHint: 'Numbers to compare two versions by, not a verdict.',
  nudge: 'Plates under lines',
  paint: 'Marks that paint will cover are taken again after painting.',
  groups: 'Slants, move by move',
  order: 'Fit in this order',
  orderWhy: 'After the frame and the uprights: longest first, then whatever lands on it.',
  direct: 'Cut one at a time, each marked from the wall, unless its move says batch.',
} as const

/** Names, and how many more. */
function some(names: readonly string[]): string {
  const shown = names.slice(0, 4)
  return names.length > shown.length
    ? `${shown.join(', ')} and ${names.length - shown.length} more`
    : shown.join(', ')
}

/** Words of the marks of angled work. */
export const lineMarkText = {
  title: 'Marks of the lines',
  lead: 'Two marks for each end: mark both edges, and set the strip between them.',
  line: 'Line',
  from: 'One edge',
  to: 'Other edge',
  checks: 'Checks before the second nail',
  spacer: (along: string, square: string) =>
    `Spacer: ${square} square between strips; laid along here it reads ${along}.`,
  diagonal: (name: string, length: string) => `${name}: ${length} along its lower edge, from mark to mark`,
  straightedge: (names: readonly string[]) =>
    `Lay a straightedge along before the second nail: ${some(names)}.`,
  square: (pairs: readonly (readonly string[])[]) =>
    `With a square, or 3, 4, 5 from the crossing: ${some(pairs.map(([a, b]) => `${a} on ${b}`))}.`,
} as const

/** What a nudge does, for its button. */
export function nudgeText(axis: 'along' | 'up', by: number, hits: number, w: Wording): string {
  const way = axis === 'along' ? (by > 0 ? 'to the right' : 'to the left') : by > 0 ? 'up' : 'down'
  return `All lines ${say(Math.abs(by), w)} ${way}: ${hits === 0 ? 'every plate clear' : `${count(hits, 'plate')} left`}`
}

/** What the saw reads for an end, in a word: 42°, 37° and 53°, square. */
export function endCutBrief(cut: EndCut, faceWidth: number): string {
  switch (cut.kind) {
    case 'miter':
      return degreesText(cut.sawSettingDeg)
    case 'twoCuts': {
      const { leftDeg, rightDeg } = twoSawSettings(cut, faceWidth)
      return `${degreesText(leftDeg)} and ${degreesText(rightDeg)}`
    }
    case 'severalCuts':
      return severalSettings(cut).map(degreesText).join(' and ')
    case 'scarf':
      return 'scarf'
    default:
      return 'square'
  }
}

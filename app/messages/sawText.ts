import type { SinceRelease } from '~/core/asbuilt/freeze'
import type { CutCard, HandWork, SawCut } from '~/core/cutting/cutCards'
import type { OtherWay, SawSetting } from '~/core/cutting/sawSetting'
import type { SetupPlan, Stop, Visit } from '~/core/cutting/setups'
import { edgesOf } from '~/core/pieces'
import { type Length, nearestNanometer } from '~/length'
import type { Tool } from '~/model'
import { numbersText } from './alikeText'
import { degreesText } from './linesText'
import { capital, count, listed, money, say, sayStock, sayWithUnit, type Wording } from './words'

/** What stands at the saw. */
export const sawText = {
  list: 'Pieces to cut',
  inHand: 'Piece in hand',
  none: 'Press a piece, here or on the wall: how it is cut and where it goes.',
  setups: 'In fewest set-ups',
  boards: 'From which board',
  release: 'Release to the saw',
  releaseAnyway: 'Release anyway',
  releaseWhy: 'Freezes this list: its pieces get names that stay, and what is cut is ticked on it.',
  again: 'Release the list as it is now',
  cutOne: '1 cut',
  cut: 'Cut',
  uncut: 'Not cut after all',
  up: 'Up on the wall',
  down: 'Taken down again',
  spoiled: 'Spoiled',
  ifSpoiled: (says: string) => `If it is spoiled: ${says}.`,
  back: 'Card before',
  left: 'All that is left to cut',
  allDone: (pieces: number) => `All ${count(pieces, 'piece')} are cut.`,
  cutOf: (cut: number, of: number) => (cut === 0 ? `${of} to cut` : `${cut} of ${of} cut`),
  cutAll: (of: number) => (of === 1 ? 'Cut, next' : `All ${of} cut, next`),
  card: (at: number, of: number) => `card ${at} of ${of}`,
  change: { saw: 'Change the saw: ', stuff: 'Other stuff, same setting: ' },
  cutThis: 'Cut',
  undoCut: (names: readonly string[]) =>
    names.length === 1
      ? `Undo: ${names[0]} cut`
      : `Undo: ${names.length} cut, ${names[0]} to ${names.at(-1)}`,
  readLabel: 'Read on the wall, long point to long point',
  readWhy: 'What you read here counts; the plan’s figure is left beside it.',
  planned: (length: string) => `The plan has ${length}`,
  face: { up: 'face up', down: 'face down' },
  flaws: 'Boards with flaws',
  flawsGo:
    'Their pieces go near the floor or the ceiling, behind furniture or into short pieces; the bad end falls into the offcut.',
  flawMark: 'A board has a flaw',
  flawKeep: 'Note it',
} as const

/** 35.3°: as fine as a saw's scale is set. */
function scaleText(deg: number): string {
  return `${Number(deg.toFixed(1))}°`
}

/** 45° to the left; or 0° with the blade tilted 45° to the left, face down. */
export function settingText({ swingDeg, hand, tiltDeg, tilt, face }: SawSetting): string {
  if (hand) return `${scaleText(swingDeg)} to the ${hand}`
  if (tilt)
    return `0° with the blade tilted ${scaleText(tiltDeg)} to the ${tilt}${face === 'down' ? ', face down' : ''}`
  return '0°'
}

/** The settings of one end, and where the scale does not click in. */
export function endSettingText(cuts: readonly SawCut[]): string {
  return listed(
    cuts.map((cut) =>
      cut.hand && cut.detent === null ? `${settingText(cut)} (between detents)` : settingText(cut),
    ),
  )
}

/** How the two ends of a group are cut. */
export function groupSettingText(start: readonly SawCut[], end: readonly SawCut[]): string {
  const [first, second] = [start, end].map((cuts) => listed(cuts.map(settingText)))
  return first === second ? `Saw at ${first}, both ends` : `Saw at ${first}, then at ${second}`
}

/** How a cut is made that the saw does not reach. */
export function otherWayText(other: OtherWay): string {
  switch (other.way) {
    case 'turnOver':
      return `past the saw that way: turn the piece face down and swing to the ${other.hand}`
    case 'squareBlock':
      return `past the saw: clamp the piece square to the fence, along a block with a right angle, and set ${degreesText(other.deg)}`
    case 'guided':
      return 'past the saw: with the circular saw along a clamped guide'
    case 'byHand':
      return 'past the saw: by hand to its mark'
    case 'mate':
      return 'nothing you have cuts this: change what it meets, or have it cut by the ticket'
  }
}

const TOOL_NAMES: Readonly<Record<Tool, string>> = {
  miterSaw: 'miter saw',
  handBox: 'hand saw in its box',
  ripGuide: 'circular saw with a guide',
  tableSaw: 'table saw',
  jigsaw: 'jigsaw',
  rotary: 'rotary tool',
  handSaw: 'hand saw',
  router: 'router',
}

export function toolName(tool: Tool): string {
  return TOOL_NAMES[tool]
}

const WORK_NAMES: Readonly<Record<HandWork['work'], string>> = {
  notch: 'notch',
  lap: 'half-lap',
  cope: 'cope',
  rip: 'rip',
  point: 'pointed end',
}

/** 2 notches: with the jigsaw. */
export function workText({ work, count: many, tool }: HandWork): string {
  const what = capital(
    many === 1 ? WORK_NAMES[work] : `${many} ${WORK_NAMES[work]}s`.replace('notchs', 'notches'),
  )
  return tool
    ? `${what}: with the ${toolName(tool)}`
    : `${what}: no tool of yours makes it; put it on the ticket`
}

/** Where the stop is. */
export function stopText(stop: Stop, w: Wording): string {
  return stop.kind === 'away' ? 'stop swung away' : `stop at ${sayWithUnit(nearestNanometer(stop.length), w)}`
}

/** Right 45°, stop swung away: first ends of A, B; to the pencil mark C. Turn over A. */
export function visitText({ setting, stop, firsts, lengths, turned }: Visit, w: Wording): string {
  const cuts = [
    ...(firsts.length > 0 ? [`first ends of ${listed(firsts)}`] : []),
    ...(lengths.length > 0 ? [`${stop.kind === 'away' ? 'to the pencil mark ' : ''}${listed(lengths)}`] : []),
  ].join('; ')
  const over = turned.length > 0 ? `. Turn face down: ${listed(turned)}` : ''
  return `${capital(settingText(setting))}, ${stopText(stop, w)}: ${cuts}${over}`
}

/** 7 set-ups, none needs fewer. */
export function setupsText({ count: many, bound, proven }: SetupPlan): string {
  return proven
    ? `${count(many, 'set-up')}; searched through: no order needs fewer`
    : `${count(many, 'set-up')}; none needs fewer than ${bound}`
}

/** What has become of the list at the saw since the layout went on; null where nothing has. */
export function sinceText({ fits, moves, fresh, again, leftOver, dropped }: SinceRelease): string | null {
  if (fresh.length + dropped.length + leftOver.length === 0) return null
  const saved = leftOver.filter(({ serves }) => serves !== null).length
  return [
    'The layout has gone on since this list was released.',
    `${capital(count(fits.length, 'piece'))} still ${fits.length === 1 ? 'fits' : 'fit'}${moves.length > 0 ? `, ${moves.length} of them elsewhere` : ''}.`,
    ...(fresh.length > 0
      ? [
          `${fresh.length} to cut${again.length > 0 ? `, ${again.length} of them again` : ''}${saved > 0 ? `, ${saved} from what is left over` : ''}.`,
        ]
      : []),
    ...(leftOver.length > 0 ? [`Left over: ${listed(leftOver.map(({ name }) => name))}.`] : []),
    ...(dropped.length > 0 ? [`No more wanted, not cut yet: ${listed(dropped)}.`] : []),
  ].join(' ')
}

/** 2 trips to the saw: 14 pieces, then 3 that are read first. */
export function tripsText(trips: readonly (readonly string[])[], open: ReadonlySet<string>): string {
  return `${count(trips.length, 'trip')} to the saw: ${trips
    .map((names, i) =>
      names.some((name) => open.has(name))
        ? `${i === 0 ? '' : 'then '}${listed(names)}, read in one visit`
        : `${count(names.length, 'piece')} by the list`,
    )
    .join('; ')}`
}

/** Cut a little over and creep up on it. */
export function creepText(creep: Parameters<typeof say>[0], w: Wording): string {
  return `Read it at its place, cut ${sayWithUnit(creep, w)} long and creep up on it.`
}

/** Rip it to width first. */
export function ripText({ from, to }: NonNullable<CutCard['rip']>, w: Wording): string {
  return `Rip first: from ${say(from, w)} to ${sayWithUnit(to, w)} wide, the sawn edge to the wall.`
}

/** What another piece is cut from. */
export const spoilText = {
  noBoards: 'no board on the list is long enough for another',
  spare: (board: number, offcut: Length, w: Wording) =>
    `another comes out of what is left of board ${board} (${say(offcut, w)}): it costs no board`,
  board: (length: Length, price: number | null, w: Wording) =>
    `no offcut holds another: one more board of ${sayStock(length, w)}${price === null || !w.currency ? '' : `, ${money(price, w.currency)}`}`,
} as const

/** Spoiled once, to be cut again from a new board. */
export function spoiledText(times: number, from: 'spare' | 'board'): string {
  return `Spoiled ${times === 1 ? 'once' : `${times} times`}, to be cut again from ${from === 'board' ? 'a new board' : 'what is left of one'}.`
}

/** How long a piece is along its edges, where they or its tips differ; null for a piece that is square at both ends. */
export function edgesText(card: Parameters<typeof edgesOf>[0], w: Wording): string | null {
  const { left, right, straight } = edgesOf(card)
  const same = say(left, w) === say(right, w)
  const tips = straight ? '' : `; ${sayWithUnit(card.longLength, w)} from tip to tip`
  if (same && straight) return null
  if (left === 0 || right === 0) return `runs to a point, with no short edge${tips}`
  return same
    ? `${sayWithUnit(left, w)} along each edge, long point to short point${tips}`
    : straight
      ? `long edge ${say(Math.max(left, right), w)}, short edge ${sayWithUnit(Math.min(left, right), w)}`
      : `left edge ${say(left, w)}, right edge ${sayWithUnit(right, w)}, each long point to short point${tips}`
}

/** The lengths written along the two edges of a drawn piece: the left one, and the right one where it differs. */
export function edgeTexts(
  card: Parameters<typeof edgesOf>[0],
  w: Wording,
): { readonly left: string; readonly right: string | null } {
  const { left, right, measured, straight } = edgesOf(card)
  if (straight && say(left, w) === say(right, w)) return { left: sayWithUnit(measured, w), right: null }
  return { left: left === 0 ? '' : sayWithUnit(left, w), right: right === 0 ? '' : sayWithUnit(right, w) }
}

/** What of a row is more than two square cuts, in a few words: rip, slant, notches, laps, a tapered edge. */
export function workTags({ row, rip, start, end }: CutCard, w: Wording): string[] {
  const swings = [...new Set([...start, ...end].map(({ swingDeg }) => swingDeg))].filter((deg) => deg > 0)
  const many = (n: number, one: string) =>
    n === 0 ? [] : [n === 1 ? one : `${n} ${one.replace(/ch$/, 'che')}s`]
  return [
    ...(rip ? [`ripped to ${sayWithUnit(rip.to, w)}`] : []),
    ...swings.map((deg) => `slant ${degreesText(deg)}`),
    ...many(row.notches.length, 'notch'),
    ...many(row.laps.length, 'half-lap'),
    ...(row.taper ? [`${row.taper.by === 'rip' ? 'ripped' : 'scribed'} to the wall`] : []),
  ]
}

export const labelText = {
  block: 'Block: from an offcut, cut first',
  notReleased: 'Not released yet: rows have letters, pieces no names of their own.',
  ends: (start: string, end: string) => (start === end ? `both ends ${start}` : `start ${start}, end ${end}`),
} as const

/** Trip 2 of 3: read B1, B2 and C1 in one visit. */
export function visitOfText({
  trip,
  of,
  names,
}: {
  trip: number
  of: number
  names: readonly string[]
}): string {
  return `Trip ${trip} of ${of} to the saw. ${names.length === 1 ? 'Its opening is read by itself' : `Read in one visit: ${listed(names)}`}.`
}

/** Board 6; boards 1 to 3. */
export function fromBoardsText(numbers: readonly number[]): string {
  return numbers.length === 1 ? `Board ${numbers[0]}` : `Boards ${numbersText(numbers)}`
}

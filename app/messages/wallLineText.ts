import { LINE_WORDS, type TypedWall, type WallLineProblem } from '~/core/files/wallLines'
import type { WidthRead } from '~/core/survey/widthRead'
import type { Units } from '~/length'
import { type LengthReading, LIMITS, type RunningTrim, type ThingKind } from '~/model'
import { lengthIssueText } from './lengthIssue'
import { thingName } from './thingNames'
import { say, sayWithUnit, type Wording } from './words'

/** How a wall is typed, by the units of the job. */
export function wallLineExample(units: Units): string {
  return {
    inches: 'Bay wall: 139 1/4 x 97, base 5 1/4, outlet at 62',
    'feet-inches': "Bay wall: 11' 7 1/4 x 8' 1, base 5 1/4, outlet at 5' 2",
    mm: 'Bay wall: 3537 x 2464, base 133, outlet at 1575',
  }[units]
}

/** What can be typed, in a sentence. */
export const WALL_LINE_HELP =
  'Name: width x height. Then, after commas, what is there: base, crown (off, if it comes off), door 30 x 80 at 104, window 34 x 46 at 40 up 30, outlet at 22, mirror 30 x 40 at 48, floor rises 1/2, plumb left 3/8, between casings 3 1/2, inside border 3 1/2. Openings go by their left edge, plates by their middle, all from the left.'

/** All words a line may have, from the list they are read by. */
const KNOWN_WORDS = [
  'base',
  'crown',
  ...LINE_WORDS.map(([word]) => word),
  'floor rises',
  'floor falls',
  'ceiling rises',
  'ceiling falls',
  'plumb left',
  'plumb right',
  'up',
  'casing',
  'between casings',
  'inside border',
].join(', ')

/** What a button does that reads an unknown word as an obstacle. */
export function asObstacleText(read: string): string {
  const name = read.split(/\s*(?:\d|\bat\b)/i)[0]?.trim() ?? ''
  return name === '' ? 'Add it as an obstacle' : `Add “${name}” as an obstacle`
}

/** What is wrong in a line that was typed for a wall, and what to do. */
export function wallLineProblemText(problem: WallLineProblem, units: Units): string {
  const { line, read } = problem
  const example = `Write it like “${wallLineExample(units)}”.`
  switch (problem.code) {
    case 'badLength':
      return `Line ${line}: ${lengthIssueText(problem.issue, units)}`
    case 'noHeight':
      return `Line ${line}: “${read}” gives one size where width x height is wanted. ${example}`
    case 'noSize':
      return `Line ${line}: “${read}” is no width x height. ${example}`
    case 'unknownPart':
      return `Line ${line}: “${read}” is not a word Regla knows. Use ${KNOWN_WORDS}.`
    case 'outOfRange':
      return `Line ${line}: “${read}” is no size of anything on a wall. Check the unit.`
    case 'longName':
      return `Line ${line}: keep the name to ${LIMITS.name} letters.`
    case 'tooManyThings':
      return `Line ${line}: a wall holds ${LIMITS.things} things at most.`
  }
}

/** 5 1/4; of a board given by its nominal size what that truly measures, so that a slip is seen. */
function trimText({ height, thickness, fate }: RunningTrim, board: string | undefined, w: Wording): string {
  const size = board
    ? `${say(height, w)} high, ${say(thickness, w)} thick (a ${board} board)`
    : say(height, w)
  return `${size}${fate === 'remove' ? ', comes off' : ''}`
}

/** A reading that was typed: so far higher, lower, or leaning in. */
function typedReadingText({ kind, value }: LengthReading, w: Wording): string {
  const by = sayWithUnit(Math.abs(value), w)
  switch (kind) {
    case 'floorFall':
      return `floor ${by} ${value < 0 ? 'higher' : 'lower'} at the right end`
    case 'ceilingFall':
      return `ceiling ${by} ${value < 0 ? 'higher' : 'lower'} at the right end`
    case 'plumbLeft':
      return `left end leans in ${by} at the top`
    case 'plumbRight':
      return `right end leans in ${by} at the top`
    default:
      return by
  }
}

/** Bay wall: 139 1/4 in wide, 97 in high, base 5 1/4, outlet. */
export function typedWallText({ survey, nominal = [] }: TypedWall, name: string, w: Wording): string {
  if (!survey) return `${name}: to be measured`
  const { baseboard, crown, things } = survey
  const boardOf = (trim: 'baseboard' | 'crown') => nominal.find((each) => each.trim === trim)?.board
  const counts = new Map<ThingKind, number>()
  for (const { kind } of things) counts.set(kind, (counts.get(kind) ?? 0) + 1)
  return [
    `${name}: ${sayWithUnit(survey.width, w)} wide, ${sayWithUnit(survey.height, w)} high`,
    ...(baseboard ? [`base ${trimText(baseboard, boardOf('baseboard'), w)}`] : []),
    ...(crown ? [`crown ${trimText(crown, boardOf('crown'), w)}`] : []),
    ...survey.readings.flatMap((reading) => ('place' in reading ? [typedReadingText(reading, w)] : [])),
    ...[...counts].map(([kind, n]) => `${n > 1 ? `${n} × ` : ''}${thingName(kind)}`),
  ].join(', ')
}

/** What the button that makes new walls does: it says so before it is pressed. */
export function newWallsWord(walls: number, measured: number): string {
  if (walls > 1) return `Add ${walls} walls`
  return measured === 1 ? 'Add this wall and lay it out' : 'Measure this wall'
}

/** How a width was read, for choosing, and what its field is called then. */
export function widthReadName(read: WidthRead): { text: string; label: string; hint: string } {
  return {
    corners: { text: 'corner to corner', label: 'Width, corner to corner', hint: 'the whole wall' },
    casings: {
      text: 'between the casings',
      label: 'Width, between the casings',
      hint: 'casings stand at both ends; their own width is set under “What stands there”',
    },
    border: {
      text: 'inside the border',
      label: 'Width, inside the border',
      hint: 'the strip at each end comes on top',
    },
  }[read]
}

export const measureLineText = {
  label: 'All of it in one line',
  take: 'Use this line',
  copy: 'Copy this wall as a line',
  copied: (line: string, unsaid: number) =>
    unsaid === 0
      ? `Copied: ${line}`
      : `Copied, without ${unsaid === 1 ? 'one thing' : `${unsaid} things`} a line has no words for: ${line}`,
  noSize: 'That is a name. Write width x height.',
  full: `A wall holds ${LIMITS.things} things at most.`,
} as const

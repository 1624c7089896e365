import type { LaserHeight } from '~/core/marks/runningMarks'
import type { TapeReading } from '~/length'
import { say, sayWithUnit, type Wording } from './words'

/** How a reading lies beside its tick. */
export const tapeSide = { on: '', over: 'a little over', under: 'a little under' } as const

/** What the stage of marks says. */
export const markText = {
  floorOf: (which: 'floor' | 'present' | 'only') =>
    ({
      floor: 'Heights from the floor that will be',
      present: 'Heights from the floor there is',
      only: 'Heights from the finished floor',
    })[which],
  laser: (height: number, comes: boolean, w: Wording) =>
    `Heights from the laser line, which stands ${sayWithUnit(height, w)} up from the ${comes ? 'floor there is' : 'finished floor'} at the left corner`,
  count: (done: number, all: number) =>
    all === 0 ? '' : done === all ? `✓ All ${all} are on the wall.` : `${done} of ${all} on the wall.`,
  allDone: (all: number) => `✓ All ${all} are on the wall`,
  next: 'The next thing is the cut list.',
  awake: 'This browser can’t keep the screen awake: set the phone to stay on.',
} as const

/** Where an earlier mark stands. */
export function markMovedText(left: number, w: Wording): string {
  return `marked at ${say(left, w)} before it moved: mark it again`
}

function fromLine(reading: TapeReading, w: Wording): string {
  const side = tapeSide[reading.side]
  // below the line the tape runs down, and what is a little over there is a little more
  const over = reading.tick < 0 && side !== '' ? tapeSide[reading.side === 'over' ? 'under' : 'over'] : side
  if (reading.tick === 0) return 'on the line'
  const where = reading.tick < 0 ? ' below' : ' above'
  return `${say(Math.abs(reading.tick), w)}${where}${over === '' ? '' : `, ${over}`}`
}

/** 12 3/4 below; 12 3/4 below at the left end, 12 1/2 below at the right. */
export function laserHeightText({ left, right }: Pick<LaserHeight, 'left' | 'right'>, w: Wording): string {
  const same = left.tick === right.tick && left.side === right.side
  return same ? fromLine(left, w) : `${fromLine(left, w)} at the left end; ${fromLine(right, w)} at the right`
}

/** What a step of the walk is read aloud as, and marked on. */
export const stepText = {
  level: 'Level line',
  levelHow: (falls: string | null, rises: string | null) =>
    rises !== null
      ? `Strike it from here. The floor rises ${rises} from here: what stands on it must clear that.`
      : falls === null
        ? 'Strike it from here: the floor is level as read.'
        : `Strike it from here, the highest point of the floor: it falls ${falls} from here.`,
  levelFrom: 'Level line from',
  levelAt: {
    highest: 'highest floor',
    left: 'left end',
    middle: 'middle',
    right: 'right end',
  },
  levelLaser: (up: string) => `The laser line stands ${up} up from the floor at the left corner.`,
  fromLeft: 'from the left corner',
  height: (name: string) => name,
  up: 'up from the floor',
  laserAbove: 'above the laser line',
  laserBelow: 'below the laser line',
  atEnds: (right: string) => `at the left end; ${right} at the right`,
  boxHeights: (number: number) => `Box ${number}: heights over the stair`,
  boxCorners: (bottomRight: string, topLeft: string, topRight: string) =>
    `lower right ${bottomRight}; upper left ${topLeft}, upper right ${topRight}`,
  boxLeft: 'lower left corner, up from the stair there',
  lineOn: (on: string, strip: string) => `${strip}, ${on}`,
  both: (far: string) => `other edge ${far}`,
  item: (row: number, name: string) => `Row ${row}: ${name}`,
  itemBoth: (far: string, line: string) => `other edge ${far}, line ${line} up`,
  aloud: 'Read aloud',
  aloudOff: 'Stop reading aloud',
  listen: 'Say “next”',
  listenOff: 'Stop listening',
  noListen: 'This browser can’t listen; the thumb does.',
} as const

/** One mark at a time: what is said of it at the wall. */
export const walkText = {
  corner: (datum: 'left' | 'right') => `From the ${datum} corner`,
  place: (at: number, all: number) => `${at} of ${all}`,
  edge: (edge: 'near' | 'center' | 'far', strip: string) =>
    `${{ near: 'near edge', center: 'center', far: 'far edge' }[edge]} of ${strip.toLowerCase()}`,
  side: { on: 'on the tick', over: 'and a little over', under: 'and a little under' },
  otherEdge: (reads: string, line: string) => `other edge ${reads}, along ${line}`,
  leans: (line: string, reads: string) => `It leans: along ${line} it is ${reads}.`,
  check: 'The spacer should have brought you here. Trust the mark.',
  wipe: 'Marked: wipe it off',
  undo: (place: number) => `Undo: mark ${place}`,
  again: 'Go through again',
} as const

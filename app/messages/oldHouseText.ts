import type { FlatAdvice } from '~/core/cutting/flat'
import type { Sight } from '~/core/layout/sight'
import type { Block, BlockDatum } from '~/core/marks/blocks'
import type { PrepStep } from '~/core/stock/preparing'
import { tickOf } from '~/length'
import type { Flatness, FloorToCome, Heat, Ledge, Lie, Make } from '~/model'
import { flatShapeName, flatWayText, standName } from './wallFindingText'
import { capital, say, sayWithUnit, stripName, type Wording } from './words'

const LIES: Readonly<Record<Lie, string>> = {
  along: 'level, along the wall',
  up: 'upright',
  risesRight: 'at a slant, rising to the right',
  risesLeft: 'at a slant, rising to the left',
}

export function lieName(lie: Lie): string {
  return LIES[lie]
}

/** Hollow of 1/4 under 48, level, at 60, 40 up. */
export function flatnessText({ shape, gap, length, lie, x, y }: Flatness, w: Wording): string {
  return `${capital(flatShapeName(shape))} of ${say(gap, w)} under ${sayWithUnit(length, w)} of straightedge, ${lieName(lie)}, its middle at ${say(x, w)}, ${say(y, w)} up`
}

export const flatText = {
  title: 'How flat it is',
  none: 'No straightedge laid yet. Press the wall where it rocks or shows a gap.',
  lay: 'Lay a straightedge',
  press: 'Press the wall where a straightedge lies: its middle',
  shape: 'It shows a gap',
  hollow: 'under its middle: a hollow',
  belly: 'under its ends: a belly',
  gap: 'The gap at its widest',
  length: 'Length of the straightedge',
  lie: 'How it lies',
  x: 'Its middle, from the left',
  y: 'Its middle, up from the floor',
  done: 'Done',
  flat: 'It is flat there',
  round: 'What was read one way only is taken as round. A second straightedge across it says how wide it is.',
} as const

/** What is done about a piece on its card. */
export function flatAdviceText({ behind, way, tooFar }: FlatAdvice, w: Wording): string {
  const lies = `${capital(flatShapeName(behind.shape))} of ${say(behind.depth, w)} behind it over ${say(behind.length, w)}, deepest ${say(behind.at, w)} from its start`
  return tooFar ? `${lies}. It does not bend so far: choose another way.` : `${lies}. ${flatWayText(way)}`
}

const COVERING: Readonly<Record<FloorToCome['covering'], string>> = {
  tile: 'tile',
  wood: 'wood or laminate',
  carpet: 'carpet',
}
const WHEN: Readonly<Record<FloorToCome['when'], { text: string; hint: string }>> = {
  before: { text: 'before the trim', hint: 'all is measured and cut from the new floor' },
  under: { text: 'after it, under the trim', hint: 'the trim hangs as high as the floor will be' },
  against: { text: 'after it, up against the trim', hint: 'the trim stands on the floor there is' },
}

export const floorFieldText = {
  label: 'A floor still to come',
  none: 'none: this floor stays',
  covering: (of: FloorToCome['covering']) => `${COVERING[of]} is to come`,
  build: 'It builds up by',
  when: 'It is laid',
  whenOption: (when: FloorToCome['when']) => WHEN[when],
  datum: 'from the floor that will be',
  present: 'from the floor there is',
} as const

export function heatFieldLabel(kind: Heat): string {
  return kind === 'fireplace' ? 'Strips keep clear of the opening by' : 'Strips keep clear of it by'
}

/** Less than half a tick is none: it would be told as 0. */
function isNone(by: number, { format }: Wording): boolean {
  return Math.abs(by) < tickOf(format.tape) / 2
}

/** 3/8 right. */
function aside(by: number, w: Wording): string {
  return `${say(Math.abs(by), w)} ${by > 0 ? 'right' : 'left'}`
}

function opens(by: number, w: Wording): string {
  return isNone(by, w) ? 'parallel' : `${say(Math.abs(by), w)} ${by > 0 ? 'wider' : 'narrower'} at the head`
}

function square(by: number, w: Wording): string {
  return isNone(by, w) ? 'square' : `${say(Math.abs(by), w)} off square`
}

export const standText = {
  label: 'How the uprights stand',
  own: 'leaning as you say',
  sight: 'What the eye sees',
  left: 'Lean at the left end, in the wall’s height',
  right: 'Lean at the right end, in the wall’s height',
  share: 'Share out the corners’ leans',
  over: 'Over the uprights’ own height, at the worst of them.',
  marks: 'Mark foot and head: they lie over different places.',
  off: 'Stand them plumb',
  kept: (stand: Sight['stand']) => `Uprights stand ${standName(stand.kind)}.`,
} as const

/** Heads 1/4 right of plumb; left corner 3/16 wider at the head, right corner parallel; floor square, ceiling 1/8 off square. */
export function sightText(sight: Sight, w: Wording): string {
  const plumb = isNone(sight.offPlumb, w) ? 'plumb' : `heads ${aside(sight.offPlumb, w)} of plumb`
  return `${capital(plumb)}. Left corner ${opens(sight.leftCorner, w)}, right corner ${opens(sight.rightCorner, w)}. Floor ${square(sight.offFloor, w)}, ceiling ${square(sight.offCeiling, w)}.`
}

/** On the bottom rail; on the floor that will be. */
export function blockDatumText(datum: BlockDatum, floorComes: boolean, w: Pick<Wording, 'strips'>): string {
  if (datum.kind === 'band') return `From the top of the ${stripName(datum.bandId, w).toLowerCase()}`
  if (datum.kind === 'baseboard') return 'From the top of the baseboard'
  return floorComes ? 'From the floor that will be' : 'From the floor'
}

export function blockText({ kind, bandId, row }: Block, w: Pick<Wording, 'strips'>): string {
  const rows = row === null || row === 1 ? 'the boxes' : `the boxes of row ${row}`
  switch (kind) {
    case 'prop':
      return `prop block under the ${bandId ? stripName(bandId, w).toLowerCase() : 'rail'}`
    case 'margin':
      return `margin block under ${rows}`
    case 'leg':
      return `a leg of ${rows}, on the margin block, as a gauge`
  }
}

export const blocksText = {
  title: 'Blocks for the heights',
  lead: 'Cut from scrap, before anything else. Each is measured from what it stands on.',
  falls: (by: number, w: Wording) =>
    `The floor falls ${say(by, w)} here: it is right at the highest place alone. From there go by a level line.`,
  none: 'Nothing here rests on a block.',
} as const

const STEPS: Readonly<Record<PrepStep, string>> = {
  sandSawn: 'sand the saw marks off its ripped edges',
  easeEdges: 'ease its sharp edges with a router or a block, so that paint holds on them',
  sealKnots: 'seal knots with shellac',
  sealEdges: 'seal cut edges and ends, which drink paint',
  primeAll: 'prime all faces, the back too',
  primeCuts: 'prime where it was cut',
  scuff: 'scuff at 220 between coats',
  sandRaised: 'sand at 220 after the first coat, which raises the fibers, and coat again',
}

const MAKE = {
  stuff: { softwood: 'softwood', hardwood: 'hardwood', mdf: 'MDF' },
  surface: { raw: 'raw', primed: 'primed', finished: 'finished' },
  profile: { square: 'square', molded: 'molded' },
  edges: { sharp: 'sharp edges', eased: 'eased edges' },
  came: { bought: 'bought to width', ripped: 'ripped to width' },
} as const satisfies { [Key in keyof Make]: Record<Make[Key], string> }

export const prepText = {
  title: 'Before paint',
  lead: 'Common practice, no source. Dust: respirator, extraction. Shellac and primer: ventilate, no flame. The product’s label rules.',
  notSaid: 'Say what it is, and what it needs follows.',
  step: (step: PrepStep) => STEPS[step],
  amount: (length: number, ends: number, w: Wording) => `${sayWithUnit(length, w)} in all, ${ends} cut ends`,
  words: MAKE,
  labels: {
    stuff: 'Stuff',
    surface: 'Surface',
    profile: 'Profile',
    edges: 'Edges',
    came: 'How it came',
  },
} as const

export const ledgeText = {
  add: 'Depth, ends, brackets',
  remove: 'Plain again',
  depth: 'Depth, from the wall',
  past: 'Past its free ends',
  ends: 'Free ends',
  endsOption: (ends: Ledge['ends']) =>
    ends === 'square' ? 'cut square' : 'returned to the wall with a miter',
  brackets: 'Brackets',
  bracketsOption: (every: number) =>
    every === 0 ? 'no brackets' : every === 1 ? 'a bracket on every stud' : 'a bracket on every second stud',
  arm: 'Reach of a bracket',
} as const

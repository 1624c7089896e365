import type { JointChoice, JointReason, RunJointAt } from '~/core/cutting/joints'
import type { KitBlock } from '~/core/marks/kit'
import type { BlockKit } from '~/core/stock/blockKit'
import type { RunJoint } from '~/model'
import { degreesText } from './linesText'
import { blockText } from './oldHouseText'
import { thingCalled } from './thingNames'
import { cornerEndName, say, sayWithUnit, type Wording } from './words'

export const jointText = {
  title: 'Joints',
  none: 'Nothing is joined, coped or mitered here: all ends are square.',
  byRule: 'By rule again',
  at: 'from the left corner',
  drag: 'Joint',
  kit: 'Blocks, cut first from offcuts',
  kitNone: 'This wall wants no blocks.',
  labels: 'Labels for the pieces',
  ticket: 'Cutting ticket',
} as const

export function runJointName(joint: RunJoint): string {
  return {
    asWall: 'as on the whole wall',
    scarf: 'scarfed at 45° through the thickness',
    butt: 'butted',
    miter: 'mitered across the face at 45°',
    miterHalf: 'mitered across the face at 22 1/2°',
    none: 'not joined: one board',
  }[joint]
}

/** On a stud; not under a window; clear of the joints of other rails. */
export function jointReasonText({ onStud, studsKnown, inSight, inLine }: RunJointAt): string {
  return [
    onStud ? 'on a stud' : studsKnown ? 'no stud in reach' : 'no stud is known: glue a block behind it',
    ...(inSight ? ['under or over a window, where the eye falls'] : []),
    ...(inLine ? ['in line with a joint of another rail'] : []),
  ].join(', ')
}

const REASONS: Readonly<Record<JointReason, string>> = {
  fittedFirst: 'this wall’s go up first, square to the corner; those of the wall beside come up to them',
  standsAgainst: 'square, shorter by the thickness of the trim they come up to',
  moldedInside:
    'molded trim in an inside corner: a cope stays closed where a miter opens. Leave 1/16 on and spring it in',
  squareInside: 'square-edged trim: a butt is as tight, and quicker',
  outside: 'an outside corner shows both ends: miter at half the measured angle, and glue it',
  cleaner: 'no end grain shows; needs exact cuts, glued so that it does not open',
  quicker: 'one runs over the other: forgiving, its end grain is filled',
  noFrame: 'there is no frame',
  through: 'one runs through, the other is cut to it: a square cut each',
  flush: 'both run on, half of the thickness out of each: flush, and the slowest',
  hangsOver:
    'thicker than the base they stand on: the foot is back-beveled so that its face dies into the base',
  square: 'square ends',
  goesRound: 'cut round what stands there, traced from it',
  endsAt: 'they stop short of it',
}

export function jointChoiceText(
  { kind, of, reason }: JointChoice,
  w: Wording,
): { title: string; why: string } {
  const title = {
    corner: `Rails at the ${of} corner`,
    border: 'Corners of the border',
    crossing: 'Where uprights and rails meet',
    foot: 'Feet on the base',
    thing: `At the ${thingCalled(w, of, 'ledge')}`,
  }[kind]
  return { title, why: REASONS[reason] }
}

export function jointOptionName(kind: JointChoice['kind'], id: string): string {
  if (kind === 'corner') return cornerEndName(id as Parameters<typeof cornerEndName>[0]).text
  const names: Readonly<Record<string, string>> = {
    miter: 'mitered',
    butt: 'butted, one runs over',
    threeSidedMiter: 'mitered at its head',
    threeSided: 'butted at its head',
    byStock: 'the boards decide what runs through',
    uprights: 'uprights run through',
    rails: 'rails run through',
    lapped: 'half-lapped',
    backBevel: 'back-beveled',
    leave: 'left square',
    notch: 'notched round it',
    clear: 'stop at it',
  }
  return names[id] ?? id
}

/** On board 2 behind its last piece, from 88 5/8. */
export function blockPlaceText({ board, from }: BlockKit['placed'][number], w: Wording): string {
  return `board ${board}, from ${say(from, w)}`
}

export function blockWithoutText(length: number, w: Wording): string {
  return `${sayWithUnit(length, w)}: no offcut holds it, take scrap`
}

/** Spacer between uprights; prop block under the top rail; angle gauge, 35.3°. */
export function kitText(block: KitBlock, w: Wording): string {
  switch (block.kind) {
    case 'spacer':
      return 'spacer between uprights'
    case 'block':
      return blockText(block.block, w)
    case 'checkStick':
      return `check stick, the diagonal of a box${block.row > 1 ? ` of row ${block.row}` : ''}: held both ways it shows whether it is square`
    case 'angleGauge':
      return `angle gauge, ${degreesText(block.deg)} on its end`
  }
}

import type { Dropped } from '~/core/edits/changeSchool'
import type { Design, LevelRule, Pattern, School, SideWay } from '~/model'
import { patternWords } from './patternWords'
import { count, say, sayWithUnit, type Wording } from './words'

/** How a spacing school is called. */
export function schoolName(school: School): string {
  return {
    nearWish: 'equal gaps near a wish',
    equalByCount: 'equal gaps by count',
    fromCenter: 'a chosen gap from the center',
    fromEnd: 'a chosen gap from one end',
    toStuds: 'on the studs',
    placed: 'each where it was put',
    centerMarks: 'center marks',
  }[school]
}

const LEVEL: Readonly<Record<LevelRule, string>> = {
  level: '',
  floor: 'Rails run along the floor.',
  ceiling: 'Rails run along the ceiling.',
  split: 'Rails run half way between level and the floor.',
}

/** What is kept besides the sentence, and what its buttons take off. */
export const keptText = {
  extentOff: 'Cover all of it',
  shiftOff: 'Put them back',
  countsOff: 'Let the wish decide again',
  ledger: 'They stand on a quarter-round ledger on the baseboard.',
  ledgerOff: 'Without it',
  backBevel: 'Their feet are back-beveled to the thinner trim.',
  backBevelOff: 'Square feet',
  fillersOff: 'Without them',
  levelRule: LEVEL,
  levelOff: 'Dead level',
  unflat: (way: string) => `Over hollows and bellies, all strips alike: ${way}.`,
  unflatOff: 'As proposed for each',
  levelTops: 'Their tops are level, under the lowest of the ceiling.',
  levelTopsOff: 'Up to the ceiling',
  smallOut: 'Pieces under an inch, or shorter than they are wide, are left out.',
  smallOutOff: 'Cut them',
  side: (side: 'left' | 'right', way: SideWay) =>
    `The ${side} stile is ${way === 'rip' ? 'ripped' : 'scribed'} to the wall.`,
  sideOff: 'Caulk it instead',
  locked: 'Its counts are locked: no match of the room changes them.',
  lockedOff: 'Unlock',
  apart: 'It is left out of the room’s matches and its order of fitting.',
  apartOff: 'Take it in again',
  backTo: (school: string) => `Back to ${school}`,
  forget: 'Forget it',
} as const

/** Covered is the wall from 12 to 96 only. */
export function extentText({ left, right }: NonNullable<Design['extent']>, w: Wording): string {
  return `Covered is only the part from ${say(left, w)} to ${sayWithUnit(right, w)} from the left corner.`
}

/** The count was picked by hand; of sections, of how many. */
export function ownCountsText({ sectionOwn }: Pick<Design, 'sectionOwn'>): string {
  const sections = Object.keys(sectionOwn).length
  if (Object.values(sectionOwn).some(({ places }) => places !== undefined))
    return 'They stand where the wall was built.'
  return sections === 0
    ? 'The count was picked by hand.'
    : `Counts were picked by hand in ${count(sections, 'section')}.`
}

const ENDS_DROPPED: Readonly<Record<NonNullable<Dropped['ends']>, string>> = {
  gap: 'a gap at each wall',
  strip: 'a strip at each wall',
  half: 'half a gap at each wall',
  stripGap: 'a strip at the left, a gap at the right',
  gapStrip: 'a gap at the left, a strip at the right',
}

/** Put aside with equal gaps near a wish: the wish of 16, no less than 10 and no more than 24, a shift of 1 1/4 to the right. */
export function droppedText({ school, shift, wish, limits, ends, strips }: Dropped, w: Wording): string {
  const parts = [
    ...(wish
      ? [`the wish of ${say(wish.wish, w)} ${wish.measure === 'gap' ? 'clear' : 'center to center'}`]
      : []),
    ...(limits
      ? [
          `${limits.moreThan === true ? 'more than' : 'no less than'} ${say(limits.least, w)} and no more than ${say(limits.most, w)}`,
        ]
      : []),
    ...(strips === null ? [] : [`the count of ${strips}`]),
    ...(ends === null ? [] : [ENDS_DROPPED[ends]]),
    ...(shift === 0
      ? []
      : [`a shift of ${sayWithUnit(Math.abs(shift), w)} to the ${shift > 0 ? 'right' : 'left'}`]),
  ]
  return `Put aside with ${schoolName(school)}: ${parts.join(', ')}.`
}

/** Kept as they were left: a grid, boxes of molding. */
export function patternsKeptText(patterns: readonly Pattern[]): string {
  return `Kept as left, for the way back: ${patterns.map((pattern) => patternWords({ pattern }).name).join(', ')}.`
}

export const likeText = {
  open: 'Lay it out like the wall beside it',
  like: (name: string, counts: 'wish' | 'own') =>
    counts === 'wish' ? `Like ${name}, counts by its wish` : `Like ${name}, with this wall’s own counts`,
} as const

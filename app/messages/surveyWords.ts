import type { BatchAdvice } from '~/core/cutting/batchAdvice'
import type { RowFixing } from '~/core/cutting/fixing'
import type { StudEstimate } from '~/core/survey/studEstimate'
import type { Length } from '~/length'
import type { Fixing, LengthReadingKind, LevelRule, WalkQuestion } from '~/model'
import { count, say, sayWithUnit, type Wording } from './words'

/** Width at 40, height at 12 from the left. */
export function readingName(kind: LengthReadingKind, place: Length, w: Wording): string {
  const at = say(place, w)
  switch (kind) {
    case 'width':
      return `width at ${at} up`
    case 'height':
      return `height at ${at} from the left`
    case 'floorFall':
      return `fall of the floor at ${at} from the left`
    case 'ceilingFall':
      return `fall of the ceiling at ${at} from the left`
    case 'plumbLeft':
      return `lean of the left end at ${at} up`
    case 'plumbRight':
      return `lean of the right end at ${at} up`
  }
}

/** What can be read, for choosing. */
export const READING_KINDS: Readonly<
  Record<LengthReadingKind, { name: string; place: string; value: string }>
> = {
  width: { name: 'Width', place: 'at height', value: 'corner to corner' },
  height: { name: 'Height', place: 'from the left', value: 'floor to ceiling' },
  floorFall: { name: 'Fall of the floor', place: 'from the left', value: 'below the level line' },
  ceilingFall: { name: 'Fall of the ceiling', place: 'from the left', value: 'below the level line' },
  plumbLeft: { name: 'Lean of the left end', place: 'at height', value: 'into the wall' },
  plumbRight: { name: 'Lean of the right end', place: 'at height', value: 'into the wall' },
}

/** How rails take a fall. */
export function levelRuleName(rule: LevelRule): string {
  return { level: 'Dead level', floor: 'Along the floor', ceiling: 'Along the ceiling', split: 'Half way' }[
    rule
  ]
}

/** Batch, measure in place, scribe, and why. */
export function batchText({ advice, why, spread }: BatchAdvice, w: Wording): { name: string; why: string } {
  const name = { batch: 'batch', measureInPlace: 'measure in place', scribe: 'hold up and scribe' }[advice]
  const reason = {
    betweenStrips: 'both ends land on strips set by marks',
    readingsAgree: `readings agree within ${sayWithUnit(spread, w)}`,
    readingsDiffer: `the wall is out by ${sayWithUnit(spread, w)}`,
    readTooSeldom: 'the wall was read at too few places to trust the figure',
    widthOnce: `the wall’s width was not measured twice, and a usual misreading makes this piece ${sayWithUnit(spread, w)} wrong`,
    heightOnce: `the wall’s height was not measured twice, and a usual misreading makes this piece ${sayWithUnit(spread, w)} wrong`,
    slantsDiffer: `the bays differ, and these slants with them by up to ${sayWithUnit(spread, w)}`,
    intoCorner: 'an end dies into a corner, so cut that end first, hold the strip up and mark the other',
    meetsThing: 'it ends at something on the wall',
    goesBack: 'it goes back when all it meets is up, cut from itself',
  }[why]
  return { name, why: reason }
}

export function fixingName(fixing: Fixing): string {
  return {
    nails: 'nails only',
    nailsAndGlue: 'nails and glue',
    dabs: 'dabs of glue and brads',
    crossedNails: 'crossed nails',
    pinsAndGlue: 'pins and adhesive',
    adhesiveOnly: 'adhesive only, propped or taped until it sets',
    hotGlue: 'hot glue on a backer panel',
    removable: 'removable tape or backer',
  }[fixing]
}

/** How pieces of a row go on, in one sentence, and where nothing is driven. */
export function fixingText({ advice, studs }: Pick<RowFixing, 'advice' | 'studs'>, w: Wording): string {
  const { fixing, why, nail, longestNail, clearOf, clearAlong } = advice
  const [least, most] = studs
  const because = {
    renter: 'the home is rented, so nothing that tears the wall',
    chosen: 'as you chose',
    onStuds: `it crosses ${least === most ? count(least, 'stud') : `${least} to ${most} studs`}`,
    offStuds: 'it lies between the studs',
    light: 'it is light and off the studs',
    noStuds: 'no stud is marked under it yet',
    keepOut: 'a cable may run behind it, so nothing is driven',
  }[why]
  const nails = nail ? `, ${sayWithUnit(nail, w)} long (never over ${sayWithUnit(longestNail, w)})` : ''
  const clear =
    nail && clearOf.length > 0
      ? `. Drive nothing from ${clearOf.map(({ from, to }) => `${say(from, w)} to ${say(to, w)}`).join(' and from ')} ${clearAlong === 'up' ? 'up the wall' : 'from the left corner'}: a cable may run there`
      : ''
  return `${fixingName(fixing)}${nails}: ${because}${clear}`
}

/** The walk round the room: what is asked, and what can be answered. */
export const WALK_QUESTIONS: Readonly<
  Record<WalkQuestion, { ask: string; answers: readonly { id: string; text: string }[] }>
> = {
  plates: {
    ask: 'Outlets, switches, thermostats, vents, sconces',
    answers: [
      { id: 'none', text: 'none here' },
      { id: 'placed', text: 'all placed' },
    ],
  },
  sideTrim: {
    ask: 'Side trim or a stub of it behind the first or last strip',
    answers: [
      { id: 'none', text: 'none here' },
      { id: 'placed', text: 'all placed' },
    ],
  },
  ledges: {
    ask: 'Ledges, stools, shelves, notches in the wall',
    answers: [
      { id: 'none', text: 'none here' },
      { id: 'placed', text: 'all placed' },
    ],
  },
  texture: {
    ask: 'The wall’s face',
    answers: [
      { id: 'smooth', text: 'smooth' },
      { id: 'textured', text: 'textured' },
    ],
  },
  age: {
    ask: 'The building dates from',
    answers: [
      { id: 'before1978', text: 'before 1978' },
      { id: 'later', text: 'later' },
      { id: 'unknown', text: 'nobody knows' },
    ],
  },
  heat: {
    ask: 'Fireplace, stove, radiator, heater',
    answers: [
      { id: 'none', text: 'none here' },
      { id: 'placed', text: 'all placed' },
    ],
  },
  floor: {
    ask: 'The floor',
    answers: [
      { id: 'stays', text: 'stays as it is' },
      { id: 'toCome', text: 'another is to come' },
    ],
  },
  holder: {
    ask: 'The people here',
    answers: [
      { id: 'owner', text: 'own it' },
      { id: 'renter', text: 'rent it' },
    ],
  },
  furniture: {
    ask: 'Furniture too heavy to leave the room',
    answers: [
      { id: 'none', text: 'none' },
      { id: 'stays', text: 'stays' },
    ],
  },
  child: {
    ask: 'A bed or crib under this wall',
    answers: [
      { id: 'no', text: 'no' },
      { id: 'yes', text: 'yes' },
    ],
  },
}

/** Cautions that stand where pieces are cut and put up. */
export const WORK_CAUTIONS: readonly string[] = [
  'Follow the tool maker’s instructions and local codes; licensed trades do electrical work, plumbing and hazardous-material work.',
  'MDF and wood dust: respirator, extraction, cut outside if you can, clean up by vacuum. NIOSH sets 1 mg/m3 as the limit for wood dust.',
  'Saw and router: eyes and ears covered, hands clear, small pieces clamped.',
  'Nailer: never toward a hand; unplug or unload it before you clear a jam.',
  'Adhesive, shellac, paint: ventilate, no flame. Ladder: three points.',
]

/** The caution an answer calls for; null where it calls for none. */
export function walkCaution(question: WalkQuestion, answer: string | null): string | null {
  switch (`${question} ${answer}`) {
    case 'plates placed':
      return 'Cables run up and down from every box: nothing is driven above or below one. Power off when a plate is off. A panel or thick strip round a box calls for a box extender (NFPA 70, 314.20): a licensed electrician’s work, by local code.'
    case 'texture textured':
      return 'Old textured coatings may hold asbestos: have a sample tested before you sand or scrape. A smooth panel over it avoids both.'
    case 'age before1978':
    case 'age unknown':
      return 'Paint from before 1978 may hold lead (EPA, 40 CFR 745): test before sanding, scraping or prying trim off. Certified people do the work where it does.'
    case 'heat placed':
      return 'Trim burns. It keeps clear of whatever gives heat, as far as local code and the maker say; the distance stands with each thing.'
    case 'floor toCome':
      return 'Say below how high it builds up and when it is laid: heights go by the floor that will be.'
    case 'holder renter':
      return 'Ask the owner first. Removable tape tried on the paint, or a backer panel on few nails in studs, leaves least behind.'
    case 'furniture stays':
      return 'Work in two halves. Two people move what is heavy; cover what stays against dust and paint.'
    case 'child yes':
      return 'Nothing loose or heavy over a bed or crib: screw caps and shelves to studs, or leave them off.'
    default:
      return null
  }
}

/** What a sweep of the stud finder comes to, and how sure that is. */
export function studEstimateText(
  { centers, spacing, seen, expected, scatter, confidence }: StudEstimate,
  w: Wording,
): string {
  const sure = confidence >= 0.75 ? 'quite sure' : confidence >= 0.5 ? 'fairly sure' : 'not sure'
  const percent = `${sure}, ${Math.round(confidence * 100)} %`
  const [first] = centers
  if (first === undefined) return 'No stud was made out. Sweep again, slowly and level.'
  if (spacing === null)
    return `${count(centers.length, 'stud')} made out, no regular spacing (${percent}). Check with a thin nail where the trim will hide it.`
  return `Studs every ${sayWithUnit(spacing, w)}, the first at ${say(first, w)}: ${seen} of ${expected} seen, scattered by ${say(scatter, w)} (${percent}).`
}

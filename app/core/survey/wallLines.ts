import { type Length, nearestNanometer, subtractLengths, ZERO } from '~/length'
import type { Survey } from '~/model'

/** The lines of the wall that bound a layout; heights from the finished floor. */
export interface WallLines {
  readonly left: Length
  readonly right: Length
  readonly floor: Length
  /** Top of what stays at the foot: the kept baseboard, else the floor. */
  readonly baseTop: Length
  /** Underside of what stays at the head: the kept crown, else the ceiling. */
  readonly headLine: Length
  readonly ceiling: Length
}

/** Reads the bounding lines off a survey. */
export function wallLines(survey: Survey): WallLines {
  const base = survey.baseboard?.fate === 'keep' ? survey.baseboard.height : ZERO
  const crown = survey.crown?.fate === 'keep' ? survey.crown.height : ZERO
  return {
    left: ZERO,
    right: survey.width,
    floor: ZERO,
    baseTop: base,
    headLine: subtractLengths(survey.height, crown),
    ceiling: survey.height,
  }
}

/** A part of the wall's height, floor to ceiling, to the nearest nanometer. */
export function partOfHeight(survey: Survey, rule: 'third' | 'half' | 'twoThirds'): Length {
  const part = { third: 1 / 3, half: 1 / 2, twoThirds: 2 / 3 }[rule]
  return nearestNanometer(survey.height * part)
}

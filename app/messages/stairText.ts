import { pitchOf, type Stair, type StairIssue, type StairRise } from '~/core/survey/stair'
import { say, sayWithUnit, type Wording } from './words'

/** The stair on a wall, at Measure. */
export const stairText = {
  title: 'Stair',
  none: 'none',
  from: 'Begins, from the left corner',
  to: 'Ends, from the left corner',
  rises: 'Rises to the',
  risesTo: { left: 'left', right: 'right' },
  by: 'Measured by',
  byName: { step: 'one step', heights: 'heights at its ends', pitch: 'its pitch' } satisfies Record<
    StairRise['by'],
    string
  >,
  rise: 'Rise of a step',
  run: 'Run of a step',
  low: 'Height at its low end',
  high: 'Height at its high end',
  pitch: 'Pitch from level, degrees',
  landing: 'Landings',
  landingName: { none: 'none', low: 'at the low end', high: 'at the high end', both: 'at both ends' },
  skirt: 'Skirt board',
  skirtName: { none: 'none', there: 'stays on the wall' },
  skirtHeight: 'Above the nosings, plumb',
  skirtThickness: 'Thickness',
  add: 'Add the stair',
  update: 'Update the stair',
  remove: 'Remove the stair',
} as const

/** What is wrong with a stair, and what to do. */
export function stairProblemText({ code }: StairIssue): string {
  return {
    noRun: 'The stair ends before it begins. Its end must lie farther right.',
    noRise: 'The stair does not rise. Enter a rise, a pitch or a higher end.',
    pastWall: 'The stair runs past the end of the wall. Check where it begins and ends.',
    aboveWall: 'The stair reaches the ceiling. Check its rise and its run.',
    needsLanding: 'The stair starts above the floor. Add a landing at its low end.',
  }[code]
}

/** From 20 to 92, 42 up to the right, 30.3 degrees. */
export function stairSummary(stair: Stair, w: Wording): string {
  const high = stair.rise.by === 'heights' ? `, up to ${sayWithUnit(stair.rise.high, w)}` : ''
  return `${say(stair.from, w)} to ${say(stair.to, w)}${high}, rising ${stair.rises}, ${pitchOf(stair).toFixed(1)}°`
}

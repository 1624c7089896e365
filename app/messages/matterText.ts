import type { Figure, Suspect } from '~/core/asbuilt/matters'
import { readingName } from './surveyWords'
import { thingCalled } from './thingNames'
import { capital, count, say, sayWithUnit, type Wording } from './words'

const WHOLE = {
  width: 'the wall’s width',
  height: 'the wall’s height',
  baseboard: 'the height of the baseboard',
  crown: 'the height of the crown',
} as const

const PART = {
  left: 'from the left',
  bottom: 'up from the floor',
  width: 'its width',
  height: 'its height',
} as const

/** The width at 40 up; the window, from the left. */
export function figureName(figure: Figure, w: Wording): string {
  switch (figure.of) {
    case 'reading':
      return readingName(figure.reading.kind, figure.reading.place, w)
    case 'thing':
      return `the ${thingCalled(w, figure.thing.id, figure.thing.kind)}, ${PART[figure.part]}`
    default:
      return WHOLE[figure.of]
  }
}

function spoils({ scrap, trim }: Suspect['misses'][number]): string {
  if (scrap === 0 && trim === 0) return 'nothing is spoiled'
  if (scrap === 0) return `${count(trim, 'piece')} ${trim === 1 ? 'has' : 'have'} to be trimmed`
  return `${count(scrap, 'piece')} ${scrap === 1 ? 'is' : 'are'} scrap${trim > 0 ? ` and ${trim} to be trimmed` : ''}`
}

/** If the width is off by 1/4, nine pieces are scrap: read it again. */
export function suspectText({ figure, misses }: Suspect, w: Wording): string {
  const told = misses.map((miss, i) => `${i === 0 ? 'off by ' : 'by '}${say(miss.by, w)}, ${spoils(miss)}`)
  return `${capital(figureName(figure, w))}: ${told.join('; ')}.`
}

export const matterText = {
  title: 'Read again before you cut',
  lead: 'Figures read only once, and what a miss would spoil. The worst first.',
  unasked: (n: number) =>
    `${count(n, 'figure')} not tried for lack of time. Measure ${n === 1 ? 'it' : 'them'} twice as well.`,
  working: 'Planning again with each of them off…',
  none: 'No figure read only once would spoil a piece.',
  failed: 'This took too long to work out. It is tried again after the next change.',
  again: 'Read it again',
  agrees: 'They agree: it counts as read twice.',
  more: (rest: number) => `${rest} more`,
  fewer: 'Only the worst',
  differs: (before: number, now: number, w: Wording) =>
    `It read ${say(before, w)} before and ${sayWithUnit(now, w)} now. A third reading settles it.`,
  take: (now: number, w: Wording) => `Go by ${say(now, w)}`,
} as const

import type { Plan } from '~/core/computePlan'
import type { Survey, Thing } from '~/model'
import { layoutTitle } from './layoutTitle'
import { patternWords } from './patternWords'
import { thingCalled } from './thingNames'
import { capital, count, say, sayWithUnit, stripName, type Wording } from './words'
import { sumFigures } from './sumText'

/** Where a thing stands: 56 from the left, 30 up, 33 by 46. */
export function thingPlace({ left, bottom, width, height }: Thing, w: Wording): string {
  return `${say(left, w)} from the left, ${say(bottom, w)} up from the floor, ${say(width, w)} wide and ${sayWithUnit(height, w)} high`
}

/** A thing's grip: what it is, where, and how it is moved. */
export function gripName(thing: Thing, w: Wording): string {
  return `${capital(thingCalled(w, thing.id, thing.kind))}, ${thingPlace(thing, w)}; arrow keys move it`
}

/** How many strips are told one by one. */
const TOLD = 40

/** What the drawing shows, for whoever does not see it. */
function describe({ layout, findings }: Plan, { things, baseboard, crown }: Survey, w: Wording): string {
  const uprights = layout.uprights
    .slice(0, TOLD)
    .map(({ id, left, right }) => `${stripName(id, w)} from ${say(left, w)} to ${say(right, w)}`)
  const bands = layout.bands.map(
    ({ id, bottom, top }) => `${stripName(id, w)} from ${say(bottom, w)} to ${say(top, w)} up`,
  )
  const wrong = findings.filter(({ severity }) => severity === 'wrong').length
  return [
    `${layoutTitle({ layout } as Plan, w)}.`,
    ...(baseboard ? [`Baseboard ${say(baseboard.height, w)} high.`] : []),
    ...(crown ? [`Crown ${say(crown.height, w)} high.`] : []),
    ...things.map((thing) => `${capital(thingCalled(w, thing.id, thing.kind))} ${thingPlace(thing, w)}.`),
    ...(uprights.length > 0
      ? [
          `${capital(patternWords(layout).many)} from the left corner: ${uprights.join('; ')}${layout.uprights.length > TOLD ? ` and ${layout.uprights.length - TOLD} more` : ''}.`,
        ]
      : []),
    ...(bands.length > 0 ? [`${bands.join('; ')}.`] : []),
    wrong === 0 ? 'Nothing is wrong.' : `${count(wrong, 'thing')} wrong.`,
  ].join(' ')
}

export const drawingText = {
  describe,
  more: 'press a strip for its mark',
  putBack: (text: string) => `Put back ${text}`,
} as const

/** What has changed, told calmly once the hand rests: the sum and what is wrong. */
export function restText(closes: string, wrong: readonly string[]): string {
  const [first] = wrong
  return first === undefined ? closes : `${closes} ${count(wrong.length, 'thing')} wrong: ${first}`
}

/** 13 strips and 14 gaps of 13 15/16 close on the wall; or by how much they do not. */
export function closingText({ closing, layout }: Plan, w: Wording): string {
  const words = patternWords(layout)
  if (!closing) return capital(`${words.noSum}.`)
  const { figure, drift } = sumFigures(closing, w)
  const gaps = closing.gaps
    .map(({ count: n, size }) => `${n} ${n === 1 ? words.gap : words.gaps} of ${figure(size)}${drift(size)}`)
    .join(', ')
  const sum = `${closing.strips.count} ${closing.strips.count === 1 ? words.strip : words.strips} and ${gaps}`
  return closing.difference === 0
    ? `${sum} close on the wall.`
    : `${sum}: ${say(closing.difference, w)} missing.`
}

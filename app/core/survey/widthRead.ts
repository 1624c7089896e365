import { addLengths, inches, type Length, nanometers, ZERO } from '~/length'
import type { Survey, Thing } from '~/model'

/** From where to where a width was read: corner to corner, between casings at the wall's two ends, or inside a border. */
export const WIDTH_READ = ['corners', 'casings', 'border'] as const
export type WidthRead = (typeof WIDTH_READ)[number]

const ENDS = ['left', 'right'] as const

function endId(end: (typeof ENDS)[number]): string {
  return `end-casing-${end}`
}

/** The casings at the wall's two ends: trim that stands there from the floor up, hard against the corner. */
export function endCasings({ things, width }: Survey): Record<(typeof ENDS)[number], Thing | null> {
  const trim = things.filter(({ kind }) => kind === 'sideTrim')
  return {
    left: trim.find(({ left }) => left <= 0) ?? null,
    right: trim.find((thing) => thing.left + thing.width >= width) ?? null,
  }
}

/** What stands between a width as it was read and the corners. */
export function beyondWidth(
  survey: Survey,
  read: WidthRead,
  border: Length = ZERO,
): { left: Length; right: Length } {
  if (read === 'corners') return { left: ZERO, right: ZERO }
  if (read === 'border') return { left: border, right: border }
  const { left, right } = endCasings(survey)
  return {
    left: left ? addLengths(left.left, left.width) : ZERO,
    right: right ? nanometers(Math.max(0, survey.width - right.left)) : ZERO,
  }
}

/** A casing of that width at an end: as high as a usual door's, as thick as a usual casing (common practice, no source). */
function casingAt(survey: Survey, end: (typeof ENDS)[number], width: Length): Thing {
  return {
    id: endId(end),
    kind: 'sideTrim',
    left: end === 'left' ? ZERO : nanometers(survey.width - width),
    bottom: ZERO,
    width,
    height: nanometers(Math.min(survey.height, inches(82.5))),
    thickness: inches(0.75),
    casing: ZERO,
    fate: 'keep',
    clear: null,
    slope: null,
    fromRight: null,
    fromTop: null,
  }
}

/**
 * The wall whose width was read between casings, or inside a border, of this width each: corner to corner it is wider by
 * both, and the casings stand on it.
 */
export function widthFrom(survey: Survey, read: Exclude<WidthRead, 'corners'>, each: Length): Survey {
  const wide = { ...survey, width: addLengths(survey.width, each, each) }
  const moved = survey.things.map((thing) => ({ ...thing, left: addLengths(thing.left, each) }))
  if (read === 'border') return { ...wide, things: moved }
  return { ...wide, things: [...moved, ...ENDS.map((end) => casingAt(wide, end, each))] }
}

/** The wall with another width, read so: what stands at its right end stays at its right end. */
export function withWidthRead(survey: Survey, read: WidthRead, value: Length, border: Length = ZERO): Survey {
  const beyond = beyondWidth(survey, read, border)
  const width = addLengths(value, beyond.left, beyond.right)
  const { right } = endCasings(survey)
  const by = nanometers(width - survey.width)
  return {
    ...survey,
    width,
    things: survey.things.map((thing) =>
      read === 'casings' && thing.id === right?.id ? { ...thing, left: addLengths(thing.left, by) } : thing,
    ),
  }
}

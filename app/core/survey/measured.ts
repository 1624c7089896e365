import { inches, type Length, nearestNanometer } from '~/length'
import type { Survey } from '~/model'
import { latestReadings } from './latestReadings'
import { clearSpan, wallShape } from './wallShape'
import { bendsWithin, profileAt } from './profile'

/** How wide and how high a wall is, and the widest and highest it was read. */
export interface Measured {
  readonly width: Length
  readonly height: Length
}

/**
 * The wall's width and height as everything shows them: between its ends at the tightest, and the least height under its ceiling, by
 * all readings; the round figures where nothing was read. Nanometers.
 */
export function measuredSize(survey: Survey): Measured {
  const shape = wallShape(survey)
  const { left, right } = clearSpan(shape, 0, survey.height)
  const heights = [...bendsWithin(shape.ceiling, left, right), ...bendsWithin(shape.floor, left, right)].map(
    (x) => profileAt(shape.ceiling, x) - profileAt(shape.floor, x),
  )
  const read = latestReadings(survey.readings, 'height').length > 0
  return {
    width: nearestNanometer(Math.max(1, right - left)),
    height: read ? nearestNanometer(Math.max(1, Math.min(...heights))) : survey.height,
  }
}

/** A round figure that the readings contradict: what was typed, and the least and the most that was read. */
export interface TypedAgainst {
  readonly kind: 'width' | 'height'
  readonly typed: Length
  readonly least: Length
  readonly most: Length
  readonly readings: number
}

/** A round figure may be this far from the readings: more is a slip or another wall. Common practice, no source. */
const ROUND_WITHIN = inches(1 / 2)

/** Round figures that lie more than half an inch past the least or the most that was read of their kind. */
export function typedAgainst(survey: Survey): TypedAgainst[] {
  return (['width', 'height'] as const).flatMap((kind): TypedAgainst[] => {
    const values = latestReadings(survey.readings, kind).map(({ value }) => value)
    if (values.length === 0) return []
    const [least, most] = [Math.min(...values), Math.max(...values)]
    const typed = survey[kind]
    return typed < least - ROUND_WITHIN || typed > most + ROUND_WITHIN
      ? [
          {
            kind,
            typed,
            least: nearestNanometer(least),
            most: nearestNanometer(most),
            readings: values.length,
          },
        ]
      : []
  })
}

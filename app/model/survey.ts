import { z } from 'zod'
import { inches } from '~/length'
import { type LengthSchema, notNegative, positive, storedLength } from './lengthSchema'

/** What runs along the wall's foot or head: how high, how thick, and whether it stays. */
function runningTrim(length: LengthSchema) {
  return z.strictObject({
    height: positive(length),
    thickness: notNegative(length),
    fate: z.enum(['keep', 'remove']),
  })
}

/** The wall as measured. Width along the floor from the left corner; heights from the finished floor. */
export function surveySchema(length: LengthSchema) {
  return z.strictObject({
    version: z.literal(1),
    width: positive(length),
    height: positive(length),
    baseboard: runningTrim(length).nullable(),
    crown: runningTrim(length).nullable(),
  })
}

/** A survey as stored. */
export type Survey = z.output<ReturnType<typeof surveySchema>>

/** Baseboard or crown. */
export type RunningTrim = NonNullable<Survey['baseboard']>

/** The stored form. */
export const storedSurvey = surveySchema(storedLength)

/** A wall nobody has measured yet: round figures, to be overwritten. */
export function blankSurvey(): Survey {
  return { version: 1, width: inches(120), height: inches(96), baseboard: null, crown: null }
}

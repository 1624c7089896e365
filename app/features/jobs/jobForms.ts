import { z } from 'zod'
import { TAPES, tapesFor, UNITS } from '~/length'
import { LIMITS } from '~/model'

const name = (what: string) =>
  z
    .string({ error: `Give the ${what} a name.` })
    .trim()
    .min(1, { error: `Give the ${what} a name.` })
    .max(LIMITS.name, { error: `Keep it to ${LIMITS.name} letters.` })

const client = z
  .string()
  .trim()
  .max(LIMITS.name, { error: `Keep it to ${LIMITS.name} letters.` })
  .default('')

/** The form of a new job. */
export const newJobForm = z
  .object({ name: name('job'), client, units: z.enum(UNITS), tape: z.enum(TAPES) })
  .refine(({ units, tape }) => tapesFor(units).includes(tape), {
    path: ['tape'],
    error: 'That tape does not go with these units.',
  })

/** The form that renames a job. */
export const renameJobForm = z.object({ name: name('job'), client })

/** The form of a new wall. */
export const newWallForm = z.object({ name: name('wall'), room: name('room') })

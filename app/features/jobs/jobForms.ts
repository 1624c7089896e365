import { z } from 'zod'
import { readWallLines, type TypedWall } from '~/core/files/wallLines'
import { TAPES, tapesFor, type Units, UNITS } from '~/length'
import { fullText, wallLineProblemText } from '~/messages'
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

/** Room for every wall a room may have, each with what stands on it. */
const MOST_TYPED = 20_000

const lines = z.string().max(MOST_TYPED, { error: 'That is more than the walls of one room.' }).default('')
const roomOrNone = z
  .string()
  .trim()
  .max(LIMITS.name, { error: `Keep it to ${LIMITS.name} letters.` })
  .default('')
const id = z
  .string()
  .max(64)
  .default('')
  .transform((each) => (each === '' ? null : each))

/** The walls as typed; each line that can't be read is a problem beside the field. */
function wallsIn(text: string, units: Units, refine: z.core.$RefinementCtx): readonly TypedWall[] {
  const read = readWallLines(text, units)
  const problems = read.ok
    ? read.value.length > LIMITS.wallsInRoom
      ? [fullText('wallsInRoom')]
      : []
    : read.issue.map((problem) => wallLineProblemText(problem, units))
  for (const message of problems) refine.addIssue({ code: 'custom', path: ['lines'], message })
  return read.ok ? read.value : []
}

/** The form of a new job; with its first walls, where some were typed. */
export const newJobForm = z
  .object({
    name: name('job'),
    client,
    units: z.enum(UNITS),
    tape: z.enum(TAPES),
    /** The job whose habits are taken. */
    habits: id,
    room: roomOrNone,
    lines,
  })
  .refine(({ units, tape }) => tapesFor(units).includes(tape), {
    path: ['tape'],
    error: 'That tape does not go with these units.',
  })
  .transform(({ lines, ...job }, refine) => ({ ...job, walls: wallsIn(lines, job.units, refine) }))

/** The form that renames a job. */
export const renameJobForm = z
  .object({
    name: name('job'),
    client,
    /** How they were where they were changed. */
    wasName: z.string().optional(),
    wasClient: z.string().default(''),
  })
  .transform(({ wasName, wasClient, ...names }) => ({
    ...names,
    was: wasName === undefined ? null : { name: wasName, client: wasClient },
  }))

/** The form that renames a wall, or a room. */
export const renameForm = (what: 'wall' | 'room') => z.object({ name: name(what) })

/** The form of new walls in a job of these units; with nothing typed it is one, to be measured. */
export const newWallsForm = (units: Units) =>
  z.object({ room: roomOrNone, lines, like: id }).transform(({ lines, ...rest }, refine) => {
    const walls = wallsIn(lines, units, refine)
    return { ...rest, walls: walls.length > 0 ? walls : [{ name: null, survey: null }] }
  })

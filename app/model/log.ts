import { z } from 'zod'
import { storedLength } from './lengthSchema'
import { LIMITS } from './limits'

/** What is timed at a wall, with one press or by its ticks. */
export const LOG_STAGES = ['measure', 'mark', 'cut', 'fit', 'finish'] as const
export type LogStage = (typeof LOG_STAGES)[number]

/** What goes wrong, as it is picked. Common practice, no source. */
export const NOTES = [
  'note',
  'readWrong',
  'cutShort',
  'outOfLevel',
  'split',
  'nailThrough',
  'glueLet',
  'badBoard',
  'hitSomething',
  'waited',
] as const
export type NoteKind = (typeof NOTES)[number]

/** What is learned from times and counts; of three ways to put paint on each learns for itself. */
export const LEARNED = [
  'markOne',
  'cutOne',
  'fitOne',
  'sandBoard',
  'coatBoard.brush',
  'coatBoard.roller',
  'coatBoard.sprayer',
  'wallFeet.brush',
  'wallFeet.roller',
  'wallFeet.sprayer',
  'skimFeet',
  'caulkFeet',
  'fillOne',
  'removeFeet',
  'dropOne',
  'sheetOne',
] as const
export type LearnedKey = (typeof LEARNED)[number]

/** What a time was for, in its rate's own units: pieces, boards, feet. `less` are minutes of it that went into something else. */
export const countedSchema = () =>
  z.strictObject({
    rate: z.enum(LEARNED),
    amount: z.number().positive().max(1_000_000),
    less: z.number().min(0).max(100_000).default(0),
    /** Minutes it was estimated at, as it was ticked: designs go on afterwards. */
    planned: z.number().min(0).max(100_000),
  })
export type CountedTime = z.output<ReturnType<typeof countedSchema>>

/** What is written into a log, of a wall and of a job alike; `done` is what every act has. */
export function logShapes(done: { readonly id: z.ZodString; readonly doneAt: z.ZodNumber }) {
  const text = z.string().trim().max(LIMITS.note)
  const name = z.string().trim().max(LIMITS.name)
  return [
    /** Something to remember: what went wrong, or a line, where on the wall it was, with a photograph. */
    z.strictObject({
      ...done,
      kind: z.literal('noted'),
      what: z.enum(NOTES),
      text,
      /** From the left corner and the floor there; null where it is of no place. */
      at: z.strictObject({ x: storedLength, y: storedLength }).nullable(),
      /** The photograph's id, made with it. */
      photo: z.string().min(8).max(64).nullable(),
    }),
    /** A product that was used, with its color and batch as they stand on the can. */
    z.strictObject({
      ...done,
      kind: z.literal('used'),
      product: name.min(1),
      color: name,
      batch: name,
    }),
    /** A line of the log is struck out: it stays as a row, and counts no more. */
    z.strictObject({ ...done, kind: z.literal('struck'), entry: z.string().min(8).max(64) }),
    /** The second cut of a piece that was cut twice: it is a piece too many and lies on the rack. */
    z.strictObject({ ...done, kind: z.literal('spare'), entry: z.string().min(8).max(64) }),
  ] as const
}

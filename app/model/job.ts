import { z } from 'zod'
import { LIMITS } from './limits'
import { type Units, UNITS } from '~/length'
import { designSchema } from './design'
import { type LengthSchema, storedLength, typedLength } from './lengthSchema'
import { idSchema } from './material'
import { settingsSchema } from './settings'
import { surveySchema } from './survey'

/** What a wall's first design is called. */
export const FIRST_OPTION = 'Option 1'

const title = /*@__PURE__*/ z.string().trim().min(1).max(LIMITS.name)

/** What a wall is (survey) and what it is to become (design): the document one revision holds. */
function wallDocumentSchema(length: LengthSchema) {
  return z.strictObject({ survey: surveySchema(length), design: designSchema(length) })
}

export type WallDocument = z.output<ReturnType<typeof wallDocumentSchema>>
export const storedWallDocument = /*@__PURE__*/ wallDocumentSchema(storedLength)

/** A whole job as one JSON document: what is exported, imported and given to `plan`. */
export function jobFileSchema(length: LengthSchema) {
  return z.strictObject({
    format: z.literal('regla-job'),
    version: z.literal(2),
    name: title,
    client: z.string().max(LIMITS.name),
    settings: settingsSchema(length),
    rooms: z
      .array(
        z.strictObject({
          id: idSchema,
          name: title,
          walls: z
            .array(
              z.strictObject({
                id: idSchema,
                name: title,
                ...wallDocumentSchema(length).shape,
                /** What the chosen design is called, and the wall's other ones. */
                option: title.optional(),
                options: z
                  .array(z.strictObject({ name: title, design: designSchema(length) }))
                  .max(LIMITS.options)
                  .optional(),
              }),
            )
            .max(LIMITS.wallsInRoom),
        }),
      )
      .max(LIMITS.rooms),
  })
}

export type JobFile = z.output<ReturnType<typeof jobFileSchema>>

/** The job file as read from outside; bare numbers in strings follow the file's own units. */
export function jobFileSchemaFor(units: Units) {
  return jobFileSchema(typedLength(units))
}

/** The units a file says it is written in; inches when it says nothing readable. */
export function unitsOf(raw: unknown): Units {
  const found = z.object({ settings: z.object({ units: z.enum(UNITS) }) }).safeParse(raw)
  return found.success ? found.data.settings.units : 'inches'
}

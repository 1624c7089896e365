import { z } from 'zod'
import { cuttingFileSchema } from '~/core/files/cuttingFile'
import { jobFileSchemaFor } from '~/model'

/** docs/job.schema.json as it follows from the Zod schema of the job file. */
export function jobSchemaText(): string {
  const schema = z.toJSONSchema(jobFileSchemaFor('inches'), { io: 'input', target: 'draft-2020-12' })
  return `${JSON.stringify({ title: 'Regla job file', ...schema }, null, 2)}\n`
}

/** docs/boards.schema.json as it follows from the Zod schema of a cutting problem. */
export function boardsSchemaText(): string {
  const schema = z.toJSONSchema(cuttingFileSchema(), { io: 'input', target: 'draft-2020-12' })
  return `${JSON.stringify({ title: 'Regla cutting problem', ...schema }, null, 2)}\n`
}

import { readJobFile } from '~/core/files/readJobFile'
import { fail, ok, type Result } from '~/length'
import { fileProblemText } from '~/messages'
import type { Database } from './db/database.server'
import { importJob } from './jobs.server'

/** Takes a job file in as a new job, or says every problem with it and takes in nothing. */
export function takeInJobFile(db: Database, text: string): Result<string, readonly string[]> {
  const file = readJobFile(text)
  return file.ok ? ok(importJob(db, file.value)) : fail(file.issue.map((problem) => fileProblemText(problem)))
}

import { readFileSync } from 'node:fs'
import { readJobFile } from '~/core/files/readJobFile'
import { database } from './db/database.server'
import { importJob, jobExists } from './jobs.server'

const DEMO_JOB_ID = 'demo'
const DEMO_FILE = 'examples/tern-cottage.regla.json'

/** Opens and migrates the database at start; adds the demo job when asked to and not there yet. */
export function prepareData(): void {
  const db = database()
  if (process.env.REGLA_DEMO !== '1' || jobExists(db, DEMO_JOB_ID)) return
  const file = readJobFile(readFileSync(DEMO_FILE, 'utf8'))
  if (!file.ok) throw new Error(`the demo job file is broken: ${JSON.stringify(file.issue)}`)
  importJob(db, file.value, DEMO_JOB_ID)
}

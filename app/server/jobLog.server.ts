import { actsOf } from './acts.server'
import { crewLog, memberNames } from './crewLog.server'
import type { Database } from './db/database.server'
import { jobWork } from './work.server'

/** All the log of a job shows: its work, what was done at each wall, what the crew's logs tell; null where there is no such job. */
export function jobLog(db: Database, jobId: string, member: string | null) {
  const job = jobWork(db, jobId, member)
  if (!job) return null
  const { rates, errors } = crewLog(db)
  const wallActs =
    job.settings === null ? [] : job.walls.map(({ id }) => ({ wall: id, acts: actsOf(db, id) }))
  return { job, wallActs, rates, errors, names: memberNames(db) }
}

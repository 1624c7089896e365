import { readingsTemplate, readingsToCsv } from '~/core/files/readingsCsv'
import { workpieceOf } from '~/model'
import type { Database } from './db/database.server'
import { wallPage } from './walls.server'

/** A wall's readings as a CSV file, or the template to fill in. Null when there is no such wall. */
export function readingsFile(db: Database, ids: { jobId: string; wallId: string }, template: boolean) {
  const page = wallPage(db, ids)
  if (!page) return null
  if (template) return { name: 'readings-template.csv', text: readingsTemplate() }
  const name = page.name.replace(/[^A-Za-z0-9 _-]/g, '').trim() || 'wall'
  return {
    name: `${name} readings.csv`,
    text: readingsToCsv(workpieceOf(page.documents).wall.survey.readings),
  }
}

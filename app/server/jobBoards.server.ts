import { wallIsCut } from '~/core/asbuilt/release'
import type { Act, Bodies } from '~/model'
import type { Database } from './db/database.server'
import { cuttingActs } from './acts.server'
import { readableDocument } from './documents.server'
import { jobDetail } from './jobs.server'
import { wallsOfJob } from './pages.server'
import { stockOf, yardActsOf } from './yard.server'

/** A wall of a job with all it is planned from; what is put away or can't be read is left out and named. */
export interface JobWall {
  readonly id: string
  readonly name: string
  readonly room: string
  readonly cut: boolean
  /** What was done of cutting at it, oldest first. */
  readonly acts: readonly Act[]
  readonly survey: { readonly id: string; readonly revision: number; readonly body: Bodies['survey'] }
  readonly design: { readonly id: string; readonly revision: number; readonly body: Bodies['design'] }
}

/** A job for its boards: every wall, the settings, the crew's stock and what happened to boards; null where there is no such job. */
export function jobBoards(db: Database, jobId: string) {
  const job = jobDetail(db, jobId)
  if (!job) return null
  const settings = readableDocument(db, 'settings', job.settingsId)
  const rows = new Map(wallsOfJob(db, jobId).map((row) => [row.id, row]))
  const shown = job.rooms.flatMap((room) =>
    room.walls.filter(({ archived }) => !archived).map((wall) => ({ room, wall })),
  )
  const done = cuttingActs(
    db,
    shown.map(({ wall }) => wall.id),
  )
  const walls: JobWall[] = []
  const unreadable: string[] = []
  for (const { room, wall } of shown) {
    const row = rows.get(wall.id)
    const survey = row && readableDocument(db, 'survey', row.surveyId)
    const design = row && readableDocument(db, 'design', row.designId)
    if (!row || !survey || !design) unreadable.push(wall.name)
    else {
      const ownActs = done.get(wall.id) ?? []
      walls.push({
        id: wall.id,
        name: wall.name,
        room: room.id,
        cut: wallIsCut(ownActs),
        acts: ownActs,
        survey: { id: row.surveyId, ...survey },
        design: { id: row.designId, ...design },
      })
    }
  }
  const acts = yardActsOf(db)
  return {
    id: job.id,
    name: job.name,
    rooms: job.rooms.map(({ id, name }) => ({ id, name })),
    walls,
    unreadable,
    settings: settings && { id: job.settingsId, ...settings },
    stock: stockOf(db),
    acts,
  }
}

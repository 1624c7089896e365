import { computePlan } from '~/core/computePlan'
import { layoutTitle, say } from '~/messages'
import { workpieceOf } from '~/model'
import type { Database } from './db/database.server'
import { jobDetail } from './jobs.server'
import { wallPage } from './walls.server'

/** A job for its page, each wall with its size and its layout in a few words. */
export function jobView(db: Database, jobId: string) {
  const job = jobDetail(db, jobId)
  if (!job) return null
  const { units, tape, materials } = job.settings
  const wording = { format: { units, tape }, materials }
  const factsOf = (wallId: string) => {
    const page = wallPage(db, { jobId, wallId })
    if (!page) return ''
    const workpiece = workpieceOf(page.documents)
    const { survey } = workpiece.wall
    const plan = computePlan(workpiece)
    return `${say(survey.width, wording)} × ${say(survey.height, wording)}, ${layoutTitle(plan, wording)}`
  }
  return {
    id: job.id,
    name: job.name,
    client: job.client,
    archived: job.archived,
    rooms: job.rooms.map((room) => ({
      ...room,
      walls: room.walls.map((wall) => ({ ...wall, facts: factsOf(wall.id) })),
    })),
  }
}

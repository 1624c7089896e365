import { say } from '~/messages'
import { LIMITS, type Settings } from '~/model'
import type { Database } from './db/database.server'
import { readableDocument, revisionOf } from './documents.server'
import { wallsOfJob } from './pages.server'
import { jobDetail, type JobDetail } from './jobs.server'
import { type LayoutPlanner, type LayoutWords, planner } from './planning/layoutWords.server'

/** How many walls a job's page shows at once. */
const WALLS_A_PAGE = LIMITS.wallsInRoom

interface WallFacts {
  /** Its size; null where what is kept of it can't be read. */
  readonly size: string | null
  /** What it becomes, as far as it has been planned already; else it comes by itself. */
  readonly words: LayoutWords | null
}

const BROKEN: WallFacts = { size: null, words: { kind: 'broken' } }

type WallRow = JobDetail['rooms'][number]['walls'][number]

/** One page of a job's walls with their rooms; pages count from 1, and beyond the last there is the last. */
export function pageOfWalls(job: JobDetail, wanted: number) {
  const all = job.rooms.flatMap((room) => room.walls.map((wall) => ({ room, wall })))
  const pages = Math.max(1, Math.ceil(all.length / WALLS_A_PAGE))
  const page = Math.min(pages, Math.max(1, Math.floor(wanted) || 1))
  const shown = all.slice((page - 1) * WALLS_A_PAGE, page * WALLS_A_PAGE)
  const empty = page === pages ? job.rooms.filter(({ walls }) => walls.length === 0) : []
  const rooms = [...new Set([...shown.map(({ room }) => room), ...empty])].map(({ id, name }) => ({
    id,
    name,
    walls: shown.flatMap(({ room, wall }) => (room.id === id ? [wall] : [])),
  }))
  return { page, pages, rooms }
}

/**
 * A job for its page: each wall with its size, and with its layout in a few words as they are worked out, off the request. A
 * wall that can't be read or planned is told as such and takes nothing else with it.
 */
export function jobView(db: Database, jobId: string, wanted = 1, plans: LayoutPlanner = planner()) {
  const job = jobDetail(db, jobId)
  if (!job) return null
  const { page, pages, rooms } = pageOfWalls(job, wanted)
  const settings = readableDocument(db, 'settings', job.settingsId)
  const documents = new Map(wallsOfJob(db, jobId).map((wall) => [wall.id, wall]))
  const coming: Promise<readonly [string, LayoutWords]>[] = []
  const factsOf = ({ id }: WallRow): WallFacts => {
    const held = documents.get(id)
    const survey = held && readableDocument(db, 'survey', held.surveyId)
    // what is kept of it can't be read: its own page says so and what to do
    if (!held || !survey || !settings) return BROKEN
    const size = sizeOf(survey.body, settings.body)
    const key = `${id} ${survey.revision} ${revisionOf(db, held.designId)} ${settings.revision}`
    const known = plans.knownWords(key)
    if (known) return { size, words: known }
    const design = readableDocument(db, 'design', held.designId)
    if (!design) return { ...BROKEN, size }
    const workpiece = { wall: { survey: survey.body, design: design.body }, settings: settings.body }
    coming.push(plans.wordsOf({ key, workpiece }).then((said) => [id, said] as const))
    return { size, words: null }
  }
  return {
    id: job.id,
    name: job.name,
    client: job.client,
    archived: job.archived,
    page,
    pages,
    roomNames: job.rooms.map(({ name }) => name),
    rooms: rooms.map((room) => ({
      ...room,
      walls: room.walls.map((wall) => ({ ...wall, ...factsOf(wall) })),
    })),
    /** The words still being worked out, by wall. */
    words: coming.length === 0 ? null : Promise.all(coming).then((said) => Object.fromEntries(said)),
  }
}

function sizeOf({ width, height }: { width: number; height: number }, settings: Settings): string {
  const { units, tape, materials } = settings
  const wording = { format: { units, tape }, materials }
  return `${say(width, wording)} × ${say(height, wording)}`
}

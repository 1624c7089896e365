import { pictureRow, pictureSize } from '~/core/scene/pictureSvg'
import { say } from '~/messages'
import { blankSurvey, type DocumentKind, LIMITS, sameValue, type Settings, type Survey } from '~/model'
import { cutWalls } from './acts.server'
import type { Database } from './db/database.server'
import { readableDocument, revisionOf } from './documents.server'
import { pageOfWall, wallsOfJob } from './pages.server'
import { lastWall } from './habits.server'
import { jobDetail, type JobDetail, wallGlimpses } from './jobs.server'
import { wallVersion } from './wallVersion.server'
import { type LayoutPlanner, type LayoutWords, planner } from './planning/layoutWords.server'

/** How many walls a job's page shows at once. */
const WALLS_A_PAGE = LIMITS.wallsInRoom

/** A page waits this long for words; it is sent within five seconds. */
const WORDS_WITHIN_MS = 3_500

interface WallFacts {
  /** Its size; null where what is kept of it can't be read. */
  readonly size: string | null
  /** How large its picture is, in pixels, and the version the picture is of. */
  readonly picture: { readonly width: number; readonly height: number; readonly version: string } | null
  /** What it becomes, as far as it has been planned already; else it comes by itself. */
  readonly words: WallWords | null
  /** Nobody has measured it yet. */
  readonly toMeasure: boolean
}

/** What a page is told of a planned wall: its drawing is asked for by itself. */
export type WallWords =
  | { readonly kind: 'said'; readonly words: string; readonly wrong: number; readonly open: number }
  | { readonly kind: 'tooLong' | 'broken' }

function wordsOnly(words: LayoutWords): WallWords {
  if (words.kind !== 'said') return words
  return { kind: 'said', words: words.words, wrong: words.wrong, open: words.open }
}

const BROKEN: WallFacts = { size: null, picture: null, words: { kind: 'broken' }, toMeasure: false }

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
  const cut = cutWalls(
    db,
    rooms.flatMap(({ walls }) => walls.map(({ id }) => id)),
  )
  const coming: Promise<readonly [string, WallWords]>[] = []
  const factsOf = ({ id }: WallRow): WallFacts => {
    const held = documents.get(id)
    const survey = held && readableDocument(db, 'survey', held.surveyId)
    // what is kept of it can't be read: its own page says so and what to do
    if (!held || !survey || !settings) return BROKEN
    const size = sizeOf(survey.body, settings.body)
    const versions = [survey.revision, revisionOf(db, held.designId) ?? 0, settings.revision] as const
    const key = wallVersion(id, ...versions)
    const facts = {
      size,
      picture: { ...pictureSize(survey.body), version: versions.join('-') },
      toMeasure: isUnmeasured(survey.body),
    }
    const known = plans.knownWords(key)
    if (known) return { ...facts, words: wordsOnly(known) }
    const design = readableDocument(db, 'design', held.designId)
    if (!design) return { ...BROKEN, size }
    const workpiece = { wall: { survey: survey.body, design: design.body }, settings: settings.body }
    coming.push(plans.wordsOf({ key, workpiece }).then((said) => [id, wordsOnly(said)] as const))
    return { ...facts, words: null }
  }
  return {
    id: job.id,
    name: job.name,
    client: job.client,
    archived: job.archived,
    page,
    pages,
    roomNames: job.rooms.map(({ name }) => name),
    units: settings?.body.units ?? 'inches',
    tape: settings?.body.tape ?? '1/16',
    /** The wall a new one is laid out like. */
    like: lastWallName(db, jobId),
    rooms: rooms.map((room) => ({
      ...room,
      walls: room.walls.map((wall) => ({ ...wall, ...factsOf(wall), cut: cut.has(wall.id) })),
    })),
    /** The words still being worked out, by wall: those that are known in time, the others when the page is next loaded. */
    words: coming.length === 0 ? null : knownInTime(coming),
  }
}

/** What of these is known before the page has to be sent whole. */
async function knownInTime(
  coming: readonly Promise<readonly [string, WallWords]>[],
): Promise<Record<string, WallWords>> {
  const known: Record<string, WallWords> = {}
  const all = coming.map(async (each) => {
    const [id, words] = await each
    known[id] = words
  })
  let timer: ReturnType<typeof setTimeout> | undefined
  const late = new Promise<void>((done) => (timer = setTimeout(done, WORDS_WITHIN_MS)))
  await Promise.race([Promise.all(all), late])
  clearTimeout(timer)
  return { ...known }
}

/** A wall's width and height, as its job writes lengths. */
export function sizeOf({ width, height }: { width: number; height: number }, settings: Settings): string {
  const { units, tape, materials } = settings
  const wording = { format: { units, tape }, materials }
  return `${say(width, wording)} × ${say(height, wording)}`
}

function lastWallName(db: Database, jobId: string): { readonly id: string; readonly name: string } | null {
  const wall = lastWall(db, jobId)
  return wall && { id: wall.id, name: wall.name }
}

function isUnmeasured(survey: Survey): boolean {
  return sameValue(survey, blankSurvey())
}

/** The small drawing of a wall as an SVG text, planned off the request; null where there is none. */
export async function wallPicture(
  db: Database,
  ids: { readonly jobId: string; readonly wallId: string },
  plans: LayoutPlanner = planner(),
): Promise<string | null> {
  const page = pageOfWall(db, ids)
  const idOf = (kind: DocumentKind) => page?.documents.find((document) => document.kind === kind)?.id ?? ''
  if (!page) return null
  const [survey, design, settings] = [
    readableDocument(db, 'survey', idOf('survey')),
    readableDocument(db, 'design', idOf('design')),
    readableDocument(db, 'settings', idOf('settings')),
  ]
  if (!survey || !design || !settings) return null
  const key = wallVersion(ids.wallId, survey.revision, design.revision, settings.revision)
  const workpiece = { wall: { survey: survey.body, design: design.body }, settings: settings.body }
  const said = plans.knownWords(key) ?? (await plans.wordsOf({ key, workpiece }))
  return said.kind === 'said' ? said.picture : null
}

/** The small drawings of a job's first walls side by side, as one SVG text; null where there is none. */
export async function jobPicture(
  db: Database,
  jobId: string,
  plans: LayoutPlanner = planner(),
): Promise<string | null> {
  const shown = wallGlimpses(db, [jobId]).get(jobId)
  if (!shown) return null
  const drawn = await Promise.all(shown.wallIds.map((wallId) => wallPicture(db, { jobId, wallId }, plans)))
  return pictureRow(drawn.filter((picture) => picture !== null))
}

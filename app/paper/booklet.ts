import type { Datum } from '~/core/marks/runningMarks'
import type { SolveInteger } from '~/core/stock'
import { jobFacts } from '~/core/takeoff/jobFacts'
import { paperText, type Wording } from '~/messages'
import { type BookletPart, BOOKLET_PARTS, type Look, type PaperSize } from '~/model'
import { NO_BOARDS, type PaperBoards, paperBoards } from './boards'
import { type PaperJob, type PlannedWall, plannedWall } from './paperJob'
import { boardSheet } from './parts/boardSheet'
import { clientSheet } from './parts/clientSheet'
import { cutSheet } from './parts/cutSheet'
import { finishSheet } from './parts/finishSheet'
import { marksSheet } from './parts/marksSheet'
import { shoppingSheet } from './parts/shoppingSheet'
import { takeDownSheet } from './parts/takeDownSheet'
import { wallSheet } from './parts/wallSheet'
import { dayOfTime } from './parts/when'
import { paperWork, workSheet } from './parts/workSheet'
import { flowOf, footPages } from './pdf/flow'
import { openPdf } from './pdf/sheets'

export interface BookletAsked {
  readonly paper: PaperSize
  readonly datum: Datum
  readonly parts: readonly BookletPart[]
  /** A moment, where nobody says. */
  readonly look?: Look
  /** Walls by their ids; all where none is named. */
  readonly walls: readonly string[]
}

/** What looks for boards and for the order of the work, and how long each may look, in milliseconds. */
export interface Patience {
  readonly solve: SolveInteger
  readonly boardsMs: number
  readonly workMs: number
}

/** As long as one may wait for a booklet whose boards and days are to be proven; what is not by then says so. */
const LONG = { boardsMs: 36_000, workMs: 8_000 } as const

/** Over when so many milliseconds are gone. */
export const until = (ms: number) => {
  const end = performance.now() + ms
  return () => performance.now() > end
}

/** The boards of a job's walls: each material has its share of the time there is, and what one leaves goes to those after it. */
export function boardsInTime(
  job: PaperJob,
  walls: readonly PlannedWall[],
  { solve, boardsMs }: Patience,
): Promise<PaperBoards> {
  const last = performance.now() + boardsMs
  return paperBoards(job, walls, solve, (still) => {
    const now = performance.now()
    const end = now + Math.max(0, last - now) / Math.max(1, still)
    return {
      over: () => performance.now() > end,
      secondsLeft: () => Math.max(0, (end - performance.now()) / 1000),
    }
  })
}

/** The walls of a job that are asked for, planned; those that can't be planned are named. */
export function wallsAsked(
  job: PaperJob,
  ids: readonly string[],
  datum: Datum = 'left',
): { readonly walls: readonly PlannedWall[]; readonly broken: readonly string[] } {
  const walls: PlannedWall[] = []
  const broken: string[] = []
  for (const wall of job.walls.filter(({ id }) => ids.length === 0 || ids.includes(id)))
    try {
      walls.push(plannedWall(wall, job, datum))
    } catch {
      broken.push(wall.name)
    }
  return { walls, broken }
}

/** The chosen parts of a job as one PDF, in the order of the work, every page with its number, job, day and revision. */
export async function booklet(job: PaperJob, asked: BookletAsked, usual: Patience): Promise<Buffer> {
  const patience = asked.look === 'proven' ? { ...usual, ...LONG } : usual
  const { walls, broken } = wallsAsked(job, asked.walls, asked.datum)
  const { units, tape, materials, currency } = job.settings
  const wording: Wording & { readonly currency: string } = { format: { units, tape }, materials, currency }
  const made = new Date(job.made)
  const pdf = openPdf({ title: job.name, made })
  const flow = flowOf(pdf, asked.paper)
  const parts = BOOKLET_PARTS.filter((part) => asked.parts.includes(part))
  const has = (part: BookletPart) => parts.includes(part)
  if (has('client')) clientSheet(flow, walls, job)
  for (const wall of walls) {
    if (has('wall')) wallSheet(flow, wall)
    if (has('marks')) marksSheet(flow, wall)
    if (has('cut')) cutSheet(flow, wall, job.clock)
  }
  const boards = has('boards') || has('shopping') ? await boardsInTime(job, walls, patience) : NO_BOARDS
  if (has('boards')) boardSheet(flow, boards, job.name, wording)
  const rooms =
    has('shopping') || has('work')
      ? jobFacts(walls.map(({ wall: { id, name, room }, workpiece }) => ({ id, name, room, workpiece })))
      : []
  if (has('shopping')) shoppingSheet(flow, job, boards, rooms, wording)
  if (has('work')) workSheet(flow, job, paperWork(job, rooms, until(patience.workMs)))
  for (const wall of walls) {
    if (has('finish')) finishSheet(flow, wall)
    if (has('takeDown')) takeDownSheet(flow, wall)
  }
  if (parts.length === 0 || walls.length + broken.length === 0) {
    flow.page(job.name, '')
    flow.para(paperText.empty)
  }
  if (broken.length > 0) {
    flow.page(job.name, '')
    flow.para(paperText.broken(broken))
  }
  footPages(pdf, paperText.foot(job.name, dayOfTime(job.made, job.clock), job.revision), paperText.pageOf)
  return pdf.end()
}

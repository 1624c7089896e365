import { calendarFile } from '~/core/files/calendar'
import { panelsOf } from '~/core/panels/panels'
import { jobFacts } from '~/core/takeoff/jobFacts'
import { fullSizeText, paperText, sessionWords, taskName, templateNames } from '~/messages'
import { type PaperAsked, type PaperOffers, TEMPLATES } from '~/model'
import { NO_BOARDS, type PaperBoards } from './boards'
import { booklet, boardsInTime, type Patience, until, wallsAsked } from './booklet'
import { wallCsv } from './files/csv'
import { dxfOf, dxfR12Of, traced } from './files/dxf'
import { pngOf } from './files/png'
import { boardsSvg, panelsSvg, piecesSvg, wallSvg } from './files/svg'
import { BARS, drawFull, type Full, type FullPaper } from './full/fullSize'
import { labelSheet } from './full/labelSheets'
import { drawLabels, labelsOf } from './full/labels'
import { rodDrawing, rodsOf } from './full/rod'
import { templatesOf } from './full/templates'
import { type PaperJob, type PlannedWall, plannedWall } from './paperJob'
import { paperWork, placesOf } from './parts/workSheet'
import { openPdf } from './pdf/sheets'

/** A file as it is handed out. */
export interface MadeFile {
  /** Without a path; what a person would look for. */
  readonly name: string
  readonly type: string
  readonly bytes: Uint8Array
}

/** Why there is no such file: no such wall, or nothing of that kind on it. */
export type NoFile = { readonly code: 'noWall' } | { readonly code: 'nothing' }

type Made = { readonly ok: true; readonly file: MadeFile } | { readonly ok: false; readonly issue: NoFile }

const TYPES = {
  pdf: 'application/pdf',
  svg: 'image/svg+xml',
  png: 'image/png',
  dxf: 'image/vnd.dxf',
  csv: 'text/csv; charset=utf-8',
  ics: 'text/calendar; charset=utf-8',
  json: 'application/json; charset=utf-8',
} as const

/** A name that any file system takes: no path, no sign a system gives a meaning to. */
export function fileName(parts: readonly string[], ending: string): string {
  const name = parts
    .map((part) =>
      part
        // eslint-disable-next-line no-control-regex -- what no file system takes
        .replace(/[\u0000-\u001f<>:"/\\|?*]+/g, ' ')
        .replace(/\s+/g, ' ')
        .replace(/^[. ]+|[. ]+$/g, ''),
    )
    .filter((part) => part !== '')
    .join(', ')
  return `${name === '' ? 'regla' : name.slice(0, 120)}.${ending}`
}

function made(parts: readonly string[], ending: keyof typeof TYPES, content: string | Uint8Array): Made {
  const bytes = typeof content === 'string' ? new TextEncoder().encode(content) : content
  return { ok: true, file: { name: fileName(parts, ending), type: TYPES[ending], bytes } }
}

const NOTHING: Made = { ok: false, issue: { code: 'nothing' } }

/** Drawings at full size in one PDF. */
async function fullPdf(
  job: PaperJob,
  title: string,
  drawings: readonly Full[],
  on: FullPaper,
  bar: number,
): Promise<Buffer> {
  const pdf = openPdf({ title, made: new Date(job.made) })
  for (const drawing of drawings) drawFull(pdf, drawing, on, (BARS.inches * bar) / 6)
  return pdf.end()
}

/** The boards of one wall by themselves. */
function boardsOfWall(job: PaperJob, wall: PlannedWall, patience: Patience): Promise<PaperBoards> {
  return boardsInTime(job, [wall], patience)
}

/** What there is of a wall. */
function offersOf(wall: PlannedWall): PaperOffers {
  return {
    rods: rodsOf(wall),
    templates: TEMPLATES.filter((kind) => templatesOf(wall, kind).length > 0),
    drawings: [
      'wall',
      ...(wall.cards.length > 0 ? (['pieces', 'boards'] as const) : []),
      ...(panelsOf(wall.workpiece, wall.plan.layout)?.ok ? (['panels'] as const) : []),
    ],
    labels: labelsOf(wall).length,
  }
}

/** A file of one wall. */
async function ofWall(
  job: PaperJob,
  wall: PlannedWall,
  asked: Exclude<PaperAsked, { file: 'booklet.pdf' | 'work.ics' }>,
  patience: Patience,
): Promise<Made> {
  const { name } = wall.wall
  switch (asked.file) {
    case 'rod.pdf': {
      const rods = rodsOf(wall).filter((rod) => asked.rods.includes(rod))
      const drawings = rods.map((rod) => rodDrawing(wall, rod))
      const on: FullPaper = asked.on === 'roll' ? { kind: 'roll' } : { kind: 'sheets', paper: asked.on }
      return drawings.length === 0
        ? NOTHING
        : made([name, fullSizeText.rods], 'pdf', await fullPdf(job, name, drawings, on, asked.bar))
    }
    case 'templates.pdf': {
      const drawings = asked.kinds.flatMap((kind) => templatesOf(wall, kind))
      const what = asked.kinds.length === 1 ? asked.kinds.map((kind) => templateNames[kind]) : []
      return drawings.length === 0
        ? NOTHING
        : made(
            [name, ...(what.length > 0 ? what : [fullSizeText.templates])],
            'pdf',
            await fullPdf(job, name, drawings, { kind: 'sheets', paper: asked.paper }, asked.bar),
          )
    }
    case 'labels.pdf': {
      const [sheet, labels] = [labelSheet(asked.sheet), labelsOf(wall)]
      if (!sheet || labels.length === 0) return NOTHING
      const pdf = openPdf({ title: fullSizeText.labels(name), made: new Date(job.made) })
      const mm = 72 / 25.4
      const shift = { x: asked.right * mm, y: asked.down * mm }
      drawLabels(pdf, labels, sheet, { skip: asked.skip % (sheet.across * sheet.down), shift }, job)
      return made([name, fullSizeText.labelSheets], 'pdf', await pdf.end())
    }
    case 'offers.json':
      return made([name], 'json', JSON.stringify(offersOf(wall)))
    case 'drawing.dxf': {
      const drawing = traced(wall)
      return made([name], 'dxf', asked.version === 'r12' ? dxfR12Of(drawing) : dxfOf(drawing))
    }
    case 'drawing.svg':
    case 'drawing.png': {
      const svg = await drawn(job, wall, asked, patience)
      if (svg === null) return NOTHING
      const parts = asked.drawing === 'wall' ? [name] : [name, asked.drawing]
      return asked.file === 'drawing.svg' ? made(parts, 'svg', svg) : made(parts, 'png', await pngOf(svg))
    }
    case 'table.csv': {
      const boards = asked.table === 'boards' ? await boardsOfWall(job, wall, patience) : NO_BOARDS
      return made([name, asked.table], 'csv', wallCsv(wall, asked.table, job, boards))
    }
  }
}

async function drawn(
  job: PaperJob,
  wall: PlannedWall,
  { drawing, piece }: { readonly drawing: string; readonly piece?: string | undefined },
  patience: Patience,
): Promise<string | null> {
  switch (drawing) {
    case 'pieces':
      return wall.cards.some(({ row }) => piece === undefined || row.label === piece)
        ? piecesSvg(wall, piece ?? null)
        : null
    case 'boards': {
      const boards = await boardsOfWall(job, wall, patience)
      return boards.plans.length === 0 ? null : boardsSvg(boards, wall.wall.name, wall.wording)
    }
    case 'panels':
      return panelsSvg(wall)
    default:
      return wallSvg(wall)
  }
}

/** The days of the work as a calendar. */
function calendar(job: PaperJob, patience: Patience): Made {
  const { walls } = wallsAsked(job, [])
  const rooms = jobFacts(
    walls.map(({ wall: { id, name, room }, workpiece }) => ({ id, name, room, workpiece })),
  )
  const { tasks } = paperWork(job, rooms, until(patience.workMs))
  const places = placesOf(job)
  if (tasks.every(({ done }) => done !== null)) return NOTHING
  return made(
    [job.name],
    'ics',
    calendarFile(job, tasks, (task, part) => sessionWords(task, taskName(task, places), part), job.made),
  )
}

/** Makes what is asked for. A wall that can't be planned throws; one that is not there, or has nothing of the kind, is told. */
export async function makeFile(job: PaperJob, asked: PaperAsked, patience: Patience): Promise<Made> {
  if (asked.file === 'booklet.pdf')
    return made([job.name, paperText.booklet], 'pdf', await booklet(job, asked, patience))
  if (asked.file === 'work.ics') return calendar(job, patience)
  const wall = job.walls.find(({ id }) => id === asked.wall)
  return wall
    ? ofWall(job, plannedWall(wall, job, 'datum' in asked ? asked.datum : 'left'), asked, patience)
    : { ok: false, issue: { code: 'noWall' } }
}

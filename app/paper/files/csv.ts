import Papa from 'papaparse'
import { alikeBoards } from '~/core/stock'
import { dayPages } from '~/core/log/dayPages'
import { workedOnWall } from '~/core/log/worked'
import { endCutKey } from '~/core/pieces'
import { jobFacts } from '~/core/takeoff/jobFacts'
import { takeOff } from '~/core/takeoff/supplies'
import { isUpright } from '~/core/pieces'
import { markWalk } from '~/core/marks/markWalk'
import { NM_PER_INCH, NM_PER_MM, type TapeReading } from '~/length'
import {
  amountText,
  basisText,
  boardsNamed,
  dayLineText,
  endSettingText,
  heightMarkName,
  markedOnText,
  materialName,
  packName,
  pieceName,
  say,
  sayWithUnit,
  stripName,
  supplyName,
  type Wording,
} from '~/messages'
import type { TableKind } from '~/model'
import type { PaperBoards } from '../boards'
import type { PaperJob, PlannedWall } from '../paperJob'

/** Cells that a spreadsheet would take for a formula, however they are disguised: full-width signs, a blank before them, a pipe. */
const FORMULA = /^\s*[=+\-@\t\r|\uFF1D\uFF0B\uFF0D\uFF20]/

type Cell = string | number

/** A table as CSV (RFC 4180) with a mark that it is UTF-8; figures stay figures, words that would be formulas are words. */
export function csvOf(columns: readonly string[], rows: readonly (readonly Cell[])[]): string {
  const body = Papa.unparse(
    { fields: [...columns], data: rows.map((row) => [...row]) },
    { newline: '\r\n', escapeFormulae: FORMULA },
  )
  return `\uFEFF${rows.length === 0 ? columns.join(',') : body}\r\n`
}

/** A length in three columns: in nanometers, in decimals of the job's unit, and as the tape reads it. `1/2` alone would become a date. */
function lengths(name: string): string[] {
  return [`${name}_nm`, name, `${name}_said`]
}
function lengthCells(nm: number, w: Wording): Cell[] {
  const inMm = w.format.units === 'mm'
  const value = nm / (inMm ? NM_PER_MM : NM_PER_INCH)
  return [Math.round(nm), Number(value.toFixed(inMm ? 6 : 8)), sayWithUnit(nm, w)]
}
function readingCells({ exact, tick, side }: TapeReading, w: Wording): Cell[] {
  const [nm = 0, value = 0] = lengthCells(exact, w)
  return [nm, value, say(tick, w), side]
}

/** Everything there is to mark, in walking order: what, and one or two readings. */
function marksCsv({ plan, workpiece, wording, marking: { datum } }: PlannedWall): string {
  const at = (name: string) => [...lengths(name), `${name}_side`]
  const blank = ['', '', '', '']
  const steps = markWalk(plan, workpiece, { datum, hook: 'foot', laser: null })
  return csvOf(
    ['id', 'kind', 'what', ...at('near'), ...at('far')],
    steps.flatMap(({ id, what }): Cell[][] => {
      const cells = (name: string, near: TapeReading, far: TapeReading | null) => [
        [id, what.kind, name, ...readingCells(near, wording), ...(far ? readingCells(far, wording) : blank)],
      ]
      switch (what.kind) {
        case 'level':
          return cells('level line', what.place, null)
        case 'height':
          return cells(heightMarkName(what.mark, wording), what.mark.reading, null)
        case 'boxHeights':
          return cells(stripName(what.stripId, wording), what.bottom[0], what.top[0])
        case 'upright':
          return cells(stripName(what.marks.stripId, wording), what.marks.near, what.marks.far)
        case 'line':
          return cells(
            `${stripName(what.mark.stripId, wording)}: ${markedOnText(what.on, wording)}`,
            what.mark.near,
            what.mark.far,
          )
        case 'item':
          return cells(what.name, what.near, what.far)
      }
    }),
  )
}

/** The cut list, a piece a line, with its name at the saw where it has one. */
function cutsCsv({ plan, cards, release, wording }: PlannedWall): string {
  const names = new Map(release?.pieces.map(({ piece }) => [piece.pieceId, piece.name]))
  const byId = new Map(plan.pieces.map((piece) => [piece.id, piece]))
  return csvOf(
    [
      'row',
      'name',
      'piece',
      'material',
      ...lengths('cut'),
      ...lengths('short_point'),
      ...lengths('width'),
      'start',
      'end',
      'saw_start',
      'saw_end',
      'upright',
    ],
    cards.flatMap(({ row, start, end }) =>
      row.pieceIds.map((id): Cell[] => {
        const piece = byId.get(id)
        return [
          row.label,
          names.get(id) ?? '',
          piece ? pieceName(piece, wording) : id,
          materialName(row.materialId, wording),
          ...lengthCells(row.cutLength, wording),
          // what runs to a point has no short edge
          ...(row.shortLength > 0 ? lengthCells(row.shortLength, wording) : ['', '', '']),
          ...lengthCells(row.faceWidth, wording),
          endCutKey(row.start),
          endCutKey(row.end),
          endSettingText(start),
          endSettingText(end),
          piece && isUpright(piece.role) ? 'yes' : 'no',
        ]
      }),
    ),
  )
}

/** The board plan, a piece on its board a line. */
export function boardsCsv({ plans }: PaperBoards, w: Wording): string {
  return csvOf(
    [
      'material',
      'boards',
      'board',
      ...lengths('board_length'),
      'piece',
      ...lengths('from'),
      ...lengths('length'),
    ],
    plans.flatMap((plan) =>
      alikeBoards(plan.boards).flatMap(({ numbers }) =>
        plan.boards
          .filter(({ number }) => numbers.includes(number))
          .flatMap((board) =>
            board.pieces.map((piece): Cell[] => [
              materialName(plan.materialId, w),
              boardsNamed(numbers),
              board.number,
              ...lengthCells(board.length, w),
              piece.label,
              ...lengthCells(piece.from, w),
              ...lengthCells(piece.length, w),
            ]),
          ),
      ),
    ),
  )
}

/** What is bought besides boards for these walls, each with what it rests on. */
export function takeoffCsv(job: PaperJob, walls: readonly PlannedWall[], w: Wording): string {
  const { settings } = job
  const rooms = jobFacts(
    walls.map(({ wall: { id, name, room }, workpiece }) => ({ id, name, room, workpiece })),
  )
  const { supplies } = takeOff(
    rooms.flatMap((room) => room.walls),
    settings,
  )
  return csvOf(
    ['supply', 'amount', 'amount_said', 'rests_on', 'packs', 'cost'],
    supplies.map((supply): Cell[] => [
      supplyName(supply, settings.paints, w),
      Number(supply.amount.toFixed(6)),
      amountText(supply, settings.units),
      basisText(supply.basis, w),
      supply.buy
        .map(({ count, size }) => `${count} × ${packName(supply.product, size, settings.units)}`)
        .join('; '),
      supply.cost === null ? '' : (supply.cost / 100).toFixed(2),
    ]),
  )
}

/** What happened at a wall, oldest first, by the clock of whoever writes it. */
function logCsv({ wall }: PlannedWall, job: PaperJob): string {
  const local = (at: number) => new Date(at + job.clock * 60_000).toISOString()
  const pages = dayPages(
    [{ place: wall.name, acts: wall.acts, worked: workedOnWall(wall.acts) }],
    job.made,
    (at) => Math.floor((at / 60_000 + job.clock) / 1440),
  )
  const places = {
    rooms: new Map(job.rooms.map(({ id, name }) => [id, name])),
    walls: new Map(job.walls.map(({ id, name }) => [id, name])),
  }
  const lines = pages.flatMap((page) => page.lines).sort((a, b) => a.at - b.at)
  return csvOf(
    ['day', 'time', 'wall', 'kind', 'what', 'minutes'],
    lines.map((line): Cell[] => [
      local(line.at).slice(0, 10),
      local(line.at).slice(11, 16),
      line.place,
      line.kind,
      dayLineText(line, places),
      line.kind === 'worked' ? Math.round(line.minutes) : '',
    ]),
  )
}

/** A table of one wall; of its boards and its take-off those of this wall alone. */
export function wallCsv(planned: PlannedWall, kind: TableKind, job: PaperJob, boards: PaperBoards): string {
  switch (kind) {
    case 'marks':
      return marksCsv(planned)
    case 'cuts':
      return cutsCsv(planned)
    case 'boards':
      return boardsCsv(boards, planned.wording)
    case 'takeoff':
      return takeoffCsv(job, [planned], planned.wording)
    case 'log':
      return logCsv(planned, job)
  }
}

import { fail, type Length, nearestNanometer, ok, type Result } from '~/length'
import type { Sheet } from '~/model'
import {
  type BoardIssue,
  type BoardPlan,
  type BoardRequest,
  planBoards,
  planBoardsQuickly,
  type SolveInteger,
} from '../stock'

/** Pieces of one width that are ripped and cross-cut from sheets. */
export interface SheetDemand {
  readonly materialId: string
  readonly width: Length
  readonly pieces: readonly { readonly id: string; readonly label: string; readonly length: Length }[]
}

/** One strip on its sheet: where it begins across it, and what is cut from it along. */
export interface SheetStrip {
  readonly materialId: string
  readonly width: Length
  readonly from: Length
  readonly pieces: readonly {
    readonly id: string
    readonly label: string
    readonly from: Length
    readonly length: Length
  }[]
  /** What is left at its end. */
  readonly offcut: Length
}

/** One sheet: its strips from the factory edge on, and what is left across it after the last rip. */
export interface CutSheet {
  readonly number: number
  readonly strips: readonly SheetStrip[]
  readonly left: Length
}

/** What strips of a job take in sheets of one size. */
export interface SheetPlan {
  readonly sheet: Sheet
  readonly sheets: readonly CutSheet[]
  /** Strips a width, and all of them. */
  readonly strips: number
  readonly cost: number | null
  /** No plan that rips each strip to its pieces' own width, along the long way, takes fewer sheets. */
  readonly proven: boolean
  readonly bound: number
}

export type SheetIssue =
  | {
      readonly code: 'longerThanSheet'
      readonly materialId: string
      readonly length: Length
      readonly sheet: Length
    }
  | {
      readonly code: 'widerThanSheet'
      readonly materialId: string
      readonly width: Length
      readonly sheet: Length
    }
  | {
      readonly code: 'kerfOverPiece'
      readonly materialId: string
      readonly length: Length
      readonly kerf: Length
    }

/** What the saw takes: a kerf a cut, and a trim off each strip's end. */
export interface Cuts {
  readonly kerf: Length
  readonly endTrim: Length
}

function request(
  id: string,
  length: number,
  cuts: Cuts,
  pieces: BoardRequest['pieces'],
  trim: number,
): BoardRequest {
  return {
    materialId: id,
    kerf: cuts.kerf,
    endTrim: nearestNanometer(trim),
    offers: [{ id: 'sheet', length: nearestNanometer(length), price: null }],
    pieces,
  }
}

/** How many strips of one width a sheet gives: n strips take n - 1 kerfs, and an edge that is not kept is lost on both sides. */
export function stripsAcross(
  { width, edge }: Pick<Sheet, 'width' | 'edge'>,
  strip: number,
  kerf: number,
): number {
  return Math.max(0, Math.floor((width - 2 * edge + kerf) / (strip + kerf)))
}

/** How wide a part of so many whole strips and the kerfs between them is. */
export function breakDown(strips: number, strip: number, kerf: number): Length {
  return nearestNanometer(strips * strip + Math.max(0, strips - 1) * kerf)
}

function issueOf(sheet: Sheet, demands: readonly SheetDemand[], { kerf, endTrim }: Cuts): SheetIssue | null {
  for (const { materialId, width, pieces } of demands) {
    const across = nearestNanometer(sheet.width - 2 * sheet.edge)
    if (width > across) return { code: 'widerThanSheet', materialId, width, sheet: across }
    const along = nearestNanometer(sheet.length - endTrim)
    const long = pieces.find(({ length }) => length > along)
    if (long) return { code: 'longerThanSheet', materialId, length: long.length, sheet: along }
    const short = pieces.find(({ length }) => length < kerf)
    if (short) return { code: 'kerfOverPiece', materialId, length: short.length, kerf }
  }
  return null
}

interface Strips {
  readonly strips: readonly Omit<SheetStrip, 'from'>[]
  readonly proven: boolean
}

/** What the first stage asks, width by width, and what it came to. */
function stripsOf({ materialId, width }: SheetDemand, made: BoardPlan): Omit<SheetStrip, 'from'>[] {
  return made.boards.map((board) => ({
    materialId,
    width,
    offcut: board.offcut,
    pieces: board.pieces.map(({ pieceId, label, from, length }) => ({ id: pieceId, label, from, length })),
  }))
}

function alongRequest(sheet: Sheet, { materialId, pieces }: SheetDemand, cuts: Cuts): BoardRequest {
  return request(materialId, sheet.length, cuts, pieces, cuts.endTrim)
}

function acrossRequest(sheet: Sheet, strips: Strips['strips'], cuts: Cuts): BoardRequest {
  const wanted = strips.map(({ width }, i) => ({ id: String(i), label: String(width), length: width }))
  return request('strips', sheet.width, cuts, wanted, 2 * sheet.edge)
}

function drawnUp(
  sheet: Sheet,
  demands: readonly SheetDemand[],
  { strips, proven }: Strips,
  across: BoardPlan,
): SheetPlan {
  const sheets = across.boards.map((board): CutSheet => ({
    number: board.number,
    left: board.offcut,
    strips: board.pieces.flatMap(({ pieceId, from }) => {
      const strip = strips[Number(pieceId)]
      return strip ? [{ ...strip, from: nearestNanometer(from + sheet.edge) }] : []
    }),
  }))
  const area = demands.reduce(
    (sum, { width, pieces }) => sum + width * pieces.reduce((all, { length }) => all + length, 0),
    0,
  )
  const all = proven && across.proven
  return {
    sheet,
    sheets,
    strips: strips.length,
    cost: sheet.price === null ? null : sheet.price * sheets.length,
    proven: all,
    bound: all ? sheets.length : Math.max(1, Math.ceil(area / (sheet.width * sheet.length))),
  }
}

function solved(plan: Result<BoardPlan, BoardIssue>): BoardPlan {
  if (!plan.ok) throw new Error(`${plan.issue.code} for what fits the sheet piece by piece`)
  return plan.value
}

/**
 * The fewest sheets of one size, proven where the limits of the search allow it: first the fewest strips of each width, whose lengths are cut
 * from them, then the fewest sheets that hold the strips side by side. As a strip is as long as the sheet and serves one width, the fewest of
 * each width and the fewest sheets for them is the fewest in both stages together.
 */
export async function planSheets(
  sheet: Sheet,
  demands: readonly SheetDemand[],
  cuts: Cuts,
  solve: SolveInteger,
): Promise<Result<SheetPlan, SheetIssue>> {
  const wanted = demands.filter(({ pieces }) => pieces.length > 0)
  const issue = issueOf(sheet, wanted, cuts)
  if (issue) return fail(issue)
  const strips: Omit<SheetStrip, 'from'>[] = []
  let proven = true
  for (const demand of wanted) {
    const made = solved(await planBoards(alongRequest(sheet, demand, cuts), solve))
    proven &&= made.proven
    strips.push(...stripsOf(demand, made))
  }
  const across = solved(await planBoards(acrossRequest(sheet, strips, cuts), solve))
  return ok(drawnUp(sheet, wanted, { strips, proven }, across))
}

/** A good plan in a moment, not proven. */
export function planSheetsQuickly(
  sheet: Sheet,
  demands: readonly SheetDemand[],
  cuts: Cuts,
): Result<SheetPlan, SheetIssue> {
  const wanted = demands.filter(({ pieces }) => pieces.length > 0)
  const issue = issueOf(sheet, wanted, cuts)
  if (issue) return fail(issue)
  const strips = wanted.flatMap((demand) =>
    stripsOf(demand, solved(planBoardsQuickly(alongRequest(sheet, demand, cuts)))),
  )
  const across = solved(planBoardsQuickly(acrossRequest(sheet, strips, cuts)))
  return ok(drawnUp(sheet, wanted, { strips, proven: false }, across))
}

/** Widths a sheet is first broken into for a small saw, each a whole number of one strip and its kerfs, the widest first. */
export function breakDowns(
  sheet: CutSheet,
  most: number,
  kerf: number,
): readonly { readonly strips: number; readonly strip: Length; readonly width: Length }[] {
  const parts: { strips: number; strip: Length; width: Length }[] = []
  for (const { width } of sheet.strips) {
    const last = parts.at(-1)
    if (last && last.strip === width && breakDown(last.strips + 1, width, kerf) <= most) {
      last.strips += 1
      last.width = breakDown(last.strips, width, kerf)
    } else parts.push({ strips: 1, strip: width, width })
  }
  return parts.sort((a, b) => b.width - a.width)
}

/** What one more strip of a width costs in sheets of this size: whether what is left of one holds it, else how many are bought. */
export function oneMoreStrip(
  { sheets, sheet }: SheetPlan,
  width: number,
  kerf: number,
): { readonly fits: boolean; readonly sheets: number; readonly cost: number | null } {
  const fits = sheets.some(({ left, strips }) => left >= width + (strips.length > 0 ? 0 : -kerf))
  return { fits, sheets: fits ? 0 : 1, cost: fits ? 0 : sheet.price }
}

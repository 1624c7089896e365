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
  readonly pieces: readonly { readonly id: string; readonly label: string; readonly from: Length; readonly length: Length }[]
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
  | { readonly code: 'longerThanSheet'; readonly materialId: string; readonly length: Length; readonly sheet: Length }
  | { readonly code: 'widerThanSheet'; readonly materialId: string; readonly width: Length; readonly sheet: Length }
  | { readonly code: 'kerfOverPiece'; readonly materialId: string; readonly length: Length; readonly kerf: Length }

interface Cuts {
  readonly kerf: Length
  readonly endTrim: Length
}

function request(id: string, length: number, cuts: Cuts, pieces: BoardRequest['pieces'], trim: number): BoardRequest {
  return {
    materialId: id,
    kerf: cuts.kerf,
    endTrim: nearestNanometer(trim),
    offers: [{ id: 'sheet', length: nearestNanometer(length), price: null }],
    pieces,
  }
}

/** How many strips of one width a sheet gives: n strips take n - 1 kerfs, and an edge that is not kept is lost on both sides. */
export function stripsAcross({ width, edge }: Pick<Sheet, 'width' | 'edge'>, strip: number, kerf: number): number {
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

type Solve = (request: BoardRequest) => Promise<Result<BoardPlan, BoardIssue>>

/**
 * The fewest sheets of one size: first the fewest strips of each width, whose lengths are cut from them, then the fewest sheets that hold the
 * strips side by side. As a strip is as long as the sheet and serves one width, fewest strips of each width and fewest sheets for them is the
 * fewest in both stages together; proven where both searches are.
 */
async function plan(
  sheet: Sheet,
  demands: readonly SheetDemand[],
  cuts: Cuts,
  solve: Solve,
): Promise<Result<SheetPlan, SheetIssue>> {
  const wanted = demands.filter(({ pieces }) => pieces.length > 0)
  const issue = issueOf(sheet, wanted, cuts)
  if (issue) return fail(issue)
  const strips: Omit<SheetStrip, 'from'>[] = []
  let proven = true
  let area = 0
  for (const { materialId, width, pieces } of wanted) {
    const made = await solve(request(materialId, sheet.length, cuts, pieces, cuts.endTrim))
    if (!made.ok) throw new Error(`no strips of ${width} from sheets that hold each of their pieces`)
    proven &&= made.value.proven
    for (const board of made.value.boards)
      strips.push({
        materialId,
        width,
        offcut: board.offcut,
        pieces: board.pieces.map(({ pieceId, label, from, length }) => ({ id: pieceId, label, from, length })),
      })
    area += pieces.reduce((sum, { length }) => sum + length, 0) * width
  }
  const across = await solve(
    request(
      'strips',
      sheet.width,
      cuts,
      strips.map(({ width }, i) => ({ id: String(i), label: String(width), length: width })),
      2 * sheet.edge,
    ),
  )
  if (!across.ok) throw new Error('strips that fit a sheet one by one have no plan')
  proven &&= across.value.proven
  const sheets = across.value.boards.map(
    (board): CutSheet => ({
      number: board.number,
      left: board.offcut,
      strips: board.pieces.flatMap(({ pieceId, from }) => {
        const strip = strips[Number(pieceId)]
        return strip ? [{ ...strip, from: nearestNanometer(from + sheet.edge) }] : []
      }),
    }),
  )
  return ok({
    sheet,
    sheets,
    strips: strips.length,
    cost: sheet.price === null ? null : sheet.price * sheets.length,
    proven,
    bound: proven ? sheets.length : Math.max(1, Math.ceil(area / (sheet.width * sheet.length))),
  })
}

/** The fewest sheets, proven where the limits of the search allow it. */
export function planSheets(
  sheet: Sheet,
  demands: readonly SheetDemand[],
  cuts: Cuts,
  solve: SolveInteger,
): Promise<Result<SheetPlan, SheetIssue>> {
  return plan(sheet, demands, cuts, (each) => planBoards(each, solve))
}

/** A good plan in a moment, not proven. */
export function planSheetsQuickly(
  sheet: Sheet,
  demands: readonly SheetDemand[],
  cuts: Cuts,
): Promise<Result<SheetPlan, SheetIssue>> {
  return plan(sheet, demands, cuts, (each) => Promise.resolve(planBoardsQuickly(each)))
}

/** Widths a sheet is first broken into for a small saw, each a whole number of one strip and its kerfs, the widest first. */
export function breakDowns(sheet: CutSheet, most: number, kerf: number): readonly { readonly strips: number; readonly strip: Length; readonly width: Length }[] {
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
export function oneMoreStrip({ sheets, sheet }: SheetPlan, width: number, kerf: number): { readonly fits: boolean; readonly sheets: number; readonly cost: number | null } {
  const fits = sheets.some(({ left, strips }) => left >= width + (strips.length > 0 ? 0 : -kerf))
  return { fits, sheets: fits ? 0 : 1, cost: fits ? 0 : sheet.price }
}

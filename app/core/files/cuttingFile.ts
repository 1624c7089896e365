import { z } from 'zod'
import { fail, type Length, ok, type Result } from '~/length'
import { type LengthSchema, LIMITS, notNegative, positive, typedLength } from '~/model'
import { type BoardIssue, type BoardPlan, type BoardRequest } from '../stock'
import { type FileProblem, schemaProblems } from './readJobFile'

/** How many pieces, and how many different lengths, one cutting problem may have. */
export const MOST_PIECES = 20_000
const MOST_LENGTHS = 2_000
const MOST_OFFERS = 200
/** Prices are counted in millionths, so that what is typed is what is added up. */
const PRICE_UNITS = 1_000_000

/** A cutting problem as a file: numbers without a unit inside a text are inches. */
export function cuttingFileSchema(length: LengthSchema = typedLength('inches')) {
  return z.strictObject({
    kerf: notNegative(length),
    endTrim: notNegative(length),
    pieces: z
      .array(
        z.strictObject({
          label: z.string().min(1).max(LIMITS.name),
          length: positive(length),
          count: z.number().int().min(0).max(MOST_PIECES),
        }),
      )
      .max(MOST_LENGTHS),
    stock: z
      .array(
        z.strictObject({
          length: positive(length),
          price: z.number().min(0).max(1_000_000),
          onHand: z.number().int().min(0).optional(),
        }),
      )
      .max(MOST_OFFERS),
    timeLimitMs: z.number().int().min(1).max(600_000).default(3000),
  })
}

/** A cutting problem read: what is asked, and how long may be looked. */
export interface CuttingFile {
  readonly request: BoardRequest
  readonly timeLimitMs: number
}

/** Reads a cutting problem; every problem of the file with its path. */
export function readCuttingFile(text: string): Result<CuttingFile, readonly FileProblem[]> {
  let raw: unknown
  try {
    raw = JSON.parse(text)
  } catch (error) {
    return fail([
      { code: 'notJson', path: 'file', detail: error instanceof Error ? error.message : String(error) },
    ])
  }
  const read = cuttingFileSchema().safeParse(raw)
  if (!read.success) return fail(schemaProblems(read.error.issues, []))
  const { kerf, endTrim, pieces, stock, timeLimitMs } = read.data
  const count = pieces.reduce((sum, piece) => sum + piece.count, 0)
  if (count > MOST_PIECES) return fail([{ code: 'tooManyPieces', path: 'pieces', count, most: MOST_PIECES }])
  return ok({
    timeLimitMs,
    request: {
      materialId: 'file',
      kerf,
      endTrim,
      offers: stock.map(({ length, price, onHand }, index) => ({
        id: String(index),
        length,
        price: Math.round(price * PRICE_UNITS),
        ...(onHand === undefined ? {} : { limit: onHand }),
      })),
      pieces: pieces.flatMap(({ label, length, count: n }, row) =>
        Array.from({ length: n }, (_, i) => ({ id: `${row}-${i}`, label, length })),
      ),
    },
  })
}

/** Boards of one kind cut alike. */
interface AnsweredBoard {
  readonly stockIndex: number
  times: number
  readonly cuts: readonly { readonly label: string; readonly lengthNm: Length }[]
  readonly offcutNm: Length
}

/** The line a cutting problem is answered with, but for what the reasons say. */
export interface CuttingAnswer {
  readonly status: 'proven' | 'bounded' | 'infeasible'
  readonly elapsedMs: number
  readonly cost: number | null
  readonly costBound: number | null
  readonly boardCount: number
  readonly wasteNm: number
  readonly boards: readonly AnsweredBoard[]
  readonly reasons: readonly string[]
}

/** Boards that are the same are told once, with how many times. */
function grouped({ boards }: BoardPlan): AnsweredBoard[] {
  const known = new Map<string, AnsweredBoard>()
  for (const { offerId, pieces, offcut } of boards) {
    const cuts = pieces.map(({ label, length }) => ({ label, lengthNm: length }))
    const key = `${offerId} ${JSON.stringify(cuts)}`
    const same = known.get(key)
    if (same) same.times += 1
    else known.set(key, { stockIndex: Number(offerId), times: 1, cuts, offcutNm: offcut })
  }
  return [...known.values()]
}

/** A plan as its answer. */
export function answerOf(plan: BoardPlan, elapsedMs: number): CuttingAnswer {
  const cost = plan.boards.reduce((sum, { price }) => sum + (price ?? 0), 0)
  return {
    status: plan.proven ? 'proven' : 'bounded',
    elapsedMs,
    cost: cost / PRICE_UNITS,
    costBound: (plan.proven ? cost : Math.min(cost, plan.bound)) / PRICE_UNITS,
    boardCount: plan.boards.length,
    wasteNm: plan.bought - plan.used,
    boards: grouped(plan),
    reasons: [],
  }
}

/** No plan: that there can be none, or that none was found in the time there was. */
export function noAnswer(issue: BoardIssue, elapsedMs: number, reasons: readonly string[]): CuttingAnswer {
  const isSure = issue.code !== 'shortOfStock' || issue.proven
  return {
    status: isSure ? 'infeasible' : 'bounded',
    elapsedMs,
    cost: null,
    costBound: null,
    boardCount: 0,
    wasteNm: 0,
    boards: [],
    reasons,
  }
}

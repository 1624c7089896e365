import type { Length } from '~/length'
import { type Act, type Settings, TAKEN_OFF, type Workpiece, type YardAct } from '~/model'
import { cutFacts, openNow } from '../asbuilt/cutFacts'
import { computePlan } from '../computePlan'
import { type LeftToCut, leftToCut } from '../cutting/leftToCut'
import { toRelease } from '../cutting/toRelease'
import { restOf } from '../stock'
import { cutElsewhere } from './cutElsewhere'
import { type BoardCount, boardsCut } from './yardState'

/** A piece of a job: of which wall, its letter in that wall's list, what it is cut from. */
export interface JobPiece {
  /** wall/piece: one name in the whole job. */
  readonly id: string
  readonly wall: string
  readonly label: string
  readonly material: string
  readonly length: Length
  /** How much longer it is cut first, where it is measured in place. */
  readonly long?: Length
}

/** A wall of a job with what it is planned from, and what happened at it. */
export interface WallOfJob {
  readonly id: string
  readonly name: string
  readonly workpiece: Workpiece
  readonly acts: readonly Act[]
}

/** What of a wall is still to cut by its own list, and what is open there. What was cut on the job's boards is not taken off yet. */
export interface WallLeft extends Pick<LeftToCut, 'open' | 'over'> {
  readonly wall: string
  readonly name: string
  readonly pieces: readonly JobPiece[]
  /** Pieces of its layout that are cut at the wall, named as in the job. */
  readonly cut: readonly string[]
}

/** What of a wall is left to cut, named in its job. */
export function leftOfWall({ id, name, workpiece, acts }: WallOfJob): WallLeft {
  const { pieces, open, over, cut } = leftToCut(
    toRelease(computePlan(workpiece), workpiece),
    workpiece,
    cutFacts(acts),
  )
  return {
    wall: id,
    name,
    pieces: pieces.flatMap(({ id: piece, label, materialId, length, long }) =>
      materialId === TAKEN_OFF
        ? []
        : [
            {
              id: `${id}/${piece}`,
              wall: id,
              label,
              material: materialId,
              length,
              ...(long ? { long } : {}),
            },
          ],
    ),
    open,
    over,
    cut: cut.map((piece) => `${id}/${piece.id}`),
  }
}

/** What is left of a board that is open at a wall, or a piece cut for nothing there: as long as the board that holds as much. */
export interface OpenOfJob {
  readonly wall: string
  /** The board's number there, or the piece's name. */
  readonly number: number | null
  readonly piece: string | null
  readonly material: string
  readonly length: Length
}

/** What there is open at walls by now: less what the job's boards used up. */
export function openOfJob(
  walls: readonly WallLeft[],
  acts: readonly YardAct[],
  job: string,
  { shop }: Settings,
): OpenOfJob[] {
  return walls.flatMap(({ wall, open, over }) => {
    const elsewhere = cutElsewhere(acts, job, wall)
    return [
      ...openNow(open, elsewhere).map((board): OpenOfJob => ({
        wall,
        number: board.number,
        piece: null,
        material: board.materialId,
        length: restOf(board, shop.kerf),
      })),
      ...over.flatMap(({ name, materialId, length }): OpenOfJob[] =>
        elsewhere.used.includes(name)
          ? []
          : [
              {
                wall,
                number: null,
                piece: name,
                material: materialId,
                length: (length + shop.endTrim) as Length,
              },
            ],
      ),
    ].filter(({ length }) => length > 0)
  })
}

/** Whole boards that were cut at walls, as they are sold: those of them the job's boards know as cut are not counted twice. */
export function openedAtWalls(
  walls: readonly WallLeft[],
  acts: readonly YardAct[],
  job: string,
  { shop }: Settings,
): BoardCount[] {
  const known = new Set(
    boardsCut(acts).flatMap((board) =>
      board.job === job && board.from !== 'open' ? board.pieces.map(({ id }) => id) : [],
    ),
  )
  const counts = new Map<string, BoardCount>()
  for (const { wall, open } of walls)
    for (const { materialId, length, of, pieces } of open) {
      if (of !== null || pieces.some(({ pieceId }) => known.has(`${wall}/${pieceId}`))) continue
      const offer = shop.offers.find(
        (each) => each.material === materialId && (each.trueLength ?? each.length) === length,
      )
      const sold = offer?.length ?? length
      const key = `${materialId} ${sold}`
      counts.set(key, { material: materialId, length: sold, count: (counts.get(key)?.count ?? 0) + 1 })
    }
  return [...counts.values()]
}

/** Counts less what was taken of them, and what was taken that they did not have. */
export function lessTaken(
  counts: readonly BoardCount[],
  taken: readonly BoardCount[],
): { readonly left: BoardCount[]; readonly more: BoardCount[] } {
  const same = (a: BoardCount, b: BoardCount) => a.material === b.material && a.length === b.length
  const countOf = (of: readonly BoardCount[], like: BoardCount) =>
    of.find((each) => same(each, like))?.count ?? 0
  return {
    left: counts
      .map((each) => ({ ...each, count: each.count - countOf(taken, each) }))
      .filter(({ count }) => count > 0),
    more: taken
      .map((each) => ({ ...each, count: each.count - countOf(counts, each) }))
      .filter(({ count }) => count > 0),
  }
}

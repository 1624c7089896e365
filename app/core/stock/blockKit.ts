import { type Length, nearestNanometer } from '~/length'
import type { BoardPlan } from './boardPlan'
import { takenBy } from './cuttingProblem'

/** A block that this wall wants, by what it is for and how long it is. */
export interface WantedBlock {
  readonly id: string
  readonly length: Length
}

/** A block on what is left of a board: where it begins, from the board's trimmed end. */
export interface PlacedBlock extends WantedBlock {
  readonly materialId: string
  readonly board: number
  readonly from: Length
}

export interface BlockKit {
  readonly placed: readonly PlacedBlock[]
  /** Too long for what is left of any board: from scrap, or from a board of their own. */
  readonly without: readonly WantedBlock[]
}

interface Offcut {
  readonly materialId: string
  readonly board: number
  from: number
  left: number
}

/**
 * Puts blocks on the offcuts of the boards, the longest first, each where it leaves least: they cost no board. Every block loses a kerf
 * before it, the one that parts it from the last piece too.
 */
export function blockKit(
  blocks: readonly WantedBlock[],
  plans: readonly BoardPlan[],
  kerf: Length,
): BlockKit {
  const offcuts = plans.flatMap(({ materialId, boards }) =>
    boards.map((board): Offcut => {
      const last = board.pieces.at(-1)
      // the kerf behind the last piece is taken off the offcut already
      return {
        materialId,
        board: board.number,
        from: last ? last.from + takenBy(last) + kerf : 0,
        left: board.offcut,
      }
    }),
  )
  const placed: PlacedBlock[] = []
  const without: WantedBlock[] = []
  for (const block of [...blocks].sort((a, b) => b.length - a.length)) {
    const best = offcuts
      .filter(({ left }) => left >= block.length)
      .reduce<Offcut | null>((least, each) => (least && least.left <= each.left ? least : each), null)
    if (!best) {
      without.push(block)
      continue
    }
    placed.push({
      ...block,
      materialId: best.materialId,
      board: best.board,
      from: nearestNanometer(best.from),
    })
    best.from += block.length + kerf
    best.left -= block.length + kerf
  }
  return { placed, without }
}

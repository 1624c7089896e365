import type { CutBoard } from '~/core/stock'
import type { Boards } from '~/editor/useBoards'

/** The boards that some pieces are cut from, by the pieces' ids. */
export function boardsHolding(pieceIds: ReadonlySet<string>, { materials }: Boards): CutBoard[] {
  return materials.flatMap(({ result }) =>
    result.ok
      ? result.value.boards.filter(({ pieces }) => pieces.some(({ pieceId }) => pieceIds.has(pieceId)))
      : [],
  )
}

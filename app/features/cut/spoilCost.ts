import { lengthNow, type ReleasedState } from '~/core/asbuilt/release'
import type { Boards } from '~/editor/useBoards'
import { spoilText, type Wording } from '~/messages'

/** What another of a piece is cut from, were it spoiled: an offcut that holds it, else one more board of the cheapest that does. */
export function spoilCost(
  state: ReleasedState,
  boards: Boards,
  w: Wording,
): { readonly from: 'spare' | 'board'; readonly says: string } {
  const { cutLength } = lengthNow(state)
  const { materialId } = state.piece
  const found = boards.materials.find(({ request }) => request.materialId === materialId)
  if (!found?.result.ok) return { from: 'board', says: spoilText.noBoards }
  const spare = found.result.value.boards
    .filter(({ offcut }) => offcut >= cutLength)
    .sort((a, b) => a.offcut - b.offcut)[0]
  if (spare) return { from: 'spare', says: spoilText.spare(spare.number, spare.offcut, w) }
  const { endTrim, offers } = found.request
  const holds = offers
    .filter(({ length, limit }) => limit === undefined && length - endTrim >= cutLength)
    .sort((a, b) => (a.price ?? Infinity) - (b.price ?? Infinity) || a.length - b.length)[0]
  return { from: 'board', says: holds ? spoilText.board(holds.length, holds.price, w) : spoilText.noBoards }
}

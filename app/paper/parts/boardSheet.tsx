import { alikeBoards, type BoardPlan } from '~/core/stock'
import { BoardDrawing, boardDrawingHeight } from '~/drawing/view/BoardDrawing'
import { PRINT } from '~/drawing/view/palette'
import {
  boardIssueText,
  boardsNamed,
  capital,
  leftText,
  materialName,
  paperText,
  say,
  sayStock,
  type Wording,
} from '~/messages'
import type { PaperBoards } from '../boards'
import type { Flow } from '../pdf/flow'
import { drawPicture } from '../pdf/picture'

const SIZE = 8.5
/** Boards drawn in one picture at most: what is taller than a page would lose its foot. */
const AT_ONCE = 14

/** 4 × alike, 3 to 6 · 8 ft · 3 1/2 left. */
export function boardLine({ board, numbers }: ReturnType<typeof alikeBoards>[number], w: Wording): string {
  return `${capital(boardsNamed(numbers))} · ${sayStock(board.length, w)} · ${leftText(board.offcut, w)}`
}

function material(flow: Flow, plan: BoardPlan, w: Wording): void {
  const alike = alikeBoards(plan.boards)
  flow.heading(materialName(plan.materialId, w))
  flow.para(paperText.boardMade(plan.proven), { size: 8.5, color: '#333333' })
  for (let from = 0; from < alike.length; from += AT_ONCE) {
    const boards = alike.slice(from, from + AT_ONCE)
    const height = boardDrawingHeight(boards.length, SIZE)
    flow.draw(height, (x, y, width) =>
      drawPicture(
        flow.pdf,
        { width, height },
        x,
        y,
        <BoardDrawing
          boards={boards}
          width={width - 1}
          size={SIZE}
          palette={PRINT}
          nameOf={(each) => boardLine(each, w)}
          lengthOf={(length) => say(length, w)}
        />,
      ),
    )
  }
}

/** The boards of the job, material by material, drawn as they are cut. */
export function boardSheet(flow: Flow, { plans, without }: PaperBoards, job: string, w: Wording): void {
  flow.page(paperText.parts.boards, job)
  for (const plan of plans) if (plan.boards.length > 0) material(flow, plan, w)
  for (const issue of without) flow.para(boardIssueText(issue, w))
  if (plans.every(({ boards }) => boards.length === 0) && without.length === 0) flow.para(paperText.noBoards)
}

import { styled } from 'styled-components'
import { alikeBoards, type BoardPlan, type CutBoard, leftPieceOf } from '~/core/stock'
import {
  boardsNamed,
  boardsText,
  boardText,
  leftText,
  lengthOnBoard,
  sayStock,
  type Wording,
} from '~/messages'
import { Fractions } from '~/ui/Fractions'
import { space, type } from '~/ui/theme'
import { useSelected, useWallEditor } from './WallEditor'

const List = styled.ol`
  display: grid;
  gap: ${space.m};
`
const Head = styled.p`
  display: flex;
  justify-content: space-between;
  gap: ${space.m};
  font-size: ${type.small};
  color: var(--ink-soft);
  & b {
    color: var(--ink);
  }
`
const Picture = styled.svg`
  display: block;
  width: 100%;
  height: 34px;
  overflow: visible;
`

const UNITS = 1000

function BoardPicture({ board, longest, wording }: { board: CutBoard; longest: number; wording: Wording }) {
  const { plan, select } = useWallEditor()
  const selected = useSelected()
  const per = UNITS / longest
  const stripOf = (pieceId: string) => plan.pieces.find((piece) => piece.id === pieceId)?.stripId ?? null
  return (
    <Picture
      viewBox={`0 0 ${UNITS} 34`}
      preserveAspectRatio="none"
      role="img"
      aria-label={boardText(board, wording)}
    >
      <rect
        x={1}
        y={1}
        width={board.length * per - 2}
        height={32}
        fill="none"
        stroke="var(--ink-soft)"
        strokeDasharray="4 4"
        vectorEffect="non-scaling-stroke"
      />
      {board.pieces.map((piece) => {
        const strip = stripOf(piece.pieceId)
        const lit = strip !== null && strip === selected
        return (
          <g
            key={piece.pieceId}
            data-board-piece={piece.pieceId}
            data-lit={lit || undefined}
            onClick={() => select(strip)}
            cursor="pointer"
          >
            <rect
              x={piece.from * per}
              y={1}
              width={piece.length * per}
              height={32}
              fill={lit ? 'var(--chalk-wash)' : piece.cut ? 'var(--paper)' : 'var(--board)'}
              stroke={lit ? 'var(--chalk)' : 'var(--rod-edge)'}
              strokeWidth={lit ? 3 : 1}
              vectorEffect="non-scaling-stroke"
            />
          </g>
        )
      })}
    </Picture>
  )
}

const Labels = styled.div`
  position: relative;
  height: 18px;
  font-size: ${type.small};
  font-weight: 600;
  & > span {
    position: absolute;
    transform: translateX(-50%);
    white-space: nowrap;
  }
`

/** Each board with its pieces, the kerfs between them, and what is left; those cut alike once, with their number. */
export function BoardRows({ plan }: { plan: BoardPlan }) {
  const { wording, plan: wall } = useWallEditor()
  const selected = useSelected()
  const longest = Math.max(...plan.boards.map(({ length }) => length))
  const stripOf = new Map(wall.pieces.map(({ id, stripId }) => [id, stripId]))
  const holds = (board: CutBoard) => board.pieces.some(({ pieceId }) => stripOf.get(pieceId) === selected)
  const all = new Map(plan.boards.map((board) => [board.number, board]))
  return (
    <List>
      {alikeBoards(plan.boards).map(({ board: first, numbers }) => {
        // of boards cut alike the one is drawn that the strip in hand comes from
        const board = numbers.flatMap((n) => all.get(n) ?? []).find(holds) ?? first
        return (
          <li key={first.number} data-board={board.number} data-alike={numbers.length}>
            <Head>
              <span>
                <b>{boardsNamed(numbers)}</b> · {sayStock(board.length, wording)}
                {board.pieces.some(({ cut }) => cut) ? ` · ${boardsText.begun}` : ''}
                {leftPieceOf(board) ? ` · ${boardsText.was(leftPieceOf(board) ?? '')}` : ''}
              </span>
              <span>
                <Fractions text={leftText(board.offcut, wording)} />
              </span>
            </Head>
            <BoardPicture board={board} longest={longest} wording={wording} />
            <Labels aria-hidden="true">
              {board.pieces.map(({ pieceId, label, from, length, long, spoiled }) => (
                <span key={pieceId} style={{ left: `${((from + length / 2) / longest) * 100}%` }}>
                  {spoiled ? `${boardsText.spoiled} ` : ''}
                  <Fractions
                    text={
                      length / longest > 0.19 ? `${label} ${lengthOnBoard({ length, long }, wording)}` : label
                    }
                  />
                </span>
              ))}
            </Labels>
          </li>
        )
      })}
    </List>
  )
}

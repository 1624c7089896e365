import { styled } from 'styled-components'
import type { CutCard } from '~/core/cutting/cutCards'
import { edgesOf } from '~/core/pieces'
import { useWallEditor } from '~/editor/WallEditor'
import { PieceOnSaw } from '~/drawing/view/PieceOnSaw'
import {
  edgesText,
  edgeTexts,
  fromBoardsText,
  groupSettingText,
  leftText,
  sawText,
  say,
  rowNames,
} from '~/messages'
import { Fractions } from '~/ui/Fractions'
import { Soft } from '~/ui/page'
import { narrow, space, type } from '~/ui/theme'
import { boardsHolding } from './boardsHolding'

const Panel = styled.section`
  display: grid;
  grid-template-columns: minmax(0, 1fr) 300px;
  gap: ${space.l};
  align-items: center;
  height: 168px;
  padding: ${space.s} ${space.m};
  background: var(--paper);
  border-top: 1px solid var(--line);
  overflow: hidden;
  ${narrow} {
    display: none;
  }
`
const Facts = styled.div`
  display: grid;
  gap: 2px;
  font-size: ${type.body};
  & > b {
    font-size: ${type.lead};
  }
`

/** The piece in hand, drawn as it lies on the saw, with its setting and the board it comes from. */
export function InHand({ card }: { card: CutCard | null }) {
  const { wording, plan, boards } = useWallEditor()
  if (!card)
    return (
      <Panel aria-label={sawText.inHand}>
        <Soft>{sawText.none}</Soft>
      </Panel>
    )
  const { row, start, end } = card
  const edges = edgesText(row, wording)
  const own = new Set(row.pieceIds)
  const on = boardsHolding(own, boards)
  const [board] = on
  const pieces = plan.pieces.filter(({ id }) => own.has(id))
  return (
    <Panel aria-label={sawText.inHand} data-in-hand={row.label}>
      <PieceOnSaw card={row} width={600} height={150} texts={edgeTexts(row, wording)} />
      <Facts>
        <b>
          {row.label} · <Fractions text={say(edgesOf(row).measured, wording)} /> × {row.pieceIds.length}
        </b>
        <span>{rowNames(pieces, wording)}</span>
        <span>{groupSettingText(start, end)}</span>
        {edges ? (
          <span data-edges>
            <Fractions text={edges} />
          </span>
        ) : null}
        {board ? (
          <Soft>
            {fromBoardsText(on.map(({ number }) => number))}
            {on.length === 1 ? (
              <>
                , <Fractions text={leftText(board.offcut, wording)} />
              </>
            ) : null}
          </Soft>
        ) : null}
      </Facts>
    </Panel>
  )
}

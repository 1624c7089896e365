import { styled } from 'styled-components'
import { sourceOf } from '~/core/yard/jobRequests'
import type { RackedOffcut } from '~/core/yard/yardState'
import type { BoardPlan, CutBoard } from '~/core/stock'
import { type Length, nanometers } from '~/length'
import {
  boardsNamed,
  boardsText,
  leftText,
  lengthOnBoard,
  say,
  sayStock,
  type Wording,
  whyNot,
} from '~/messages'
import type { Settings } from '~/model'
import { SteadyButton } from '~/ui/SteadyButton'
import { Fractions } from '~/ui/Fractions'
import { narrow, space, type } from '~/ui/theme'

const List = styled.ol`
  display: grid;
  gap: ${space.m};
`
const Item = styled.li`
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: ${space.xs} ${space.m};
  align-items: center;
  ${narrow} {
    grid-template-columns: minmax(0, 1fr);
  }
`
const Head = styled.p`
  grid-column: 1;
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 0 ${space.m};
  font-size: ${type.small};
  color: var(--ink-soft);
  & b {
    color: var(--ink);
  }
`
const Picture = styled.svg`
  grid-column: 1;
  display: block;
  width: 100%;
  height: 40px;
  overflow: visible;
`
/** The letters of the pieces on the board itself. */
const Letters = styled.div`
  grid-column: 1;
  position: relative;
  height: 0;
  & span {
    position: absolute;
    top: -31px;
    transform: translateX(-50%);
    font-weight: 650;
    color: var(--rod-ink);
    white-space: nowrap;
  }
`
const Pieces = styled.p`
  grid-column: 1;
  font-size: ${type.small};
`
const Cut = styled(SteadyButton)`
  grid-column: 2;
  grid-row: 1 / 4;
  ${narrow} {
    grid-column: 1;
    grid-row: auto;
  }
`

/** Where a board comes from, in a few words: bought, in hand, or an offcut with its label. */
export function sourceText(
  offerId: string,
  {
    length,
    settings,
    rack,
    walls,
    wording,
  }: {
    readonly length: Length
    readonly settings: Settings
    readonly rack: readonly RackedOffcut[]
    /** What walls are called, where there are several. */
    readonly walls: ReadonlyMap<string, string>
    readonly wording: Wording
  },
): string {
  const source = sourceOf(offerId)
  switch (source.from) {
    case 'rack': {
      const label = rack.find(({ id }) => id === source.offcut)?.label ?? ''
      return `${label} from the rack, ${say(length, wording)}`
    }
    case 'open':
      return boardsText.open(source.number, walls.get(source.wall) ?? '')
    case 'over':
      return boardsText.overPiece(source.piece, walls.get(source.wall) ?? '')
    case 'bought':
      return `${sayStock(source.length, wording)}, bought`
    case 'hand':
      return `${sayStock(source.length, wording)}, on hand`
    case 'buy':
      return sayStock(settings.shop.offers.find(({ id }) => id === source.offer)?.length ?? length, wording)
  }
}

/** Boards cut alike from the same kind are shown once. */
function alike(boards: readonly CutBoard[]): CutBoard[][] {
  const found = new Map<string, CutBoard[]>()
  for (const board of boards) {
    const { from } = sourceOf(board.offerId)
    const key = [
      ['rack', 'open', 'over'].includes(from) ? board.offerId : from,
      board.length,
      ...board.pieces.map(({ label, length }) => `${label}/${length}`),
    ].join(' ')
    found.set(key, [...(found.get(key) ?? []), board])
  }
  return [...found.values()]
}

/** 2 of A Long wall, 1 of C. */
function piecesText({ pieces }: CutBoard, wording: Wording): string {
  const counts = new Map<string, number>()
  for (const piece of pieces) {
    const text = `${piece.label} ${lengthOnBoard(piece, wording)}`
    counts.set(text, (counts.get(text) ?? 0) + 1)
  }
  return [...counts].map(([text, n]) => `${n > 1 ? `${n} × ` : ''}${text}`).join(' · ')
}

const UNITS = 1000
const HIGH = 40

function BoardPicture({ board, longest }: { board: CutBoard; longest: number }) {
  const per = UNITS / longest
  return (
    <Picture viewBox={`0 0 ${UNITS} ${HIGH}`} preserveAspectRatio="none" aria-hidden="true">
      <rect
        x={1}
        y={1}
        width={board.length * per - 2}
        height={HIGH - 2}
        fill="none"
        stroke="var(--ink-soft)"
        strokeDasharray="4 4"
        vectorEffect="non-scaling-stroke"
      />
      {board.pieces.map((piece) => (
        <rect
          key={piece.pieceId}
          x={piece.from * per}
          y={1}
          width={piece.length * per}
          height={HIGH - 2}
          fill={piece.pieceId.startsWith('spare/') ? 'var(--chalk-wash)' : 'var(--board)'}
          stroke="var(--rod-edge)"
          vectorEffect="non-scaling-stroke"
        />
      ))}
    </Picture>
  )
}

export interface BoardStackProps {
  readonly plan: BoardPlan
  readonly settings: Settings
  readonly rack: readonly RackedOffcut[]
  readonly walls: ReadonlyMap<string, string>
  readonly wording: Wording
  readonly onCut: (board: CutBoard) => void
}

/** Every board with where it comes from, what is cut from it and what is left; a press says one is cut. */
export function BoardStack({ plan, settings, rack, walls, wording, onCut }: BoardStackProps) {
  const longest = Math.max(...plan.boards.map(({ length }) => length))
  return (
    <List>
      {alike(plan.boards).map((group) => {
        const [board] = group
        if (!board) return null
        const named = boardsNamed(group.map(({ number }) => number))
        const source = sourceText(board.offerId, { length: board.length, settings, rack, walls, wording })
        return (
          <Item key={board.number} data-board={board.number} data-from={sourceOf(board.offerId).from}>
            <Head>
              <span>
                <b>{named}</b> · <Fractions text={source} />
              </span>
              <Fractions text={leftText(board.offcut, wording)} />
            </Head>
            <div>
              <BoardPicture board={board} longest={longest} />
              <Letters aria-hidden="true">
                {board.pieces.map(({ pieceId, label, from, length }) => (
                  <span key={pieceId} style={{ left: `${((from + length / 2) / longest) * 100}%` }}>
                    {label.replace(/^spare /, '+').split(' ')[0]}
                  </span>
                ))}
              </Letters>
            </div>
            <Pieces>
              <Fractions text={piecesText(board, wording)} />
            </Pieces>
            <Cut
              aria-label={boardsText.cutOne(`${named}, ${source}`)}
              onPress={() => onCut(board)}
              isDisabled={board.pieces.every(({ pieceId }) => pieceId.startsWith('spare/'))}
              why={whyNot.spares}
            >
              {boardsText.cut}
            </Cut>
          </Item>
        )
      })}
    </List>
  )
}

/** What of a board that was cut is worth keeping: its length, or nothing. */
export function worthRacking({ offcut }: CutBoard, rackFrom: number): Length | null {
  return offcut > 0 && offcut >= rackFrom ? nanometers(offcut) : null
}

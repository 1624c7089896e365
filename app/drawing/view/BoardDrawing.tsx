import type { AlikeBoards } from '~/core/stock'
import type { Palette } from './palette'
import { labelWidth } from './spreadLabels'
import { SvgLength } from './SvgLength'

/** How high a board is drawn, and how far the next one is from it; in sizes of type. */
const [BOARD, PITCH] = [2.1, 4.1]

export const boardDrawingHeight = (rows: number, size: number) => rows * PITCH * size

/** Boards as they are cut, those alike once, each with its name above it and its pieces in it: for print and files. */
export function BoardDrawing({
  boards,
  width,
  size,
  palette,
  digits = 2,
  nameOf,
  lengthOf,
}: {
  readonly boards: readonly AlikeBoards[]
  readonly width: number
  readonly size: number
  readonly palette: Palette
  readonly digits?: number
  /** Board 3, its length and what is left. */
  readonly nameOf: (alike: AlikeBoards) => string
  readonly lengthOf: (length: number) => string
}) {
  const longest = Math.max(1, ...boards.map(({ board }) => board.length))
  const per = width / longest
  const at = (value: number) => value.toFixed(digits)
  return (
    <>
      {boards.map((alike, row) => {
        const { board } = alike
        const top = row * PITCH * size
        return (
          <g key={board.number} id={`board-${board.number}`}>
            <title>{nameOf(alike)}</title>
            <SvgLength
              text={nameOf(alike)}
              x={0}
              y={top + size}
              fontSize={size}
              fontWeight={600}
              fill={palette.ink}
            />
            <rect
              x={0}
              y={at(top + size * 1.4)}
              width={at(board.length * per)}
              height={at(BOARD * size)}
              fill="none"
              stroke={palette.soft}
              strokeWidth={size * 0.06}
              strokeDasharray={`${size * 0.4} ${size * 0.3}`}
            />
            {board.pieces.map(({ pieceId, label, from, length }) => {
              const full = `${label} ${lengthOf(length)}`
              const room = length * per - size * 0.6
              const text =
                labelWidth(full, size) <= room ? full : labelWidth(label, size) <= room ? label : ''
              return (
                <g key={pieceId} id={`on-board-${pieceId}`}>
                  <title>{full}</title>
                  <rect
                    x={at(from * per)}
                    y={at(top + size * 1.4)}
                    width={at(length * per)}
                    height={at(BOARD * size)}
                    fill={palette.strip}
                    stroke={palette.ink}
                    strokeWidth={size * 0.06}
                  />
                  {text === '' ? null : (
                    <SvgLength
                      text={text}
                      x={(from + length / 2) * per}
                      y={top + size * 2.8}
                      textAnchor="middle"
                      fontSize={size}
                      fill={palette.ink}
                    />
                  )}
                </g>
              )
            })}
          </g>
        )
      })}
    </>
  )
}

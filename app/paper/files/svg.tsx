import { renderToStaticMarkup } from 'react-dom/server'
import { alikeBoards } from '~/core/stock'
import { colorsOf } from '~/core/agree/wallColors'
import { panelsOf } from '~/core/panels/panels'
import { edgesOf, faceFromCard } from '~/core/pieces'
import { BoardDrawing, boardDrawingHeight } from '~/drawing/view/BoardDrawing'
import { FileType } from '~/drawing/view/fileType'
import { PRINT } from '~/drawing/view/palette'
import { paintedPalette } from '~/drawing/view/painted'
import { SvgText } from '~/drawing/view/SvgText'
import { WallDrawing } from '~/drawing/view/WallDrawing'
import { capital, layoutTitle, pieceName, say, sayWithUnit, thingCalled, type Wording } from '~/messages'
import { inForce } from '~/model'
import type { PaperBoards } from '../boards'
import { boardLine } from '../parts/boardSheet'
import type { PlannedWall } from '../paperJob'
import { asOutlines } from './outlines'

const NM_PER_MM = 1e6
/** Digits of a millimeter: a nanometer. */
const DIGITS = 6

interface Drawn {
  readonly title: string
  /** In the drawing's own units. */
  readonly width: number
  readonly height: number
  /** How large it is on paper: with a unit. */
  readonly size: { readonly width: string; readonly height: string }
}

/** A whole SVG file, words as outlines. No color of it is the page's. */
function file({ title, width, height, size }: Drawn, content: React.ReactNode): string {
  const svg = renderToStaticMarkup(
    <svg
      xmlns="http://www.w3.org/2000/svg"
      width={size.width}
      height={size.height}
      viewBox={`0 0 ${width} ${height}`}
    >
      <title>{title}</title>
      {/* a viewer’s own ground may be dark */}
      <rect id="ground" width={width} height={height} fill="#ffffff" />
      <FileType.Provider value={asOutlines}>{content}</FileType.Provider>
    </svg>,
  )
  return `<?xml version="1.0" encoding="UTF-8"?>\n${svg}\n`
}

const mm = (nm: number) => String(Number((nm / NM_PER_MM).toFixed(DIGITS)))

/** How wide a wall drawing is in its own units, whatever it is printed at. */
const WIDE = 1100
const SIZE = 13
/** Printed it fits a sheet on its side, Letter or A4. */
const ON_PAPER = 250 // mm

/** What parts of a wall's drawing are called in a file: pieces by their names, things by theirs. */
export function namesOf({ plan, wall, wording, release }: PlannedWall): Map<string, string> {
  const names = new Map(release?.pieces.map(({ piece }) => [piece.pieceId, piece.name]))
  return new Map([
    ...plan.pieces.map((piece): [string, string] => {
      const own = names.get(piece.id)
      const said = pieceName(piece, wording)
      return [piece.id, own ? `${own}, ${said}` : said]
    }),
    ...wall.survey.things.map(({ id, kind }): [string, string] => [
      id,
      capital(thingCalled(wording, id, kind)),
    ]),
  ])
}

/** The wall as an SVG: what the screen draws, dimensioned, named, in its paints where it has them. */
export function wallSvg(planned: PlannedWall): string {
  const { scene, dimensions, plan, wall, wording, workpiece } = planned
  const height = Math.round(Math.min(1.1, Math.max(0.35, scene.height / scene.width + 0.25)) * WIDE)
  const palette = paintedPalette(PRINT, colorsOf(inForce(workpiece.wall.design), workpiece.settings))
  return file(
    {
      title: `${wall.name}: ${layoutTitle(plan, wording)}`,
      width: WIDE,
      height,
      size: { width: `${ON_PAPER}mm`, height: `${((ON_PAPER * height) / WIDE).toFixed(3)}mm` },
    },
    <WallDrawing
      scene={scene}
      dimensions={dimensions}
      palette={palette}
      width={WIDE}
      height={height}
      size={SIZE}
      digits={DIGITS}
      names={namesOf(planned)}
    />,
  )
}

const GAP = 12
const WORDS = 7

/** The pieces of a wall's list lying one under another, as large as they are, in millimeters; one alone where it is named. */
export function piecesSvg({ wall, cards, wording }: PlannedWall, label: string | null = null): string {
  const shown = cards.filter(({ row }) => label === null || row.label === label)
  let y = GAP
  const drawn = shown.map(({ row }) => {
    const face = faceFromCard(row)
    const top = y
    y += row.faceWidth / NM_PER_MM + WORDS + GAP
    return { row, face, top }
  })
  const width = Math.max(100, ...shown.map(({ row }) => row.longLength / NM_PER_MM)) + 2 * GAP
  return file(
    {
      title: wall.name,
      width: Number(width.toFixed(DIGITS)),
      height: Number(y.toFixed(DIGITS)),
      size: { width: `${width.toFixed(DIGITS)}mm`, height: `${y.toFixed(DIGITS)}mm` },
    },
    drawn.map(({ row, face, top }) => (
      <g key={row.label} id={`piece-${row.label}`}>
        <title>{`${row.label}: ${sayWithUnit(edgesOf(row).measured, wording)}, ${row.pieceIds.length} ×`}</title>
        <polygon
          points={face
            .map(
              ({ x, y: up }) =>
                `${(GAP + x / NM_PER_MM).toFixed(DIGITS)},${(top + (row.faceWidth - up) / NM_PER_MM).toFixed(DIGITS)}`,
            )
            .join(' ')}
          fill="none"
          stroke="#000000"
          strokeWidth={0.2}
        />
        <SvgText
          text={`${row.label} · ${row.pieceIds.length} × ${sayWithUnit(edgesOf(row).measured, wording)}`}
          x={GAP}
          y={top + row.faceWidth / NM_PER_MM + WORDS - 1}
          fontSize={5}
          fill="#000000"
        />
      </g>
    )),
  )
}

/** The boards of a wall or a job as they are cut. */
export function boardsSvg({ plans }: PaperBoards, title: string, w: Wording): string {
  const groups = plans.map((plan) => alikeBoards(plan.boards))
  const boards = groups.flat()
  const height = Math.max(SIZE * 3, boardDrawingHeight(boards.length, SIZE) + SIZE)
  return file(
    {
      title,
      width: WIDE,
      height,
      size: { width: `${ON_PAPER}mm`, height: `${((ON_PAPER * height) / WIDE).toFixed(3)}mm` },
    },
    groups.map((group, i) => (
      <g
        key={i}
        transform={`translate(0 ${boardDrawingHeight(groups.slice(0, i).flat().length, SIZE)})`}
        id={`material-${plans[i]?.materialId ?? i}`}
      >
        <BoardDrawing
          boards={group}
          width={WIDE - 2}
          size={SIZE}
          palette={PRINT}
          digits={DIGITS}
          nameOf={(each) => boardLine(each, w)}
          lengthOf={(length) => say(length, w)}
        />
      </g>
    )),
  )
}

/** The panels under a wall's trim, side by side, as large as they are, in millimeters, with their holes and notches; null where there are none. */
export function panelsSvg({ wall, workpiece, plan, wording }: PlannedWall): string | null {
  const panels = panelsOf(workpiece, plan.layout)
  if (!panels?.ok) return null
  let x = GAP
  const drawn = panels.value.panels.map((panel) => {
    const left = x
    x += panel.width / NM_PER_MM + GAP * 2
    return { panel, left }
  })
  const height = Math.max(...drawn.map(({ panel }) => panel.height / NM_PER_MM)) + 2 * GAP + WORDS * 3
  const rect = (left: number, top: number, width: number, high: number) => ({
    x: left.toFixed(DIGITS),
    y: top.toFixed(DIGITS),
    width: mm(width),
    height: mm(high),
    fill: 'none',
    stroke: '#000000',
    strokeWidth: 0.2,
  })
  return file(
    {
      title: wall.name,
      width: Number(x.toFixed(DIGITS)),
      height: Number(height.toFixed(DIGITS)),
      size: { width: `${x.toFixed(DIGITS)}mm`, height: `${height.toFixed(DIGITS)}mm` },
    },
    drawn.map(({ panel, left }) => (
      <g key={panel.id} id={`panel-${panel.id}`}>
        <title>{`${panel.id}: ${say(panel.width, wording)} × ${sayWithUnit(panel.height, wording)}`}</title>
        <rect {...rect(left, GAP, panel.width, panel.height)} />
        {panel.cuts.map((cut) => (
          <g key={cut.thingId} id={`cut-${panel.id}-${cut.thingId}`}>
            <title>{capital(thingCalled(wording, cut.thingId, cut.thing))}</title>
            <rect {...rect(left + cut.left / NM_PER_MM, GAP + cut.top / NM_PER_MM, cut.width, cut.height)} />
          </g>
        ))}
        <SvgText
          text={`${panel.id} · ${say(panel.width, wording)} × ${sayWithUnit(panel.height, wording)}`}
          x={left}
          y={GAP + panel.height / NM_PER_MM + WORDS * 2}
          fontSize={14}
          fill="#000000"
        />
      </g>
    )),
  )
}

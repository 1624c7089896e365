import type { SceneNode } from '~/core/scene/buildScene'
import { type Frame, svgPoints } from './frame'
import type { Palette } from './palette'
import { SvgText } from './SvgText'

/** More repeats than this are a misread figure. */
const MOST_REPEATS = 60

/** One drop of a paper or panel of a mural: its seams and its number. */
export function PaperView({
  node,
  frame,
  palette,
}: {
  readonly node: Extract<SceneNode, { kind: 'paper' }>
  readonly frame: Frame
  readonly palette: Palette
}) {
  const ink = palette.seam ?? palette.ink
  const [left, right] = [
    Math.min(...node.polygon.map(({ x }) => x)),
    Math.max(...node.polygon.map(({ x }) => x)),
  ]
  const ys = node.polygon.map(({ y }) => y)
  const [head, foot] = [Math.max(...ys), Math.min(...ys)]
  const top = frame.toY(head)
  const repeats = node.every > 0 ? Math.min(MOST_REPEATS, Math.ceil((head - foot) / node.every) - 1) : 0
  return (
    <g data-paper={node.number} pointerEvents="none">
      <polygon
        points={svgPoints(node.polygon, frame)}
        fill="none"
        stroke={ink}
        strokeOpacity={0.45}
        strokeWidth={0.75}
        strokeDasharray="2 3"
      />
      {/* where the pattern begins anew, a tick at the seam */}
      {Array.from({ length: Math.max(0, repeats) }, (_, i) => frame.toY(head - (i + 1) * node.every)).map(
        (y) => (
          <line
            key={y}
            x1={frame.toX(left)}
            x2={frame.toX(left) + 7}
            y1={y}
            y2={y}
            stroke={ink}
            strokeOpacity={0.6}
          />
        ),
      )}
      <SvgText
        text={String(node.number)}
        x={frame.toX((left + right) / 2)}
        y={top + 13}
        textAnchor="middle"
        fontSize={10}
        fill={ink}
        fillOpacity={0.75}
      />
    </g>
  )
}

import type { SceneNode } from '~/core/scene/buildScene'
import { type Frame, svgPoints } from './frame'
import type { Palette } from './palette'

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
  const top = Math.min(...node.polygon.map(({ y }) => frame.toY(y)))
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
      <text
        x={frame.toX((left + right) / 2)}
        y={top + 13}
        textAnchor="middle"
        fontSize={10}
        fill={ink}
        fillOpacity={0.75}
      >
        {node.number}
      </text>
    </g>
  )
}

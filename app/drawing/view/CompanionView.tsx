import type { SceneNode } from '~/core/scene/buildScene'
import { type Frame, svgPoints } from './frame'
import type { Palette } from './palette'
import { SvgText } from './SvgText'

interface Drawn<K extends SceneNode['kind']> {
  readonly node: Extract<SceneNode, { kind: K }>
  readonly frame: Frame
  readonly palette: Palette
}

/** An arch: its curve, closed on the spring line where it is painted; the band round it where it is cased. */
export function ArchView({ node, frame, palette }: Drawn<'arch'>) {
  const band = node.outer ? [...node.outer, ...[...node.polygon].reverse()] : null
  return (
    <g data-arch={node.id} pointerEvents="none">
      {band ? (
        <polygon
          points={svgPoints(band, frame)}
          fill={palette.strip}
          stroke={palette.stripEdge}
          strokeWidth={0.75}
        />
      ) : (
        <polygon
          points={svgPoints(node.polygon, frame)}
          fill={palette.chalkWash}
          fillOpacity={0.55}
          stroke="none"
        />
      )}
      <polyline points={svgPoints(node.polygon, frame)} fill="none" stroke={palette.chalk} strokeWidth={2} />
    </g>
  )
}

/** A letter or whatever hangs in a row, by its outline and its name. */
export function ItemView({ node, frame, palette }: Drawn<'item'>) {
  const xs = node.polygon.map(({ x }) => frame.toX(x))
  const ys = node.polygon.map(({ y }) => frame.toY(y))
  const [left, right, top, bottom] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)]
  const size = Math.max(8, Math.min(bottom - top, ((right - left) * 1.5) / Math.max(1, node.name.length)))
  return (
    <g data-item={node.id} pointerEvents="none">
      <polygon
        points={svgPoints(node.polygon, frame)}
        fill={palette.paper}
        fillOpacity={0.75}
        stroke={palette.ink}
        strokeWidth={1}
      />
      <SvgText
        text={node.name}
        x={(left + right) / 2}
        y={(top + bottom) / 2 + size * 0.28}
        textAnchor="middle"
        fontSize={size * 0.8}
        fontWeight={700}
        fill={palette.ink}
      />
    </g>
  )
}

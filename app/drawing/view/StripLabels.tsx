import { boundsOf } from '~/core/geometry'
import type { Scene } from '~/core/scene/buildScene'
import type { Frame } from './frame'
import type { Palette } from './palette'

/** Pixels a label may stand aside of its piece's middle, the nearest first. */
const ASIDE = [0, 24, -24, 48, -48, 72, -72]

/** What each piece is called on the cut list, written on it where it stands. */
export function StripLabels({
  scene,
  frame,
  palette,
  labels,
}: {
  scene: Scene
  frame: Frame
  palette: Palette
  /** By the piece's id. */
  labels: ReadonlyMap<string, string>
}) {
  const taken: { x: number; y: number }[] = []
  return (
    <g pointerEvents="none" aria-hidden="true">
      {scene.nodes.map((node) => {
        const label = node.kind === 'strip' ? labels.get(node.id) : undefined
        if (label === undefined || node.kind !== 'strip') return null
        const { left, right, bottom, top } = boundsOf(node.polygon)
        const along = right - left > top - bottom ? 'x' : 'y'
        const middle = { x: frame.toX((left + right) / 2), y: frame.toY((bottom + top) / 2) + 4.5 }
        const room = (along === 'x' ? right - left : top - bottom) * frame.scale * 0.45
        // two that would stand on one another move apart along their strips
        const free = ASIDE.filter((by) => Math.abs(by) <= room)
          .map((by) => ({ ...middle, [along]: middle[along] + by }))
          .find(({ x, y }) => taken.every((each) => Math.abs(each.x - x) > 15 || Math.abs(each.y - y) > 13))
        if (!free) return null
        taken.push(free)
        return (
          <text
            key={node.id}
            x={free.x}
            y={free.y}
            textAnchor="middle"
            fontSize={13}
            fontWeight={700}
            fill={palette.ink}
            stroke={palette.paper}
            strokeWidth={3.5}
            paintOrder="stroke"
          >
            {label}
          </text>
        )
      })}
    </g>
  )
}

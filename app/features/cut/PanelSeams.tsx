import { panelsOf } from '~/core/panels/panels'
import type { Frame } from '~/drawing/view/frame'
import { useWallNow } from '~/editor/WallEditor'

/** The panels of the backer on the wall: their edges in dashes under the strips' names. */
export function PanelSeams({ frame }: { frame: Frame }) {
  const { plan, workpiece } = useWallNow()
  const found = panelsOf(workpiece, plan.layout)
  if (!found?.ok) return null
  return (
    <g aria-hidden="true" data-panel-seams pointerEvents="none">
      {found.value.panels.map(({ id, at }) => (
        <g key={id}>
          <rect
            x={frame.toX(at.left)}
            y={frame.toY(at.top)}
            width={(at.right - at.left) * frame.scale}
            height={(at.top - at.bottom) * frame.scale}
            fill="none"
            stroke="var(--rod-ink)"
            strokeDasharray="7 4"
          />
          <text
            x={frame.toX(at.left) + 6}
            y={frame.toY(at.top + 0.3 * (at.bottom - at.top))}
            fontSize={12}
            fontWeight={650}
            fill="var(--rod-ink)"
            stroke="var(--wall)"
            strokeWidth={3}
            paintOrder="stroke"
          >
            {id}
          </text>
        </g>
      ))}
    </g>
  )
}

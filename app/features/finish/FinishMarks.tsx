import type { FinishItem } from '~/core/finish/finishList'
import type { Frame } from '~/drawing/view/frame'
import { SCREEN } from '~/drawing/view/palette'

/** Where an item of the finish list is on the wall: nail holes as dots, seams and joints as lines, faces and drops as outlines. */
export function FinishMarks({ item, frame }: { readonly item: FinishItem; readonly frame: Frame }) {
  const { chalk, chalkWash } = SCREEN
  return (
    <g pointerEvents="none" data-finish-shown={item.id}>
      {item.areas.map((polygon, i) => (
        <polygon
          key={i}
          points={polygon.map(({ x, y }) => `${frame.toX(x)},${frame.toY(y)}`).join(' ')}
          fill={chalkWash}
          fillOpacity={0.45}
          stroke={chalk}
          strokeWidth={1.5}
        />
      ))}
      {item.lines.map(({ from, to }, i) => (
        <line
          key={i}
          x1={frame.toX(from.x)}
          y1={frame.toY(from.y)}
          x2={frame.toX(to.x)}
          y2={frame.toY(to.y)}
          stroke={chalk}
          strokeWidth={3.5}
          strokeLinecap="round"
        />
      ))}
      {item.dots.map(({ x, y }, i) => (
        <circle
          key={i}
          cx={frame.toX(x)}
          cy={frame.toY(y)}
          r={4}
          fill={chalkWash}
          stroke={chalk}
          strokeWidth={2}
        />
      ))}
    </g>
  )
}

import type { Palette } from './palette'
import { SvgLength } from './SvgLength'

/** A dimension line across a gap, with its size on a small plate. */
export function GapDimension(props: {
  left: number
  right: number
  y: number
  label: string
  palette: Palette
}) {
  const { left, right, y, label, palette } = props
  const middle = (left + right) / 2
  const plate = label.length * 7.4 + 14
  const above = right - left < plate + 26
  const labelY = above ? y - 22 : y
  return (
    <g pointerEvents="none">
      <line x1={left} x2={right} y1={y} y2={y} stroke={palette.paper} strokeWidth={4} />
      <line x1={left} x2={right} y1={y} y2={y} stroke={palette.chalk} strokeWidth={1.75} />
      <line x1={left} x2={left} y1={y - 7} y2={y + 7} stroke={palette.chalk} strokeWidth={1.75} />
      <line x1={right} x2={right} y1={y - 7} y2={y + 7} stroke={palette.chalk} strokeWidth={1.75} />
      <rect x={middle - plate / 2} y={labelY - 12} width={plate} height={24} rx={4} fill={palette.paper} />
      <SvgLength
        text={label}
        x={middle}
        y={labelY + 5}
        textAnchor="middle"
        fontSize={14}
        fontWeight={700}
        fill={palette.chalk}
      />
    </g>
  )
}

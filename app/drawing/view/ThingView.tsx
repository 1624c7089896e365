import { isHeat } from '~/core/survey/heat'
import { isPlate } from '~/core/survey/obstacles'
import type { SceneNode } from '~/core/scene/buildScene'
import { type Frame, svgPoints } from './frame'
import type { Palette } from './palette'

type ThingNode = Extract<SceneNode, { kind: 'thing' }>

/** A window's panes, a door's leaf, a plate's slots: enough to know what it is. */
function Inside({ node, frame, palette }: { node: ThingNode; frame: Frame; palette: Palette }) {
  const { left, right, bottom, top } = node.inner
  const [x, y] = [frame.toX(left), frame.toY(top)]
  const [width, height] = [(right - left) * frame.scale, (top - bottom) * frame.scale]
  const [middleX, middleY] = [x + width / 2, y + height / 2]
  const line = { stroke: palette.ink, strokeWidth: 1 }
  switch (node.thing) {
    case 'window':
      return (
        <>
          <rect x={x} y={y} width={width} height={height} fill={palette.chalkWash} {...line} />
          <line x1={middleX} x2={middleX} y1={y} y2={y + height} stroke={palette.paper} strokeWidth={4} />
          <line x1={x} x2={x + width} y1={middleY} y2={middleY} stroke={palette.paper} strokeWidth={4} />
        </>
      )
    case 'door':
      return (
        <>
          <rect x={x} y={y} width={width} height={height} fill={palette.rod} {...line} />
          <circle cx={x + width * 0.9} cy={middleY} r={3} fill={palette.ink} />
        </>
      )
    case 'outlet':
      return (
        <>
          <circle cx={middleX} cy={y + height * 0.33} r={Math.max(1, height * 0.09)} fill={palette.ink} />
          <circle cx={middleX} cy={y + height * 0.67} r={Math.max(1, height * 0.09)} fill={palette.ink} />
        </>
      )
    case 'switch':
      return (
        <rect x={middleX - 1} y={middleY - height * 0.2} width={2} height={height * 0.4} fill={palette.ink} />
      )
    case 'vent':
      return (
        <>
          {[0.25, 0.5, 0.75].map((part) => (
            <line
              key={part}
              x1={x + 2}
              x2={x + width - 2}
              y1={y + height * part}
              y2={y + height * part}
              {...line}
            />
          ))}
        </>
      )
    case 'fireplace':
    case 'stove':
      return (
        <>
          <rect x={x} y={y} width={width} height={height} fill={palette.ink} fillOpacity={0.72} {...line} />
          {/* a grate, so that it reads as a hearth */}
          {Array.from({ length: 5 }, (_, n) => x + width * (0.3 + n * 0.1)).map((at) => (
            <line
              key={at}
              x1={at}
              x2={at}
              y1={y + height * 0.72}
              y2={y + height * 0.94}
              stroke={palette.rod}
              strokeWidth={2}
            />
          ))}
          <line
            x1={x + width * 0.26}
            x2={x + width * 0.74}
            y1={y + height * 0.74}
            y2={y + height * 0.74}
            stroke={palette.rod}
            strokeWidth={2}
          />
        </>
      )
    case 'radiator':
    case 'heater':
      return (
        <>
          <rect x={x} y={y} width={width} height={height} fill={palette.rod} {...line} />
          {Array.from({ length: 7 }, (_, i) => x + (width * (i + 1)) / 8).map((at) => (
            <line key={at} x1={at} x2={at} y1={y + 2} y2={y + height - 2} {...line} />
          ))}
        </>
      )
    case 'thermostat':
    case 'sconce':
      return <circle cx={middleX} cy={middleY} r={Math.min(width, height) * 0.3} fill="none" {...line} />
    default:
      return null
  }
}

/** Something that stands on the wall. */
export function ThingView({ node, frame, palette }: { node: ThingNode; frame: Frame; palette: Palette }) {
  const missing = node.thing === 'cutOff' || node.thing === 'stair' || node.thing === 'landing'
  // what is kept clear of heat is drawn as a line about it
  const heat = isHeat(node.thing)
  return (
    <g data-thing={node.id} opacity={node.kept ? 1 : 0.5}>
      <polygon
        points={svgPoints(node.outline, frame)}
        fill={
          missing
            ? palette.rodEdge
            : node.thing === 'chimneyBreast'
              ? palette.wall
              : isPlate(node.thing)
                ? (palette.plate ?? palette.paper)
                : palette.paper
        }
        fillOpacity={missing ? 0.35 : heat ? 0 : 1}
        stroke={heat ? palette.red : palette.ink}
        strokeWidth={1.25}
        strokeDasharray={heat ? '3 3' : node.kept ? undefined : '5 4'}
      />
      <Inside node={node} frame={frame} palette={palette} />
    </g>
  )
}

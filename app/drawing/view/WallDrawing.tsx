import { sceneBounds } from '~/core/scene/bounds'
import type { Scene } from '~/core/scene/buildScene'
import type { RunningDimensions } from '~/core/scene/dimensions'
import { dimensionLines, dimensionMargins } from './dimensionLines'
import { fitFrame, type Frame } from './frame'
import type { Palette } from './palette'
import { SceneView } from './SceneView'
import { SvgLength } from './SvgLength'

export interface WallDrawingProps {
  readonly scene: Scene
  readonly dimensions: RunningDimensions
  readonly palette: Palette
  readonly width: number
  readonly height: number
  /** The size of its figures. */
  readonly size: number
  readonly digits?: number
  /** Keep-outs shown. */
  readonly behind?: boolean
  /** What the drawing's parts are called, by their ids: a file names them. */
  readonly names?: ReadonlyMap<string, string>
}

const NONE: ReadonlySet<string> = new Set()

/** The frame of a wall drawing: its figures have room beside the wall. */
export function drawingFrame(
  scene: Scene,
  dimensions: RunningDimensions,
  { width, height, size, digits }: Pick<WallDrawingProps, 'width' | 'height' | 'size' | 'digits'>,
): Frame {
  const bounds = sceneBounds(scene)
  const wall = { width: bounds.right - bounds.left, height: bounds.top - bounds.bottom }
  const fitted = fitFrame({ width, height }, wall, dimensionMargins(dimensions, size))
  return {
    ...fitted,
    ...(digits === undefined ? {} : { digits }),
    toX: (x) => fitted.toX(x - bounds.left),
    toY: (y) => fitted.toY(y - bounds.bottom),
  }
}

/** A wall with what is on it, dimensioned by running figures: the content of an SVG of that width and height. For print and files. */
export function WallDrawing(props: WallDrawingProps) {
  const { scene, dimensions, palette, size, behind = false, names } = props
  const frame = drawingFrame(scene, dimensions, props)
  const { lines, figures } = dimensionLines(dimensions, frame, sceneBounds(scene), size)
  const digits = (value: number) => value.toFixed(frame.digits ?? 2)
  return (
    <>
      <SceneView
        scene={scene}
        frame={frame}
        palette={palette}
        selected={null}
        flagged={NONE}
        behind={behind}
        {...(names ? { names } : {})}
      />
      <g stroke={palette.ink} strokeWidth={size * 0.05} fill="none" data-dimensions="">
        {lines.map(({ x1, y1, x2, y2, kind }, i) => (
          <line
            key={i}
            x1={digits(x1)}
            y1={digits(y1)}
            x2={digits(x2)}
            y2={digits(y2)}
            strokeWidth={kind === 'leader' ? size * 0.05 : size * 0.09}
          />
        ))}
      </g>
      {figures.map(({ id, text, x, y, side }) => (
        <SvgLength
          key={`${side} ${id}`}
          text={text}
          x={x}
          y={y}
          fontSize={size}
          fontWeight={600}
          fill={palette.ink}
          textAnchor={side === 'head' ? 'start' : 'end'}
          {...(side === 'left' ? {} : { transform: `rotate(-90 ${x.toFixed(2)} ${y.toFixed(2)})` })}
        />
      ))}
    </>
  )
}

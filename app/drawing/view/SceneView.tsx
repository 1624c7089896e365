import type { Scene, SceneNode } from '~/core/scene/buildScene'
import { type Frame, svgPoints } from './frame'
import type { Palette } from './palette'
import { ThingView } from './ThingView'

export interface SceneViewProps {
  readonly scene: Scene
  readonly frame: Frame
  readonly palette: Palette
  readonly selected: string | null
  /** Strips a finding speaks of, circled in red pencil. */
  readonly flagged: ReadonlySet<string>
  /** Keep-outs shown. */
  readonly behind?: boolean
  /** The wall's deviations shown, made larger. */
  readonly deviation?: boolean
  readonly onPoint?: (stripId: string | null) => void
  readonly onPick?: (stripId: string) => void
}

type Strip = Extract<SceneNode, { kind: 'strip' }>

function StripView({
  node,
  frame,
  palette,
  selected,
  flagged,
  onPoint,
  onPick,
}: SceneViewProps & { node: Strip }) {
  const lit = node.stripId === selected
  const wrong = flagged.has(node.stripId)
  return (
    <g
      data-strip={node.stripId}
      data-lit={lit || undefined}
      onPointerEnter={() => onPoint?.(node.stripId)}
      onClick={() => onPick?.(node.stripId)}
      cursor={onPick ? 'pointer' : undefined}
    >
      <polygon points={svgPoints(node.polygon, frame, 1.6)} fill={palette.shade} opacity={0.55} />
      <polygon
        points={svgPoints(node.polygon, frame)}
        fill={palette.strip}
        stroke={lit ? palette.chalk : wrong ? palette.red : palette.stripEdge}
        strokeWidth={lit ? 3 : wrong ? 2.5 : 0.75}
        strokeDasharray={wrong && !lit ? '6 3' : undefined}
        paintOrder={lit ? 'stroke' : undefined}
      />
      {lit ? (
        <polygon points={svgPoints(node.polygon, frame)} fill={palette.chalkWash} opacity={0.35} />
      ) : null}
    </g>
  )
}

/** A scene as SVG, back to front. The same for screen, print and file. */
export function SceneView(props: SceneViewProps) {
  const { scene, frame, palette } = props
  const lastSelected = [...scene.nodes].sort(
    (a, b) =>
      Number(a.kind === 'strip' && a.stripId === props.selected) -
      Number(b.kind === 'strip' && b.stripId === props.selected),
  )
  return (
    <g>
      {lastSelected.map((node) => {
        switch (node.kind) {
          case 'wall':
            return (
              <polygon
                key={node.id}
                points={svgPoints(node.polygon, frame)}
                fill={palette.wall}
                stroke={palette.ink}
                strokeWidth={1.5}
                onPointerEnter={() => props.onPoint?.(null)}
              />
            )
          case 'field':
            return <polygon key={node.id} points={svgPoints(node.polygon, frame)} fill={palette.field} />
          case 'running':
            return (
              <polygon
                key={node.id}
                points={svgPoints(node.polygon, frame)}
                fill={node.kept ? palette.paper : 'none'}
                stroke={node.kept ? palette.ink : palette.soft}
                strokeWidth={1}
                strokeDasharray={node.kept ? undefined : '5 4'}
              />
            )
          case 'strip':
            return <StripView key={node.id} node={node} {...props} />
          case 'thing':
            return <ThingView key={node.id} node={node} frame={frame} palette={palette} />
          case 'stud':
            return (
              <line
                key={node.id}
                x1={frame.toX(node.x)}
                x2={frame.toX(node.x)}
                y1={frame.toY(node.bottom)}
                y2={frame.toY(node.top)}
                stroke={palette.soft}
                strokeDasharray="1.5 6"
              />
            )
          case 'keepOut':
            return props.behind ? (
              <polygon
                key={node.id}
                points={svgPoints(node.polygon, frame)}
                fill={palette.red}
                fillOpacity={0.13}
                stroke={palette.red}
                strokeDasharray="3 4"
                strokeWidth={0.75}
                pointerEvents="none"
              />
            ) : null
          case 'deviation':
            return props.deviation ? (
              <polygon
                key={node.id}
                points={svgPoints(node.polygon, frame)}
                fill="none"
                stroke={palette.red}
                strokeWidth={2}
                strokeDasharray="9 5"
                pointerEvents="none"
              />
            ) : null
        }
      })}
    </g>
  )
}

/** The strips a way out would give, drawn over the plan as it is. */
export function GhostView({ scene, frame, palette }: Pick<SceneViewProps, 'scene' | 'frame' | 'palette'>) {
  return (
    <g pointerEvents="none">
      {scene.nodes.map((node) =>
        node.kind === 'strip' ? (
          <polygon
            key={node.id}
            points={svgPoints(node.polygon, frame)}
            fill={palette.chalkWash}
            fillOpacity={0.6}
            stroke={palette.chalk}
            strokeWidth={1.5}
            strokeDasharray="7 4"
          />
        ) : null,
      )}
    </g>
  )
}

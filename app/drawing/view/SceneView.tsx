import { memo } from 'react'
import type { Scene, SceneNode } from '~/core/scene/buildScene'
import { type Frame, svgPoints } from './frame'
import { ArchView, ItemView } from './CompanionView'
import type { Palette } from './palette'
import { PaperView } from './PaperView'
import { ThingView } from './ThingView'

export interface SceneViewProps {
  readonly scene: Scene
  readonly frame: Frame
  readonly palette: Palette
  readonly selected: string | null
  /** Strips and things a finding speaks of, circled in red pencil. */
  readonly flagged: ReadonlySet<string>
  /** Keep-outs shown. */
  readonly behind?: boolean
  /** The wall's deviations shown, made larger. */
  readonly deviation?: boolean
  /** Hollows and bellies shaded boldly, as where they are measured; else faintly. */
  readonly flat?: boolean
  /** A file names its strips and things, by the ids of their nodes. */
  readonly names?: ReadonlyMap<string, string>
  readonly onPoint?: (stripId: string | null) => void
  readonly onPick?: (stripId: string) => void
}

type Strip = Extract<SceneNode, { kind: 'strip' }>

interface StripViewProps extends Pick<SceneViewProps, 'frame' | 'palette'> {
  readonly onPoint: SceneViewProps['onPoint'] | undefined
  readonly onPick: SceneViewProps['onPick'] | undefined
  readonly node: Strip
  readonly lit: boolean
  readonly wrong: boolean
  readonly name: string | undefined
}

function samePolygon(a: Strip['polygon'], b: Strip['polygon']): boolean {
  return a === b || (a.length === b.length && a.every(({ x, y }, i) => b[i]?.x === x && b[i]?.y === y))
}

/** A strip is drawn anew only where it lies otherwise: of a scene made anew most strips stay. */
const StripView = memo(
  function StripView({ node, frame, palette, lit, wrong, name, onPoint, onPick }: StripViewProps) {
    const points = svgPoints(node.polygon, frame)
    return (
      <g
        id={name === undefined ? undefined : node.id}
        data-strip={node.stripId}
        data-lit={lit || undefined}
        onPointerEnter={() => onPoint?.(node.stripId)}
        onClick={() => onPick?.(node.stripId)}
        cursor={onPick ? 'pointer' : undefined}
      >
        {name === undefined ? null : <title>{name}</title>}
        {palette.shadeOpacity === 0 ? null : (
          <polygon
            points={svgPoints(node.polygon, frame, 1.6)}
            fill={palette.shade}
            opacity={palette.shadeOpacity ?? 0.55}
          />
        )}
        <polygon
          points={points}
          fill={palette.strip}
          stroke={lit ? palette.chalk : wrong ? palette.red : palette.stripEdge}
          strokeWidth={lit ? 3 : wrong ? 2.5 : 0.75}
          strokeDasharray={wrong && !lit ? '6 3' : undefined}
          paintOrder={lit ? 'stroke' : undefined}
        />
        {lit ? <polygon points={points} fill={palette.chalkWash} opacity={0.35} /> : null}
      </g>
    )
  },
  (a, b) =>
    a.node.stripId === b.node.stripId &&
    samePolygon(a.node.polygon, b.node.polygon) &&
    a.frame === b.frame &&
    a.palette === b.palette &&
    a.lit === b.lit &&
    a.wrong === b.wrong &&
    a.name === b.name &&
    a.onPoint === b.onPoint &&
    a.onPick === b.onPick,
)

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
          case 'above':
            return palette.above ? (
              <polygon key={node.id} points={svgPoints(node.polygon, frame)} fill={palette.above} />
            ) : null
          case 'paper':
            return palette.above ? (
              <PaperView key={node.id} node={node} frame={frame} palette={palette} />
            ) : null
          case 'running':
            return (
              <polygon
                key={node.id}
                points={svgPoints(node.polygon, frame)}
                fill={node.kept ? (palette.running ?? palette.paper) : 'none'}
                stroke={node.kept ? palette.ink : palette.soft}
                strokeWidth={1}
                strokeDasharray={node.kept ? undefined : '5 4'}
              />
            )
          case 'strip':
            return (
              <StripView
                key={node.id}
                node={node}
                frame={frame}
                palette={palette}
                lit={node.stripId === props.selected}
                wrong={props.flagged.has(node.stripId)}
                name={props.names?.get(node.id)}
                onPoint={props.onPoint}
                onPick={props.onPick}
              />
            )
          case 'thing':
            return (
              <g
                key={node.id}
                id={props.names?.has(node.id) ? node.id : undefined}
                data-wrong={props.flagged.has(node.id) || undefined}
              >
                {props.names?.has(node.id) ? <title>{props.names.get(node.id)}</title> : null}
                <ThingView node={node} frame={frame} palette={palette} />
                {props.flagged.has(node.id) ? (
                  <polygon
                    points={svgPoints(node.outline, frame)}
                    fill="none"
                    stroke={palette.red}
                    strokeWidth={2.5}
                    strokeDasharray="6 3"
                    pointerEvents="none"
                  />
                ) : null}
              </g>
            )
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
          case 'hollow':
            return (
              <polygon
                key={node.id}
                data-hollow={node.readingId}
                points={svgPoints(node.polygon, frame)}
                fill={node.shape === 'hollow' ? palette.chalk : palette.red}
                fillOpacity={props.flat ? 0.16 : 0.07}
                stroke={node.part === 0 ? (node.shape === 'hollow' ? palette.chalk : palette.red) : 'none'}
                strokeOpacity={props.flat ? 1 : 0.5}
                strokeDasharray={node.shape === 'hollow' ? '2 4' : '7 3'}
                pointerEvents="none"
              />
            )
          case 'floorToCome':
            return (
              <polygon
                key={node.id}
                data-floor-to-come
                points={svgPoints(node.polygon, frame)}
                fill={palette.rod}
                stroke={palette.ink}
                strokeDasharray="4 3"
                strokeWidth={0.75}
                pointerEvents="none"
              />
            )
          case 'bracket':
            return (
              <polygon
                key={node.id}
                data-bracket
                points={svgPoints(node.polygon, frame)}
                fill={palette.rodEdge}
                stroke={palette.ink}
                strokeWidth={0.75}
                pointerEvents="none"
              />
            )
          case 'arch':
            return <ArchView key={node.id} node={node} frame={frame} palette={palette} />
          case 'item':
            return <ItemView key={node.id} node={node} frame={frame} palette={palette} />
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
          default:
            // the rods draw their own
            return null
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

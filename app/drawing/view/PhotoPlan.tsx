import type { PhotoNode } from '~/core/photo/photoScene'
import { inkOn, shadeOf, type WallColors } from '~/core/agree/wallColors'

/** Colors of what has none of its own yet; a file sees no page. */
const PLAIN = { strip: '#9db3ad', plate: '#f2efe6' } as const
/** Paint over a photograph lets the wall's own light through. */
const COVER = 0.86

export interface PhotoPlanProps {
  readonly nodes: readonly PhotoNode[]
  readonly colors: WallColors
  /** What stands before the wall, as outlines in pixels. */
  readonly cutOuts: readonly (readonly { readonly x: number; readonly y: number }[])[]
  readonly width: number
  readonly height: number
  /** A name for the mask that nothing else on the page has. */
  readonly name: string
  /** The part of the picture the plan is shown on, from its left; all of it where left out. */
  readonly shown?: number
}

const pointsOf = (points: PhotoNode['points']) =>
  points.map(({ x, y }) => `${x.toFixed(2)},${y.toFixed(2)}`).join(' ')

/** A plan over a photograph, as plain SVG: the same on the page, in a picture and on the client's page. */
export function PhotoPlan({ nodes, colors, cutOuts, width, height, name, shown = 1 }: PhotoPlanProps) {
  const strip = colors.trim?.hex ?? PLAIN.strip
  const above = colors.paper?.hex ?? colors.above?.hex ?? null
  const of = (kind: PhotoNode['kind']) => nodes.filter((node) => node.kind === kind)
  const drawn = (node: PhotoNode, fill: string, more: object = {}) => (
    <polygon key={node.id} points={pointsOf(node.points)} fill={fill} {...more} />
  )
  return (
    <g mask={`url(#${name})`}>
      <mask id={name} maskUnits="userSpaceOnUse" x={0} y={0} width={width} height={height}>
        <rect x={0} y={0} width={width * shown} height={height} fill="#fff" />
        {cutOuts.map((outline, i) => (
          <polygon key={i} points={pointsOf(outline)} fill="#000" />
        ))}
      </mask>
      <mask id={`${name}-paint`} maskUnits="userSpaceOnUse" x={0} y={0} width={width} height={height}>
        <rect x={0} y={0} width={width} height={height} fill="#fff" />
        {of('hole').map((node) => drawn(node, '#000'))}
      </mask>
      <g mask={`url(#${name}-paint)`}>
        {above ? of('above').map((node) => drawn(node, above, { fillOpacity: COVER })) : null}
        {above
          ? of('seam').map((node) =>
              drawn(node, 'none', { stroke: inkOn(above), strokeOpacity: 0.3, strokeWidth: 1 }),
            )
          : null}
        {colors.field
          ? of('field').map((node) => drawn(node, colors.field?.hex ?? strip, { fillOpacity: COVER }))
          : null}
        {colors.trim && colors.base
          ? of('base').map((node) => drawn(node, strip, { fillOpacity: COVER }))
          : null}
        {/* one group for all shades: where two lie over one another it is no darker */}
        <g opacity={0.34}>{of('shadow').map((node) => drawn(node, '#000'))}</g>
      </g>
      {nodes.flatMap((node) => {
        if (node.kind === 'strip') return [drawn(node, strip, { stroke: shadeOf(strip), strokeWidth: 0.6 })]
        if (node.kind === 'dim') return [drawn(node, shadeOf(strip), { fillOpacity: 0.8 })]
        if (node.kind === 'lit') return [drawn(node, '#ffffff', { fillOpacity: 0.45 })]
        return []
      })}
      {of('plate').map((node) =>
        drawn(node, colors.plates?.hex ?? PLAIN.plate, { stroke: '#555', strokeWidth: 0.8 }),
      )}
    </g>
  )
}

import { signedArea } from '~/core/geometry'
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

/** Outlines as one path, all turned the same way, so that where two lie over one another none is cut out of the other. */
function pathOf(nodes: readonly PhotoNode[]): string {
  return nodes
    .map(({ points }) => {
      const turned = signedArea(points) < 0 ? [...points].reverse() : points
      return `M${turned.map(({ x, y }) => `${x.toFixed(2)} ${y.toFixed(2)}`).join('L')}Z`
    })
    .join('')
}

/** A plan over a photograph, as plain SVG: the same on the page, in a picture and on the client's page. A path for each kind: a point that is pulled draws few things anew. */
export function PhotoPlan({ nodes, colors, cutOuts, width, height, name, shown = 1 }: PhotoPlanProps) {
  const strip = colors.trim?.hex ?? PLAIN.strip
  const above = colors.paper?.hex ?? colors.above?.hex ?? null
  const drawn = (kind: PhotoNode['kind'], fill: string, more: object = {}) => {
    const of = nodes.filter((node) => node.kind === kind)
    return of.length === 0 ? null : <path data-kind={kind} d={pathOf(of)} fill={fill} {...more} />
  }
  const paint = { fillOpacity: COVER }
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
        {drawn('hole', '#000')}
      </mask>
      <g mask={`url(#${name}-paint)`}>
        {above ? drawn('above', above, paint) : null}
        {above ? drawn('seam', 'none', { stroke: inkOn(above), strokeOpacity: 0.3, strokeWidth: 1 }) : null}
        {colors.field ? drawn('field', colors.field.hex, paint) : null}
        {colors.trim && colors.base ? drawn('base', strip, paint) : null}
        {drawn('shadow', '#000', { opacity: 0.34 })}
      </g>
      {drawn('strip', strip, { stroke: shadeOf(strip), strokeWidth: 0.6 })}
      {drawn('dim', shadeOf(strip), { fillOpacity: 0.8 })}
      {drawn('lit', '#ffffff', { fillOpacity: 0.45 })}
      {drawn('plate', colors.plates?.hex ?? PLAIN.plate, { stroke: '#555', strokeWidth: 0.8 })}
    </g>
  )
}

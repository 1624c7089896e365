import type { Polygon } from '../geometry'
import type { Scene } from './buildScene'

/** The drawing's own colors: a picture stands by itself and sees no page. */
const INK = {
  wall: '#f6f3ea',
  edge: '#565d60',
  field: '#60766f',
  strip: '#9db3ad',
  trim: '#fbf8f1',
  thing: '#e4ecf3',
} as const

/** Pixels of a picture at most, either way. */
const MOST = { width: 220, height: 110 } as const

/** How wide and high the picture of a wall of this size is, in pixels. */
export function pictureSize({ width, height }: { width: number; height: number }): {
  width: number
  height: number
} {
  const scale = Math.min(MOST.width / width, MOST.height / height)
  return { width: Math.max(12, Math.round(width * scale)), height: Math.max(12, Math.round(height * scale)) }
}

/** A scene as a small SVG that stands alone: the wall, what is on it, its strips. No rods, no figures. */
export function pictureSvg(scene: Scene): string {
  const { width, height } = pictureSize(scene)
  const perX = (width - 2) / scene.width
  const perY = (height - 2) / scene.height
  const digits = (value: number) => String(Math.round(value * 10) / 10)
  const path = (polygon: Polygon) =>
    `M${polygon.map(({ x, y }) => `${digits(1 + x * perX)} ${digits(height - 1 - y * perY)}`).join('L')}Z`
  const paths = (polygons: readonly Polygon[], fill: string, stroke: string, more = '') =>
    polygons.length === 0
      ? ''
      : `<path d="${polygons.map(path).join('')}" fill="${fill}" stroke="${stroke}" stroke-width=".7"${more}/>`
  const of = <K extends Scene['nodes'][number]['kind']>(kind: K) =>
    scene.nodes.filter((node): node is Extract<Scene['nodes'][number], { kind: K }> => node.kind === kind)
  const body = [
    paths(
      of('wall').map(({ polygon }) => polygon),
      INK.wall,
      INK.edge,
    ),
    paths(
      of('field').map(({ polygon }) => polygon),
      INK.field,
      'none',
    ),
    paths(
      of('running')
        .filter(({ kept }) => kept)
        .map(({ polygon }) => polygon),
      INK.trim,
      INK.edge,
    ),
    paths(
      of('strip').map(({ polygon }) => polygon),
      INK.strip,
      INK.edge,
    ),
    paths(
      of('thing')
        .filter(({ kept }) => kept)
        .map(({ outline }) => outline),
      INK.thing,
      INK.edge,
    ),
  ].join('')
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}">${body}</svg>`
}

import type { WallColors } from '../agree/wallColors'
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
export function pictureSvg(scene: Scene, colors: WallColors | null = null): string {
  const inks = {
    ...INK,
    field: colors?.field?.hex ?? INK.field,
    strip: colors?.trim?.hex ?? INK.strip,
    trim: (colors?.base && colors.trim?.hex) || INK.trim,
  }
  const above = colors?.paper?.hex ?? colors?.above?.hex
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
      inks.field,
      'none',
    ),
    above === undefined
      ? ''
      : paths(
          of('above').map(({ polygon }) => polygon),
          above,
          'none',
        ),
    paths(
      of('running')
        .filter(({ kept }) => kept)
        .map(({ polygon }) => polygon),
      inks.trim,
      INK.edge,
    ),
    paths(
      of('strip').map(({ polygon }) => polygon),
      inks.strip,
      INK.edge,
    ),
    paths(
      of('item').map(({ polygon }) => polygon),
      INK.trim,
      INK.edge,
    ),
    paths(
      of('arch').map(({ polygon }) => polygon),
      'none',
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

/** Pixels of a picture in a row at most, and between two. */
const ROW = { width: 98, height: 48, gap: 8 } as const

/** Pictures made by `pictureSvg` side by side on one floor, as one SVG. */
export function pictureRow(pictures: readonly string[]): string {
  const sized = pictures.map((picture) => {
    const [, width = '1', height = '1'] = /width="(\d+)" height="(\d+)"/.exec(picture) ?? []
    const scale = Math.min(ROW.width / Number(width), ROW.height / Number(height))
    return { picture, width: Math.round(Number(width) * scale), height: Math.round(Number(height) * scale) }
  })
  let x = 0
  const placed = sized.map(({ picture, width, height }) => {
    const at = `x="${x}" y="${ROW.height - height}" width="${width}" height="${height}"`
    x += width + ROW.gap
    return picture.replace(/ xmlns="[^"]*" width="\d+" height="\d+"/, ` ${at}`)
  })
  const width = Math.max(1, x - ROW.gap)
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${ROW.height}" viewBox="0 0 ${width} ${ROW.height}">${placed.join('')}</svg>`
}

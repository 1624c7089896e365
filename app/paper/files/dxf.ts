import { DxfWriter, LWPolylineFlags, point2d, point3d, Units } from '@tarikjabiri/dxf'
import type { Polygon } from '~/core/geometry'
import type { SceneNode } from '~/core/scene/buildScene'
import { NM_PER_INCH, NM_PER_MM } from '~/length'
import type { PlannedWall } from '../paperJob'
import { writeR12 } from './dxfR12'
import { LAYERS, type LayerName, type Traced } from './traced'

/** So high words are, and so far rods lie from the wall; in inches of the wall. */
const WORD = 1
const ROD = 6

/** Digits that hold a nanometer: six of a millimeter, eight of an inch. */
const digitsOf = (unit: Traced['unit']) => (unit === 'mm' ? 6 : 8)

function polygonOf(node: SceneNode): { layer: LayerName; polygon: Polygon } | null {
  switch (node.kind) {
    case 'wall':
      return { layer: 'WALL', polygon: node.polygon }
    case 'running':
      return node.kept ? { layer: 'TRIM_THERE', polygon: node.polygon } : null
    case 'strip':
    case 'bracket':
      return { layer: 'STRIPS', polygon: node.polygon }
    case 'thing':
      return { layer: 'THINGS', polygon: node.outline }
    case 'keepOut':
      return { layer: 'KEEP_OUTS', polygon: node.polygon }
    case 'item':
      return { layer: 'COMPANIONS', polygon: node.polygon }
    default:
      return null
  }
}

/** A wall's scene traced at full size in the job's unit: its lower left corner is the origin, y up. */
export function traced({ scene, dimensions, workpiece }: PlannedWall): Traced {
  const unit = workpiece.settings.units === 'mm' ? 'mm' : 'inches'
  const per = unit === 'mm' ? NM_PER_MM : NM_PER_INCH
  const digits = digitsOf(unit)
  const to = (nm: number) => {
    const value = Number((nm / per).toFixed(digits))
    return value === 0 ? 0 : value
  }
  const size = to(WORD * NM_PER_INCH)
  const rod = ROD * NM_PER_INCH
  const at = ({ x, y }: { x: number; y: number }) => [to(x), to(y)] as const
  const outlines: Traced['outlines'][number][] = []
  const words: Traced['words'][number][] = []
  const line = (layer: LayerName, x1: number, y1: number, x2: number, y2: number) =>
    outlines.push({ layer, closed: false, points: [at({ x: x1, y: y1 }), at({ x: x2, y: y2 })] })
  const word = (layer: LayerName, x: number, y: number, text: string) =>
    words.push({ layer, at: at({ x, y }), height: size, text })
  for (const node of scene.nodes) {
    const shape = polygonOf(node)
    if (shape) outlines.push({ layer: shape.layer, closed: true, points: shape.polygon.map(at) })
    else if (node.kind === 'stud') line('STUDS', node.x, node.bottom, node.x, node.top)
    else if (node.kind === 'arch') {
      outlines.push({ layer: 'COMPANIONS', closed: false, points: node.polygon.map(at) })
      if (node.outer) outlines.push({ layer: 'COMPANIONS', closed: false, points: node.outer.map(at) })
    } else if (node.kind === 'rodMark') {
      // the long rod lies under the wall: both edges of each strip across it, its name and its running mark
      line('MARKS', node.left, -2 * rod, node.left, -rod)
      line('MARKS', node.right, -2 * rod, node.right, -rod)
      word('MARKS', node.left, -2 * rod - 2 * WORD * NM_PER_INCH, String(node.number))
      word('MARKS', node.markAt, -rod + WORD * NM_PER_INCH, node.text)
    } else if (node.kind === 'height') {
      line('MARKS', -2 * rod, node.at, -rod, node.at)
      word('MARKS', -3 * rod, node.at, node.text)
    }
    if (node.kind === 'item') word('COMPANIONS', node.polygon[0]?.x ?? 0, node.polygon[0]?.y ?? 0, node.name)
  }
  const { foot, head } = dimensions
  for (const figure of head.figures) {
    line('DIMENSIONS', figure.at, scene.height + rod * 0.5, figure.at, scene.height + rod)
    word('DIMENSIONS', figure.at, scene.height + rod * 1.2, figure.text)
  }
  for (const figure of foot.figures) line('DIMENSIONS', figure.at, -rod * 0.5, figure.at, -rod * 0.2)
  return { unit, outlines, words }
}

/** A line break would end the group it stands in, and break the file. */
const oneLine = (text: string) => text.replace(/\s+/g, ' ').trim()

/** As DXF (AC1021), polylines on layers by kind, units set. Source of the form: the published DXF reference. */
export function dxfOf({ unit, outlines, words }: Traced): string {
  const writer = new DxfWriter()
  writer.setUnits(unit === 'mm' ? Units.Millimeters : Units.Inches)
  writer.setVariable('$MEASUREMENT', { 70: unit === 'mm' ? 1 : 0 })
  for (const [name, color] of Object.entries(LAYERS)) writer.addLayer(name, color, 'CONTINUOUS')
  for (const { layer, closed, points } of outlines)
    writer.addLWPolyline(
      points.map(([x, y]) => ({ point: point2d(x, y) })),
      { flags: closed ? LWPolylineFlags.Closed : LWPolylineFlags.None, layerName: layer },
    )
  for (const { layer, at, height, text } of words)
    writer.addText(point3d(at[0], at[1]), height, oneLine(text), { layerName: layer })
  return writer.stringify()
}

/** As the plain form of old (R12), for programs that read no other. */
export function dxfR12Of(drawing: Traced): string {
  return writeR12(drawing, LAYERS, digitsOf(drawing.unit))
}

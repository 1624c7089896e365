import DxfParser from 'dxf-parser'
import { parse, type ElementNode, type RootNode } from 'svg-parser'
import svgpath from 'svgpath'
import { fail, NM_PER_INCH, NM_PER_MM, ok, type Result } from '~/length'
import { type Polygon, signedArea } from '../geometry'

/** Units an outline may be drawn in, where its file does not say. */
export const OUTLINE_UNITS = ['mm', 'cm', 'm', 'in', 'ft', 'px96', 'pt'] as const
export type OutlineUnit = (typeof OUTLINE_UNITS)[number]

export const NM_PER_UNIT: Readonly<Record<OutlineUnit, number>> = {
  mm: NM_PER_MM,
  cm: 10 * NM_PER_MM,
  m: 1000 * NM_PER_MM,
  in: NM_PER_INCH,
  ft: 12 * NM_PER_INCH,
  // a pixel of the web is a 96th of an inch (CSS Values 3), a point a 72nd
  px96: NM_PER_INCH / 96,
  pt: NM_PER_INCH / 72,
}

/** An outline as its file has it: its largest closed line, y up, in the file's own units. */
export interface FileOutline {
  readonly points: Polygon
  /** Nanometers in one of its units; null where the file does not say and somebody has to. */
  readonly nmPer: number | null
  /** How many closed lines there were besides. */
  readonly others: number
}

export type OutlineIssue =
  | { readonly code: 'unreadable' }
  /** There are lines, and none of them is closed. */
  | { readonly code: 'open'; readonly lines: number }
  | { readonly code: 'empty' }
  | { readonly code: 'badNumber' }

type Loop = readonly { readonly x: number; readonly y: number }[]

/** A curve becomes so many straight bits. */
const BITS = 32

function loopsOf(path: ReturnType<typeof svgpath>): { closed: Loop[]; open: number } {
  const closed: Loop[] = []
  let open = 0
  let points: { x: number; y: number }[] = []
  let [x, y] = [0, 0]
  const end = (isClosed: boolean) => {
    const [first, last] = [points[0], points.at(-1)]
    const meets = first && last && Math.hypot(first.x - last.x, first.y - last.y) < 1e-9
    if (points.length > 2 && (isClosed || meets)) closed.push(points)
    else if (points.length > 1) open += 1
    points = []
  }
  const to = (nx: number, ny: number) => {
    ;[x, y] = [nx, ny]
    points.push({ x, y })
  }
  const curve = (at: (t: number) => { x: number; y: number }) => {
    for (let i = 1; i <= BITS; i++) {
      const point = at(i / BITS)
      points.push(point)
    }
    const last = points.at(-1)
    if (last) [x, y] = [last.x, last.y]
  }
  path
    .abs()
    .unshort()
    .unarc()
    .iterate(([command, ...n]) => {
      const [a = 0, b = 0, c = 0, e = 0, f = 0, g = 0] = n as number[]
      const [sx, sy] = [x, y]
      switch (command) {
        case 'M':
          end(false)
          to(a, b)
          break
        case 'L':
          to(a, b)
          break
        case 'H':
          to(a, y)
          break
        case 'V':
          to(x, a)
          break
        case 'C':
          curve((t) => {
            const u = 1 - t
            return {
              x: u ** 3 * sx + 3 * u * u * t * a + 3 * u * t * t * c + t ** 3 * f,
              y: u ** 3 * sy + 3 * u * u * t * b + 3 * u * t * t * e + t ** 3 * g,
            }
          })
          break
        case 'Q':
          curve((t) => {
            const u = 1 - t
            return {
              x: u * u * sx + 2 * u * t * a + t * t * c,
              y: u * u * sy + 2 * u * t * b + t * t * e,
            }
          })
          break
        case 'Z': {
          const first = points[0]
          end(true)
          if (first) [x, y] = [first.x, first.y]
          break
        }
      }
    })
  end(false)
  return { closed, open }
}

const numberOf = (value: unknown) => (value === undefined || value === '' ? 0 : Number(value))

/** A shape's outline as path data; null for what has none. */
function pathOf({ tagName, properties = {} }: ElementNode): string | null {
  switch (tagName) {
    case 'path':
      return String(properties.d ?? '')
    case 'polygon':
      return `M${String(properties.points ?? '')}Z`
    case 'polyline':
      return `M${String(properties.points ?? '')}`
    case 'rect': {
      const [x, y, w, h] = ['x', 'y', 'width', 'height'].map((key) => numberOf(properties[key]))
      return `M${x} ${y}h${w}v${h}h${-(w ?? 0)}Z`
    }
    default:
      return null
  }
}

/** What is drawn nowhere, however it looks. */
const HIDDEN: readonly string[] = ['defs', 'clipPath', 'mask', 'symbol', 'pattern', 'marker']

function svgUnit({ properties = {} }: ElementNode): number | null {
  const read = /^\s*([\d.]+(?:e[+-]?\d+)?)\s*(mm|cm|in|pt|m)\s*$/i.exec(String(properties.width ?? ''))
  const box = String(properties.viewBox ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number)
  const wide = box.length === 4 ? (box[2] ?? NaN) : NaN
  if (!read) return null
  const unit = read[2]?.toLowerCase() as OutlineUnit | undefined
  const nm = Number(read[1]) * (unit ? NM_PER_UNIT[unit] : NaN)
  // without a box of its own a drawing's units are pixels of its size
  const per = Number.isFinite(wide) && wide > 0 ? nm / wide : NM_PER_UNIT.px96
  return Number.isFinite(per) && per > 0 ? per : null
}

function fromSvg(text: string): { loops: Loop[]; open: number; nmPer: number | null } | null {
  let root: RootNode
  try {
    root = parse(text)
  } catch {
    return null
  }
  const svg = root.children.find((each): each is ElementNode => each.type === 'element')
  if (svg?.tagName !== 'svg') return null
  const loops: Loop[] = []
  let open = 0
  const walk = (node: ElementNode, above: readonly string[]) => {
    if (HIDDEN.includes(node.tagName ?? '')) return
    const own = node.properties?.transform
    const transforms = own === undefined ? above : [...above, String(own)]
    const d = pathOf(node)
    if (d !== null && d !== '') {
      const placed = svgpath(d).transform(transforms.join(' '))
      // a path is cut where its data is bad, and what is left of it is no outline
      if ((placed as unknown as { err: string }).err === '') {
        const found = loopsOf(placed)
        loops.push(...found.closed)
        open += found.open
      }
    }
    for (const child of node.children)
      if (typeof child === 'object' && child.type === 'element') walk(child, transforms)
  }
  walk(svg, [])
  // in a file y runs down
  return { loops: loops.map((loop) => loop.map(({ x, y }) => ({ x, y: 0 - y }))), open, nmPer: svgUnit(svg) }
}

/** Codes of $INSUNITS that are lengths people build in (the published DXF reference). */
const DXF_UNITS: Readonly<Record<number, OutlineUnit>> = { 1: 'in', 2: 'ft', 4: 'mm', 5: 'cm', 6: 'm' }

interface DxfVertex {
  readonly x: number
  readonly y: number
  /** The tangent of a quarter of the arc's angle to the next vertex. */
  readonly bulge?: number
}

function bent(vertices: readonly DxfVertex[]): Loop {
  return vertices.flatMap((a, i) => {
    const b = vertices[(i + 1) % vertices.length]
    if (!b || !a.bulge) return [{ x: a.x, y: a.y }]
    const angle = 4 * Math.atan(a.bulge)
    const [dx, dy] = [b.x - a.x, b.y - a.y]
    // the center lies beside the chord's middle by half the chord over the tangent of half the angle
    const off = 1 / (2 * Math.tan(angle / 2))
    const [cx, cy] = [a.x + dx / 2 - dy * off, a.y + dy / 2 + dx * off]
    return Array.from({ length: BITS }, (_, k) => {
      const turn = (angle * k) / BITS
      const [rx, ry] = [a.x - cx, a.y - cy]
      return {
        x: cx + rx * Math.cos(turn) - ry * Math.sin(turn),
        y: cy + rx * Math.sin(turn) + ry * Math.cos(turn),
      }
    })
  })
}

function fromDxf(text: string): { loops: Loop[]; open: number; nmPer: number | null } | null {
  let read: ReturnType<DxfParser['parseSync']>
  try {
    read = new DxfParser().parseSync(text)
  } catch {
    return null
  }
  if (!read) return null
  const loops: Loop[] = []
  let open = 0
  for (const entity of read.entities) {
    if (entity.type !== 'LWPOLYLINE' && entity.type !== 'POLYLINE') {
      if (entity.type === 'LINE') open += 1
      continue
    }
    const { vertices, shape } = entity as unknown as { vertices: DxfVertex[]; shape?: boolean }
    const [first, last] = [vertices[0], vertices.at(-1)]
    const meets = first && last && Math.hypot(first.x - last.x, first.y - last.y) < 1e-9
    if (vertices.length > 2 && (shape || meets)) loops.push(bent(meets ? vertices.slice(0, -1) : vertices))
    else open += 1
  }
  const unit = DXF_UNITS[Number(read.header?.$INSUNITS ?? 0)]
  return { loops, open, nmPer: unit ? NM_PER_UNIT[unit] : null }
}

/** Without what lies on the last point, or on a straight line between its neighbors. */
function cleaned(loop: Loop): Polygon {
  const apart = loop.filter(({ x, y }, i) => {
    const before = loop[(i + loop.length - 1) % loop.length]
    return !before || Math.hypot(x - before.x, y - before.y) > 1e-9
  })
  const kept = apart.filter(({ x, y }, i) => {
    const [a, b] = [apart[(i + apart.length - 1) % apart.length], apart[(i + 1) % apart.length]]
    if (!a || !b) return true
    const cross = (b.x - a.x) * (y - a.y) - (b.y - a.y) * (x - a.x)
    return Math.abs(cross) > 1e-9 * Math.hypot(b.x - a.x, b.y - a.y)
  })
  return signedArea(kept) < 0 ? [...kept].reverse() : kept
}

/**
 * Reads a wall's outline from SVG (W3C SVG 1.1) or DXF: the largest closed line, curves in straight bits. Nothing outside the text is
 * fetched, and no entity of it is expanded.
 */
export function readOutline(text: string, kind: 'svg' | 'dxf'): Result<FileOutline, OutlineIssue> {
  const found = kind === 'svg' ? fromSvg(text) : fromDxf(text)
  if (!found) return fail({ code: 'unreadable' })
  const { loops, open, nmPer } = found
  if (loops.length === 0) return fail(open > 0 ? { code: 'open', lines: open } : { code: 'empty' })
  if (loops.some((loop) => loop.some(({ x, y }) => !Number.isFinite(x) || !Number.isFinite(y))))
    return fail({ code: 'badNumber' })
  const polygons = loops.map(cleaned).filter((polygon) => polygon.length > 2)
  const [largest] = polygons.sort((a, b) => signedArea(b) - signedArea(a))
  return largest ? ok({ points: largest, nmPer, others: polygons.length - 1 }) : fail({ code: 'empty' })
}

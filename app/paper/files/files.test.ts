import { parse as parseCsv } from 'csv-parse/sync'
import DxfParser from 'dxf-parser'
import fc from 'fast-check'
import sharp from 'sharp'
import { type ElementNode, parse } from 'svg-parser'
import { drawingFrame } from '~/drawing/view/WallDrawing'
import { anyMeetingWall } from '../../../tests/anyWall'
import { onPaper, paperExample, paperWall, SHORT_PATIENCE } from '../../../tests/paperJobs'
import { NO_BOARDS } from '../boards'
import { boardsInTime } from '../booklet'
import { csvOf, wallCsv } from './csv'
import { dxfOf, dxfR12Of, traced } from './dxf'
import { pngOf } from './png'
import { boardsSvg, panelsSvg, piecesSvg, wallSvg } from './svg'
import { LAYERS } from './traced'

const tern = paperExample('tern-cottage')
const metric = paperExample('metric-study')

function elements(svg: string): ElementNode[] {
  const all: ElementNode[] = []
  const walk = (node: ElementNode) => {
    all.push(node)
    for (const child of node.children) if (typeof child === 'object' && child.type === 'element') walk(child)
  }
  for (const node of parse(svg).children) if (node.type === 'element') walk(node)
  return all
}
const numbers = (text: unknown) =>
  String(text)
    .trim()
    .split(/[\s,]+/)
    .map(Number)
const pairs = (text: unknown) =>
  numbers(text).reduce<[number, number][]>(
    (all, value, i, list) => (i % 2 === 0 ? [...all, [value, list[i + 1] ?? NaN]] : all),
    [],
  )
/** The named part of a drawing and its first polygon. */
function partOf(all: readonly ElementNode[], id: string) {
  const group = all.find(({ properties }) => properties?.id === id)
  const polygon = group?.children.find(
    (child): child is ElementNode =>
      typeof child === 'object' && 'tagName' in child && child.tagName === 'polygon',
  )
  const title = group?.children.find(
    (child): child is ElementNode =>
      typeof child === 'object' && 'tagName' in child && child.tagName === 'title',
  )
  return {
    polygon,
    title: title?.children.map((child) => (typeof child === 'object' && 'value' in child ? child.value : '')),
  }
}

describe('drawings as SVG, read back', () => {
  test('on any wall every piece is where the plan has it, to the file’s last digit, named, in plain colors, once', () => {
    fc.assert(
      fc.property(anyMeetingWall, (workpiece) => {
        const wall = onPaper(workpiece)
        const text = wallSvg(wall)
        expect(text).not.toMatch(/var\(|currentColor|class=|<text/)
        const all = elements(text)
        const ids = all.flatMap(({ properties }) =>
          properties?.id === undefined ? [] : [String(properties.id)],
        )
        expect(new Set(ids).size).toBe(ids.length)
        const root = all[0]
        expect(root?.properties?.viewBox).toMatch(/^0 0 1100 \d+$/)
        const [, , , height = 0] = numbers(root?.properties?.viewBox)
        const frame = drawingFrame(wall.scene, wall.dimensions, { width: 1100, height, size: 13 })
        for (const piece of wall.plan.pieces) {
          const drawn = pairs(partOf(all, piece.id).polygon?.properties?.points)
          expect(drawn).toHaveLength(piece.polygon.length)
          piece.polygon.forEach(({ x, y }, i) => {
            expect(Math.abs((drawn[i]?.[0] ?? NaN) - frame.toX(x))).toBeLessThanOrEqual(5.1e-7)
            expect(Math.abs((drawn[i]?.[1] ?? NaN) - frame.toY(y))).toBeLessThanOrEqual(5.1e-7)
          })
          expect(partOf(all, piece.id).title?.join('')).not.toBe('')
        }
      }),
      { numRuns: 25 },
    )
  })

  test('pieces and panels are as large as they are, in millimeters', () => {
    for (const { name } of tern.walls) {
      const wall = paperWall(tern, name)
      const all = elements(piecesSvg(wall))
      const [, , wide = 0, high = 0] = numbers(all[0]?.properties?.viewBox)
      expect([all[0]?.properties?.width, all[0]?.properties?.height]).toEqual([
        `${wide.toFixed(6)}mm`,
        `${high.toFixed(6)}mm`,
      ])
      for (const { row } of wall.cards) {
        const points = pairs(partOf(all, `piece-${row.label}`).polygon?.properties?.points)
        const xs = points.map(([x]) => x)
        expect((Math.max(...xs) - Math.min(...xs)) * 1e6).toBeCloseTo(row.longLength, -1)
      }
      const panels = panelsSvg(wall)
      if (panels)
        expect(
          elements(panels).filter(({ properties }) => String(properties?.id).startsWith('panel-')).length,
        ).toBeGreaterThan(0)
    }
    const one = elements(piecesSvg(paperWall(tern, 'Long wall'), 'A'))
    expect(one.filter(({ tagName }) => tagName === 'polygon')).toHaveLength(1)
  })

  test('boards: every piece of every board, from where it starts', async () => {
    const wall = paperWall(metric, metric.walls[0]?.name ?? '')
    const boards = await boardsInTime(metric, [wall], SHORT_PATIENCE)
    const all = elements(boardsSvg(boards, wall.wall.name, wall.wording))
    const pieces = boards.plans.flatMap((plan) => plan.boards.flatMap((board) => board.pieces))
    const drawn = all.filter(({ properties }) => String(properties?.id).startsWith('on-board-'))
    // boards alike are drawn once
    expect(drawn.length).toBeGreaterThan(0)
    expect(drawn.length).toBeLessThanOrEqual(pieces.length)
    expect(boards.plans.every(({ proven }) => proven)).toBe(true)
  })

  test('a picture is what the drawing is', async () => {
    const { width, height, format } = await sharp(
      await pngOf(wallSvg(paperWall(tern, 'Long wall'))),
    ).metadata()
    expect([width, format]).toEqual([2200, 'png'])
    expect((height ?? 0) / (width ?? 1)).toBeGreaterThan(0.3)
  })
})

describe('drawings as DXF, read back', () => {
  interface Entity {
    readonly type: string
    readonly layer: string
    readonly shape?: boolean
    readonly text?: string
    readonly vertices?: readonly { readonly x: number; readonly y: number }[]
  }
  const read = (text: string) => {
    const drawing = new DxfParser().parseSync(text)
    if (!drawing) throw new Error('not read')
    return {
      header: drawing.header as Record<string, unknown>,
      entities: drawing.entities as unknown as Entity[],
      layers: Object.keys(drawing.tables?.layer?.layers ?? {}),
    }
  }

  test('both versions hold every strip to the nanometer, on its layer, closed, in the job’s unit', () => {
    fc.assert(
      fc.property(anyMeetingWall, (workpiece) => {
        const wall = onPaper(workpiece)
        const inMm = workpiece.settings.units === 'mm'
        const drawing = traced(wall)
        for (const text of [dxfOf(drawing), dxfR12Of(drawing)]) {
          expect(text).not.toMatch(/\n\s*-?\d+(\.\d+)?e[-+]?\d+\s*\r?\n/i)
          const { header, entities, layers } = read(text)
          expect(header.$INSUNITS).toBe(inMm ? 4 : 1)
          for (const layer of Object.keys(LAYERS)) expect(layers).toContain(layer)
          const strips = entities.filter((each) => each.layer === 'STRIPS' && each.shape)
          expect(strips.length).toBeGreaterThanOrEqual(wall.plan.pieces.length)
          wall.plan.pieces.forEach((piece, i) => {
            const { vertices = [] } = strips[i] ?? {}
            expect(vertices).toHaveLength(piece.polygon.length)
            piece.polygon.forEach(({ x, y }, n) => {
              const per = inMm ? 1e6 : 25_400_000
              expect(Math.abs((vertices[n]?.x ?? NaN) * per - x)).toBeLessThan(1)
              expect(Math.abs((vertices[n]?.y ?? NaN) * per - y)).toBeLessThan(1)
            })
          })
        }
      }),
      { numRuns: 25 },
    )
  })

  test('marks stand on their layer with their readings', () => {
    const wall = paperWall(tern, 'Long wall')
    const { entities } = read(dxfOf(traced(wall)))
    const texts = entities
      .filter(({ type, layer }) => type === 'TEXT' && layer === 'MARKS')
      .map(({ text }) => text)
    for (const node of wall.scene.nodes) if (node.kind === 'rodMark') expect(texts).toContain(node.text)
    const outline = entities.find(({ layer }) => layer === 'WALL')
    const xs = (outline?.vertices ?? []).map(({ x }) => x)
    expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(wall.wall.survey.width / 25_400_000, 7)
  })
})

describe('tables as CSV, read back', () => {
  const rows = (text: string) =>
    parseCsv(text, { bom: true, columns: true, relax_column_count: false }) as Record<string, string>[]

  test('marks and cuts carry the plan’s nanometers; decimals and words say the same', () => {
    for (const job of [tern, metric])
      for (const { name } of job.walls) {
        const wall = paperWall(job, name)
        const cuts = rows(wallCsv(wall, 'cuts', job, NO_BOARDS))
        const wanted = wall.cards.flatMap(({ row }) => row.pieceIds.map(() => row.cutLength as number))
        expect(cuts.map((row) => Number(row.cut_nm))).toEqual(wanted)
        for (const row of cuts)
          expect(
            Math.abs(Number(row.cut) * (job.settings.units === 'mm' ? 1e6 : 25_400_000) - Number(row.cut_nm)),
          ).toBeLessThan(1)
        const marks = rows(wallCsv(wall, 'marks', job, NO_BOARDS))
        for (const row of marks) expect(Number.isInteger(Number(row.near_nm))).toBe(true)
        expect(new Set(marks.map(({ id }) => id)).size).toBe(marks.length)
      }
  })

  test('boards, take-off and log', async () => {
    const wall = paperWall(tern, 'Long wall')
    const boards = await boardsInTime(tern, [wall], SHORT_PATIENCE)
    const list = rows(wallCsv(wall, 'boards', tern, boards))
    const pieces = boards.plans.flatMap((plan) => plan.boards.flatMap((board) => board.pieces))
    expect(list.map((row) => Number(row.length_nm)).sort()).toEqual(
      pieces.map(({ length }) => length as number).sort(),
    )
    expect(rows(wallCsv(wall, 'takeoff', tern, NO_BOARDS)).length).toBeGreaterThan(3)
    expect(wallCsv(wall, 'log', tern, NO_BOARDS)).toBe('\uFEFFday,time,wall,kind,what,minutes\r\n')
  })

  test.each(['=1+1', ' =1+1', '+1', '-1', '@SUM(1)', '\t=1', '\uFF1D1', '|cmd'])(
    'a cell that begins like a formula is safe to open: %j',
    (cell) => {
      const [row] = rows(csvOf(['a', 'b'], [[cell, -5]]))
      expect(row?.a?.startsWith("'")).toBe(true)
      // a figure stays one
      expect(row?.b).toBe('-5')
    },
  )

  test('commas, quotes, line breaks and letters of any alphabet come back as they were (RFC 4180)', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.string(), fc.string({ unit: 'grapheme' })), { minLength: 1 }),
        (list) => {
          const safe = list.map(([a, b]) => [`x${a.replaceAll('\r', '')}`, `y${b.replaceAll('\r', '')}`])
          expect(rows(csvOf(['one', 'other'], safe)).map(({ one, other }) => [one, other])).toEqual(safe)
        },
      ),
    )
  })
})

import fc from 'fast-check'
import { curveOf, placeArch } from '~/core/companions/arch'
import { lineMarks } from '~/core/marks/lineMarks'
import { heightMarks, runningMarks } from '~/core/marks/runningMarks'
import { inForce, LABEL_SHEETS, TEMPLATES } from '~/model'
import { anyMeetingWall } from '../../../tests/anyWall'
import { MADE, onPaper, paperExample, paperWall } from '../../../tests/paperJobs'
import { type PdfPage, readPdfs } from '../../../tests/pdfPages'
import { openPdf, PT_PER_NM } from '../pdf/sheets'
import { BARS, drawFull, type Full, type FullPaper, LONGEST_PAGE, tiles } from './fullSize'
import { labelPlaces, offCenter } from './labelSheets'
import { drawLabels, labelsOf } from './labels'
import { rodDrawing, rodLine, rodsOf } from './rod'
import { templatesOf } from './templates'

const LETTER: FullPaper = { kind: 'sheets', paper: 'letter' }
const A4: FullPaper = { kind: 'sheets', paper: 'a4' }
const ROLL: FullPaper = { kind: 'roll' }
/** As near as the reader's 32-bit floats tell: 35 nm, or a thousandth of that in inches asked for. */
const NEAR = 1e-4
/** Far into a roll its floats tell less. */
const NEAR_ON_ROLL = 2e-3 // pt: 0.00003 in

const printed = (drawings: readonly Full[], on: FullPaper, bar = 6) => {
  const pdf = openPdf({ title: 'At full size', made: new Date(MADE) })
  for (const drawing of drawings) drawFull(pdf, drawing, on, (BARS.inches * bar) / 6)
  return pdf.end()
}
const job = paperExample('tern-cottage')
const long = paperWall(job, 'Long wall')

/** Upright lines of a page that reach over the rod's edge: near edges, and its two ends. */
const upright = (page: PdfPage, length: number) =>
  page.lines.filter(
    ([a, b]) => Math.abs(a[0] - b[0]) < 1e-6 && Math.abs(Math.abs(a[1] - b[1]) - length) < 0.01,
  )

describe('a rod at full size', () => {
  const drawing = rodDrawing(long, 'foot')
  const reach = 144 // 2 in: the rod's 1 1/2 and a quarter beyond both edges
  const marks = rodLine(long, 'foot')

  test('every near edge lies where it belongs, on Letter, A4 and a roll, with and without a correction; the bars never move', async () => {
    const cases = [
      { on: LETTER, bar: 6, within: NEAR },
      { on: A4, bar: 6, within: NEAR },
      { on: LETTER, bar: 5.979, within: NEAR },
      { on: A4, bar: 6.04, within: NEAR },
      { on: ROLL, bar: 6, within: NEAR_ON_ROLL },
    ]
    const files = await Promise.all(cases.map(({ on, bar }) => printed([drawing], on, bar)))
    readPdfs(files).forEach(({ pages }, n) => {
      const { on, bar, within } = cases[n] ?? { on: LETTER, bar: 6, within: NEAR }
      const k = (PT_PER_NM * 6) / bar
      const wide = on.kind === 'roll' ? LONGEST_PAGE : on.paper === 'letter' ? 792 : (297 * 72) / 25.4
      const windows = tiles(marks.length * k, wide - 72, 36)
      const high = 151.2 * (6 / bar)
      const each =
        on.kind === 'roll'
          ? 1
          : Math.floor(((on.paper === 'letter' ? 612 : (210 * 72) / 25.4) - 72 - 58 + 18) / (high + 18))
      const found = windows.flatMap(({ from }, i) => {
        const page = pages[Math.floor(i / each)]
        const top = (page?.box[3] ?? 0) - 36 - (i % each) * (high + 18)
        return page
          ? upright(page, reach * (6 / bar))
              .filter(([[, y], [, y2]]) => Math.max(y, y2) <= top + 1 && Math.max(y, y2) > top - high)
              .map(([[x]]) => (x - 36 + from) / k)
          : []
      })
      expect(pages).toHaveLength(Math.ceil(windows.length / each))
      for (const at of [...marks.strips.map(({ near }) => near), 0, marks.length]) {
        const miss = Math.min(...found.map((each) => Math.abs(each - at) * k))
        expect(miss).toBeLessThan(within)
      }
      // and no line of that length is anywhere else
      for (const at of found)
        expect(
          Math.min(
            ...[...marks.strips.map(({ near }) => near), 0, marks.length].map(
              (mark) => Math.abs(mark - at) * k,
            ),
          ),
        ).toBeLessThan(within)
      for (const page of pages) {
        const level = page.lines.filter(([a, b]) => Math.abs(a[1] - b[1]) < 1e-6).map(([a, b]) => b[0] - a[0])
        expect(level.some((length) => Math.abs(length - 432) < NEAR)).toBe(true)
        expect(level.some((length) => Math.abs(length - 7200 / 25.4) < NEAR)).toBe(true)
        expect(page.box[2]).toBeLessThanOrEqual(LONGEST_PAGE)
      }
    })
  })

  test('neighbors show the same crosses: laid over one another, the sheets make one rod', async () => {
    const [file] = readPdfs([await printed([drawing], LETTER)])
    const usable = 792 - 72
    // of a cross the level stroke: 18 pt long, its middle 18 pt inside the overlap
    const middles = (page: PdfPage | undefined) =>
      (page?.lines ?? [])
        .filter(([a, b]) => Math.abs(a[1] - b[1]) < 1e-6 && Math.abs(b[0] - a[0] - 18) < 1e-3)
        .map(([a]) => a[0] + 9)
    const first = [...new Set(middles(file?.pages[0]).map((x) => Math.round(x)))].sort((a, b) => a - b)
    expect(first).toEqual([36 + 18, 36 + usable - 18])
  })

  test('on any wall the rods carry exactly what is marked, from whichever corner', () => {
    fc.assert(
      fc.property(anyMeetingWall, fc.constantFrom('left' as const, 'right' as const), (workpiece, datum) => {
        const wall = onPaper(workpiece, datum)
        const { tape } = workpiece.settings
        for (const rod of rodsOf(wall)) {
          const { strips, lines, length } = rodLine(wall, rod)
          if (rod === 'height') {
            const heights = heightMarks(wall.plan.layout, tape).map(({ reading }) => reading.exact)
            expect(lines.map(({ at }) => at)).toEqual([0, ...heights])
            continue
          }
          if (rod !== 'foot' && rod !== 'head') {
            const struck = lineMarks(wall.plan.layout, wall.plan.pieces, tape).flatMap(({ on, marks }) =>
              on.kind === 'side' && on.side === rod ? marks : [],
            )
            expect(strips.map(({ near, far }) => [near, far])).toEqual(
              struck.map(({ near, far }) => [near.exact, far.exact]),
            )
            // they lie on that side, from its own end
            for (const { near, far } of strips)
              for (const at of [near, far]) {
                expect(at).toBeGreaterThan(-100_000)
                expect(at).toBeLessThan(length + 100_000)
              }
            continue
          }
          const running = runningMarks(wall.plan.layout, datum, tape, rod)
          expect(running.length).toBeGreaterThan(0)
          if (running.length > 0)
            expect(strips.map(({ near, far }) => [near, far])).toEqual(
              running.map(({ near, far }) => [near.exact, far.exact]),
            )
          for (const { near, far } of strips) {
            expect(far).toBeGreaterThanOrEqual(near)
            expect(length).toBeGreaterThan(0)
          }
        }
      }),
      { numRuns: 60 },
    )
  })
})

describe('templates at full size', () => {
  test('an end has the card’s angle, as it is and turned over', () => {
    const desk = paperWall(job, 'Desk wall')
    const slanted = desk.cards.filter(({ row }) => row.start.kind === 'miter')
    expect(slanted.length).toBeGreaterThan(0)
    const made = templatesOf(desk, 'ends')
    for (const { row } of slanted) {
      if (row.start.kind !== 'miter') continue
      const { sawSettingDeg } = row.start
      const run = row.faceWidth * Math.tan((sawSettingDeg * Math.PI) / 180)
      const both = made
        .flatMap(({ paths }) => paths)
        .filter(({ points }) => {
          const xs = points.map(([x]) => x)
          return Math.abs(Math.max(...xs) - Math.min(...xs) - run - 76_200_000) < 20_000
        })
      // one hand and the other
      expect(both.length).toBeGreaterThanOrEqual(2)
    }
  })

  test('an arch’s half lies on its curve, printed to the hundredth of a point', async () => {
    const bunk = paperWall(job, 'Bunk wall')
    const [arch] = inForce(bunk.wall.design).companions.arches
    const placed = arch && placeArch(arch, bunk.plan.layout)
    const [drawing] = templatesOf(bunk, 'arches')
    if (!placed || !drawing) throw new Error('the demo has no arch')
    const [inner] = drawing.paths
    const curve = curveOf(placed, 0, 128)
    for (const [x, y] of inner?.points ?? [])
      expect(
        Math.min(
          ...curve.map((point) =>
            Math.hypot(point.x - placed.middle - x, point.y - placed.base - placed.spring - y),
          ),
        ),
      ).toBeLessThan(1)
    const [{ pages } = { pages: [] }] = readPdfs([await printed([drawing], LETTER)])
    expect(pages.length).toBeGreaterThan(1)
    // the first sheet holds the apex: the curve's first point, seen from the drawing's left top
    const apex = inner?.points[inner.points.length - 1] ?? [0, 0]
    const at = [
      36 + (apex[0] - drawing.box.left) * PT_PER_NM,
      612 - 36 - (drawing.box.top - apex[1]) * PT_PER_NM,
    ]
    const ends = pages[0]?.lines.flat() ?? []
    expect(Math.min(...ends.map(([x, y]) => Math.hypot(x - (at[0] ?? 0), y - (at[1] ?? 0))))).toBeLessThan(
      0.01,
    )
  })

  test('letters stand apart as they hang, and every kind the demo has is drawn within its box', () => {
    const found = new Set<string>()
    for (const wall of job.walls)
      for (const kind of TEMPLATES)
        for (const { paths, box, title } of templatesOf(paperWall(job, wall.name), kind)) {
          found.add(kind)
          expect(title).not.toBe('')
          for (const [x, y] of paths.flatMap(({ points }) => points)) {
            expect(x).toBeGreaterThan(box.left)
            expect(x).toBeLessThan(box.right)
            expect(y).toBeGreaterThan(box.bottom)
            expect(y).toBeLessThan(box.top)
          }
        }
    expect([...found].sort()).toEqual(['arches', 'ends', 'gauges', 'plates', 'rows'])
  })
})

describe('labels', () => {
  test('sheets are measured right: as much margin after the last label as before the first', () => {
    for (const sheet of LABEL_SHEETS) {
      expect(Math.abs(offCenter(sheet).x)).toBeLessThan(0.011)
      expect(Math.abs(offCenter(sheet).y)).toBeLessThan(0.011)
      const places = labelPlaces(sheet, sheet.across * sheet.down + 1, 0)
      expect(places.at(-1)?.page).toBe(1)
      const [short, high] = sheet.paper === 'letter' ? [612, 792] : [595.3, 841.9]
      for (const { x, y, width, height } of places) {
        expect(x).toBeGreaterThanOrEqual(-0.001)
        expect(y).toBeGreaterThanOrEqual(-0.001)
        expect(x + width).toBeLessThanOrEqual(short + 0.001)
        expect(y + height).toBeLessThanOrEqual(high + 0.001)
      }
    }
  })

  test('a label a piece, its words inside it, from the first that is left, moved by the printer’s shift', async () => {
    const labels = labelsOf(long)
    const pieces = long.cards.reduce((sum, { row }) => sum + row.pieceIds.length, 0)
    expect(labels.length).toBeGreaterThanOrEqual(pieces)
    const cases = LABEL_SHEETS.flatMap((sheet) => [
      { sheet, skip: 0, shift: { x: 0, y: 0 } },
      { sheet, skip: 5, shift: { x: 4, y: -3 } },
    ])
    const files = await Promise.all(
      cases.map(({ sheet, skip, shift }) => {
        const pdf = openPdf({ title: 'Labels', made: new Date(MADE) })
        drawLabels(pdf, labels, sheet, { skip, shift }, job)
        return pdf.end()
      }),
    )
    readPdfs(files).forEach(({ pages }, i) => {
      const { sheet, skip, shift } = cases[i] ?? cases[0]!
      const places = labelPlaces(sheet, labels.length, skip, shift)
      expect(pages).toHaveLength((places.at(-1)?.page ?? 0) + 1)
      const named = pages.flatMap(({ words, box }, page) =>
        words.map((word) => ({ ...word, page, top: box[3] - word.y })),
      )
      for (const { x, top, width, page } of named)
        expect(
          places.some(
            (place) =>
              place.page === page &&
              x >= place.x - 0.1 &&
              x + width <= place.x + place.width + 0.1 &&
              top >= place.y - 0.1 &&
              top <= place.y + place.height + 0.1,
          ),
        ).toBe(true)
      // each has its own name in it
      labels.forEach(({ name }, n) => {
        const place = places[n]
        const own = named.filter(
          (word) =>
            word.page === place?.page &&
            word.x >= place.x &&
            word.x < place.x + place.width &&
            word.top >= place.y &&
            word.top < place.y + place.height,
        )
        expect(own.map(({ text }) => text).join(' ')).toContain(name)
      })
    })
  })
})

import fc from 'fast-check'
import highs from 'highs'
import { inches, nearestNanometer, toInches } from '~/length'
import type { Sheet } from '~/model'
import { highsSolver } from '~/workers/highsSolver'
import {
  breakDown,
  breakDowns,
  oneMoreStrip,
  planSheets,
  planSheetsQuickly,
  type SheetDemand,
  type SheetPlan,
  stripsAcross,
} from './stripSheets'

const solve = highsSolver(() => highs())
const KERF = inches(1 / 8)
const CUTS = { kerf: KERF, endTrim: inches(0) }

function sheetOf(width: number, length: number, price: number | null = null): Sheet {
  return {
    id: `s${width}x${length}`,
    stuff: 'mdf',
    thickness: inches(0.75),
    width: inches(width),
    length: inches(length),
    edge: inches(0),
    price,
  }
}

/** Pieces as width x length x count. */
function demands(...pieces: readonly (readonly [number, number, number])[]): SheetDemand[] {
  const widths = [...new Set(pieces.map(([width]) => width))]
  return widths.map((width) => ({
    materialId: `w${width}`,
    width: inches(width),
    pieces: pieces
      .filter((piece) => piece[0] === width)
      .flatMap(([, length, count]) =>
        Array.from({ length: count }, (_, i) => ({
          id: `${width}-${length}-${i}`,
          label: String(length),
          length: inches(length),
        })),
      ),
  }))
}

async function planned(sheet: Sheet, wanted: SheetDemand[]): Promise<SheetPlan> {
  const found = await planSheets(sheet, wanted, CUTS, solve)
  if (!found.ok) throw new Error(found.issue.code)
  return found.value
}

const stripsOf = ({ sheets }: SheetPlan, width: number) =>
  sheets.flatMap(({ strips }) => strips).filter((strip) => strip.width === inches(width)).length

describe('strips from sheets', () => {
  // B7, B8, B9, G12: floor((W + kerf) / (w + kerf)); common practice, no source; figures by hand
  test('B7, B8: 1 1/2, 2, 2 1/2, 3 1/2 from 48 and from 49 wide, kerf 1/8', () => {
    const from = (width: number) =>
      [1.5, 2, 2.5, 3.5].map((strip) => stripsAcross(sheetOf(width, 96), inches(strip), KERF))
    expect(from(48)).toEqual([29, 22, 18, 13])
    expect(from(49)).toEqual([30, 23, 18, 13])
  })

  test('B9, G12: widths of whole strips and their kerfs; what is left; kerfs of 1/8 and 3/32', () => {
    const wide = (strips: number, strip: number) => toInches(breakDown(strips, inches(strip), KERF))
    expect([wide(5, 2), wide(4, 3.5), wide(6, 1.5), wide(3, 2.5), wide(8, 1.25)]).toEqual([
      10.5, 14.375, 9.625, 7.75, 10.875,
    ])
    // thirteen 3 1/2 strips out of 49 in three parts: 47 with two kerfs, 1 7/8 left after the last
    expect(wide(5, 3.5) + 2 * wide(4, 3.5) + 2 * 0.125).toBe(47)
    const counts = (strip: number, kerf: number) =>
      [48, 49].map((width) => stripsAcross(sheetOf(width, 96), inches(strip), inches(kerf)))
    expect([1.75, 2.25, 3].map((strip) => counts(strip, 1 / 8))).toEqual([
      [25, 26],
      [20, 20],
      [15, 15],
    ])
    expect([1.75, 2.25, 3].map((strip) => counts(strip, 3 / 32))).toEqual([
      [26, 26],
      [20, 20],
      [15, 15],
    ])
  })

  // G8 to G11: two stages; strips and sheets by exhaustive search (no published source)
  test('G8: 12 x 48: strips 1, 1 and 4; 2 sheets', async () => {
    const plan = await planned(
      sheetOf(12, 48),
      demands([5.5, 26.5, 1], [4.5, 38, 1], [3, 37, 2], [3, 34.5, 2]),
    )
    expect([5.5, 4.5, 3].map((width) => stripsOf(plan, width))).toEqual([1, 1, 4])
    expect(plan).toMatchObject({ proven: true, bound: 2 })
    expect(plan.sheets).toHaveLength(2)
  })

  test('G9: 24 x 48: strips 4 and 3; 2 sheets', async () => {
    const plan = await planned(sheetOf(24, 48), demands([5.5, 40, 3], [3.5, 24, 3], [5.5, 20, 2]))
    expect([5.5, 3.5].map((width) => stripsOf(plan, width))).toEqual([4, 3])
    expect(plan.sheets).toHaveLength(2)
  })

  test('G10: 6 1/4 x 96: 2 strips and 1 sheet, where the longest first would need 3 and 2', async () => {
    const lengths = [47.25, 34.625, 28.875, 23.25, 15.75, 14.75, 14.625]
    const plan = await planned(sheetOf(6.25, 96), demands(...lengths.map((each) => [3, each, 1] as const)))
    expect([stripsOf(plan, 3), plan.sheets.length, plan.proven]).toEqual([2, 1, true])
  })

  test('G11: a mixed list: 14, 12, 8 and 6 strips; 3 sheets of either size', async () => {
    const list = demands([2.5, 50.5, 14], [3.5, 71.75, 4], [3.5, 33.25, 15], [1.5, 28, 22], [5.5, 60, 6])
    for (const sheet of [sheetOf(48, 96), sheetOf(49, 97)]) {
      const plan = await planned(sheet, list)
      expect([2.5, 3.5, 1.5, 5.5].map((width) => stripsOf(plan, width))).toEqual([14, 12, 8, 6])
      expect([plan.sheets.length, plan.proven]).toEqual([3, true])
    }
  })

  test('mixed widths side by side: 20, 14, 11 and 9 strips take 3 sheets of 48', async () => {
    const plan = await planned(
      sheetOf(48, 96),
      demands([1.5, 96, 20], [2, 96, 14], [2.5, 96, 11], [3.5, 96, 9]),
    )
    expect(plan.sheets).toHaveLength(3)
  })

  test('a factory edge that is not kept is lost on both sides; one more strip fits what is left, or costs a sheet', async () => {
    const trimmed = { ...sheetOf(48, 96, 5400), edge: inches(0.5) }
    expect(stripsAcross(trimmed, inches(1.5), KERF)).toBe(29)
    expect(stripsAcross({ ...trimmed, edge: inches(1) }, inches(1.5), KERF)).toBe(28)
    const plan = await planned(trimmed, demands([3.5, 90, 12]))
    expect(plan.cost).toBe(5400)
    // 47 less twelve strips and their kerfs is 3 1/2
    expect(oneMoreStrip(plan, inches(3.5), KERF)).toEqual({ fits: true, sheets: 0, cost: 0 })
    expect(oneMoreStrip(plan, inches(3.625), KERF)).toEqual({ fits: false, sheets: 1, cost: 5400 })
    const [sheet] = plan.sheets
    expect(
      breakDowns(sheet ?? { number: 1, strips: [], left: inches(0) }, inches(18), KERF).map(
        ({ strips }) => strips,
      ),
    ).toEqual([5, 5, 2])
  })

  test('what no sheet gives is told, with the piece', () => {
    const told = (wanted: SheetDemand[], cuts = CUTS) => {
      const found = planSheetsQuickly(sheetOf(24, 48), wanted, cuts)
      return found.ok ? null : found.issue
    }
    expect(told(demands([3, 49, 1]))).toMatchObject({ code: 'longerThanSheet', length: inches(49) })
    expect(told(demands([25, 12, 1]))).toMatchObject({ code: 'widerThanSheet', width: inches(25) })
    expect(told(demands([3, 1, 1]), { ...CUTS, kerf: inches(2) })).toMatchObject({ code: 'kerfOverPiece' })
  })
})

/** A rip saw and a cross-cut saw that do what a plan says, kerf by kerf; throws where a cut would leave the sheet. */
function sawn(plan: SheetPlan): Map<string, { width: number; length: number }> {
  const made = new Map<string, { width: number; length: number }>()
  for (const { strips, left } of plan.sheets) {
    let across = plan.sheet.edge as number
    for (const strip of [...strips].sort((a, b) => a.from - b.from)) {
      if (strip.from !== across)
        throw new Error(`a strip begins at ${strip.from}, the saw stands at ${across}`)
      across += strip.width
      if (across > plan.sheet.width - plan.sheet.edge) throw new Error('ripped past the sheet')
      across += KERF
      let along = 0
      for (const piece of strip.pieces) {
        if (piece.from !== along)
          throw new Error(`a piece begins at ${piece.from}, the saw stands at ${along}`)
        along += piece.length
        if (along > plan.sheet.length) throw new Error('cut past the strip')
        along += KERF
        if (made.has(piece.id)) throw new Error(`cut twice: ${piece.id}`)
        made.set(piece.id, { width: strip.width, length: piece.length })
      }
    }
    if (left > Math.max(0, plan.sheet.width - plan.sheet.edge - across + KERF))
      throw new Error('more left than there is')
  }
  return made
}

/** Fewest sheets by trying every way to put pieces on strips and strips on sheets. */
function fewestSheets(sheet: Sheet, wanted: readonly SheetDemand[]): number {
  const fewest = (room: number, sizes: readonly number[]): number => {
    let best = sizes.length
    const bins: number[] = []
    const go = (i: number) => {
      if (bins.length >= best) return
      const size = sizes[i]
      if (size === undefined) {
        best = bins.length
        return
      }
      bins.forEach((used, k) => {
        if (used + size > room) return
        bins[k] = used + size
        go(i + 1)
        bins[k] = used
      })
      bins.push(size)
      go(i + 1)
      bins.pop()
    }
    go(0)
    return best
  }
  const strips = wanted.flatMap(({ width, pieces }) =>
    Array.from(
      {
        length: fewest(
          sheet.length + KERF,
          pieces.map(({ length }) => length + KERF),
        ),
      },
      () => width + KERF,
    ),
  )
  return fewest(sheet.width - 2 * sheet.edge + KERF, strips)
}

describe('laws of sheets', () => {
  const quarter = (least: number, most: number) =>
    fc.integer({ min: least * 4, max: most * 4 }).map((n) => n / 4)

  test('some hundred small lists: the saws make every piece once, at its width; no way takes fewer sheets', async () => {
    await fc.assert(
      fc.asyncProperty(
        quarter(6, 14),
        quarter(30, 60),
        quarter(0, 1),
        fc.array(fc.tuple(fc.constantFrom(1.5, 2.25, 3.5), quarter(4, 30)), { minLength: 1, maxLength: 8 }),
        async (width, length, edge, pieces) => {
          const sheet = { ...sheetOf(width, length), edge: inches(edge) }
          const wanted = demands(
            ...pieces.map(([w, l], i) => [w, Math.min(l, length - 1) + i / 64, 1] as const),
          )
          fc.pre(width - 2 * edge >= 3.5)
          const plan = await planned(sheet, wanted)
          const made = sawn(plan)
          const all = wanted.flatMap((demand) =>
            demand.pieces.map((piece) => ({ ...piece, width: demand.width })),
          )
          expect(made.size).toBe(all.length)
          for (const piece of all)
            expect(made.get(piece.id)).toEqual({ width: piece.width, length: piece.length })
          expect(plan.proven).toBe(true)
          expect(plan.sheets.length).toBe(fewestSheets(sheet, wanted))
          // what is left of a sheet is what the saw has left
          for (const { left } of plan.sheets) expect(left).toBe(nearestNanometer(left))
        },
      ),
      { numRuns: 200 },
    )
  })
})

import fc from 'fast-check'
import polygonClipping from 'polygon-clipping'
import { inches, toInches } from '~/length'
import { type Backer, inForce, NOT_WALKED, type Sheet, withDesign, type Workpiece } from '~/model'
import { anyAtSaw, atSaw } from '../../../tests/anyAtSaw'
import { anyOldWall, anyPlainMeeting, met, runs } from '../../../tests/anyWall'
import { reading, thing, wallOf } from '../../../tests/namedWalls'
import { computePlan } from '../computePlan'
import { fixingOf, longestNail } from '../cutting/fixing'
import { boundsOf } from '../geometry'
import { stuffOf } from '../layout/returning'
import { fromBack, pairMisses, type PanelCut, panelsOf } from './panels'

const SHEET: Sheet = {
  id: 'skin',
  stuff: 'plywood',
  thickness: inches(0.25),
  width: inches(48),
  length: inches(96),
  edge: inches(0),
  price: 2150,
}
const BACKER: Backer = {
  sheet: 'skin',
  seams: 'studs',
  gap: inches(1 / 8),
  round: inches(1 / 8),
  from: inches(0),
  to: null,
}

function backed(
  survey: Parameters<typeof wallOf>[0],
  backer: Partial<Backer> = {},
  design: Parameters<typeof wallOf>[1] = {},
): Workpiece {
  const wall = wallOf(survey, { ...design, backer: { ...BACKER, ...backer } })
  return {
    ...wall,
    settings: { ...wall.settings, shop: { ...wall.settings.shop, sheets: [SHEET] } },
  }
}

function panels(workpiece: Workpiece) {
  const found = panelsOf(workpiece, computePlan(workpiece).layout)
  if (!found?.ok) throw new Error(found ? found.issue.code : 'no backer')
  return found.value
}

const studs = Array.from({ length: 9 }, (_, i) => inches(15.25 + 16 * i))

describe('panels under the trim', () => {
  // G7: a rule of pairs, computed by hand
  test('G7: what is measured from both sides closes on the panel or is asked about; the back is its mirror', () => {
    const panel = { width: 46.25, height: 33.875 }
    const first = { left: 11.375, width: 3.8125, right: 31.0625, bottom: 13.25, height: 4.8125, top: 15.8125 }
    expect(pairMisses(first.left, first.width, first.right, panel.width)).toBe(0)
    expect(pairMisses(first.bottom, first.height, first.top, panel.height)).toBe(0)
    expect(pairMisses(28.5, 3.75, 14, panel.width)).toBe(0)
    expect(pairMisses(13.25, 4.8125, 16, panel.height)).toBe(3 / 16)
    const cut = { left: inches(11.375), width: inches(3.8125), right: inches(31.0625) } as PanelCut
    expect([fromBack(cut).left, fromBack(cut).right].map(toInches)).toEqual([31.0625, 11.375])
    // between the two, on either face
    expect(28.5 - (11.375 + 3.8125)).toBe(13.3125)
  })

  test('seams lie on studs, gaps are left, and holes are told from all four sides', () => {
    const outlet = thing('outlet', 60, 14, 3, 4.5)
    const found = panels(
      backed({
        width: inches(131),
        height: inches(95),
        baseboard: null,
        things: [outlet],
        behind: { studs, wallboard: inches(0.5), keepOuts: [] },
      }),
    )
    expect(found.turned).toBe('upright')
    expect(found.seams.every(({ onStud }) => onStud)).toBe(true)
    expect(found.panels).toHaveLength(3)
    const widths = found.panels.reduce((sum, { width }) => sum + toInches(width), 0)
    expect(widths + 2 * 0.125 + 2 * 0.125).toBeCloseTo(131, 6)
    const cuts = found.panels.flatMap(({ cuts: of }) => of)
    expect(cuts).toHaveLength(1)
    expect(cuts[0]).toMatchObject({ kind: 'hole', thing: 'outlet' })
    expect(found.plates).toHaveLength(1)
  })

  test('C11, NFPA 70 314.20: a box under a panel calls for an extender, told with power off and a licensed electrician', () => {
    const outlet = thing('outlet', 60, 14, 3, 4.5)
    const says = computePlan(backed({ things: [outlet] })).findings.map((finding) => finding.says)
    expect(says.find(({ code }) => code === 'boxBehindPanel')).toMatchObject({
      boxes: 1,
      thickness: inches(0.25),
    })
    expect(computePlan(backed({})).findings.some(({ says: { code } }) => code === 'boxBehindPanel')).toBe(
      false,
    )
  })

  test('cut to the widest and the tallest that was read; the rest is scribed', () => {
    const readings = [
      reading('width', 0, 47),
      reading('width', 90, 46.5),
      reading('height', 0, 90),
      reading('height', 47, 90.5),
    ]
    const found = panels(backed({ width: inches(47), height: inches(90), baseboard: null, readings }))
    expect(found.panels).toHaveLength(1)
    const [panel] = found.panels
    expect(toInches(panel?.width ?? 0)).toBeCloseTo(47 - 0.25, 2)
    expect(toInches(panel?.height ?? 0)).toBeCloseTo(90.5 - 0.25, 2)
    expect(toInches(panel?.scribe.across ?? 0)).toBeGreaterThan(0.4)
    expect(toInches(panel?.scribe.up ?? 0)).toBeCloseTo(0.5, 2)
  })

  test('a sheet that falls a little short leaves a filler, not two halves; a rented wall takes few fasteners', () => {
    const tall = {
      width: inches(47),
      height: inches(99),
      baseboard: null,
      behind: { studs: studs.slice(0, 3), wallboard: inches(0.5), keepOuts: [] },
    }
    const found = panels(backed(tall))
    expect(found.panels.map(({ filler }) => filler).sort()).toEqual([false, true])
    const rented = panels(backed({ ...tall, walkRound: { ...NOT_WALKED, holder: 'renter' } }))
    const many = (of: typeof found) => of.panels.reduce((sum, { fasteners }) => sum + fasteners, 0)
    expect(many(rented)).toBeLessThan(many(found))
  })

  test('a door parts the panels; the trim stands farther out, its nail reaches through the skin too', () => {
    const door = thing('door', 40, 0, 32, 80)
    const found = panels(backed({ width: inches(131), height: inches(95), baseboard: null, things: [door] }))
    for (const { at } of found.panels) {
      const inDoor = at.left < inches(72) && at.right > inches(40) && at.bottom < inches(80)
      if (inDoor)
        expect(found.panels.some(({ cuts }) => cuts.some(({ thing: kind }) => kind === 'door'))).toBe(true)
    }
    const nailOf = (workpiece: Workpiece) => {
      const piece = computePlan(workpiece).pieces.find(({ id }) => id === 'topRail')
      const stuff = piece && stuffOf(piece, workpiece)
      if (!piece || !stuff) throw new Error('no rail')
      return fixingOf(piece, stuff, workpiece).longestNail
    }
    expect(nailOf(backed({}))).toBe(longestNail(inches(0.75), inches(0.75)))
    const base = { height: inches(5), thickness: inches(0.75), fate: 'keep' as const }
    const proud = (workpiece: Workpiece) =>
      computePlan(workpiece).findings.some(({ says }) => says.code === 'proudOf')
    expect([
      proud(wallOf({ baseboard: base }, { foot: { kind: 'baseboard' } })),
      proud(backed({ baseboard: base }, {}, { foot: { kind: 'baseboard' } })),
    ]).toEqual([false, true])
  })

  test('no sheet, or no room: a finding with a way out, and taking it mends it', () => {
    const gone = backed({}, { sheet: 'gone' })
    const finding = computePlan(gone).findings.find(({ says }) => says.code === 'sheetMissing')
    expect(finding?.waysOut.map(({ says }) => says.code)).toEqual(['listSheets', 'noBacker'])
    const high = computePlan(backed({}, { from: inches(94.9) })).findings
    expect(high.some(({ says }) => says.code === 'backerNoRoom')).toBe(true)
  })
})

const rect = ({
  left,
  right,
  bottom,
  top,
}: {
  left: number
  right: number
  bottom: number
  top: number
}): [number, number][][] => [
  [
    [left, bottom],
    [right, bottom],
    [right, top],
    [left, top],
    [left, bottom],
  ],
]

describe('law: panels on walls on which everything meets', () => {
  test('each pair closes, nothing lies over another, each comes out of a sheet, seams under strips are under them', () => {
    let cut = 0
    fc.assert(
      fc.property(fc.oneof(anyPlainMeeting, anyOldWall), anyAtSaw, (wall, said) => {
        const workpiece = atSaw(wall, said)
        const { layout } = computePlan(workpiece)
        const found = panelsOf(workpiece, layout)
        if (!found?.ok) return
        const { value } = found
        const long = Math.max(value.sheet.width, value.sheet.length)
        const short = Math.min(value.sheet.width, value.sheet.length)
        for (const panel of value.panels) {
          cut += panel.cuts.length
          // a panel that no sheet gives would be claimed in vain
          expect(Math.max(panel.width, panel.height)).toBeLessThanOrEqual(long)
          expect(Math.min(panel.width, panel.height)).toBeLessThanOrEqual(short)
          for (const each of panel.cuts) {
            for (const seen of [each, fromBack(each)]) {
              expect(
                Math.abs(pairMisses(seen.left, seen.width, seen.right, panel.width)),
              ).toBeLessThanOrEqual(3)
              expect(
                Math.abs(pairMisses(seen.bottom, seen.height, seen.top, panel.height)),
              ).toBeLessThanOrEqual(3)
            }
            expect(Math.min(each.left, each.right, each.bottom, each.top)).toBeGreaterThanOrEqual(0)
            if (each.kind === 'hole')
              expect(Math.min(each.left, each.right, each.bottom, each.top)).toBeGreaterThan(0)
          }
        }
        const all = value.panels.map(({ at }) => at)
        all.forEach((a, i) =>
          all.slice(i + 1).forEach((b) => {
            const over = polygonClipping.intersection(rect(a), rect(b))
            const area = over.flat().reduce((sum, ring) => sum + Math.abs(areaOf(ring)), 0)
            expect(area).toBeLessThan(inches(0.01) ** 2)
          }),
        )
        for (const { along, at, coveredBy } of value.seams) {
          const face = layout.uprights.find(({ id }) => id === coveredBy)
          if (along === 'up' && face) expect([at > face.left, at < face.right]).toEqual([true, true])
        }
        // no panel lies wholly over an opening
        for (const obstacle of layout.obstacles.filter(({ kind }) => kind === 'door' || kind === 'window')) {
          const hole = boundsOf(obstacle.outline)
          for (const a of all)
            expect(
              a.left >= hole.left && a.right <= hole.right && a.bottom >= hole.bottom && a.top <= hole.top,
            ).toBe(false)
        }
        expect(inForce(workpiece.wall.design).backer).not.toBeNull()
        expect(
          panelsOf(
            {
              ...workpiece,
              wall: { ...workpiece.wall, design: withDesign(workpiece.wall.design, { backer: null }) },
            },
            layout,
          ),
        ).toBeNull()
      }),
      { numRuns: runs(80) },
    )
    expect(cut).toBeGreaterThan(met(20))
  })
})

function areaOf(ring: readonly (readonly [number, number])[]): number {
  return ring.reduce((sum, [x, y], i) => {
    const [nx, ny] = ring[(i + 1) % ring.length] ?? [x, y]
    return sum + (x * ny - nx * y) / 2
  }, 0)
}

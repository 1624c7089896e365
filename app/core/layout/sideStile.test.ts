import { keptBase, reading, wallOf } from '../../../tests/namedWalls'
import { inches } from '~/length'
import type { Workpiece } from '~/model'
import { computePlan } from '../computePlan'
import { applyEdits } from '../edits/applyEdit'
import type { Finding, FindingSays, WayOut } from '../findings/finding'
import type { Polygon } from '../geometry'
import { gapBehind } from './sideStile'

type Of<C extends FindingSays['code']> = Extract<FindingSays, { code: C }>
const find = <C extends FindingSays['code']>(workpiece: Workpiece, code: C) =>
  computePlan(workpiece).findings.filter(
    (finding): finding is Finding & { says: Of<C> } => finding.says.code === code,
  )
const press = (workpiece: Workpiece, way: WayOut | undefined) => applyEdits(workpiece, way?.edits ?? [])

describe('a stile at an end of the wall that leans away', () => {
  const leaning = wallOf(
    { width: inches(131), baseboard: keptBase(4), readings: [reading('plumbRight', 80, 0.5)] },
    {
      pattern: 'grid',
      border: 'butt',
      topRail: null,
      height: { rule: 'full' },
      foot: { kind: 'baseboard' },
      through: 'uprights',
      spacing: { school: 'equalByCount', strips: 5, ends: 'strip' },
      battenMaterial: 'pine-1x3',
    },
  )

  test('is told with its gap; scribed or ripped it is wider and follows the wall', () => {
    const [finding] = find(leaning, 'sideGap')
    expect(finding?.says).toMatchObject({ side: 'right', at: 'foot', way: 'caulk' })
    expect(finding?.waysOut.map(({ says }) => says.code === 'sideWay' && says.way)).toEqual(['scribe', 'rip'])
    for (const way of finding?.waysOut ?? []) {
      const plan = computePlan(press(leaning, way))
      const stile = plan.pieces.find(({ taper }) => taper !== undefined)
      expect(stile?.taper).toMatchObject({ edge: 'right' })
      expect(stile?.materialId).not.toBe('pine-1x3')
      // its inner edge stays, and so do the rails that land on it
      const rails = (of: typeof plan) =>
        of.pieces.filter(({ role }) => role === 'rail').map(({ longLength }) => longLength)
      expect(rails(plan)).toEqual(rails(computePlan(leaning)))
    }
  })

  // worked by hand: a wall that leans away by d over h stands d * at / h behind a plumb stile at a height; the stile is as much wider
  test.each([
    ['left', 0.5, [30, 82]],
    ['right', 0.375, [30, 82]],
    ['left', -0.5, [30, 82]],
    ['right', -0.25, [30, 82]],
  ] as const)(
    'at the %s, leaning by %d at the ceiling: its outer edge lies on the wall, its inner edge where it was',
    (side, by, heights) => {
      const kind = side === 'left' ? 'plumbLeft' : 'plumbRight'
      const at = (way: 'caulk' | 'rip' | 'scribe') =>
        computePlan(
          wallOf(
            { readings: [reading('width', 0, 131), reading(kind, 95, by)] },
            {
              pattern: 'grid',
              border: 'butt',
              rows: [1],
              topRail: null,
              foot: { kind: 'floor' },
              height: { rule: 'full' },
              spacing: { school: 'equalByCount', strips: 4, ends: 'strip' },
              battenMaterial: 'pine-1x3',
              sides: { left: way, right: way },
            },
          ),
        )
      const stileOf = ({ pieces, layout }: ReturnType<typeof at>) => {
        const id = side === 'left' ? layout.uprights[0]?.id : layout.uprights.at(-1)?.id
        return pieces.find(({ stripId }) => stripId === id)
      }
      const sign = side === 'left' ? 1 : -1
      /** The edge of a piece on a side at a height. */
      const edgeOf = (polygon: Polygon, outer: boolean, y: number) => {
        const met = polygon.flatMap((a, i) => {
          const b = polygon[(i + 1) % polygon.length] ?? a
          return a.y > y === b.y > y ? [] : [a.x + ((b.x - a.x) * (y - a.y)) / (b.y - a.y)]
        })
        const left = (side === 'left') === outer
        return left ? Math.min(...met) : Math.max(...met)
      }
      const [plain, ripped, scribed] = [at('caulk'), at('rip'), at('scribe')].map(stileOf)
      if (!plain || !ripped || !scribed) throw new Error('no stile')
      const wall = (y: number) => (side === 'left' ? 0 : inches(131)) + sign * ((by * y) / 95)
      for (const y of heights.map(inches)) {
        expect(Math.abs(edgeOf(ripped.polygon, true, y) - wall(y))).toBeLessThan(50_000)
        expect(Math.abs(edgeOf(ripped.polygon, false, y) - edgeOf(plain.polygon, false, y))).toBeLessThan(10)
      }
      expect(plain.taper).toBeUndefined()
      expect(ripped.taper).toMatchObject({ edge: side, by: 'rip' })
      expect({ ...scribed, taper: undefined }).toEqual({ ...ripped, taper: undefined })
      // the narrowest stock that is wide enough, never the widest
      expect(ripped.materialId).toBe('pine-1x4')
      // what comes off is nothing at one end, and the lean over its length at the other
      const { atStart = 0, atEnd = 0 } = ripped.taper ?? {}
      const wider = ripped.faceWidth - plain.faceWidth
      expect(Math.abs(Math.abs(atEnd - atStart) - (Math.abs(by) * ripped.longLength) / 95)).toBeLessThan(
        50_000,
      )
      expect(Math.min(atStart, atEnd)).toBeLessThan(wider)
    },
  )

  test('the narrowest stock that is wide enough is taken, in whatever order the job lists it; as wide to a hair is enough', () => {
    const [way] = find(leaning, 'sideGap')[0]?.waysOut ?? []
    const stileOf = (workpiece: Workpiece) =>
      computePlan(press(workpiece, way)).pieces.find(({ taper }) => taper !== undefined)
    const { settings } = leaning
    const turned = { ...leaning, settings: { ...settings, materials: [...settings.materials].reverse() } }
    const wide = stileOf(leaning)?.faceWidth ?? inches(0)
    // of stock as thick as itself
    const widthOf = (id: string | undefined) => settings.materials.find((each) => each.id === id)?.width
    expect(widthOf(stileOf(turned)?.materialId)).toBe(widthOf('pine-1x4'))
    const exactly = settings.materials.flatMap((each) => [
      each,
      ...(each.id === 'pine-1x3' ? [{ ...each, id: 'just', width: wide }] : []),
    ])
    expect(stileOf({ ...leaning, settings: { ...settings, materials: exactly } })?.materialId).toBe('just')
  })

  test('a strip that stops short of the end of the wall has nothing behind it', () => {
    const { layout } = computePlan(leaning)
    const [first, last] = [layout.uprights[0], layout.uprights.at(-1)]
    const stripOf = (id: string | undefined) => {
      const strip = layout.strips.find((each) => each.id === id)
      if (!strip) throw new Error('no stile')
      return strip
    }
    expect(gapBehind(stripOf(last?.id), 'right', layout)?.foot).toBeGreaterThan(inches(0.25))
    const short = { ...layout, right: inches(120), left: inches(3) }
    expect(gapBehind(stripOf(last?.id), 'right', short)).toBeNull()
    expect(gapBehind(stripOf(first?.id), 'left', short)).toBeNull()
  })

  test('where no stock is wide enough it stays as it is, and the gap is told', () => {
    const [finding] = find(
      {
        ...leaning,
        settings: {
          ...leaning.settings,
          materials: leaning.settings.materials.filter(({ id }) => id === 'pine-1x3' || id === 'pine-1x2'),
        },
      },
      'sideGap',
    )
    expect(finding?.severity).toBe('watch')
    expect(finding?.waysOut).toEqual([])
  })
})

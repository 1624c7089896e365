import fc from 'fast-check'
import { inches } from '~/length'
import { usualSheets, withDesign, type Workpiece } from '~/model'

const eighths = (least: number, most: number) =>
  fc.integer({ min: least * 8, max: most * 8 }).map((n) => n / 8)
const pick = <const T extends readonly unknown[]>(...from: T) => fc.constantFrom<T[number]>(...from)

/** What is said at the saw: joints of one's own, short boards, a skin of sheets under the trim, strips ripped from a sheet. */
export const anyAtSaw = fc.record({
  joints: fc.dictionary(
    pick('topRail', 'bottomRail', 'cap', 'border', 'rail-a', 'gridRail-2'),
    fc.record({
      joint: pick('asWall', 'scarf', 'butt', 'miter', 'none'),
      at: fc.array(eighths(5, 200).map(inches), { maxLength: 4 }),
    }),
    { maxKeys: 3 },
  ),
  longest: pick(72, 96, 120, 192),
  backer: fc.option(
    fc.record({
      seams: pick('studs', 'sheets'),
      from: eighths(0, 20).map(inches),
      to: pick(null, inches(60)),
    }),
    { nil: null },
  ),
  ripped: fc.boolean(),
})

type AtSaw = typeof anyAtSaw extends fc.Arbitrary<infer T> ? T : never

/** A wall whose trim is joined of short boards, ripped from sheets, on a skin of sheets. */
export function atSaw(workpiece: Workpiece, { joints, longest, backer, ripped }: AtSaw): Workpiece {
  const { settings } = workpiece
  const sheets = [...usualSheets(inches(1 / 4)), ...usualSheets(inches(3 / 4))]
  const [skin] = sheets
  const thick = sheets.find(({ thickness }) => thickness === inches(3 / 4))
  return {
    settings: {
      ...settings,
      shop: {
        ...settings.shop,
        sheets,
        offers: settings.shop.offers.filter(
          ({ length }) => length <= inches(longest) || length === inches(96),
        ),
        ripped: ripped && thick ? { 'pine-1x4': thick.id } : {},
      },
    },
    wall: {
      ...workpiece.wall,
      design: withDesign(workpiece.wall.design, {
        joints,
        backer:
          backer && skin ? { sheet: skin.id, gap: inches(1 / 8), round: inches(1 / 8), ...backer } : null,
      }),
    },
  }
}

import { curveOf, placeArch } from '~/core/companions/arch'
import { placeRow } from '~/core/companions/itemRow'
import { panelsOf } from '~/core/panels/panels'
import { endPoints } from '~/core/pieces'
import { inches } from '~/length'
import { capital, degreesText, endCutBrief, fullSizeText, say, sayWithUnit, thingCalled } from '~/messages'
import { inForce, type TemplateKind } from '~/model'
import type { PlannedWall } from '../paperJob'
import type { Full, FullPath, FullWord } from './fullSize'

/** So much of a piece is shown beyond its cut: enough to hold it against the strip. Common practice, no source. */
const HELD = inches(3)
const PAD = inches(0.4)

type Point = readonly [number, number]

const outline = (points: readonly Point[], more: Partial<FullPath> = {}): FullPath => ({
  points,
  closed: true,
  weight: 0.8,
  ...more,
})
const line = (a: Point, b: Point, more: Partial<FullPath> = {}): FullPath => ({
  points: [a, b],
  weight: 0.5,
  ...more,
})

function boxed(title: string, paths: readonly FullPath[], words: readonly FullWord[]): Full {
  const all = paths.flatMap(({ points }) => points)
  const [xs, ys] = [all.map(([x]) => x), all.map(([, y]) => y)]
  return {
    title,
    paths,
    words,
    box: {
      left: Math.min(...xs) - PAD,
      right: Math.max(...xs) + PAD,
      bottom: Math.min(...ys) - PAD,
      top: Math.max(...ys) + PAD,
    },
  }
}

const SLANTED: readonly string[] = ['miter', 'twoCuts', 'severalCuts']

/** The ends of slanted pieces, each once, as the card has it and turned over: laid on the strip they give the cut without an angle. */
function ends({ cards }: PlannedWall): Full[] {
  const seen = new Set<string>()
  return cards.flatMap(({ row }) =>
    (['start', 'end'] as const).flatMap((which): Full[] => {
      const cut = row[which]
      const key = JSON.stringify([cut, row.faceWidth])
      if (!SLANTED.includes(cut.kind) || seen.has(key)) return []
      seen.add(key)
      // drawn with the strip to its right: for a piece's end that is the card turned half round
      const points = endPoints(cut, row.faceWidth).map(({ y, back }): Point => [
        back,
        which === 'start' ? y : row.faceWidth - y,
      ])
      const reach = Math.max(...points.map(([x]) => x)) + HELD
      const hands = [false, true].map((mirrored) => {
        const up = row.faceWidth + PAD * 3
        const turn = ([x, y]: Point): Point => (mirrored ? [x, up + row.faceWidth - y] : [x, y])
        const first = points[0] ?? [0, 0]
        const last = points.at(-1) ?? [0, row.faceWidth]
        return {
          paths: [
            outline(
              [[reach, first[1]] as Point, ...points, [reach, last[1]] as Point].map((point) => turn(point)),
            ),
          ],
          word: {
            at: turn([reach - HELD * 0.9, row.faceWidth * 0.6]),
            text: fullSizeText.hand(mirrored),
            size: 8,
          },
        }
      })
      return [
        boxed(
          fullSizeText.endOf(row.label, which, endCutBrief(cut, row.faceWidth)),
          hands.flatMap(({ paths }) => paths),
          hands.map(({ word }) => word),
        ),
      ]
    }),
  )
}

/** Scarfs and bevels seen on the edge, and the strip a cope goes over seen on its end. */
function gauges({ cards, workpiece, wording }: PlannedWall): Full[] {
  const thickness = (id: string) =>
    workpiece.settings.materials.find((material) => material.id === id)?.thickness ?? inches(0.75)
  const seen = new Set<string>()
  return cards.flatMap(({ row }) =>
    [row.start, row.end].flatMap((cut): Full[] => {
      const thick = thickness(row.materialId)
      const deg =
        cut.kind === 'scarf' || cut.kind === 'bevel'
          ? cut.bevelDeg
          : (cut.kind === 'cornerMiter' && !cut.flat) || cut.kind === 'cope'
            ? cut.sawSettingDeg
            : null
      const key = JSON.stringify([cut.kind, deg, thick, cut.kind === 'cope' ? row.faceWidth : 0])
      if (deg === null || seen.has(key)) return []
      seen.add(key)
      const run = thick * Math.tan((deg * Math.PI) / 180)
      const long = run + HELD * 1.5
      const said = sayWithUnit(thick, wording)
      const edge: Full = boxed(
        (cut.kind === 'scarf' ? fullSizeText.scarf : fullSizeText.miter)(row.label, degreesText(deg), said),
        [
          outline([
            [0, 0],
            [long, 0],
            [long, thick],
            [run, thick],
          ]),
          line([0, 0], [0, thick], { dash: true }),
        ],
        [],
      )
      if (cut.kind !== 'cope') return [edge]
      const wide = row.faceWidth
      return [
        edge,
        boxed(
          fullSizeText.cope(row.label, say(wide, wording), said),
          [
            outline([
              [0, 0],
              [thick, 0],
              [thick, wide],
              [0, wide],
            ]),
            line([0, wide / 2], [thick, wide / 2], { dash: true }),
          ],
          [],
        ),
      ]
    }),
  )
}

/** The holes of a wall's panels, each with its middle lines and how far it is from the panel's four edges. */
function plates({ workpiece, plan, wording }: PlannedWall): Full[] {
  const panels = panelsOf(workpiece, plan.layout)
  if (!panels?.ok) return []
  return panels.value.panels.flatMap((panel) =>
    panel.cuts
      .filter(({ kind }) => kind === 'hole')
      .map((cut): Full => {
        const { width, height } = cut
        const said = [cut.left, cut.right, cut.bottom, cut.top].map((each) => sayWithUnit(each, wording))
        return boxed(
          fullSizeText.plate(panel.id, thingCalled(wording, cut.thingId, cut.thing)),
          [
            outline([
              [0, 0],
              [width, 0],
              [width, height],
              [0, height],
            ]),
            line([-PAD / 2, height / 2], [width + PAD / 2, height / 2], { dash: true }),
            line([width / 2, -PAD / 2], [width / 2, height + PAD / 2], { dash: true }),
          ],
          [
            {
              at: [-PAD * 0.9, height + PAD],
              text: fullSizeText.fromEdges(said[0] ?? '', said[1] ?? '', said[2] ?? '', said[3] ?? ''),
              size: 9,
            },
          ],
        )
      }),
  )
}

/** The right half of each arch, from its middle to its foot, with the band's outer edge: turned over it is the left half. */
function arches({ wall, plan, wording }: PlannedWall): Full[] {
  return inForce(wall.design).companions.arches.flatMap((arch, i): Full[] => {
    const placed = placeArch(arch, plan.layout)
    if (!placed) return []
    const { middle, base, spring } = placed
    const half = (outside: number) =>
      curveOf(placed, outside, 128)
        .map(({ x, y }): Point => [x - middle, y - base - spring])
        .filter(([x]) => x >= -1)
    const inner = half(0)
    const outer = arch.band === null ? [] : half(arch.band)
    const far = Math.max(...[...inner, ...outer].map(([x]) => x))
    const high = Math.max(...[...inner, ...outer].map(([, y]) => y))
    return [
      boxed(
        fullSizeText.arch(i + 1, wall.name),
        [
          { points: inner, weight: 0.9 },
          ...(outer.length > 0 ? [{ points: outer, weight: 0.9 }] : []),
          line([0, 0], [far, 0], { dash: true }),
          line([0, 0], [0, high], { dash: true }),
        ],
        [
          { at: [far * 0.25, inches(0.25)], text: fullSizeText.spring, size: 9 },
          { at: [0, high * 0.5], text: `${fullSizeText.middle} · ${fullSizeText.archTurn}`, size: 9 },
          { at: [inches(0.2), inches(0.6)], text: capital(sayWithUnit(Math.round(high), wording)), size: 9 },
        ],
      ),
    ]
  })
}

/** Each row as it hangs: its items as wide and high as they are, and between them the spacers. */
function rows({ wall, plan, wording }: PlannedWall): Full[] {
  const { layout, pieces } = plan
  return inForce(wall.design).companions.rows.flatMap((row, i): Full[] => {
    const placed = placeRow(row, layout, pieces, (id) => layout.materials.get(id)?.thickness ?? 0)
    if (!placed) return []
    const { items, left } = placed
    const high = row.height
    const paths = items.map(({ left: at, width }) =>
      outline([
        [at - left, 0],
        [at - left + width, 0],
        [at - left + width, high],
        [at - left, high],
      ]),
    )
    const words = items.map(({ name, left: at, width }): FullWord => ({
      at: [at - left + width * 0.1, high * 0.6],
      text: name,
      size: 14,
      bold: true,
    }))
    const gaps = items.slice(1).map((item, n): FullWord => {
      const before = items[n]
      const from = (before?.left ?? 0) + (before?.width ?? 0) - left
      return {
        at: [from, -inches(0.05)],
        text: fullSizeText.gap(say(Math.round(item.left - left - from), wording)),
        size: 8,
      }
    })
    const last = items.at(-1)
    const base = line([0, 0], [(last?.left ?? left) + (last?.width ?? 0) - left, 0], { weight: 0.9 })
    return [boxed(fullSizeText.row(i + 1, wall.name), [base, ...paths], [...words, ...gaps])]
  })
}

const MAKERS: Readonly<Record<TemplateKind, (planned: PlannedWall) => Full[]>> = {
  ends,
  gauges,
  plates,
  arches,
  rows,
}

/** The templates of a kind that a wall has. */
export function templatesOf(planned: PlannedWall, kind: TemplateKind): Full[] {
  return MAKERS[kind](planned)
}

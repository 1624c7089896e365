import { type DesignDocument, inForce, type Material, type Settings, withDesign } from '~/model'
import type { Length } from '~/length'
import { colorsOf } from '../agree/wallColors'
import { computePlan } from '../computePlan'
import { applyEdits } from '../edits/applyEdit'
import { countWays } from '../judgement/choices'
import { materialsOf } from '../patterns/materialsOf'
import { buildScene } from '../scene/buildScene'
import { pictureSvg } from '../scene/pictureSvg'
import { firstBoards } from '../stock'
import { jobRequests, type JobWish } from './jobRequests'
import { type JobPiece, leftOfWall, type WallOfJob } from './wallLeft'

/** What would be changed: strips of the next narrower stuff, one bay less, joints where none were allowed, longer boards. */
export type CheaperChange =
  | { readonly kind: 'narrower'; readonly wall: string; readonly from: string; readonly to: string }
  | { readonly kind: 'fewer'; readonly wall: string; readonly count: number; readonly now: number }
  | { readonly kind: 'joints'; readonly wall: string }
  | { readonly kind: 'anyLength'; readonly longest: Length }

/** A change with what it takes and saves, by good plans that need not be the best; its wall drawn as it would be. */
export interface CheaperWay {
  readonly change: CheaperChange
  /** In hundredths; what the change saves. */
  readonly saves: number
  readonly design: DesignDocument | null
  /** The wall as an SVG text; null where no wall changes. */
  readonly picture: string | null
  /** Things that are wrong with the wall then and are not now. */
  readonly wrong: number
}

export interface CheaperAsked {
  readonly walls: readonly WallOfJob[]
  readonly pieces: readonly JobPiece[]
  readonly settings: Settings
  readonly wanted: JobWish
}

/** What boards of these pieces cost, as far as prices are known; null where something finds no board. */
function costOf(pieces: readonly JobPiece[], settings: Settings, wanted: JobWish): number | null {
  return jobRequests(pieces, settings, wanted).reduce((sum: number | null, request) => {
    const found = firstBoards(request)
    return sum === null || !found.ok ? null : sum + found.value.known.sum
  }, 0)
}

/** A design with one stuff in the place of another, wherever it names it. */
function withStuff(design: DesignDocument, from: string, to: string): DesignDocument {
  return JSON.parse(JSON.stringify(design), (key, value: unknown) =>
    /material$/i.test(key) && value === from ? to : value,
  ) as DesignDocument
}

/** The next narrower stuff as thick and of the same kind, with prices. */
function narrower(material: Material, { materials, shop }: Settings): Material | null {
  const priced = (id: string) => shop.offers.some((offer) => offer.material === id && offer.price !== null)
  return (
    materials
      .filter(
        ({ id, thickness, width, make }) =>
          id !== material.id &&
          thickness === material.thickness &&
          width < material.width &&
          (make?.profile ?? 'square') === (material.make?.profile ?? 'square') &&
          priced(id),
      )
      .sort((a, b) => b.width - a.width)[0] ?? null
  )
}

interface Variant {
  readonly change: CheaperChange
  readonly design: DesignDocument
}

function variantsOf({ id, workpiece }: WallOfJob): Variant[] {
  const { design } = workpiece.wall
  const { settings } = workpiece
  const named = new Set(materialsOf(design).map(({ material }) => material))
  const { layout } = computePlan(workpiece)
  const byStuff = settings.materials.flatMap((material): Variant[] => {
    const to = named.has(material.id) ? narrower(material, settings) : null
    if (!to) return []
    const change = { kind: 'narrower', wall: id, from: material.id, to: to.id } as const
    return [{ change, design: withStuff(design, material.id, to.id) }]
  })
  const ways = countWays(workpiece, layout, 4)
  const now = ways.find(({ strips }) => strips === layout.uprights.length)
  const less = ways.filter(({ count }) => now !== undefined && count === now.count - 1)
  const fewer = less.map(({ count, edits }): Variant => ({
    change: { kind: 'fewer', wall: id, count, now: now?.count ?? 0 },
    design: applyEdits(workpiece, edits).wall.design,
  }))
  const whole = Object.entries(inForce(design).joints).filter(([, { joint }]) => joint === 'none')
  const joints: Variant[] =
    whole.length === 0
      ? []
      : [
          {
            change: { kind: 'joints', wall: id },
            design: withDesign(design, {
              joints: Object.fromEntries(
                Object.entries(inForce(design).joints).filter(([, { joint }]) => joint !== 'none'),
              ),
            }),
          },
        ]
  return [...byStuff, ...fewer, ...joints]
}

/** The changes that would save most, each planned whole on its own, the dearest saving first; at most eight. */
export function cheaperWays({ walls, pieces, settings, wanted }: CheaperAsked): CheaperWay[] {
  const before = costOf(pieces, settings, wanted)
  if (before === null) return []
  const ways = walls.flatMap((wall) => {
    const others = pieces.filter((piece) => piece.wall !== wall.id)
    const wrongNow = wrongOf(wall)
    return variantsOf(wall).flatMap(({ change, design }): CheaperWay[] => {
      const changed = { ...wall, workpiece: { ...wall.workpiece, wall: { ...wall.workpiece.wall, design } } }
      const cost = costOf([...others, ...leftOfWall(changed).pieces], settings, wanted)
      if (cost === null || cost >= before) return []
      const plan = computePlan(changed.workpiece)
      return [
        {
          change,
          design,
          saves: before - cost,
          picture: pictureSvg(
            buildScene(plan, changed.workpiece.wall.survey),
            colorsOf(inForce(design), settings),
          ),
          wrong: Math.max(0, wrongOf(changed) - wrongNow),
        },
      ]
    })
  })
  const free = { ...wanted, wish: { ...wanted.wish, longest: null } }
  const anyLength = wanted.wish.longest === null ? null : costOf(pieces, settings, free)
  const longer: CheaperWay[] =
    anyLength !== null && anyLength < before && wanted.wish.longest !== null
      ? [
          {
            change: { kind: 'anyLength', longest: wanted.wish.longest },
            saves: before - anyLength,
            design: null,
            picture: null,
            wrong: 0,
          },
        ]
      : []
  return [...ways, ...longer].sort((a, b) => b.saves - a.saves).slice(0, 8)
}

function wrongOf({ workpiece }: WallOfJob): number {
  return computePlan(workpiece).findings.filter(({ severity }) => severity === 'wrong').length
}

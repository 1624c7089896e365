import type { Workpiece } from '~/model'
import { computePlan, type Plan } from '../computePlan'
import { cutCards } from '../cutting/cutCards'
import { sawLimits } from '../cutting/sawSetting'
import { planSetups } from '../cutting/setups'
import { toRelease } from '../cutting/toRelease'
import { signedArea } from '../geometry'
import { platesNear } from '../judgement/nudges'
import { areaLeftOf } from '../judgement/lineLook'
import { boardRequests, firstBoards } from '../stock'
import { isPlate } from '../survey/obstacles'
import { type WeighUp, weighUp } from './weighUp'

/** What an option comes to, for comparing it with others. Lengths in nanometers, areas in parts, money in hundredths. */
export interface OptionFigures {
  /** The narrowest and the widest clear gap between strips; null where strips have no gaps. */
  readonly gaps: { readonly least: number; readonly most: number } | null
  readonly pieces: number
  /** Joints of runs that are longer than their boards. */
  readonly joints: number
  /** Of good board plans that need not be the best; null where some piece has no board. */
  readonly boards: number | null
  /** What those boards cost, and whether all their prices are known. */
  readonly cost: { readonly sum: number; readonly whole: boolean } | null
  readonly setUps: number
  /** Plates on the wall, and those that trim lies on. */
  readonly plates: { readonly all: number; readonly hit: number }
  /** Trim's part of the wall it covers, and how much of it is left of the middle. */
  readonly density: number
  readonly left: number
  readonly wrong: number
  readonly weigh: WeighUp
}

function gapsOf({ layout }: Plan): OptionFigures['gaps'] {
  const gaps = layout.sections.flatMap(({ placement }) => placement?.gaps ?? [])
  return gaps.length === 0 ? null : { least: Math.min(...gaps), most: Math.max(...gaps) }
}

/** Trim's part of the covered wall, and the part of it left of the middle of that; nothing where nothing is covered. */
function lookOf({ layout, pieces }: Plan): { density: number; left: number } {
  const middle = (layout.left + layout.right) / 2
  let [all, left] = [0, 0]
  for (const { polygon } of pieces) {
    all += Math.abs(signedArea(polygon))
    left += areaLeftOf(polygon, middle)
  }
  const field = (layout.right - layout.left) * layout.top
  return { density: field > 0 ? Math.min(1, all / field) : 0, left: all > 0 ? left / all : 0.5 }
}

/** Works an option out whole: its plan, a good board plan, an order of set-ups, and what all of it needs. */
export function optionFigures(workpiece: Workpiece, plan: Plan = computePlan(workpiece)): OptionFigures {
  const { settings } = workpiece
  const { adviceOf, ripTo } = toRelease(plan, workpiece)
  const byId = new Map(plan.pieces.map((piece) => [piece.id, piece]))
  const cards = cutCards(
    plan.cutList,
    (row) => {
      const piece = byId.get(row.pieceIds[0] ?? '')
      return { advice: adviceOf(row), ripTo: piece ? ripTo(piece) : null }
    },
    settings,
  )
  const rows = cards.map(({ row, advice }) => ({ ...row, advice: advice.advice }))
  const setUps = planSetups(rows, sawLimits(settings.shop), 'atOnce').count
  const found = boardRequests(plan.cutList, settings).map(firstBoards)
  const whole = found.every(({ ok }) => ok)
  const plans = found.flatMap((each) => (each.ok ? [each.value] : []))
  const boards = whole ? plans.reduce((sum, each) => sum + each.boards.length, 0) : null
  const inPlace = cards
    .filter(({ advice }) => advice.advice !== 'batch')
    .reduce((sum, { row }) => sum + row.pieceIds.length, 0)
  return {
    gaps: gapsOf(plan),
    pieces: plan.pieces.length,
    joints: plan.pieces.filter(({ endsAt }) => endsAt === 'joint').length,
    boards,
    cost: whole
      ? {
          sum: plans.reduce((sum, { known }) => sum + known.sum, 0),
          whole: plans.every(({ known }) => known.unpricedBoards === 0),
        }
      : null,
    setUps,
    plates: {
      all: workpiece.wall.survey.things.filter(({ kind }) => isPlate(kind)).length,
      hit: platesNear(plan),
    },
    ...lookOf(plan),
    wrong: plan.findings.filter(({ severity }) => severity === 'wrong').length,
    weigh: weighUp(workpiece, plan, { boards: boards ?? 0, setUps, inPlace }),
  }
}

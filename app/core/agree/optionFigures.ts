import type { Workpiece } from '~/model'
import { computePlan, type Plan } from '../computePlan'
import { type CutFacts, NOTHING_CUT } from '../asbuilt/cutFacts'
import { boardsNear } from '../cutting/leftToCut'
import { sawCounts } from '../cutting/sawCounts'
import { signedArea } from '../geometry'
import { platesNear } from '../judgement/nudges'
import { areaLeftOf } from '../judgement/lineLook'
import { isPlate } from '../survey/obstacles'
import { takeOff } from '../takeoff/supplies'
import { wallFacts } from '../takeoff/wallFacts'
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
  /** What is bought besides boards, each thing by itself, and whether all its prices are known. */
  readonly supplies: { readonly sum: number; readonly whole: boolean }
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
export function optionFigures(
  workpiece: Workpiece,
  plan: Plan = computePlan(workpiece),
  cut: CutFacts = NOTHING_CUT,
): OptionFigures {
  const { setUps, inPlace } = sawCounts(plan, workpiece)
  const near = boardsNear(plan, workpiece, cut)
  const facts = wallFacts(
    { id: 'option', name: '', room: '' },
    workpiece,
    // sanded and painted are all its boards, cut or not
    { boards: cut === NOTHING_CUT ? near.count : boardsNear(plan, workpiece).count, setUps, inPlace },
    plan,
  )
  const costs = takeOff([facts], workpiece.settings).supplies.map(({ cost }) => cost)
  return {
    gaps: gapsOf(plan),
    pieces: plan.pieces.length,
    joints: plan.pieces.filter(({ endsAt }) => endsAt === 'joint').length,
    boards: near.whole ? near.count : null,
    cost: near.whole
      ? {
          sum: near.plans.reduce((sum, { known }) => sum + known.sum, 0),
          whole: near.plans.every(({ known }) => known.unpricedBoards === 0),
        }
      : null,
    supplies: {
      sum: costs.reduce((sum: number, cost) => sum + (cost ?? 0), 0),
      whole: !costs.includes(null),
    },
    setUps,
    plates: {
      all: workpiece.wall.survey.things.filter(({ kind }) => isPlate(kind)).length,
      hit: platesNear(plan),
    },
    ...lookOf(plan),
    wrong: plan.findings.filter(({ severity }) => severity === 'wrong').length,
    weigh: weighUp(workpiece, plan, facts),
  }
}

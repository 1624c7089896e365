import type { Workpiece } from '~/model'
import type { Plan } from '../computePlan'
import { cutCards } from './cutCards'
import { sawLimits } from './sawSetting'
import { planSetups, sawRows } from './setups'
import { toRelease } from './toRelease'

/** What a wall's list comes to at the saw: set-ups in an order that is good, pieces that are measured in place. */
export function sawCounts(
  plan: Plan,
  workpiece: Workpiece,
): { readonly setUps: number; readonly inPlace: number } {
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
  return {
    setUps: planSetups(sawRows(cards, settings.materials), sawLimits(settings.shop)).count,
    inPlace: cards
      .filter(({ advice }) => advice.advice !== 'batch')
      .reduce((sum, { row }) => sum + row.pieceIds.length, 0),
  }
}

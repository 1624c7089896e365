import type { BoardPlan } from '../stock'

/** What each wall's share of the bought boards costs, in hundredths by stuff and wall: a board's price by the length of its pieces. */
export function costByWall(
  plans: readonly BoardPlan[],
): readonly { readonly material: string; readonly wall: string; readonly cost: number }[] {
  return plans.flatMap(({ materialId, boards }) => {
    const shares = new Map<string, number>()
    for (const { price, pieces } of boards) {
      const whole = pieces.reduce((sum, { length }) => sum + length, 0)
      if (!price || whole === 0) continue
      for (const { pieceId, length } of pieces) {
        const wall = pieceId.slice(0, pieceId.indexOf('/'))
        shares.set(wall, (shares.get(wall) ?? 0) + (price * length) / whole)
      }
    }
    return [...shares].map(([wall, cost]) => ({ material: materialId, wall, cost }))
  })
}

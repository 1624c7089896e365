import type { Workpiece } from '~/model'
import type { ToRelease } from '../asbuilt/freeze'
import type { Layout } from '../layout/layout'
import type { CutRow, Piece } from '../pieces'
import { sawAdvice } from './batch'
import { ripTo } from './cutCards'

/** The plan of a wall as it would go to the saw now. */
export function toRelease(
  plan: { readonly layout: Layout; readonly pieces: readonly Piece[]; readonly cutList: readonly CutRow[] },
  workpiece: Workpiece,
): ToRelease {
  const advice = sawAdvice(plan, workpiece)
  return {
    cutList: plan.cutList,
    pieces: plan.pieces,
    adviceOf: advice.of,
    ripTo: (piece) => ripTo(piece, plan.layout),
    fit: workpiece.settings.fit,
  }
}

import type { FitOrder } from '~/model'
import { boundsOf } from '../geometry'
import { standsUp } from '../cutting/fixing'
import type { Piece } from '../pieces'

/** Pieces that go on in one go. */
export const FIT_GROUPS = [
  'border',
  'uprights',
  'horizontals',
  'slanted',
  'frames',
  'ledges',
  'back',
] as const
export type FitGroup = (typeof FIT_GROUPS)[number]

export interface FitStep {
  readonly group: FitGroup
  readonly pieceIds: readonly string[]
}

const FRAME: readonly Piece['role'][] = ['boxStile', 'boxRail']
const EDGE: readonly Piece['role'][] = ['border', 'topRail', 'bottomRail', 'ledger']
const LEDGE: readonly Piece['role'][] = ['cap', 'shelf']

function groupOf(piece: Piece): FitGroup {
  if (piece.role === 'sideTrim') return 'back'
  if (LEDGE.includes(piece.role)) return 'ledges'
  if (FRAME.includes(piece.role)) return 'frames'
  if (EDGE.includes(piece.role)) return 'border'
  const slope = Math.abs(Math.sin((2 * piece.directionDeg * Math.PI) / 180))
  if (piece.role === 'line' && slope > 0.05) return 'slanted'
  return standsUp(piece) ? 'uprights' : 'horizontals'
}

/** Which group goes on after which, by school. What lies on others is last in all of them. Common practice, no source. */
const ORDERS: Readonly<Record<Exclude<FitOrder, 'bottomUp'>, readonly FitGroup[]>> = {
  borderFirst: ['border', 'uprights', 'horizontals', 'slanted', 'frames', 'ledges', 'back'],
  uprightsFirst: ['uprights', 'border', 'horizontals', 'slanted', 'frames', 'ledges', 'back'],
  horizontalsFirst: ['border', 'horizontals', 'uprights', 'slanted', 'frames', 'ledges', 'back'],
}

const longestFirst = (a: Piece, b: Piece) => b.longLength - a.longLength || a.number - b.number

/**
 * The order in which a wall's pieces go on, by school, each group's longest first. From the bottom up pieces go by where their foot is, and
 * the topmost horizontal comes last. Every piece is in one step.
 */
export function fitSteps(pieces: readonly Piece[], order: FitOrder): FitStep[] {
  const groups = new Map(pieces.map((piece) => [piece, groupOf(piece)]))
  if (order !== 'bottomUp')
    return ORDERS[order].flatMap((group) => {
      const own = pieces.filter((piece) => groups.get(piece) === group).sort(longestFirst)
      return own.length === 0 ? [] : [{ group, pieceIds: own.map(({ id }) => id) }]
    })
  const lasting = (piece: Piece) => (['ledges', 'back'].includes(groups.get(piece) ?? '') ? 1 : 0)
  const sorted = [...pieces].sort(
    (a, b) =>
      lasting(a) - lasting(b) ||
      boundsOf(a.polygon).bottom - boundsOf(b.polygon).bottom ||
      longestFirst(a, b),
  )
  const steps: { group: FitGroup; pieceIds: string[] }[] = []
  for (const piece of sorted) {
    const group = groupOf(piece)
    const last = steps.at(-1)
    if (last?.group === group) last.pieceIds.push(piece.id)
    else steps.push({ group, pieceIds: [piece.id] })
  }
  return steps
}

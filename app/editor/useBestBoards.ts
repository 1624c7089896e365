import { useMemo } from 'react'
import { seenBy } from '~/core/cutting/seen'
import type { Plan } from '~/core/computePlan'
import { bestFaces } from '~/core/stock/bestFaces'
import { boardFlaws } from '~/core/stock/boardFlaws'
import { ok } from '~/length'
import type { Act, Workpiece } from '~/model'
import type { Boards } from './useBoards'

/** The boards with the flawed ones put to use where it shows least. */
export function useBestBoards(
  boards: Boards,
  acts: readonly Act[],
  { pieces }: Plan,
  { wall, settings }: Workpiece,
): Boards {
  const flaws = useMemo(() => boardFlaws(acts), [acts])
  const { survey } = wall
  const { kerf } = settings.shop
  return useMemo(() => {
    if (flaws.length === 0) return boards
    const seen = seenBy(pieces, survey)
    return {
      ...boards,
      materials: boards.materials.map((each) =>
        each.result.ok ? { ...each, result: ok(bestFaces(each.result.value, flaws, seen, kerf)) } : each,
      ),
    }
  }, [boards, flaws, pieces, survey, kerf])
}

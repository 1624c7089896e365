import type { Act } from '~/model'
import type { BoardFlaw } from './bestFaces'

/** What is the matter with the boards, by what was last said of each. */
export function boardFlaws(acts: readonly Act[]): BoardFlaw[] {
  const last = new Map<string, BoardFlaw | null>()
  for (const act of [...acts].sort((a, b) => a.doneAt - b.doneAt))
    if (act.kind === 'flawed') {
      const { materialId, board, flaw } = act
      last.set(`${materialId} ${board}`, flaw && { materialId, board, ...flaw })
    }
  return [...last.values()].filter((flaw) => flaw !== null)
}

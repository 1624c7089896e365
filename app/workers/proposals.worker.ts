import { expose } from 'comlink'
import { proposalCards } from '~/core/judgement/cards'
import { tryFixes } from '~/core/findings/tried'
import type { Workpiece } from '~/model'
import type { Length } from '~/length'
import { askMatters } from '~/core/asbuilt/matters'
import { moveCosts } from '~/core/judgement/moveCosts'
import { nudgesFor } from '~/core/judgement/nudges'
import { heightProposals } from '~/core/judgement/heights'

const api = {
  propose: proposalCards,
  heights: heightProposals,
  /** What there is time for in so many milliseconds. */
  matters(workpiece: Workpiece, misses: readonly Length[], ms: number) {
    const end = performance.now() + ms
    return askMatters(workpiece, misses, () => performance.now() > end)
  },
  moveCosts,
  nudges: nudgesFor,
  fixes: (workpiece: Workpiece) => tryFixes(workpiece),
}
export type ProposalsWorker = typeof api

expose(api)

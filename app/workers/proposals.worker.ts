import { expose } from 'comlink'
import { proposalCards } from '~/core/judgement/cards'
import { tryFixes } from '~/core/findings/tried'
import type { Workpiece } from '~/model'
import { readingsThatMatter } from '~/core/asbuilt/matters'
import { moveCosts } from '~/core/judgement/moveCosts'
import { nudgesFor } from '~/core/judgement/nudges'
import { heightProposals } from '~/core/judgement/heights'

const api = {
  propose: proposalCards,
  heights: heightProposals,
  matters: readingsThatMatter,
  moveCosts,
  nudges: nudgesFor,
  fixes: (workpiece: Workpiece) => tryFixes(workpiece),
}
export type ProposalsWorker = typeof api

expose(api)

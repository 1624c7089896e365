import { expose } from 'comlink'
import { proposalCards } from '~/core/judgement/cards'
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
}
export type ProposalsWorker = typeof api

expose(api)

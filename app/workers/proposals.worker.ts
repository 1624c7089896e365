import { expose } from 'comlink'
import { proposalCards } from '~/core/judgement/cards'
import { heightProposals } from '~/core/judgement/heights'

const api = { propose: proposalCards, heights: heightProposals }
export type ProposalsWorker = typeof api

expose(api)

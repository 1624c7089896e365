import { expose } from 'comlink'
import { proposalCards } from '~/core/judgement/cards'
import { readingsThatMatter } from '~/core/asbuilt/matters'
import { heightProposals } from '~/core/judgement/heights'

const api = { propose: proposalCards, heights: heightProposals, matters: readingsThatMatter }
export type ProposalsWorker = typeof api

expose(api)

import type { Workpiece } from '~/model'
import { computePlan } from '../computePlan'
import { applyEdits } from '../edits/applyEdit'
import { buildScene, type Scene } from '../scene/buildScene'
import { boardRequests, planBoardsQuickly } from '../stock'
import { type Proposal, type ProposalSearch, propose } from './propose'

/** A proposal with its drawing and what it comes to as a whole plan. */
export interface ProposalCard {
  readonly proposal: Proposal
  readonly scene: Scene
  readonly pieces: number
  /** Boards of the first plan; null where some piece has no board. */
  readonly boards: number | null
  /** Findings that stop the work, such as a plate under a rail: the search moves no rails. */
  readonly wrong: number
}

export interface ProposalCards extends Omit<ProposalSearch, 'proposals'> {
  readonly cards: readonly ProposalCard[]
}

const SHOWN_NODES = new Set(['wall', 'field', 'running', 'strip', 'thing'])

/** Searches, and works the best out whole. */
export function proposalCards(workpiece: Workpiece): ProposalCards {
  const { proposals, ...found } = propose(workpiece)
  const cards = proposals.map((proposal): ProposalCard => {
    const next = applyEdits(workpiece, proposal.edits)
    const plan = computePlan(next)
    const scene = buildScene(plan, next.wall.survey)
    const boards = boardRequests(plan.cutList, next.settings).map(planBoardsQuickly)
    return {
      proposal,
      scene: { ...scene, nodes: scene.nodes.filter(({ kind }) => SHOWN_NODES.has(kind)) },
      pieces: plan.pieces.length,
      boards: boards.every((result) => result.ok)
        ? boards.reduce((sum, result) => sum + (result.ok ? result.value.boards.length : 0), 0)
        : null,
      wrong: plan.findings.filter(({ severity, stage }) => severity === 'wrong' && stage === 'layout').length,
    }
  })
  return { ...found, cards }
}

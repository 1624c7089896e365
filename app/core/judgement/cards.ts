import type { Workpiece } from '~/model'
import { computePlan, type Plan } from '../computePlan'
import { applyEdits } from '../edits/applyEdit'
import { buildScene, type Scene } from '../scene/buildScene'
import { type CutFacts, NOTHING_CUT } from '../asbuilt/cutFacts'
import { boardsNear } from '../cutting/leftToCut'
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

/** What a layout comes to, for comparing it with another. */
export interface Comparable {
  readonly pieces: number
  readonly boards: number | null
  /** Things its strips meet. */
  readonly hits: number
}

export interface ProposalCards extends Omit<ProposalSearch, 'proposals'> {
  /** The layout as it is. */
  readonly now: Comparable
  readonly cards: readonly ProposalCard[]
}

/** Boards to buy by the first plan; null where some piece has no board. */
function boardsOf(plan: Plan, workpiece: Workpiece, facts: CutFacts): number | null {
  const { whole, count } = boardsNear(plan, workpiece, facts)
  return whole ? count : null
}

function nowOf(workpiece: Workpiece, facts: CutFacts): Comparable {
  const plan = computePlan(workpiece)
  const met = plan.findings.flatMap(({ says, severity }) =>
    says.code === 'stripMeets' && severity === 'wrong' ? [says.thingId] : [],
  )
  return {
    pieces: plan.pieces.length,
    boards: boardsOf(plan, workpiece, facts),
    hits: new Set(met).size,
  }
}

const SHOWN_NODES = new Set(['wall', 'field', 'above', 'running', 'strip', 'thing'])

/** Searches, and works the best out whole. */
export function proposalCards(workpiece: Workpiece, facts: CutFacts = NOTHING_CUT): ProposalCards {
  const { proposals, ...found } = propose(workpiece)
  const cards = proposals.map((proposal): ProposalCard => {
    const next = applyEdits(workpiece, proposal.edits)
    const plan = computePlan(next)
    const scene = buildScene(plan, next.wall.survey)
    return {
      proposal,
      scene: { ...scene, nodes: scene.nodes.filter(({ kind }) => SHOWN_NODES.has(kind)) },
      pieces: plan.pieces.length,
      boards: boardsOf(plan, next, facts),
      wrong: plan.findings.filter(({ severity, stage }) => severity === 'wrong' && stage === 'layout').length,
    }
  })
  return { ...found, cards, now: nowOf(workpiece, facts) }
}

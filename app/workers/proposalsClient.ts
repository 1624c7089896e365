import type { CutFacts } from '~/core/asbuilt/cutFacts'
import type { ProposalCards } from '~/core/judgement/cards'
import type { HeightProposal } from '~/core/judgement/heights'
import type { MoveCost } from '~/core/judgement/moveCosts'
import type { Nudges } from '~/core/judgement/nudges'
import type { TriedFix } from '~/core/findings/tried'
import type { Matters } from '~/core/asbuilt/matters'
import type { Length } from '~/length'
import type { Workpiece } from '~/model'
import { keptWorker, type WorkerJob } from './keptWorker'
import type { ProposalsWorker } from './proposals.worker'

const proposals = keptWorker<ProposalsWorker>(
  () => new Worker(new URL('./proposals.worker.ts', import.meta.url), { type: 'module' }),
)

/** A wall, and what of it is cut: boards are counted for the rest. */
export interface AskedOfWall {
  readonly workpiece: Workpiece
  readonly facts: CutFacts
}

/** Searches layouts for a wall, in a worker. */
export function searchProposals({ workpiece, facts }: AskedOfWall): WorkerJob<ProposalCards> {
  return proposals.run((remote) => remote.propose(workpiece, facts) as Promise<ProposalCards>)
}

/** Works out what usual and economical heights would waste, in a worker. */
export function searchHeights({ workpiece, facts }: AskedOfWall): WorkerJob<readonly HeightProposal[]> {
  return proposals.run((remote) => remote.heights(workpiece, facts) as Promise<readonly HeightProposal[]>)
}

/** Works out in a worker what a miss of each figure read but once would spoil, as far as there is time. */
export function searchMatters({
  workpiece,
  misses,
  ms,
}: {
  readonly workpiece: Workpiece
  readonly misses: readonly Length[]
  readonly ms: number
}): WorkerJob<Matters> {
  return proposals.run((remote) => remote.matters(workpiece, misses, ms) as Promise<Matters>)
}

/** Works out what each move of a design in lines adds, in a worker. */
export function searchMoveCosts({ workpiece, facts }: AskedOfWall): WorkerJob<readonly MoveCost[]> {
  return proposals.run((remote) => remote.moveCosts(workpiece, facts) as Promise<readonly MoveCost[]>)
}

/** Searches places of a field of lines that clear its plates, in a worker. */
export function searchNudges(workpiece: Workpiece): WorkerJob<Nudges> {
  return proposals.run((remote) => remote.nudges(workpiece) as Promise<Nudges>)
}

/** Tries every fix that the plan of a wall offers, in a worker: by the place of its finding in the plan, and its own in the finding. */
export function searchFixes(workpiece: Workpiece): WorkerJob<readonly (readonly TriedFix[])[]> {
  return proposals.run((remote) => remote.fixes(workpiece) as Promise<readonly (readonly TriedFix[])[]>)
}

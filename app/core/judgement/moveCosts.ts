import { inForce, withDesign, type Workpiece } from '~/model'
import { computePlan } from '../computePlan'
import { type CutFacts, NOTHING_CUT } from '../asbuilt/cutFacts'
import { boardsNear } from '../cutting/leftToCut'

/** What a wall comes to, boards by a good plan that need not be the best. Money in hundredths; null where a price is not known. */
interface Come {
  readonly pieces: number
  readonly boards: number
  readonly cost: number | null
}

/** What one move adds: what would be saved without it, all that hangs on it gone as well. */
export interface MoveCost extends Come {
  readonly moveId: string
}

function comesTo(workpiece: Workpiece, facts: CutFacts): Come {
  const plan = computePlan(workpiece)
  const { count, cost } = boardsNear(plan, workpiece, facts)
  return { pieces: plan.pieces.length, boards: count, cost }
}

/** What each move adds in pieces, boards and money, by planning without it. Of one that is off, what it would add. */
export function moveCosts(workpiece: Workpiece, facts: CutFacts = NOTHING_CUT): MoveCost[] {
  const { lines } = inForce(workpiece.wall.design)
  const planned = (moves: typeof lines.moves) =>
    comesTo(
      {
        ...workpiece,
        wall: {
          ...workpiece.wall,
          design: withDesign(workpiece.wall.design, { lines: { ...lines, moves } }),
        },
      },
      facts,
    )
  const now = planned(lines.moves)
  return lines.moves.map((move): MoveCost => {
    const turned = planned(
      lines.moves.map((each) => (each.id === move.id ? { ...each, on: !each.on } : each)),
    )
    const [withIt, without] = move.on ? [now, turned] : [turned, now]
    return {
      moveId: move.id,
      pieces: withIt.pieces - without.pieces,
      boards: withIt.boards - without.boards,
      cost: withIt.cost === null || without.cost === null ? null : withIt.cost - without.cost,
    }
  })
}

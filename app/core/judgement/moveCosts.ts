import { inForce, withDesign, type Workpiece } from '~/model'
import { computePlan } from '../computePlan'
import { boardRequests, firstBoards } from '../stock'

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

function comesTo(workpiece: Workpiece): Come {
  const { pieces, cutList } = computePlan(workpiece)
  let [boards, cost] = [0, 0 as number | null]
  for (const request of boardRequests(cutList, workpiece.settings)) {
    const planned = firstBoards(request)
    if (!planned.ok) continue
    boards += planned.value.boards.length
    cost = cost === null || planned.value.cost === null ? null : cost + planned.value.cost
  }
  return { pieces: pieces.length, boards, cost }
}

/** What each move adds in pieces, boards and money, by planning without it. Of one that is off, what it would add. */
export function moveCosts(workpiece: Workpiece): MoveCost[] {
  const { lines } = inForce(workpiece.wall.design)
  const planned = (moves: typeof lines.moves) =>
    comesTo({
      ...workpiece,
      wall: { ...workpiece.wall, design: withDesign(workpiece.wall.design, { lines: { ...lines, moves } }) },
    })
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

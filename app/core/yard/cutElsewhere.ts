import type { YardAct } from '~/model'
import type { CutElsewhere } from '../asbuilt/cutFacts'
import { boardsCut } from './yardState'

/** What of one wall was cut on the boards of its job, and which of its open boards are used up there. */
export function cutElsewhere(acts: readonly YardAct[], job: string, wall: string): CutElsewhere {
  const cut = boardsCut(acts).filter((board) => board.job === job)
  const own = `${wall}/`
  return {
    pieces: cut.flatMap(({ material, pieces }) =>
      pieces.flatMap(({ id, length }) =>
        id.startsWith(own) ? [{ id: id.slice(own.length), material, length }] : [],
      ),
    ),
    closed: cut.flatMap(({ material, open }) =>
      open?.wall === wall && open.number !== undefined ? [{ material, number: open.number }] : [],
    ),
    used: cut.flatMap(({ open }) => (open?.wall === wall && open.piece !== undefined ? [open.piece] : [])),
  }
}

import { linesEdit, putMove } from '~/core/edits/lineMoves'
import { useWallEditor } from '~/editor/WallEditor'
import { refName } from '~/messages'
import { type Edit, inForce, type Lines, type Move } from '~/model'

/** What every word of a list of moves needs: the list, what a change of it is, the strips a move may hang on. */
export function useMoves() {
  const { workpiece, plan, wording, edit } = useWallEditor()
  const { lines } = inForce(workpiece.wall.design)
  const put = (move: Move): Edit[] => putMove(workpiece, move)
  const patch = (next: Partial<Lines>) => edit(linesEdit(workpiece, next), 'done')
  const name = (ref: string) => refName(ref, lines.moves, wording)
  /** Strips struck before a move, by their ids, and the uprights and rails that stand before all of them. */
  const stripsBefore = (move: Move) => {
    const at = lines.moves.findIndex(({ id }) => id === move.id)
    const before = new Set(lines.moves.slice(0, at).map(({ id }) => id))
    return plan.layout.strips.filter(
      ({ role, group, part }) =>
        part === '' && (group === undefined ? role === 'stile' || role === 'rail' : before.has(group)),
    )
  }
  /** Those a word offers, with the one it has though it be gone. */
  const refOptions = (move: Move, now: string, sides: boolean) => {
    const ids = [
      ...(sides ? ['bottom', 'top', 'left', 'right'] : []),
      ...stripsBefore(move).map(({ id }) => id as string),
    ]
    return [...new Set([...ids, now])].map((id) => ({ id, text: name(id) }))
  }
  const movesBefore = (move: Move) =>
    lines.moves.slice(
      0,
      lines.moves.findIndex(({ id }) => id === move.id),
    )
  return { workpiece, plan, wording, edit, lines, put, patch, name, stripsBefore, refOptions, movesBefore }
}

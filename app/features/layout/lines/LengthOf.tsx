import { EditLengthWord } from '~/editor/EditLength'
import { inches, type Length, ZERO } from '~/length'
import type { Move } from '~/model'
import { useMoves } from './useMoves'

/** A length of a move as a word of its clause. */
export function LengthOf({
  move,
  name,
  label,
  value,
  least = ZERO,
  toMove,
}: {
  move: Move
  name: string
  label: string
  value: Length
  least?: Length
  toMove: (value: Length) => Move
}) {
  const { put } = useMoves()
  return (
    <EditLengthWord
      field={`design.lines.${move.id}.${name}`}
      label={label}
      value={value}
      least={least}
      most={inches(480)}
      toEdits={(next) => put(toMove(next))}
    />
  )
}

import { useState } from 'react'
import type { Length, LengthFormat } from '~/length'
import { LengthField } from './LengthField'

export interface CommitLengthProps {
  readonly label: string
  readonly value: Length
  readonly format: LengthFormat
  readonly least?: Length
  readonly most?: Length
  /** Called once what was typed is done: the field left, or Enter. */
  readonly onDone: (value: Length) => void
}

/** A length that counts once it is typed to its end, for what is taken down and not only shown. */
export function CommitLength({ value, onDone, ...field }: CommitLengthProps) {
  const [typed, setTyped] = useState<Length | null>(null)
  return (
    <LengthField
      {...field}
      value={typed ?? value}
      onChange={setTyped}
      onCommit={() => {
        if (typed !== null && typed !== value) onDone(typed)
        setTyped(null)
      }}
      onRestore={() => setTyped(null)}
    />
  )
}

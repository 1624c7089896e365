import { useState } from 'react'
import { TextBox } from './TextBox'

export interface CommitTextProps {
  readonly label: string
  readonly value: string
  readonly most: number
  readonly placeholder?: string
  /** What is kept of what was typed; null: it can't be read, and `problem` is said while it stands there. */
  readonly read?: (text: string) => string | null
  readonly problem?: string
  /** Called once what was typed is done: the field left, or Enter. */
  readonly onDone: (value: string) => void
}

const asTyped = (text: string) => text

/** A line of text that counts once it is typed to its end; what can't be read stays, and is told. */
export function CommitText({
  label,
  value,
  most,
  placeholder,
  read = asTyped,
  problem,
  onDone,
}: CommitTextProps) {
  const [typed, setTyped] = useState<string | null>(null)
  const [wrong, setWrong] = useState(false)
  const commit = () => {
    if (typed === null) return
    const kept = read(typed.trim())
    setWrong(kept === null)
    if (kept === null) return
    setTyped(null)
    if (kept !== value) onDone(kept)
  }
  return (
    <TextBox
      label={label}
      value={typed ?? value}
      maxLength={most}
      {...(placeholder === undefined ? {} : { placeholder })}
      problem={wrong ? problem : undefined}
      onChange={setTyped}
      onBlur={commit}
      onKeyDown={(event) => {
        if (event.key === 'Enter') commit()
        else if (event.key === 'Escape') {
          setTyped(null)
          setWrong(false)
        } else event.continuePropagation()
      }}
    />
  )
}

import { Pencil } from 'lucide-react'
import { useState } from 'react'
import { DialogTrigger } from 'react-aria-components'
import { Button } from './Button'
import { PopoverBody, PopoverCard } from './PopoverCard'
import { TextBox } from './TextBox'
import { Tip } from './Tip'

/** A pencil beside a name: press it to give another. */
export function Rename({
  what,
  name,
  most,
  problem,
  onRename,
}: {
  /** What is renamed: the wall, the room. */
  what: string
  name: string
  most: number
  problem?: string | undefined
  onRename: (name: string) => void
}) {
  const [open, setOpen] = useState(false)
  const [typed, setTyped] = useState(name)
  const named = typed.trim()
  const keep = () => {
    if (named === '') return
    setOpen(false)
    if (named !== name) onRename(named)
  }
  return (
    <DialogTrigger
      isOpen={open}
      onOpenChange={(next) => {
        setTyped(name)
        setOpen(next)
      }}
    >
      <Tip text={`Rename ${what}`}>
        <Button $kind="quiet" aria-label={`Rename ${what}`}>
          <Pencil size={16} aria-hidden />
        </Button>
      </Tip>
      <PopoverCard>
        <PopoverBody aria-label={`Rename ${what}`}>
          <TextBox
            label="Name"
            value={typed}
            onChange={setTyped}
            maxLength={most}
            autoFocus
            problem={named === '' ? 'Give it a name.' : problem}
            onKeyDown={(event) => {
              if (event.key === 'Enter') keep()
              else event.continuePropagation()
            }}
          />
          <Button $kind="main" isDisabled={named === ''} onPress={keep}>
            Keep this name
          </Button>
        </PopoverBody>
      </PopoverCard>
    </DialogTrigger>
  )
}

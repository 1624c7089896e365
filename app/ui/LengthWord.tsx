import { useState } from 'react'
import { Button, DialogTrigger } from 'react-aria-components'
import { styled } from 'styled-components'
import { formatLength } from '~/length'
import { Fractions } from './Fractions'
import { LengthField, type LengthFieldProps } from './LengthField'
import { touch } from './theme'
import { PopoverBody, PopoverCard } from './PopoverCard'

const Word = styled(Button)`
  display: inline-flex;
  align-items: center;
  padding: 1px 6px 0;
  line-height: 1.35;
  border: 0;
  border-bottom: 2px solid var(--chalk);
  background: var(--chalk-wash);
  color: var(--chalk);
  font-size: inherit;
  font-weight: 650;
  cursor: pointer;
  ${touch} {
    min-width: 48px;
    min-height: 48px;
    justify-content: center;
  }
`

/** A length as a word in a sentence: press it to type another. */
export function LengthWord({ children, ...field }: LengthFieldProps & { children?: React.ReactNode }) {
  const [open, setOpen] = useState(false)
  return (
    <DialogTrigger isOpen={open} onOpenChange={setOpen}>
      <Word
        data-focus={field.label}
        aria-label={`${field.label}: ${formatLength(field.value, field.format)}`}
      >
        <Fractions text={formatLength(field.value, field.format)} />
      </Word>
      <PopoverCard>
        <PopoverBody aria-label={field.label}>
          <LengthField {...field} autoFocus onEnter={() => setOpen(false)} />
          {children}
        </PopoverBody>
      </PopoverCard>
    </DialogTrigger>
  )
}

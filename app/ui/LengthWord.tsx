import { useState } from 'react'
import { Button, Dialog, DialogTrigger, Popover } from 'react-aria-components'
import { styled } from 'styled-components'
import { formatLength } from '~/length'
import { Fractions } from './Fractions'
import { LengthField, type LengthFieldProps } from './LengthField'
import { space, touch } from './theme'

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
    min-height: 48px;
  }
`
const Surface = styled(Popover)`
  width: 260px;
  background: var(--raised);
  color: var(--ink);
  border: 1px solid var(--line);
  border-radius: 8px;
  box-shadow: 0 8px 28px rgb(0 0 0 / 0.22);
  padding: ${space.m};
`
const Body = styled(Dialog)`
  outline: none;
  display: grid;
  gap: ${space.m};
`

/** A length as a word in a sentence: press it to type another. */
export function LengthWord({ children, ...field }: LengthFieldProps & { children?: React.ReactNode }) {
  const [open, setOpen] = useState(false)
  return (
    <DialogTrigger isOpen={open} onOpenChange={setOpen}>
      <Word aria-label={`${field.label}: ${formatLength(field.value, field.format)}`}>
        <Fractions text={formatLength(field.value, field.format)} />
      </Word>
      <Surface>
        <Body aria-label={field.label}>
          <LengthField {...field} autoFocus onEnter={() => setOpen(false)} />
          {children}
        </Body>
      </Surface>
    </DialogTrigger>
  )
}

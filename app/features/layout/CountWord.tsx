import { Minus, Plus } from 'lucide-react'
import { Button, Group, Input, NumberField } from 'react-aria-components'
import { styled } from 'styled-components'
import { touch } from '~/ui/theme'

const Frame = styled(NumberField)`
  display: inline-block;
  vertical-align: middle;
`
const Inner = styled(Group)`
  display: inline-flex;
  align-items: center;
  border-bottom: 2px solid var(--chalk);
  background: var(--chalk-wash);
  color: var(--chalk);
`
const Digits = styled(Input)`
  width: 3ch;
  border: 0;
  padding: 2px 0;
  background: none;
  color: inherit;
  font-size: inherit;
  font-weight: 650;
  text-align: center;
  ${touch} {
    width: 48px;
    min-height: 48px;
  }
`
const Step = styled(Button)`
  display: inline-grid;
  place-items: center;
  width: 32px;
  height: 32px;
  border: 0;
  background: none;
  color: inherit;
  cursor: pointer;
  &[data-disabled] {
    opacity: 0.35;
  }
  ${touch} {
    width: 48px;
    height: 48px;
  }
`

/** A count as a word in a sentence, with one more and one less beside it. */
export function CountWord(props: {
  label: string
  value: number
  least: number
  onChange: (n: number) => void
}) {
  return (
    <Frame
      aria-label={props.label}
      value={props.value}
      minValue={props.least}
      maxValue={400}
      step={1}
      onChange={(n) => {
        if (Number.isInteger(n)) props.onChange(n)
      }}
    >
      <Inner>
        <Step slot="decrement">
          <Minus size={16} aria-hidden />
        </Step>
        <Digits />
        <Step slot="increment">
          <Plus size={16} aria-hidden />
        </Step>
      </Inner>
    </Frame>
  )
}

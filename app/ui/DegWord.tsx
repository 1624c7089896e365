import { Input, NumberField } from 'react-aria-components'
import { styled } from 'styled-components'
import { touch } from './theme'

const Frame = styled(NumberField)`
  display: inline-block;
  vertical-align: baseline;
`
const Digits = styled(Input)`
  width: 6.5ch;
  height: auto;
  min-height: 0;
  line-height: 1.35;
  padding: 1px 5px 0;
  border: 0;
  border-bottom: 2px solid var(--chalk);
  background: var(--chalk-wash);
  color: var(--chalk);
  font-size: inherit;
  font-weight: 650;
  text-align: center;
  ${touch} {
    min-width: 56px;
    min-height: 48px;
  }
`

/** An angle in degrees as a word in a sentence: typed, or stepped by the arrow keys. */
export function DegWord(props: {
  label: string
  value: number
  least: number
  most: number
  onChange: (deg: number) => void
}) {
  return (
    <Frame
      aria-label={props.label}
      value={props.value}
      minValue={props.least}
      maxValue={props.most}
      formatOptions={{ style: 'unit', unit: 'degree', unitDisplay: 'narrow', maximumFractionDigits: 4 }}
      onChange={(deg) => {
        if (Number.isFinite(deg)) props.onChange(deg)
      }}
    >
      <Digits />
    </Frame>
  )
}

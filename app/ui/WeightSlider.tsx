import { Label, Slider, SliderOutput, SliderThumb, SliderTrack } from 'react-aria-components'
import { styled } from 'styled-components'
import { space, type } from './theme'

const Frame = styled(Slider)`
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 2px ${space.s};
  font-size: ${type.body};
`
const Track = styled(SliderTrack)`
  grid-column: 1 / -1;
  position: relative;
  height: 32px;
  &::before {
    content: '';
    position: absolute;
    inset: 14px 0;
    border-radius: 2px;
    background: var(--line);
  }
`
const Thumb = styled(SliderThumb)`
  top: 50%;
  width: 22px;
  height: 22px;
  border: 3px solid var(--chalk);
  border-radius: 50%;
  background: var(--raised);
  &[data-focus-visible] {
    outline: 3px solid var(--chalk);
    outline-offset: 2px;
  }
`

/** A slider of one thumb tells one number. */
function first(value: number | number[]): number {
  return Array.isArray(value) ? (value[0] ?? 0) : value
}

/** How much something counts, from nothing to most. */
export function WeightSlider(props: {
  label: string
  value: number
  onChange: (value: number) => void
  onChangeEnd: (value: number) => void
}) {
  return (
    <Frame
      value={props.value}
      minValue={0}
      maxValue={10}
      step={1}
      onChange={(value) => props.onChange(first(value))}
      onChangeEnd={(value) => props.onChangeEnd(first(value))}
    >
      <Label>{props.label}</Label>
      <SliderOutput />
      <Track>
        <Thumb />
      </Track>
    </Frame>
  )
}

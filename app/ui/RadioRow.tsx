import { Radio, RadioGroup } from 'react-aria-components'
import { styled } from 'styled-components'
import { FieldName } from './fields'
import { space } from './theme'

const Group = styled(RadioGroup)`
  display: grid;
  gap: ${space.xs};
`
const Line = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space.s};
`
const Option = styled(Radio)`
  display: inline-flex;
  align-items: center;
  min-height: 44px;
  padding: ${space.xs} ${space.m};
  border: 1px solid var(--edge);
  border-radius: 6px;
  background: var(--raised);
  cursor: pointer;
  &[data-selected] {
    border: 2px solid var(--chalk);
    background: var(--chalk-wash);
    font-weight: 650;
  }
  &[data-focus-visible] {
    outline: 3px solid var(--chalk);
    outline-offset: 2px;
  }
`

export interface RadioRowProps<Id extends string> {
  readonly label: string
  readonly name: string
  readonly value: Id
  readonly options: readonly { readonly id: Id; readonly text: string }[]
  readonly onChange: (id: Id) => void
}

/** One of a few in a form. */
export function RadioRow<Id extends string>({ label, name, value, options, onChange }: RadioRowProps<Id>) {
  return (
    <Group
      name={name}
      value={value}
      onChange={(next) => {
        const option = options.find(({ id }) => id === next)
        if (option) onChange(option.id)
      }}
    >
      <FieldName>{label}</FieldName>
      <Line>
        {options.map(({ id, text }) => (
          <Option key={id} value={id}>
            {text}
          </Option>
        ))}
      </Line>
    </Group>
  )
}

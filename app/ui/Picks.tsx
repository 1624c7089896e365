import { ToggleButton, ToggleButtonGroup } from 'react-aria-components'
import { styled } from 'styled-components'
import { space, touch, type } from './theme'

const Group = styled(ToggleButtonGroup)`
  display: inline-flex;
  flex-wrap: wrap;
  border: 1px solid var(--edge);
  border-radius: 6px;
  overflow: hidden;
  background: var(--raised);
  @media print {
    display: none;
  }
`
const Pick = styled(ToggleButton)`
  min-width: 48px;
  min-height: 44px;
  padding: ${space.xs} ${space.m};
  border: 0;
  background: none;
  color: var(--ink);
  font-size: ${type.body};
  font-weight: 550;
  cursor: pointer;
  &[data-selected] {
    background: var(--bar);
    color: var(--bar-ink);
  }
  &:focus-visible {
    outline-offset: -4px;
  }
  &[data-selected]:focus-visible {
    outline-color: var(--bar-ink);
  }
  ${touch} {
    min-height: 48px;
  }
`

export interface PicksProps<Id extends string> {
  readonly label: string
  readonly value: Id
  readonly options: readonly { readonly id: Id; readonly text: string }[]
  readonly onChange: (id: Id) => void
}

/** One of two or three, all in view. */
export function Picks<Id extends string>({ label, value, options, onChange }: PicksProps<Id>) {
  return (
    <Group
      aria-label={label}
      selectionMode="single"
      disallowEmptySelection
      selectedKeys={[value]}
      onSelectionChange={(keys) => {
        const option = options.find(({ id }) => keys.has(id))
        if (option) onChange(option.id)
      }}
    >
      {options.map(({ id, text }) => (
        <Pick key={id} id={id}>
          {text}
        </Pick>
      ))}
    </Group>
  )
}

import { Check, ChevronDown } from 'lucide-react'
import { Button, ListBox, ListBoxItem, Popover, Select, SelectValue } from 'react-aria-components'
import { css, styled } from 'styled-components'
import { Fractions } from './Fractions'
import { FieldName } from './fields'
import { space, touch, type } from './theme'

const Frame = styled(Select)`
  display: grid;
  gap: ${space.xs};
  min-width: 0;
`
const Inline = styled(Select)`
  display: inline-block;
`
const boxed = css`
  display: flex;
  justify-content: space-between;
  width: 100%;
  min-height: 44px;
  padding: ${space.xs} ${space.m};
  border: 1px solid var(--edge);
  border-radius: 6px;
  background: var(--raised);
  ${touch} {
    min-height: 48px;
  }
`
const worded = css`
  display: inline-flex;
  padding: 1px 5px 0;
  line-height: 1.35;
  border: 0;
  border-bottom: 2px solid var(--chalk);
  background: var(--chalk-wash);
  color: var(--chalk);
  font-weight: 650;
  ${touch} {
    min-height: 48px;
  }
`
const Opener = styled(Button)<{ $word: boolean }>`
  align-items: center;
  gap: ${space.xs};
  cursor: pointer;
  text-align: left;
  font-size: inherit;
  color: var(--ink);
  ${({ $word }) => ($word ? worded : boxed)}
  & [data-placeholder] {
    color: var(--ink-soft);
  }
`
const Surface = styled(Popover)`
  min-width: var(--trigger-width);
  max-height: 360px;
  overflow: auto;
  background: var(--raised);
  color: var(--ink);
  border: 1px solid var(--edge);
  border-radius: 8px;
  box-shadow: 0 8px 28px rgb(0 0 0 / 0.22);
  padding: ${space.xs};
`
const Item = styled(ListBoxItem)`
  display: grid;
  grid-template-columns: 20px 1fr;
  gap: ${space.s};
  align-items: center;
  min-height: 44px;
  padding: ${space.xs} ${space.m} ${space.xs} ${space.s};
  border-radius: 5px;
  cursor: pointer;
  outline: none;
  &[data-focused] {
    background: var(--chalk-wash);
  }
`
const Hint = styled.span`
  display: block;
  font-size: ${type.small};
  color: var(--ink-soft);
`

export interface Option<Id extends string> {
  readonly id: Id
  readonly text: string
  readonly hint?: string
}

export interface ChoiceProps<Id extends string> {
  readonly label: string
  readonly value: Id
  readonly options: readonly Option<Id>[]
  readonly onChange: (id: Id) => void
  /** Set as a word in a sentence, without its label. */
  readonly word?: boolean
  readonly shown?: string
}

/** One of a few: boxed with its label, or a word in a sentence that can be changed. */
export function Choice<Id extends string>({
  label,
  value,
  options,
  onChange,
  word = false,
  shown,
}: ChoiceProps<Id>) {
  const Outer = word ? Inline : Frame
  return (
    <Outer
      value={value}
      onChange={(key) => {
        const option = options.find(({ id }) => id === key)
        if (option) onChange(option.id)
      }}
      {...(word ? { 'aria-label': label } : {})}
    >
      {word ? null : <FieldName>{label}</FieldName>}
      <Opener $word={word} data-focus={label}>
        <SelectValue>
          {() => <Fractions text={shown ?? options.find(({ id }) => id === value)?.text ?? value} />}
        </SelectValue>
        {word ? null : <ChevronDown size={18} aria-hidden />}
      </Opener>
      <Surface>
        <ListBox>
          {options.map((option) => (
            <Item key={option.id} id={option.id} textValue={option.text}>
              {option.id === value ? <Check size={18} aria-hidden /> : <span />}
              <span>
                <Fractions text={option.text} />
                {option.hint ? (
                  <Hint>
                    <Fractions text={option.hint} />
                  </Hint>
                ) : null}
              </span>
            </Item>
          ))}
        </ListBox>
      </Surface>
    </Outer>
  )
}

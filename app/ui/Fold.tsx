import { ChevronRight } from 'lucide-react'
import { useState } from 'react'
import { Button, Disclosure, DisclosurePanel, Heading } from 'react-aria-components'
import { styled } from 'styled-components'
import { space, touch, type } from './theme'

const Outer = styled(Disclosure)`
  border-top: 1px solid var(--line);
  padding-top: ${space.s};
  &[data-expanded] > h2 svg:first-child {
    transform: rotate(90deg);
  }
`
const Opener = styled(Button)`
  display: flex;
  align-items: center;
  gap: ${space.s};
  width: 100%;
  min-height: 44px;
  border: 0;
  padding: 0;
  background: none;
  color: var(--ink);
  font-size: ${type.lead};
  font-weight: 650;
  text-align: left;
  cursor: pointer;
  & small {
    margin-left: auto;
    font-size: ${type.small};
    font-weight: 500;
    color: var(--ink-soft);
  }
  ${touch} {
    min-height: 48px;
  }
`
const Body = styled.div`
  display: grid;
  gap: ${space.m};
  padding: ${space.s} 0 ${space.m};
`

export interface FoldProps {
  readonly title: string
  readonly aside?: string
  readonly open?: boolean
  readonly onToggle?: (open: boolean) => void
  readonly children: React.ReactNode
}

/** A part of a side panel that opens and closes. */
export function Fold({ title, aside, open = false, onToggle, children }: FoldProps) {
  // what is folded away is not worked out
  const [shown, setShown] = useState(open)
  return (
    <Outer
      isExpanded={shown}
      onExpandedChange={(next) => {
        setShown(next)
        onToggle?.(next)
      }}
    >
      <Heading level={2} style={{ margin: 0 }}>
        <Opener slot="trigger">
          <ChevronRight size={18} aria-hidden /> {title}
          {aside ? <small>{aside}</small> : null}
        </Opener>
      </Heading>
      <DisclosurePanel>{shown ? <Body>{children}</Body> : null}</DisclosurePanel>
    </Outer>
  )
}

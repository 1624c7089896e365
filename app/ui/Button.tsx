import { type ComponentProps, useId } from 'react'
import { Button as AriaButton, Link as AriaLink } from 'react-aria-components'
import { css, styled } from 'styled-components'
import { space, touch, type } from './theme'

const look = css<{ $kind?: 'plain' | 'main' | 'quiet' | 'bar' }>`
  display: inline-flex;
  align-items: center;
  justify-content: center;
  gap: ${space.s};
  min-height: 44px;
  padding: ${space.xs} ${space.m};
  border-radius: 6px;
  border: 1px solid var(--edge);
  background: var(--raised);
  color: var(--ink);
  font-size: ${type.body};
  font-weight: 550;
  text-decoration: none;
  cursor: pointer;
  &[data-hovered] {
    border-color: var(--chalk);
  }
  &[data-pressed] {
    background: var(--chalk-wash);
  }
  &[data-disabled] {
    opacity: 0.45;
    cursor: default;
  }
  ${({ $kind }) =>
    $kind === 'main' &&
    css`
      background: var(--bar);
      border-color: var(--bar);
      color: var(--bar-ink);
      &[data-pressed] {
        background: var(--chalk);
      }
    `}
  ${({ $kind }) =>
    $kind === 'quiet' &&
    css`
      background: none;
      border-color: transparent;
      padding: ${space.xs} ${space.s};
    `}
  ${touch} {
    min-width: 48px;
    min-height: 48px;
  }
  /* nobody presses paper */
  @media print {
    display: none;
  }
`

const Look = styled(AriaButton)<{ $kind?: 'plain' | 'main' | 'quiet' }>`
  ${look}
`
const Why = styled.span`
  align-self: center;
  font-size: ${type.small};
  color: var(--ink-soft);
  @media print {
    display: none;
  }
`

export interface ButtonProps extends ComponentProps<typeof Look> {
  /** What keeps it from acting, said beside it while it is disabled. */
  readonly why?: string
}

/** A button says what happens; one that can't act says why. */
export function Button({ why, ...button }: ButtonProps) {
  const id = useId()
  const says = button.isDisabled === true && why !== undefined
  return (
    <>
      <Look {...button} {...(says ? { 'aria-describedby': id } : {})} />
      {says ? <Why id={id}>{why}</Why> : null}
    </>
  )
}

/** A link that looks like a button. */
export const LinkButton = styled(AriaLink)<{ $kind?: 'plain' | 'main' | 'quiet' }>`
  ${look}
`

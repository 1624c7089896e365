import { Undo2 } from 'lucide-react'
import type { ReactNode } from 'react'
import { styled } from 'styled-components'
import { SteadyButton } from './SteadyButton'
import { low, narrow, space, type } from './theme'

/** One thing at a time on a phone, on a dark ground, on the desk it is not there.
 *  It stands first in its section, so that nothing moves when the rest of a long page arrives. */
export const WalkCard = styled.section`
  display: none;
  ${narrow} {
    display: grid;
    gap: 2px ${space.l};
    margin: 0 0 ${space.m};
    padding: ${space.m} ${space.l};
    border-radius: 12px;
    background: var(--bar);
    color: var(--bar-ink);
    & :focus-visible {
      outline-color: var(--bar-ink);
    }
  }
  @media print {
    display: none;
  }
`
/** The one number, readable from two meters. */
export const Huge = styled.p`
  font-size: clamp(80px, 24vw, 128px);
  line-height: 1.05;
  font-weight: 750;
  letter-spacing: -0.02em;
  ${low} {
    font-size: min(128px, 34vh);
  }
`
/** Readable from two meters: what and where it is. */
export const Far = styled.p`
  font-size: 1.5rem;
  line-height: 1.25;
  font-weight: 600;
  & small {
    float: right;
    font-size: ${type.lead};
    font-weight: 500;
    color: var(--bar-soft);
  }
`
export const WalkSoft = styled.p`
  font-size: ${type.lead};
  color: var(--bar-soft);
`
/** What a thumb presses, at the foot of the screen; `$columns` as in a grid. */
export const ThumbBar = styled.div<{ $columns: string }>`
  ${narrow} {
    position: fixed;
    z-index: 6;
    inset: auto 0 0;
    display: grid;
    grid-template-columns: ${({ $columns }) => $columns};
    gap: ${space.m};
    padding: ${space.s} ${space.m} calc(${space.s} + env(safe-area-inset-bottom));
    background: var(--bar);
    border-top: 1px solid var(--bar-soft);
    & button {
      min-height: 72px;
      font-size: ${type.title};
    }
  }
  ${low} {
    & button {
      min-height: 56px;
    }
  }
  @media print {
    display: none;
  }
`
/** The thumb's main button, and one that only goes about. */
export const ThumbNext = styled(SteadyButton)`
  background: var(--rod);
  color: var(--rod-ink);
`
export const ThumbDim = styled(SteadyButton)`
  background: none;
  color: var(--bar-ink);
`
/** How far the walk has come, and the last thing done, to be taken back. Its room is there from the first: nothing jumps. */
const Come = styled.div`
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: ${space.s};
  min-height: 48px;
`

/** How far the walk has come, and beside it one press that takes back what was done last on a card. */
export function WalkState({
  children,
  last,
}: {
  readonly children: ReactNode
  readonly last: LastAct | null
}) {
  return (
    <Come>
      <WalkSoft role="status">{children}</WalkSoft>
      {last ? (
        <ThumbDim onPress={last.undo}>
          <Undo2 size={20} aria-hidden /> {last.text}
        </ThumbDim>
      ) : null}
    </Come>
  )
}

/** What was done last, by name, and what takes it back. */
export interface LastAct {
  readonly text: string
  readonly undo: () => void
}

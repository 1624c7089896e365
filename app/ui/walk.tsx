import { styled } from 'styled-components'
import { Button } from './Button'
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
export const ThumbNext = styled(Button)`
  background: var(--rod);
  color: var(--rod-ink);
`
export const ThumbDim = styled(Button)`
  background: none;
  color: var(--bar-ink);
`

import { styled } from 'styled-components'
import { narrow, space } from '~/ui/theme'

/** A picture with what is said of it beside it; on a phone below. */
export const Beside = styled.div<{ $panel: string }>`
  display: grid;
  grid-template-columns: minmax(0, 1fr) ${({ $panel }) => $panel};
  gap: ${space.l};
  align-items: start;
  ${narrow} {
    grid-template-columns: minmax(0, 1fr);
  }
`
/** The picture stays in view while what is beside it is gone through. */
export const Picture = styled.div`
  position: sticky;
  top: 0;
  display: grid;
  gap: ${space.m};
  ${narrow} {
    position: static;
  }
`

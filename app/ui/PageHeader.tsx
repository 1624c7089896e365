import { styled } from 'styled-components'
import { narrow, space } from './theme'

/** The bar at the head of a page that is worked on: where it is, its tools, whether it is saved. */
export const PageHeader = styled.header`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: ${space.xs} ${space.l};
  min-height: 56px;
  padding: ${space.xs} ${space.l};
  background: var(--paper);
  border-bottom: 1px solid var(--line);
  ${narrow} {
    gap: 0 ${space.m};
    padding: 0 ${space.m};
  }
`

/** Where the page is: job, room, wall. */
export const Trail = styled.nav`
  flex: 1 1 200px;
  color: var(--ink-soft);
  & a {
    color: inherit;
  }
  & strong {
    color: var(--ink);
  }
`

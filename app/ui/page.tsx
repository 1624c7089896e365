import { styled } from 'styled-components'
import { narrow, space, type } from './theme'

/** A plain page: one column of readable width. */
export const PageMain = styled.main`
  max-width: 980px;
  margin: 0 auto;
  padding: ${space.xl} ${space.l};
  display: grid;
  gap: ${space.l};
  ${narrow} {
    padding: ${space.l} ${space.m};
  }
`

/** A page with a column beside it; on a phone the one stands below the other. */
export const SideMain = styled.main<{ $side: number }>`
  max-width: 1320px;
  margin: 0 auto;
  padding: ${space.l};
  display: grid;
  grid-template-columns: minmax(0, 1fr) ${({ $side }) => $side}px;
  gap: ${space.l} ${space.xl};
  align-items: start;
  ${narrow} {
    grid-template-columns: minmax(0, 1fr);
    padding: ${space.m};
  }
`

export const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: ${space.s} ${space.m};
`

export const Spread = styled(Row)`
  justify-content: space-between;
`

export const Soft = styled.p`
  color: var(--ink-soft);
  font-size: ${type.body};
`

export const Sheet = styled.section`
  background: var(--paper);
  border: 1px solid var(--line);
  border-radius: 10px;
  padding: ${space.l};
  display: grid;
  gap: ${space.m};
`

export const Alert = styled.div`
  border-left: 4px solid var(--red);
  background: var(--red-wash);
  color: var(--ink);
  padding: ${space.m};
  display: grid;
  gap: ${space.s};
`

/** Read out, and not seen. */
export const Unseen = styled.span`
  position: absolute;
  width: 1px;
  height: 1px;
  overflow: hidden;
  clip-path: inset(50%);
  white-space: nowrap;
`

import { Link } from 'react-router'
import { styled } from 'styled-components'
import { Logo } from '~/ui/Logo'
import { space } from '~/ui/theme'

const Bar = styled.header`
  display: flex;
  align-items: center;
  min-height: 56px;
  padding: ${space.s} ${space.l};
  background: var(--paper);
  border-bottom: 1px solid var(--line);
`
const Home = styled(Link)`
  display: inline-flex;
  align-items: center;
  gap: ${space.s};
  min-height: 40px;
  font-size: 1.25rem;
  font-weight: 750;
  color: var(--ink);
  text-decoration: none;
`

/** The head of every page that is not a wall. */
export function TopBar() {
  return (
    <Bar>
      <Home to="/" aria-label="Regla, all jobs">
        <Logo /> Regla
      </Home>
    </Bar>
  )
}

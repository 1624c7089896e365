import { Link } from 'react-router'
import { styled } from 'styled-components'
import { AnywhereButtons } from './anywhere'
import { Logo } from './Logo'
import { useMay } from './rights'
import { space } from './theme'

const Bar = styled.header`
  display: flex;
  align-items: center;
  justify-content: space-between;
  min-height: 56px;
  padding: ${space.s} ${space.l};
  background: var(--paper);
  border-bottom: 1px solid var(--line);
`
const Home = styled(Link)`
  display: inline-flex;
  align-items: center;
  gap: ${space.s};
  min-height: 44px;
  font-size: 1.25rem;
  font-weight: 750;
  color: var(--ink);
  text-decoration: none;
`

const Tools = styled.div`
  display: flex;
  align-items: center;
  gap: ${space.s};
`
const Away = styled(Link)`
  display: inline-flex;
  align-items: center;
  min-height: 44px;
  color: var(--ink);
  text-underline-offset: 4px;
`

/** The head of every page that is not a wall. */
export function TopBar() {
  const may = useMay()
  return (
    <Bar>
      <Home to="/" aria-label="Regla, all jobs">
        <Logo /> Regla
      </Home>
      <Tools>
        <AnywhereButtons />
        {may('prices') ? <Away to="/yard">Yard</Away> : null}
        <Away to="/crew">Crew</Away>
      </Tools>
    </Bar>
  )
}

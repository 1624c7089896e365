import { NavLink } from 'react-router'
import { styled } from 'styled-components'
import { useWallEditor } from '~/editor/WallEditor'
import { agreeText } from '~/messages'
import { LinkButton } from '~/ui/Button'
import { narrow, space, type } from '~/ui/theme'

const Stage = styled.section.attrs({ tabIndex: 0 })`
  min-height: 0;
  overflow-y: auto;
  padding: ${space.m} ${space.l} ${space.xl};
  display: grid;
  align-content: start;
  gap: ${space.l};
  ${narrow} {
    padding: ${space.m} ${space.s};
  }
`
const Head = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: ${space.s} ${space.l};
`
/** The part's name is on its tab already: here it is for whoever hears the page. */
const Title = styled.h1`
  position: absolute;
  width: 1px;
  height: 1px;
  overflow: hidden;
  clip-path: inset(50%);
`
const Parts = styled.nav`
  display: flex;
  flex-wrap: wrap;
  gap: ${space.xs};
  border-bottom: 2px solid var(--line);
`
const Part = styled(NavLink)`
  display: inline-flex;
  align-items: center;
  min-height: 48px;
  padding: 0 ${space.m};
  margin-bottom: -2px;
  border-bottom: 4px solid transparent;
  color: var(--ink-soft);
  font-size: ${type.lead};
  font-weight: 600;
  text-decoration: none;
  &[aria-current='page'] {
    color: var(--ink);
    border-color: var(--chalk);
  }
`

const PARTS = [
  { to: 'agree', name: agreeText.tabs.options },
  { to: 'agree/colors', name: agreeText.tabs.colors },
  { to: 'agree/photo', name: agreeText.tabs.photo },
] as const

/** The stage in which it is settled what the wall becomes: its options, its colors, how it looks on a photograph. */
export function AgreeFrame({
  title,
  children,
}: {
  readonly title: string
  readonly children: React.ReactNode
}) {
  const { identity } = useWallEditor()
  return (
    <Stage aria-label={agreeText.stage}>
      <Head>
        <Parts aria-label={agreeText.stage}>
          {PARTS.map(({ to, name }) => (
            <Part key={to} to={`${identity.path}/${to}`} end>
              {name}
            </Part>
          ))}
        </Parts>
        <LinkButton href={`/jobs/${identity.job.id}/client`}>{agreeText.client}</LinkButton>
      </Head>
      <Title>{title}</Title>
      {children}
    </Stage>
  )
}

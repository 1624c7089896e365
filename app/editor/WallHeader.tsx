import { Link } from 'react-router'
import { styled } from 'styled-components'
import { AnywhereButtons } from '~/ui/anywhere'
import { Logo } from '~/ui/Logo'
import { RenameHere } from '~/ui/RenameHere'
import { agreeText } from '~/messages'
import { PageHeader, Trail } from '~/ui/PageHeader'
import { low, narrow, space } from '~/ui/theme'
import { JobSettings } from './JobSettings'
import { SavingTools, SavingTrouble } from './SavingBar'
import { useSaver, useWallEditor } from './WallEditor'

const Home = styled(Link)`
  display: inline-flex;
  align-items: center;
  gap: ${space.s};
  min-height: 40px;
  font-size: 1.25rem;
  font-weight: 750;
  color: var(--ink);
  text-decoration: none;
  ${narrow} {
    & > span {
      display: none;
    }
  }
`
const Tools = styled.div`
  display: flex;
  align-items: center;
  gap: ${space.xs};
  ${narrow} {
    flex: 1 0 100%;
    justify-content: space-between;
  }
  ${low} {
    flex: 0 1 auto;
  }
`
/** Which option is worked on; on a phone it is said where it is not the chosen one. */
const InHand = styled.em`
  ${narrow} {
    &[data-option-in-hand='chosen'] {
      display: none;
    }
  }
`
/** Where this wall is, what it is measured in, undo and redo, and whether it is saved. */
export function WallHeader() {
  const { identity } = useWallEditor()
  const saver = useSaver()
  return (
    <PageHeader>
      <Home to="/" aria-label="Regla, all jobs">
        <Logo /> <span>Regla</span>
      </Home>
      <Trail aria-label="Where this wall is">
        <Link to={`/jobs/${identity.job.id}`}>{identity.job.name}</Link> /{' '}
        <Link to={`/jobs/${identity.job.id}/rooms/${identity.room.id}`}>{identity.room.name}</Link> /{' '}
        <strong>{identity.name}</strong>
        {identity.options.length > 1 ? (
          <InHand data-option-in-hand={identity.option.chosen ? 'chosen' : 'other'}>
            {' '}
            {identity.option.name}
            {identity.option.chosen ? '' : `, ${agreeText.notTheChosen}`}
          </InHand>
        ) : null}
        <RenameHere
          what="this wall"
          name={identity.name}
          action={`/jobs/${identity.job.id}`}
          fields={{ intent: 'renameWall', wallId: identity.id }}
        />
      </Trail>
      <Tools>
        <AnywhereButtons />
        <JobSettings />
        <SavingTools saver={saver} here={identity.name} />
      </Tools>
      <SavingTrouble saver={saver} here={identity.name} />
    </PageHeader>
  )
}

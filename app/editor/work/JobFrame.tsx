import { Link } from 'react-router'
import { styled } from 'styled-components'
import type { Saver } from '~/editor/saving/saver'
import { SavingTools, SavingTrouble } from '~/editor/SavingBar'
import { boardsText, logText, orderText, paperPageText, shoppingText, supplyText } from '~/messages'
import { AnywhereButtons } from '~/ui/anywhere'
import { Logo } from '~/ui/Logo'
import { PageHeader, Trail } from '~/ui/PageHeader'
import { Row } from '~/ui/page'
import { narrow, space, type } from '~/ui/theme'

const Tabs = styled.nav`
  display: flex;
  flex-wrap: wrap;
  gap: 0 ${space.l};
  padding: 0 ${space.l};
  background: var(--rod);
  border-bottom: 1px solid var(--rod-edge);
  & a {
    display: inline-flex;
    align-items: center;
    min-height: 48px;
    color: var(--rod-ink);
    font-weight: 600;
    font-size: ${type.body};
    text-underline-offset: 4px;
  }
  & a[aria-current='page'] {
    text-decoration: none;
    box-shadow: inset 0 -4px 0 var(--rod-ink);
  }
  ${narrow} {
    padding: 0 ${space.m};
  }
`

/** The pages of a job on which it is bought and planned. */
const PAGES = [
  { path: 'supplies', name: supplyText.title },
  { path: 'boards', name: boardsText.title },
  { path: 'boards/list', name: shoppingText.title },
  { path: 'work', name: orderText.title },
  { path: 'work/today', name: orderText.today },
  { path: 'log', name: logText.jobTitle },
  { path: 'paper', name: paperPageText.title },
] as const
export type JobPagePath = (typeof PAGES)[number]['path']

/** The frame of a page of a job whose settings are changed: where one is, saving, the job's other pages. */
export function JobFrame({
  job,
  here,
  saver,
  children,
}: {
  readonly job: { readonly id: string; readonly name: string }
  readonly here: JobPagePath
  /** Null where nothing of the page is saved. */
  readonly saver: Saver | null
  readonly children: React.ReactNode
}) {
  return (
    <>
      <PageHeader>
        <Link to="/" aria-label="Regla, all jobs" style={{ color: 'var(--ink)' }}>
          <Logo />
        </Link>
        <Trail aria-label="Where this page is">
          <Link to={`/jobs/${job.id}`}>{job.name}</Link> /{' '}
          <strong>{PAGES.find(({ path }) => path === here)?.name}</strong>
        </Trail>
        <Row>
          <AnywhereButtons />
          {saver ? <SavingTools saver={saver} here={null} /> : null}
        </Row>
        {saver ? <SavingTrouble saver={saver} here={null} /> : null}
      </PageHeader>
      <Tabs aria-label="Pages of this job">
        {PAGES.map(({ path, name }) => (
          <Link
            key={path}
            to={`/jobs/${job.id}/${path}`}
            {...(path === here ? { 'aria-current': 'page' as const } : {})}
          >
            {name}
          </Link>
        ))}
      </Tabs>
      {children}
    </>
  )
}

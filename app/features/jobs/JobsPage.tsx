import { Archive, ArchiveRestore, Copy, Plus, Upload } from 'lucide-react'
import { FileTrigger } from 'react-aria-components'
import { Form, Link, useFetcher, useSubmit } from 'react-router'
import { styled } from 'styled-components'
import { count } from '~/messages'
import { Button, LinkButton } from '~/ui/Button'
import { useMay } from '~/ui/rights'
import { Alert, PageMain, Row, Soft, Spread } from '~/ui/page'
import { Pages } from '~/ui/Pages'
import { TextBox } from '~/ui/TextBox'
import { narrow, space, type } from '~/ui/theme'
import { TopBar } from '~/ui/TopBar'
import { Everything } from './Everything'
import { JobPictures } from './JobPictures'

export interface JobRow {
  readonly id: string
  readonly name: string
  readonly client: string
  readonly wallCount: number
  readonly updated: string
  /** The version the drawing of its first walls is of; null where it has none. */
  readonly picture: string | null
}

const List = styled.ul`
  border-top: 1px solid var(--line);
`
const Item = styled.li`
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 300px) auto auto;
  align-items: center;
  gap: ${space.m};
  padding: ${space.m} ${space.s};
  border-bottom: 1px solid var(--line);
  & a {
    color: var(--ink);
    font-size: ${type.lead};
    font-weight: 650;
    text-underline-offset: 4px;
  }
  ${narrow} {
    grid-template-columns: minmax(0, 1fr) auto;
    & > p {
      grid-column: 1;
    }
  }
`

/** One line a job: open it, copy it, put it away. */
function JobLine({ job, archived }: { job: JobRow; archived: boolean }) {
  const may = useMay()
  const submit = useSubmit()
  const send = (intent: string) => void submit({ intent, jobId: job.id }, { method: 'post' })
  return (
    <Item>
      <div>
        <Link to={`/jobs/${job.id}`}>{job.name}</Link>
        <Soft>{job.client === '' ? 'no client named' : `for ${job.client}`}</Soft>
      </div>
      <JobPictures jobId={job.id} version={job.picture} />
      <Soft>
        {count(job.wallCount, 'wall')} · {job.updated}
      </Soft>
      {may('jobs') ? (
        <Row>
          <Button $kind="quiet" aria-label={`Duplicate ${job.name}`} onPress={() => send('duplicate')}>
            <Copy size={18} aria-hidden />
          </Button>
          <Button
            $kind="quiet"
            aria-label={archived ? `Bring ${job.name} back` : `Put ${job.name} away`}
            onPress={() => send(archived ? 'restore' : 'archive')}
          >
            {archived ? <ArchiveRestore size={18} aria-hidden /> : <Archive size={18} aria-hidden />}
          </Button>
        </Row>
      ) : null}
    </Item>
  )
}

export interface JobsPageProps {
  readonly jobs: readonly JobRow[]
  readonly page: number
  readonly pages: number
  readonly archived: boolean
  readonly search: string
  /** There is no job at all, put away or not. */
  readonly empty: boolean
  readonly problems: readonly string[]
  readonly putAway: { readonly id: string; readonly name: string } | null
}

/** All jobs, the way to a new one, and the way in for a job file. */
export function JobsPage({ jobs, page, pages, archived, search, empty, problems, putAway }: JobsPageProps) {
  const submit = useSubmit()
  const undo = useFetcher()
  const may = useMay()
  const importFile = async (files: FileList | null) => {
    const file = files?.[0]
    if (file) void submit({ intent: 'import', file: await file.text() }, { method: 'post' })
  }
  return (
    <>
      <TopBar />
      <PageMain>
        <Spread>
          <h1>{archived ? 'Jobs put away' : 'Jobs'}</h1>
          {may('jobs') ? (
            <Row>
              <FileTrigger
                acceptedFileTypes={['.json', 'application/json']}
                onSelect={(files) => void importFile(files)}
              >
                <Button>
                  <Upload size={18} aria-hidden /> Open a job file
                </Button>
              </FileTrigger>
              <LinkButton href="/jobs/new" $kind="main">
                <Plus size={18} aria-hidden /> New job
              </LinkButton>
            </Row>
          ) : null}
        </Spread>
        {problems.length > 0 ? (
          <Alert role="alert">
            <strong>
              The file was not taken in: {count(problems.length, 'thing')} to mend first. Nothing here has
              changed.
            </strong>
            <ul>
              {problems.slice(0, 30).map((problem) => (
                <li key={problem}>{problem}</li>
              ))}
            </ul>
          </Alert>
        ) : null}
        {putAway ? (
          <Row role="status">
            <span>“{putAway.name}” is put away.</span>
            <Button
              onPress={() => void undo.submit({ intent: 'restore', jobId: putAway.id }, { method: 'post' })}
            >
              Bring it back
            </Button>
          </Row>
        ) : null}
        <Form role="search">
          <Row>
            <TextBox label="Find by job or client" name="search" defaultValue={search} />
            {archived ? <input type="hidden" name="away" value="1" /> : null}
            <Button type="submit" style={{ alignSelf: 'end' }}>
              Find
            </Button>
          </Row>
        </Form>
        {jobs.length === 0 ? (
          <Soft>
            {search !== ''
              ? `No job or client is called “${search}”.`
              : archived
                ? 'Nothing is put away.'
                : 'No jobs yet. Start one, name a wall, measure it, and the rest follows.'}
          </Soft>
        ) : (
          <List>
            {jobs.map((job) => (
              <JobLine key={job.id} job={job} archived={archived} />
            ))}
          </List>
        )}
        <Pages page={page} pages={pages} what="jobs" />
        <Link to={archived ? '/' : '/?away=1'}>{archived ? 'Jobs at hand' : 'Jobs put away'}</Link>
        {may('owner') ? <Everything empty={empty} /> : null}
      </PageMain>
    </>
  )
}

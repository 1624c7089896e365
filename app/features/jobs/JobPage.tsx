import { Archive, ArchiveRestore, Copy, Download } from 'lucide-react'
import { getFormProps, type SubmissionResult, useForm } from '@conform-to/react'
import { parseWithZod } from '@conform-to/zod/v4'
import { Suspense } from 'react'
import { Await, Form, Link, useFetcher } from 'react-router'
import { jobText } from '~/messages'
import { styled } from 'styled-components'
import { Button, LinkButton } from '~/ui/Button'
import { Fractions } from '~/ui/Fractions'
import { Pages } from '~/ui/Pages'
import { Alert, PageMain, Row, Sheet, Soft, Spread } from '~/ui/page'
import { TextBox } from '~/ui/TextBox'
import { space, type } from '~/ui/theme'
import { newWallForm, renameJobForm } from './jobForms'
import { TopBar } from '~/ui/TopBar'

/** What a wall's layout is in a few words, or why it can't be said. */
type LayoutWords = { readonly kind: 'said'; readonly words: string } | { readonly kind: 'tooLong' | 'broken' }

export interface JobPageData {
  readonly id: string
  readonly name: string
  readonly client: string
  readonly archived: boolean
  readonly rooms: readonly {
    readonly id: string
    readonly name: string
    readonly walls: readonly {
      readonly id: string
      readonly name: string
      readonly archived: boolean
      readonly size: string | null
      readonly words: LayoutWords | null
    }[]
  }[]
  readonly page: number
  readonly pages: number
  readonly roomNames: readonly string[]
  /** The words still being worked out, by wall. */
  readonly words: Promise<Readonly<Record<string, LayoutWords>>> | null
}

const Room = styled.section`
  display: grid;
  gap: ${space.s};
`
const Item = styled.li`
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  align-items: center;
  gap: ${space.m};
  padding: ${space.s};
  border-bottom: 1px solid var(--line);
  & a {
    color: var(--ink);
    font-size: ${type.lead};
    font-weight: 650;
    text-underline-offset: 4px;
  }
`

type Wall = JobPageData['rooms'][number]['walls'][number]

function Words({ size, words }: { size: string | null; words: LayoutWords | null }) {
  const text = words === null ? '' : words.kind === 'said' ? words.words : jobText[words.kind]
  return text === '' ? null : <Fractions text={`${size === null ? '' : ', '}${text}`} />
}

function WallLine({ jobId, wall, words }: { jobId: string; wall: Wall; words: JobPageData['words'] }) {
  const fetcher = useFetcher<{ full?: string }>()
  const send = (intent: string) => void fetcher.submit({ intent, wallId: wall.id }, { method: 'post' })
  return (
    <Item>
      <div>
        {wall.archived ? (
          <Soft>{wall.name}, put away</Soft>
        ) : (
          <Link to={`/jobs/${jobId}/walls/${wall.id}/layout`}>{wall.name}</Link>
        )}
        {fetcher.data?.full ? <Alert role="alert">{fetcher.data.full}</Alert> : null}
        <Soft>
          {wall.size ? <Fractions text={wall.size} /> : null}
          {wall.words ? (
            <Words size={wall.size} words={wall.words} />
          ) : (
            <Suspense fallback={null}>
              <Await resolve={words}>
                {(said) => <Words size={wall.size} words={said?.[wall.id] ?? null} />}
              </Await>
            </Suspense>
          )}
        </Soft>
      </div>
      <Row>
        <Button $kind="quiet" aria-label={`Duplicate ${wall.name}`} onPress={() => send('duplicateWall')}>
          <Copy size={18} aria-hidden />
        </Button>
        <Button
          $kind="quiet"
          aria-label={wall.archived ? `Bring ${wall.name} back` : `Put ${wall.name} away`}
          onPress={() => send(wall.archived ? 'restoreWall' : 'archiveWall')}
        >
          {wall.archived ? <ArchiveRestore size={18} aria-hidden /> : <Archive size={18} aria-hidden />}
        </Button>
      </Row>
    </Item>
  )
}

function NewWall({
  rooms,
  lastResult,
}: {
  rooms: readonly string[]
  lastResult: SubmissionResult<string[]> | undefined
}) {
  const [form, fields] = useForm({
    id: 'new-wall',
    lastResult: lastResult ?? null,
    onValidate: ({ formData }) => parseWithZod(formData, { schema: newWallForm }),
    shouldValidate: 'onSubmit',
    shouldRevalidate: 'onInput',
  })
  return (
    <Form method="post" {...getFormProps(form)}>
      <Sheet>
        <h2>{rooms.length === 0 ? 'Name the first wall' : 'Another wall'}</h2>
        <input type="hidden" name="intent" value="newWall" />
        <TextBox
          label="Room"
          name={fields.room.name}
          defaultValue={fields.room.initialValue ?? rooms[rooms.length - 1] ?? ''}
          problem={fields.room.errors?.[0]}
        />
        <TextBox
          label="Wall"
          name={fields.name.name}
          defaultValue={fields.name.initialValue ?? ''}
          problem={fields.name.errors?.[0]}
        />
        <Row>
          <Button type="submit" $kind="main">
            Measure this wall
          </Button>
        </Row>
      </Sheet>
    </Form>
  )
}

function Rename({
  job,
  lastResult,
}: {
  job: JobPageData
  lastResult: SubmissionResult<string[]> | undefined
}) {
  const [form, fields] = useForm({
    id: 'rename',
    lastResult: lastResult ?? null,
    defaultValue: { name: job.name, client: job.client },
    onValidate: ({ formData }) => parseWithZod(formData, { schema: renameJobForm }),
    shouldRevalidate: 'onInput',
  })
  return (
    <Form method="post" {...getFormProps(form)}>
      <Sheet>
        <h2>Job and client</h2>
        <input type="hidden" name="intent" value="rename" />
        <TextBox
          label="Job"
          name={fields.name.name}
          defaultValue={fields.name.initialValue ?? ''}
          problem={fields.name.errors?.[0]}
        />
        <TextBox
          label="Client"
          name={fields.client.name}
          defaultValue={fields.client.initialValue ?? ''}
          problem={fields.client.errors?.[0]}
        />
        <Row>
          <Button type="submit">Keep these names</Button>
        </Row>
      </Sheet>
    </Form>
  )
}

export interface JobPageProps {
  readonly job: JobPageData
  readonly newWall: SubmissionResult<string[]> | undefined
  readonly rename: SubmissionResult<string[]> | undefined
  /** Said where one more wall or room does not go in. */
  readonly full: string | null
}

/** A job: its rooms and walls, and what can be done with it as a whole. */
export function JobPage({ job, newWall, rename, full }: JobPageProps) {
  return (
    <>
      <TopBar />
      <PageMain>
        <Spread>
          <div>
            <h1>{job.name}</h1>
            <Soft>{job.client === '' ? 'no client named' : `for ${job.client}`}</Soft>
          </div>
          <LinkButton href={`/jobs/${job.id}/export`} download={`${job.name}.regla.json`}>
            <Download size={18} aria-hidden /> Save as job file
          </LinkButton>
        </Spread>
        {job.rooms.map((room) => (
          <Room key={room.id} aria-label={room.name}>
            <Spread>
              <h2>{room.name}</h2>
              <Link to={`/jobs/${job.id}/rooms/${room.id}`}>All walls of {room.name} together</Link>
            </Spread>
            <ul>
              {room.walls.map((wall) => (
                <WallLine key={wall.id} jobId={job.id} wall={wall} words={job.words} />
              ))}
            </ul>
          </Room>
        ))}
        <Pages page={job.page} pages={job.pages} what="walls" />
        {full ? <Alert role="alert">{full}</Alert> : null}
        <NewWall rooms={job.roomNames} lastResult={newWall} />
        <Rename job={job} lastResult={rename} />
      </PageMain>
    </>
  )
}

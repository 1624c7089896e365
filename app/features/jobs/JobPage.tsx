import { Download } from 'lucide-react'
import { getFormProps, type SubmissionResult, useForm } from '@conform-to/react'
import { parseWithZod } from '@conform-to/zod/v4'
import { Form, Link, useFetcher } from 'react-router'
import { styled } from 'styled-components'
import { boardsText, clientText, orderText, paperPageText, supplyText } from '~/messages'
import { LIMITS } from '~/model'
import { Button, LinkButton } from '~/ui/Button'
import { Pages } from '~/ui/Pages'
import { Alert, PageMain, Row, Sheet, Soft, Spread } from '~/ui/page'
import { Rename } from '~/ui/Rename'
import { TextBox } from '~/ui/TextBox'
import { space } from '~/ui/theme'
import { TopBar } from '~/ui/TopBar'
import { renameJobForm } from './jobForms'
import { NewWalls, type NewWallsProps } from './NewWalls'
import { WallCard, type WallOnJob, Walls, type WallWords } from './WallCard'

export interface JobPageData extends Pick<NewWallsProps, 'units' | 'tape' | 'like'> {
  readonly id: string
  readonly name: string
  readonly client: string
  readonly archived: boolean
  readonly rooms: readonly {
    readonly id: string
    readonly name: string
    readonly walls: readonly WallOnJob[]
  }[]
  readonly page: number
  readonly pages: number
  readonly roomNames: readonly string[]
  /** What is still being worked out of walls, by wall. */
  readonly words: Promise<Readonly<Record<string, WallWords>>> | null
}

const RoomFrame = styled.section`
  display: grid;
  gap: ${space.m};
`

function Room({ job, room }: { job: JobPageData; room: JobPageData['rooms'][number] }) {
  const fetcher = useFetcher<{ name?: string }>()
  return (
    <RoomFrame aria-label={room.name}>
      <Spread>
        <Row>
          <h2>{room.name}</h2>
          <Rename
            what={room.name}
            name={room.name}
            most={LIMITS.name}
            onRename={(name) =>
              void fetcher.submit({ intent: 'renameRoom', roomId: room.id, name }, { method: 'post' })
            }
          />
        </Row>
        <Link to={`/jobs/${job.id}/rooms/${room.id}`}>All walls of {room.name} together</Link>
      </Spread>
      {fetcher.data?.name ? <Alert role="alert">{fetcher.data.name}</Alert> : null}
      <Walls>
        {room.walls.map((wall) => (
          <WallCard key={wall.id} jobId={job.id} wall={wall} words={job.words} />
        ))}
      </Walls>
    </RoomFrame>
  )
}

function Names({
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
  readonly newWalls: SubmissionResult<string[]> | undefined
  readonly rename: SubmissionResult<string[]> | undefined
  /** Said where one more wall or room does not go in. */
  readonly full: string | null
}

/** A job: its rooms and walls, and what can be done with it as a whole. */
export function JobPage({ job, newWalls, rename, full }: JobPageProps) {
  return (
    <>
      <TopBar />
      <PageMain>
        <Spread>
          <div>
            <h1>{job.name}</h1>
            <Soft>{job.client === '' ? 'no client named' : `for ${job.client}`}</Soft>
          </div>
          <Row>
            <LinkButton href={`/jobs/${job.id}/client`}>{clientText.title}</LinkButton>
            <LinkButton href={`/jobs/${job.id}/boards`}>{boardsText.title}</LinkButton>
            <LinkButton href={`/jobs/${job.id}/supplies`}>{supplyText.title}</LinkButton>
            <LinkButton href={`/jobs/${job.id}/work`}>{orderText.title}</LinkButton>
            <LinkButton href={`/jobs/${job.id}/paper`}>{paperPageText.title}</LinkButton>
            <LinkButton href={`/jobs/${job.id}/export`} download={`${job.name}.regla.json`}>
              <Download size={18} aria-hidden /> Save as job file
            </LinkButton>
          </Row>
        </Spread>
        {job.rooms.map((room) => (
          <Room key={room.id} job={job} room={room} />
        ))}
        <Pages page={job.page} pages={job.pages} what="walls" />
        {full ? <Alert role="alert">{full}</Alert> : null}
        <NewWalls
          // a job whose walls have changed proposes anew
          key={`${job.like?.id} ${job.roomNames.length}`}
          rooms={job.roomNames}
          units={job.units}
          tape={job.tape}
          like={job.like}
          lastResult={newWalls}
        />
        <Names job={job} lastResult={rename} />
      </PageMain>
    </>
  )
}

import { Download } from 'lucide-react'
import { getFormProps, type SubmissionResult, useForm } from '@conform-to/react'
import { parseWithZod } from '@conform-to/zod/v4'
import { Form, Link } from 'react-router'
import { useEffect, useState } from 'react'
import { styled } from 'styled-components'
import { RenameHere } from '~/ui/RenameHere'
import { boardsText, clientText, orderText, paperPageText, renameText, supplyText } from '~/messages'
import type { JobNames } from '~/model'
import { Button, LinkButton } from '~/ui/Button'
import { useMay } from '~/ui/rights'
import { Pages } from '~/ui/Pages'
import { Alert, PageMain, Row, Sheet, Soft, Spread } from '~/ui/page'
import { TextBox } from '~/ui/TextBox'
import { space } from '~/ui/theme'
import { TopBar } from '~/ui/TopBar'
import { renameJobForm } from './jobForms'
import { TakeAlong } from './TakeAlong'
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

/** So long after the page has come it is asked again for what walls become, where that was not known in time. */
const ASK_AGAIN_MS = 2_000

function useMissingWords({ rooms, words }: JobPageData, ask: () => void): void {
  useEffect(() => {
    if (!words) return
    let timer: ReturnType<typeof setTimeout> | null = null
    let isOver = false
    const lacking = (found: Readonly<Record<string, WallWords>>) =>
      rooms.some(({ walls }) => walls.some(({ id, words: own }) => own === null && !found[id]))
    words.then(
      (found) => {
        if (!isOver && lacking(found)) timer = setTimeout(ask, ASK_AGAIN_MS)
      },
      () => undefined,
    )
    return () => {
      isOver = true
      if (timer) clearTimeout(timer)
    }
  }, [rooms, words, ask])
}

function Room({ job, room }: { job: JobPageData; room: JobPageData['rooms'][number] }) {
  return (
    <RoomFrame aria-label={room.name}>
      <Spread>
        <Row>
          <h2>{room.name}</h2>
          {useMay()('jobs') ? (
            <RenameHere
              what={room.name}
              name={room.name}
              action={`/jobs/${job.id}`}
              fields={{ intent: 'renameRoom', roomId: room.id }}
            />
          ) : null}
        </Row>
        <Link to={`/jobs/${job.id}/rooms/${room.id}`}>All walls of {room.name} together</Link>
      </Spread>
      <Walls>
        {room.walls.map((wall) => (
          <WallCard key={wall.id} jobId={job.id} wall={wall} words={job.words} />
        ))}
      </Walls>
    </RoomFrame>
  )
}

const FIELDS = ['name', 'client'] as const
/** What is typed of each, and how it was as that began. */
type Typed = Partial<Record<keyof JobNames, { readonly text: string; readonly was: string }>>

/** What the job is called, and whom it is for. What others name meanwhile stands here too, but for what is being typed. */
function Names({
  job,
  lastResult,
  clash,
}: {
  job: JobPageData
  lastResult: SubmissionResult<string[]> | undefined
  clash: readonly (keyof JobNames)[] | null
}) {
  const [typed, setTyped] = useState<Typed>({})
  const [told, setTold] = useState<typeof clash>(null)
  // what was kept, or named so by others too, is typed no more; told once of others, the next press goes by how it is now
  const left = FIELDS.filter((field) => typed[field] !== undefined && typed[field].text !== job[field])
  const isTold = clash !== null && clash !== told
  if (clash !== told) setTold(clash)
  if (isTold || left.length < Object.keys(typed).length)
    setTyped(
      Object.fromEntries(
        left.map((field) => [
          field,
          { text: typed[field]?.text, was: isTold ? job[field] : typed[field]?.was },
        ]),
      ) as Typed,
    )
  const shown = (field: keyof JobNames) => typed[field]?.text ?? job[field]
  const was = (field: keyof JobNames) => typed[field]?.was ?? job[field]
  const type = (field: keyof JobNames) => (text: string) =>
    setTyped({ ...typed, [field]: { text, was: was(field) } })
  const [form, fields] = useForm({
    id: 'rename',
    lastResult: lastResult ?? null,
    onValidate: ({ formData }) => parseWithZod(formData, { schema: renameJobForm }),
    shouldRevalidate: 'onInput',
  })
  return (
    <Form method="post" {...getFormProps(form)}>
      <Sheet>
        <h2>Job and client</h2>
        <input type="hidden" name="intent" value="rename" />
        <input type="hidden" name="wasName" value={was('name')} />
        <input type="hidden" name="wasClient" value={was('client')} />
        {clash && left.length > 0 ? <Alert role="alert">{renameText.job(clash)}</Alert> : null}
        <TextBox
          label="Job"
          name={fields.name.name}
          value={shown('name')}
          onChange={type('name')}
          problem={fields.name.errors?.[0]}
        />
        <TextBox
          label="Client"
          name={fields.client.name}
          value={shown('client')}
          onChange={type('client')}
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
  /** What of its names another window changed too. */
  readonly namesClash: readonly (keyof JobNames)[] | null
  /** Asks for the words that were not known in time. */
  readonly onWordsMissing: () => void
  /** Said where one more wall or room does not go in. */
  readonly full: string | null
}

/** A job: its rooms and walls, and what can be done with it as a whole. */
export function JobPage({ job, newWalls, rename, namesClash, full, onWordsMissing }: JobPageProps) {
  useMissingWords(job, onWordsMissing)
  const may = useMay()
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
            {may('links') ? (
              <LinkButton href={`/jobs/${job.id}/client`}>{clientText.title}</LinkButton>
            ) : null}
            {may('prices') ? (
              <>
                <LinkButton href={`/jobs/${job.id}/boards`}>{boardsText.title}</LinkButton>
                <LinkButton href={`/jobs/${job.id}/supplies`}>{supplyText.title}</LinkButton>
              </>
            ) : null}
            <LinkButton href={`/jobs/${job.id}/work`}>{orderText.title}</LinkButton>
            <LinkButton href={`/jobs/${job.id}/paper`}>{paperPageText.title}</LinkButton>
            {may('links') ? (
              <LinkButton href={`/jobs/${job.id}/export`} download={`${job.name}.regla.json`}>
                <Download size={18} aria-hidden /> Save as job file
              </LinkButton>
            ) : null}
            <TakeAlong jobId={job.id} />
          </Row>
        </Spread>
        {job.rooms.map((room) => (
          <Room key={room.id} job={job} room={room} />
        ))}
        <Pages page={job.page} pages={job.pages} what="walls" />
        {full ? <Alert role="alert">{full}</Alert> : null}
        {may('jobs') ? (
          <>
            <NewWalls
              // a job whose walls have changed proposes anew
              key={`${job.like?.id} ${job.roomNames.length}`}
              rooms={job.roomNames}
              units={job.units}
              tape={job.tape}
              like={job.like}
              lastResult={newWalls}
            />
            <Names job={job} lastResult={rename} clash={namesClash} />
          </>
        ) : null}
      </PageMain>
    </>
  )
}

import { Form } from 'react-router'
import { mendingText } from '~/messages'
import { Button, LinkButton } from '~/ui/Button'
import { Alert, PageMain, Row, Soft } from '~/ui/page'
import { TopBar } from '~/ui/TopBar'

export interface BrokenWallProps {
  readonly job: { readonly id: string; readonly name: string }
  readonly id: string
  readonly name: string
  readonly problems: readonly string[]
  /** Said where going back came to nothing. */
  readonly said: string | null
}

const SHOWN_AT_MOST = 12

/** A wall whose documents can't be read, or of which no plan comes: what is wrong, and the ways on. */
export function BrokenWall({ job, id, name, problems, said }: BrokenWallProps) {
  return (
    <>
      <TopBar />
      <PageMain>
        <title>{`${name} · Regla`}</title>
        <h1>{mendingText.title}</h1>
        <Soft>
          {name}, {job.name}
        </Soft>
        <Alert role="alert">
          {said ? <strong>{said}</strong> : null}
          <ul>
            {problems.slice(0, SHOWN_AT_MOST).map((problem) => (
              <li key={problem}>{problem}</li>
            ))}
          </ul>
        </Alert>
        <p>{mendingText.nothingLost}</p>
        <Row>
          <Form method="post" action={`/jobs/${job.id}/walls/${id}`}>
            <input type="hidden" name="intent" value="goBack" />
            <Button type="submit" $kind="main">
              {mendingText.goBack}
            </Button>
          </Form>
          <LinkButton href={`/jobs/${job.id}/walls/${id}/kept.json`} download={`${name} as kept.json`}>
            {mendingText.save}
          </LinkButton>
          <LinkButton href={`/jobs/${job.id}`}>All walls of {job.name}</LinkButton>
        </Row>
      </PageMain>
    </>
  )
}

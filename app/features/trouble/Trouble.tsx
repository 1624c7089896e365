import { LinkButton } from '~/ui/Button'
import { PageMain, Row, Soft } from '~/ui/page'

/** What stands in the place of a stage that can't be shown: the wall in hand, above it, goes on. */
export function StageTrouble() {
  return (
    <PageMain as="section" role="alert">
      <h1>This stage can’t be shown now</h1>
      <Soft>
        The wall and what you changed on it are as they were. Go to another stage, or load the page again.
      </Soft>
    </PageMain>
  )
}

/** A page for what can't be shown: says what was asked for and where to go. */
export function Trouble({ status, text }: { status: number | null; text: string }) {
  const away = status === null
  const missing = status === 404
  // the database is shut or the disk full: what to do about it is said whole
  const shut = status === 503 || status === 507
  return (
    <PageMain>
      <title>
        {missing
          ? 'Not here · Regla'
          : shut
            ? 'Shut · Regla'
            : away
              ? 'Out of reach · Regla'
              : 'Something broke · Regla'}
      </title>
      <h1>
        {missing
          ? 'There is nothing at this address'
          : shut
            ? 'The database can’t be used now'
            : away
              ? 'The server can’t be reached'
              : 'Something broke on our side'}
      </h1>
      <Soft>
        {text !== '' && (shut || text.length < 200)
          ? text
          : missing
            ? 'The job or wall may have come from another machine, or the link lost a letter on its way.'
            : away
              ? 'What you changed is kept in this browser and is sent when you come back to it. Go back and try once more.'
              : 'Nothing you saved is lost. Go back and try once more.'}
      </Soft>
      <Row>
        <LinkButton href="/" $kind="main">
          All jobs
        </LinkButton>
      </Row>
    </PageMain>
  )
}

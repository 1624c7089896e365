import { LinkButton } from '~/ui/Button'
import { PageMain, Row, Soft } from '~/ui/page'

/** A page for what can't be shown: says what was asked for and where to go. */
export function Trouble({ status, text }: { status: number; text: string }) {
  const missing = status === 404
  return (
    <PageMain>
      <title>{missing ? 'Not here · Regla' : 'Something broke · Regla'}</title>
      <h1>{missing ? 'There is nothing at this address' : 'Something broke on our side'}</h1>
      <Soft>
        {text !== '' && text.length < 200
          ? text
          : missing
            ? 'The job or wall may have come from another machine, or the link lost a letter on its way.'
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

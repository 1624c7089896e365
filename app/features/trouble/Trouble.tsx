import { styled } from 'styled-components'
import { roleText, troubleText } from '~/messages'
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

interface Said {
  readonly tab: string
  readonly title: string
  readonly text: string
}

/** What a page for what can't be shown says, by why it can't. */
function saidOf(status: number | null): Said {
  switch (status) {
    case null:
      return troubleText.away
    case 403:
      return { ...roleText.closed, text: roleText.refused }
    case 404:
      return troubleText.missing
    case 409:
      return troubleText.broken
    case 503:
    case 507:
      return troubleText.shut
    default:
      return troubleText.fault
  }
}

const Lines = styled(Soft)`
  white-space: pre-line;
`

/** A page for what can't be shown: says what was asked for and where to go. */
export function Trouble({ status, text }: { status: number | null; text: string }) {
  const said = saidOf(status)
  return (
    <PageMain>
      <title>{`${said.tab} · Regla`}</title>
      <h1>{said.title}</h1>
      <Lines>{text === '' ? said.text : text}</Lines>
      <Row>
        <LinkButton href="/" $kind="main">
          All jobs
        </LinkButton>
      </Row>
    </PageMain>
  )
}

import { Form } from 'react-router'
import { styled } from 'styled-components'
import { crewText } from '~/messages'
import { Button } from '~/ui/Button'
import { Alert, PageMain, Row, Sheet, Soft, Spread } from '~/ui/page'
import { TextBox } from '~/ui/TextBox'
import { space } from '~/ui/theme'
import { TopBar } from '~/ui/TopBar'

export interface CrewPageProps {
  readonly local: boolean
  readonly url: string
  readonly me: string | null
  readonly members: readonly { readonly id: string; readonly name: string; readonly shutOut: boolean }[]
  readonly inside: readonly {
    readonly id: string
    readonly name: string
    readonly by: 'passphrase' | 'code'
    readonly browser: string
    readonly since: string
    readonly until: string
  }[]
  readonly said: string | null
  readonly shown: {
    readonly code: string
    readonly name: string
    readonly minutes: number
    readonly picture: string
  } | null
}

const Lines = styled.ul`
  display: grid;
  gap: ${space.s};
`
const Code = styled.p`
  font-size: 2rem;
  font-weight: 700;
  letter-spacing: 0.12em;
`
const Picture = styled.div`
  width: 220px;
  padding: ${space.s};
  background: #fff;
  & svg {
    display: block;
    width: 100%;
    height: auto;
  }
`

function Press({
  intent,
  id,
  children,
  label,
}: {
  intent: string
  id?: string
  children: string
  label?: string
}) {
  return (
    <Form method="post">
      <input type="hidden" name="intent" value={intent} />
      {id === undefined ? null : <input type="hidden" name="id" value={id} />}
      <Button type="submit" {...(label === undefined ? {} : { 'aria-label': label })}>
        {children}
      </Button>
    </Form>
  )
}

/** Who may come in over the network, who is in, and how a phone is let in. */
export function CrewPage({ local, url, me, members, inside, said, shown }: CrewPageProps) {
  return (
    <>
      <TopBar />
      <PageMain>
        <Spread>
          <h1>Crew</h1>
          {me === null ? null : <Press intent="signOut">{`Sign ${me} out here`}</Press>}
        </Spread>
        <Soft>{local ? crewText.local : crewText.onNetwork(url)}</Soft>
        {said ? <Alert role="alert">{said}</Alert> : null}
        {shown ? (
          <Sheet aria-label="Code for a phone">
            <h2>Code for a phone</h2>
            <Code data-testid="code">
              {shown.code.slice(0, 4)} {shown.code.slice(4)}
            </Code>
            <Picture role="img" aria-label="The code as a picture for the phone’s camera">
              <div dangerouslySetInnerHTML={{ __html: shown.picture }} />
            </Picture>
            <Soft>{crewText.codeGood(shown.name, shown.minutes)}</Soft>
          </Sheet>
        ) : null}
        <Lines aria-label="Members">
          {members.map(({ id, name, shutOut }) => (
            <li key={id}>
              <Spread>
                <span>
                  {name}
                  {shutOut ? ', shut out' : ''}
                </span>
                <Row>
                  {local || shutOut ? null : (
                    <Press intent="code" id={id} label={`Code for a phone of ${name}`}>
                      Code for a phone
                    </Press>
                  )}
                  <Press
                    intent={shutOut ? 'letIn' : 'shutOut'}
                    id={id}
                    label={shutOut ? `Let ${name} in again` : `Shut ${name} out`}
                  >
                    {shutOut ? 'Let in again' : 'Shut out'}
                  </Press>
                </Row>
              </Spread>
            </li>
          ))}
        </Lines>
        <Form method="post" key={members.length}>
          <Sheet>
            <h2>{members.length === 0 ? 'Who may come in?' : 'Another member'}</h2>
            <input type="hidden" name="intent" value="add" />
            <TextBox label="Name" name="name" />
            <TextBox label="Passphrase" name="passphrase" type="password" autoComplete="new-password" />
            <Row>
              <Button type="submit" $kind="main">
                Add to the crew
              </Button>
            </Row>
          </Sheet>
        </Form>
        {inside.length === 0 ? null : (
          <section aria-label="Who is in">
            <h2>Who is in</h2>
            <Lines>
              {inside.map(({ id, name, by, browser, since, until }) => (
                <li key={id}>
                  <Spread>
                    <div>
                      {name}, {crewText.by[by]}
                      <Soft>
                        since {since}, until {until} · {browser}
                      </Soft>
                    </div>
                    <Press intent="putOut" id={id} label={`Put this browser of ${name} out`}>
                      Put out
                    </Press>
                  </Spread>
                </li>
              ))}
            </Lines>
          </section>
        )}
      </PageMain>
    </>
  )
}

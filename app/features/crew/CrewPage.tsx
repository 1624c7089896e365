import { Form, useSubmit } from 'react-router'
import { styled } from 'styled-components'
import { crewText, roleText } from '~/messages'
import { ROLES, type Standing } from '~/model'
import { Button } from '~/ui/Button'
import { Alert, PageMain, Row, Sheet, Soft, Spread } from '~/ui/page'
import { TextBox } from '~/ui/TextBox'
import { space } from '~/ui/theme'
import { TopBar } from '~/ui/TopBar'

export interface CrewPageProps {
  readonly local: boolean
  readonly url: string
  readonly me: { readonly id: string; readonly name: string } | null
  /** Whether whoever looks is an owner: others see who there is, and deal with their own phones. */
  readonly owns: boolean
  readonly members: readonly CrewMember[]
  /** Devices that may post readings, with when each last did. */
  readonly devices: readonly { readonly id: string; readonly name: string; readonly used: string | null }[]
  readonly inside: readonly {
    readonly id: string
    readonly name: string
    readonly by: 'passphrase' | 'code'
    readonly browser: string
    readonly since: string
    readonly until: string
  }[]
  readonly said: string | null
  readonly shown:
    | {
        readonly kind: 'code'
        readonly code: string
        readonly name: string
        readonly minutes: number
        readonly picture: string
      }
    | { readonly kind: 'token'; readonly token: string; readonly name: string }
    | null
}

type CrewMember = Standing & { readonly id: string; readonly name: string; readonly shutOut: boolean }

const Lines = styled.ul`
  display: grid;
  gap: ${space.s};
`
const Code = styled.p`
  font-size: 2rem;
  font-weight: 700;
  letter-spacing: 0.12em;
`
const Token = styled(Code)`
  font-size: 1.1rem;
  letter-spacing: 0.04em;
  overflow-wrap: anywhere;
`
const Select = styled.select`
  min-height: 48px;
  padding: 0 ${space.m};
  border: 1px solid var(--edge);
  border-radius: 6px;
  background: var(--raised);
  color: var(--ink);
  font: inherit;
`
const Choices = styled.fieldset`
  display: grid;
  gap: ${space.xs};
  margin: 0;
  padding: 0;
  border: 0;
  & legend {
    font-weight: 650;
  }
  & label {
    display: flex;
    gap: ${space.s};
    align-items: center;
    min-height: 48px;
  }
  & input {
    width: 22px;
    height: 22px;
    flex: none;
    accent-color: var(--chalk);
  }
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

function Roles({ member }: { member: CrewMember }) {
  const submit = useSubmit()
  const { id, name, role, seesPrices } = member
  const send = (fields: Record<string, string>) => void submit({ id, ...fields }, { method: 'post' })
  return (
    <>
      <Select
        aria-label={roleText.ofMember(name)}
        value={role}
        onChange={(event) => send({ intent: 'role', role: event.target.value })}
      >
        {ROLES.map((each) => (
          <option key={each} value={each}>
            {roleText.names[each]}
          </option>
        ))}
      </Select>
      {role === 'helper' ? (
        <Button onPress={() => send({ intent: 'prices', sees: seesPrices ? 'no' : 'yes' })}>
          {seesPrices ? roleText.hidePrices : roleText.showPrices}
        </Button>
      ) : null}
    </>
  )
}

function OneMember({ member, page }: { member: CrewMember; page: CrewPageProps }) {
  const { id, name, shutOut, role, seesPrices } = member
  const { owns, local, me } = page
  const hasCode = !local && !shutOut && (owns || me?.id === id)
  return (
    <li data-member={name} data-role={role}>
      <Spread>
        <span>
          {name}
          {shutOut ? ', shut out' : ''}
          <Soft>
            {roleText.names[role]}: {roleText.help[role]}
            {role === 'helper' && seesPrices ? `. ${roleText.seesPrices}` : ''}
          </Soft>
        </span>
        <Row>
          {owns && !shutOut ? <Roles member={member} /> : null}
          {hasCode ? (
            <Press intent="code" id={id} label={`Code for a phone of ${name}`}>
              Code for a phone
            </Press>
          ) : null}
          {owns ? (
            <Press
              intent={shutOut ? 'letIn' : 'shutOut'}
              id={id}
              label={shutOut ? `Let ${name} in again` : `Shut ${name} out`}
            >
              {shutOut ? 'Let in again' : 'Shut out'}
            </Press>
          ) : null}
        </Row>
      </Spread>
    </li>
  )
}

function AddMember({ isFirst }: { isFirst: boolean }) {
  return (
    <Form method="post">
      <Sheet>
        <h2>{isFirst ? 'Who may come in?' : 'Another member'}</h2>
        {isFirst ? <Soft>{crewText.firstIsOwner}</Soft> : null}
        <input type="hidden" name="intent" value="add" />
        <TextBox label="Name" name="name" />
        <TextBox label="Passphrase" name="passphrase" type="password" autoComplete="new-password" />
        {isFirst ? null : (
          <Choices>
            <legend>{crewText.role}</legend>
            {ROLES.map((role) => (
              <label key={role}>
                <input type="radio" name="role" value={role} defaultChecked={role === 'helper'} />
                <span>
                  <b>{roleText.names[role]}</b>: {roleText.help[role]}
                </span>
              </label>
            ))}
          </Choices>
        )}
        <Row>
          <Button type="submit" $kind="main">
            Add to the crew
          </Button>
        </Row>
      </Sheet>
    </Form>
  )
}

/** Lasers and stud finders on the network: each posts its readings with a token of its own. */
function Devices({ devices }: Pick<CrewPageProps, 'devices'>) {
  return (
    <section aria-label={crewText.devices}>
      <h2>{crewText.devices}</h2>
      <Soft>{crewText.devicesHelp}</Soft>
      <Lines>
        {devices.map(({ id, name, used }) => (
          <li key={id} data-device={name}>
            <Spread>
              <div>
                {name}
                <Soft>{crewText.deviceUsed(used)}</Soft>
              </div>
              <Press intent="endDevice" id={id} label={`End the token of ${name}`}>
                End token
              </Press>
            </Spread>
          </li>
        ))}
      </Lines>
      <Form method="post" key={devices.length}>
        <Row>
          <input type="hidden" name="intent" value="device" />
          <TextBox label={crewText.deviceName} name="name" />
          <Button type="submit">Make a token</Button>
        </Row>
      </Form>
    </section>
  )
}

function ShownOnce({ shown }: { shown: NonNullable<CrewPageProps['shown']> }) {
  if (shown.kind === 'token')
    return (
      <Sheet aria-label={crewText.token(shown.name)}>
        <h2>{crewText.token(shown.name)}</h2>
        <Token data-testid="token">{shown.token}</Token>
        <Soft>{crewText.tokenHelp}</Soft>
      </Sheet>
    )
  return (
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
  )
}

/** Who may come in over the network and what each may do, who is in, and how a phone or a device is let in. */
export function CrewPage(page: CrewPageProps) {
  const { local, url, me, owns, members, devices, inside, said, shown } = page
  return (
    <>
      <TopBar />
      <PageMain>
        <Spread>
          <h1>Crew</h1>
          {me === null ? null : <Press intent="signOut">{`Sign ${me.name} out here`}</Press>}
        </Spread>
        <Soft>{local ? crewText.local : crewText.onNetwork(url)}</Soft>
        {said ? <Alert role="alert">{said}</Alert> : null}
        {shown ? <ShownOnce shown={shown} /> : null}
        <Lines aria-label="Members">
          {members.map((member) => (
            <OneMember key={member.id} member={member} page={page} />
          ))}
        </Lines>
        {owns ? <AddMember key={members.length} isFirst={members.length === 0} /> : null}
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
                    <Press intent="putOut" id={id} label={`Sign ${name} out of this browser`}>
                      Sign out
                    </Press>
                  </Spread>
                </li>
              ))}
            </Lines>
          </section>
        )}
        {owns && !local ? <Devices devices={devices} /> : null}
      </PageMain>
    </>
  )
}

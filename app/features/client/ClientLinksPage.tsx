import { Copy } from 'lucide-react'
import { useState } from 'react'
import { Form, Link, useFetcher } from 'react-router'
import { styled } from 'styled-components'
import type { ClientPick, Remark, SignedDifference } from '~/core/agree/clientWord'
import { clientText, PART_NAMES } from '~/messages'
import { LIMITS, SHOWN_PARTS } from '~/model'
import { Button, LinkButton } from '~/ui/Button'
import { Alert, PageMain, Row, Sheet, Soft, Spread } from '~/ui/page'
import { TextBox } from '~/ui/TextBox'
import { space } from '~/ui/theme'
import { TopBar } from '~/ui/TopBar'
import { dayText } from './clientView'

const Ticks = styled.fieldset`
  display: grid;
  gap: ${space.xs};
  margin: 0;
  padding: 0;
  border: 0;
  & legend {
    font-weight: 650;
  }
  & label {
    display: inline-flex;
    align-items: center;
    gap: ${space.s};
    min-height: 48px;
    margin-right: ${space.l};
  }
  & input {
    width: 22px;
    height: 22px;
    accent-color: var(--chalk);
  }
`
const Address = styled.input`
  flex: 1 1 260px;
  min-width: 0;
  min-height: 48px;
  padding: 0 ${space.m};
  border: 1px solid var(--edge);
  border-radius: 6px;
  background: var(--raised);
`
const Came = styled.ul`
  display: grid;
  gap: ${space.s};
`

interface DeskLink {
  readonly id: string
  readonly token: string
  readonly createdAt: number
  readonly expiresAt: number
  readonly endedAt: number | null
  readonly picks: readonly {
    readonly wallId: string
    readonly option: ClientPick['option']
    readonly colors: readonly string[]
  }[]
  readonly remarks: readonly Remark[]
  readonly signature: {
    readonly name: string
    readonly signedAt: number
    readonly fingerprint: string
    readonly whole: boolean
    readonly walls: readonly {
      readonly id: string
      readonly name: string
      readonly difference: SignedDifference | null
    }[]
  } | null
}

export interface ClientLinksPageProps {
  readonly desk: {
    readonly job: { readonly id: string; readonly name: string; readonly client: string }
    readonly walls: readonly {
      readonly id: string
      readonly name: string
      readonly room: string
      readonly options: readonly { readonly id: string; readonly name: string; readonly chosen: boolean }[]
    }[]
    readonly paints: readonly { readonly id: string; readonly name: string }[]
    readonly links: readonly DeskLink[]
  }
  readonly origin: string
  readonly now: number
  readonly days: readonly number[]
  readonly said: string | null
  readonly made: string | null
}

function LinkAddress({ href }: { readonly href: string }) {
  const [copied, setCopied] = useState(false)
  return (
    <Row>
      <Address
        readOnly
        value={href}
        aria-label={clientText.address}
        onFocus={(event) => event.target.select()}
      />
      <Button
        onPress={() => {
          void navigator.clipboard?.writeText(href).then(() => setCopied(true))
        }}
      >
        <Copy size={18} aria-hidden /> {copied ? clientText.copied : clientText.copy}
      </Button>
    </Row>
  )
}

function Answer({ link, remark }: { readonly link: string; readonly remark: Remark }) {
  const fetcher = useFetcher()
  const [text, setText] = useState('')
  return (
    <Row>
      <TextBox label={clientText.answer} value={text} maxLength={LIMITS.note} onChange={setText} />
      <Button
        onPress={() =>
          void fetcher.submit({ intent: 'answer', link, remark: remark.id, text }, { method: 'post' })
        }
      >
        {clientText.answerIt}
      </Button>
    </Row>
  )
}

function OneLink({
  link,
  desk,
  origin,
  now,
}: { readonly link: DeskLink } & Pick<ClientLinksPageProps, 'desk' | 'origin' | 'now'>) {
  const fetcher = useFetcher()
  const wallOf = (id: string) => desk.walls.find((wall) => wall.id === id)
  const optionName = (wallId: string, option: string) =>
    wallOf(wallId)?.options.find(({ id }) => id === option)?.name ?? option
  const open = link.endedAt === null && now < link.expiresAt
  const stands =
    link.endedAt !== null
      ? clientText.ended
      : open
        ? clientText.open(dayText(link.expiresAt))
        : clientText.over
  const paints = (ids: readonly string[]) =>
    ids.map((id) => desk.paints.find((paint) => paint.id === id)?.name ?? id)
  const { signature } = link
  return (
    <Sheet aria-label={`${clientText.links} ${dayText(link.createdAt)}`} data-link={open ? 'open' : 'closed'}>
      <Spread>
        <h3>
          {dayText(link.createdAt)}, {stands}
        </h3>
        {open ? (
          <Button onPress={() => void fetcher.submit({ intent: 'end', link: link.id }, { method: 'post' })}>
            {clientText.end}
          </Button>
        ) : null}
      </Spread>
      {open ? <LinkAddress href={`${origin}/c/${link.token}`} /> : null}
      <Came>
        {link.picks.map(({ wallId, option, colors }) => {
          const wall = wallOf(wallId)
          if (!wall) return null
          const chosen = wall.options.find((each) => each.chosen)
          return (
            <li key={wallId}>
              {option === null
                ? clientText.nothingPicked(wall.name)
                : clientText.picked(wall.name, optionName(wallId, option))}
              {colors.length > 0 ? `, ${clientText.pickedColors(paints(colors))}` : ''}{' '}
              {option !== null && chosen?.id !== option ? (
                <Button
                  onPress={() =>
                    void fetcher.submit(
                      { intent: 'choose', option },
                      { method: 'post', action: `/jobs/${desk.job.id}/walls/${wallId}/choose` },
                    )
                  }
                >
                  {clientText.chooseIt(optionName(wallId, option), wall.name)}
                </Button>
              ) : null}
            </li>
          )
        })}
      </Came>
      {link.remarks.length > 0 ? (
        <section>
          <h3>{clientText.remarks}</h3>
          <Came>
            {link.remarks.map((remark) => (
              <li key={remark.id} data-remark={remark.answer === null ? 'open' : 'answered'}>
                <Link to={`/jobs/${desk.job.id}/walls/${remark.wall}/layout`}>
                  {wallOf(remark.wall)?.name}
                </Link>
                : {remark.text}{' '}
                {remark.answer === null ? (
                  <Answer link={link.id} remark={remark} />
                ) : (
                  <em>{clientText.answered(remark.answer)}</em>
                )}
              </li>
            ))}
          </Came>
        </section>
      ) : null}
      {signature ? (
        <section data-signed="">
          <h3>{clientText.signed(signature.name, dayText(signature.signedAt))}</h3>
          <Soft>{clientText.fingerprint(signature.fingerprint)}</Soft>
          {signature.whole ? null : <Alert role="alert">{clientText.broken}</Alert>}
          <Came>
            {signature.walls.map(({ id, name, difference }) => (
              <li key={id} data-differs={difference !== null}>
                {difference ? clientText.differs(name, difference) : `${name}: ${clientText.same}`}
              </li>
            ))}
          </Came>
        </section>
      ) : null}
    </Sheet>
  )
}

/** The links a job's client can be sent, and what came by them. */
export function ClientLinksPage({ desk, origin, now, days, said, made }: ClientLinksPageProps) {
  return (
    <>
      <TopBar />
      <PageMain>
        <Spread>
          <div>
            <h1>{clientText.title}</h1>
            <Soft>
              <Link to={`/jobs/${desk.job.id}`}>{desk.job.name}</Link>. {clientText.help}
            </Soft>
          </div>
        </Spread>
        {said ? <Alert role="alert">{said}</Alert> : null}
        {made ? (
          <Sheet role="status" data-made="">
            <p>{clientText.made}</p>
            <LinkAddress href={`${origin}/c/${made}`} />
            <LinkButton href={`/c/${made}`} target="_blank">
              {clientText.title}
            </LinkButton>
          </Sheet>
        ) : null}
        <h2>{clientText.links}</h2>
        {desk.links.length === 0 ? <Soft>{clientText.none}</Soft> : null}
        {desk.links.map((link) => (
          <OneLink key={link.id} link={link} desk={desk} origin={origin} now={now} />
        ))}
        <Form method="post" key={desk.links.length}>
          <Sheet>
            <h2>{clientText.make}</h2>
            <input type="hidden" name="intent" value="make" />
            <TextBox label={clientText.words} name="words" maxLength={LIMITS.note} />
            <Ticks>
              <legend>{clientText.walls}</legend>
              {desk.walls.map(({ id, name, room, options }) => (
                <div key={id}>
                  <b>
                    {name}, {room}
                  </b>
                  <div>
                    {options.map((option) => (
                      <label key={option.id}>
                        <input
                          type="checkbox"
                          name="option"
                          value={option.id}
                          aria-label={`${name}: ${option.name}`}
                        />{' '}
                        {option.name}
                      </label>
                    ))}
                  </div>
                </div>
              ))}
            </Ticks>
            <Ticks>
              <legend>{clientText.shows}</legend>
              <div>
                {SHOWN_PARTS.map((part) => (
                  <label key={part}>
                    <input
                      type="checkbox"
                      name="part"
                      value={part}
                      defaultChecked={part === 'photo' || part === 'colors'}
                    />{' '}
                    {PART_NAMES[part]}
                  </label>
                ))}
              </div>
            </Ticks>
            <Ticks>
              <legend>{clientText.days}</legend>
              <div>
                {days.map((each, i) => (
                  <label key={each}>
                    <input type="radio" name="days" value={each} defaultChecked={i === 1} />{' '}
                    {clientText.daysOf(each)}
                  </label>
                ))}
              </div>
            </Ticks>
            <Row>
              <Button $kind="main" type="submit">
                {clientText.make}
              </Button>
            </Row>
          </Sheet>
        </Form>
      </PageMain>
    </>
  )
}

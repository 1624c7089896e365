import { useCallback, useState } from 'react'
import { styled } from 'styled-components'
import { historyText } from '~/messages'
import type { ChangedPart } from '~/model'
import { memberHeader } from '~/editor/saving/member'
import { Button } from '~/ui/Button'
import { Fold } from '~/ui/Fold'
import { Fractions } from '~/ui/Fractions'
import { Alert, Row, Soft } from '~/ui/page'
import { space, type } from '~/ui/theme'

interface Told {
  readonly change: number
  readonly at: number
  readonly who: string | null
  readonly parts: readonly ChangedPart[]
  readonly walls: readonly string[]
  readonly how: keyof typeof historyText.how
}
interface Then {
  readonly walls: readonly { readonly name: string; readonly words: string; readonly picture: string }[]
  readonly more: number
}

const List = styled.ol`
  display: grid;
  max-height: 420px;
  overflow-y: auto;
  & li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    align-items: center;
    gap: 0 ${space.m};
    padding: ${space.xs} 0;
    border-bottom: 1px solid var(--line);
    font-size: ${type.body};
  }
`
const Looked = styled.section`
  display: grid;
  gap: ${space.s};
`
const Walls = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space.l};
  & svg {
    display: block;
    max-width: 100%;
    height: auto;
  }
`

const whenOf = (at: number) =>
  new Date(at).toLocaleString('en-US', { month: 'short', day: 'numeric', hour: 'numeric', minute: '2-digit' })

async function asked<T>(url: string, init: RequestInit = {}): Promise<T> {
  const answer = await fetch(url, {
    ...init,
    headers: { 'content-type': 'application/json', ...memberHeader() },
  })
  if (answer.status >= 500 || answer.redirected || answer.status === 401) throw new Error('no answer')
  return (await answer.json()) as T
}

/** Who changed what and when: looked at as it was, and brought back. Asked for when it is opened. */
export function HistoryPart({
  url,
  ofJob = false,
  before,
  onRestored,
}: {
  readonly url: string
  /** Changes of several walls: each names its own. */
  readonly ofJob?: boolean
  /** What is in hand is sent first. */
  readonly before: () => Promise<void>
  readonly onRestored: () => void
}) {
  const [changes, setChanges] = useState<readonly Told[] | null>(null)
  const [looked, setLooked] = useState<{ readonly told: Told; readonly then: Then } | null>(null)
  const [said, setSaid] = useState<string | null>(null)
  const [failed, setFailed] = useState(false)
  const at = useCallback((change: number) => `${url}${url.includes('?') ? '&' : '?'}at=${change}`, [url])
  const trying = async (work: () => Promise<void>) => {
    setFailed(false)
    await work().catch(() => setFailed(true))
  }
  const load = () =>
    trying(async () => {
      await before()
      setChanges((await asked<{ changes: Told[] }>(url)).changes)
    })
  const look = (told: Told) =>
    trying(async () => {
      setSaid(null)
      setLooked({ told, then: await asked<Then>(at(told.change)) })
    })
  const restore = (told: Told) =>
    trying(async () => {
      await before()
      const { problems } = await asked<{ problems: string[] }>(at(told.change), {
        method: 'POST',
        body: '{}',
      })
      setSaid(problems.length > 0 ? problems.join(' ') : historyText.restored)
      setLooked(null)
      if (problems.length === 0) onRestored()
      await load()
    })
  return (
    <Fold title={historyText.title} onToggle={(open) => (open ? void load() : undefined)}>
      {failed ? (
        <Alert role="alert">
          {historyText.failed} <Button onPress={() => void load()}>{historyText.again}</Button>
        </Alert>
      ) : null}
      {said ? <p role="status">{said}</p> : null}
      {looked ? (
        <Looked aria-label={historyText.then(whenOf(looked.told.at))} data-looked={looked.told.change}>
          <h3>{historyText.then(whenOf(looked.told.at))}</h3>
          {looked.then.walls.length === 0 ? <Soft>{historyText.same}</Soft> : null}
          <Walls>
            {looked.then.walls.map(({ name, words, picture }) => (
              <div key={name}>
                <div aria-hidden dangerouslySetInnerHTML={{ __html: picture }} />
                {ofJob ? <b>{name} </b> : null}
                <Fractions text={words} />
              </div>
            ))}
          </Walls>
          {looked.then.more > 0 ? <Soft>{historyText.more(looked.then.more)}</Soft> : null}
          <Soft>{historyText.settingsStay}</Soft>
          <Row>
            <Button $kind="main" onPress={() => void restore(looked.told)}>
              {historyText.restore}
            </Button>
            <Button onPress={() => setLooked(null)}>{historyText.close}</Button>
          </Row>
        </Looked>
      ) : null}
      {changes?.length === 0 ? <Soft>{historyText.none}</Soft> : null}
      {changes && changes.length > 0 ? (
        <List aria-label={historyText.title}>
          {changes.map((told) => {
            const when = whenOf(told.at)
            const line = [when, told.who, historyText.how[told.how]].filter(Boolean).join(', ')
            return (
              <li key={told.change} data-change={told.change}>
                <span>
                  {told.how === 'made'
                    ? historyText.first
                    : historyText.what(told.parts, ofJob ? told.walls : [])}
                  <Soft as="small"> {line}</Soft>
                </span>
                <Button aria-label={historyText.look(when)} onPress={() => void look(told)}>
                  {historyText.lookShort}
                </Button>
              </li>
            )
          })}
        </List>
      ) : null}
    </Fold>
  )
}

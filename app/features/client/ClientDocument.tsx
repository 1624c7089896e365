import { styled } from 'styled-components'
import { pageText, type ShownKind } from '~/messages'
import { ClientWall } from './ClientWall'
import { ClientBase, PLAIN } from './clientLook'
import type { ClientView } from './clientView'
import { optionKey } from './shown'
import { SignPart } from './SignPart'

const Main = styled.main`
  max-width: 860px;
  margin: 0 auto;
  padding: 20px 16px 60px;
  display: grid;
  gap: 24px;
`
const Whole = styled.form`
  display: grid;
  gap: 24px;
`
const Said = styled.div<{ $bad: boolean }>`
  padding: 12px 16px;
  border-left: 5px solid ${({ $bad }) => ($bad ? PLAIN.red : PLAIN.green)};
  background: ${({ $bad }) => ($bad ? PLAIN.redWash : PLAIN.greenWash)};
`

/** What changed, a line for each wall and option: where it is, and what of it. */
function changesByPlace({ changed, page, shown }: ClientView): string[] {
  const places = new Map<string, ShownKind[]>()
  for (const { kind, wall, option } of changed) {
    const name = page.walls.find(({ id }) => id === wall)?.name
    const optionName = wall !== null && option !== null ? shown.get(optionKey(wall, option))?.name : undefined
    const where =
      wall === null ? '' : pageText.place(name ?? null, option === null ? null : (optionName ?? null))
    const kinds = places.get(where) ?? []
    if (!kinds.includes(kind)) kinds.push(kind)
    places.set(where, kinds)
  }
  return [...places].map(([where, kinds]) => pageText.changedAt(where, kinds))
}

/** The client's page: readable and usable without any script. */
export function ClientDocument({ view }: { readonly view: ClientView }) {
  const { page, said } = view
  return (
    <>
      <ClientBase $font={view.font} />
      <Main>
        <header>
          <h1>{page.job}</h1>
          <p>{pageText.for(page.client)}</p>
          <p>{page.link.body.words === '' ? pageText.look : page.link.body.words}</p>
        </header>
        {said ? (
          <Said $bad={said.bad} role={said.bad ? 'alert' : 'status'} id="said">
            <p>{said.text}</p>
            {view.changed.length > 0 ? (
              <ul>
                {changesByPlace(view).map((text) => (
                  <li key={text}>{text}</li>
                ))}
              </ul>
            ) : null}
          </Said>
        ) : null}
        <Whole method="post" action={`/c/${page.link.token}`} data-page="">
          {/* Enter in a field keeps the choices: it never signs */}
          {page.signed ? null : <button type="submit" name="do" value="keep" hidden tabIndex={-1} />}
          {page.walls.map((wall) => (
            <ClientWall key={wall.id} wall={wall} view={view} />
          ))}
          <SignPart view={view} />
        </Whole>
      </Main>
    </>
  )
}

/** A page that is closed, or never was; what was typed into it is not lost. */
export function ClosedDocument({
  title,
  text,
  kept,
  font,
}: {
  readonly title: string
  readonly text: string
  readonly kept: string
  readonly font: string
}) {
  return (
    <>
      <ClientBase $font={font} />
      <Main>
        <h1>{title}</h1>
        <p>{text}</p>
        {kept === '' ? null : (
          <Said $bad role="alert">
            {pageText.notKept} {kept}
          </Said>
        )}
      </Main>
    </>
  )
}

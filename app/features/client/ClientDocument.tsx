import { styled } from 'styled-components'
import { pageText } from '~/messages'
import { ClientWall } from './ClientWall'
import { ClientBase, PLAIN } from './clientLook'
import type { ClientView } from './clientView'
import { SignPart } from './SignPart'

const Main = styled.main`
  max-width: 860px;
  margin: 0 auto;
  padding: 20px 16px 60px;
  display: grid;
  gap: 24px;
`
const Said = styled.div<{ $bad: boolean }>`
  padding: 12px 16px;
  border-left: 5px solid ${({ $bad }) => ($bad ? PLAIN.red : PLAIN.green)};
  background: ${({ $bad }) => ($bad ? PLAIN.redWash : PLAIN.greenWash)};
`

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
            {said.text}
          </Said>
        ) : null}
        {page.walls.map((wall) => (
          <ClientWall key={wall.id} wall={wall} view={view} />
        ))}
        <SignPart view={view} />
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

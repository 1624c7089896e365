import { Archive } from 'lucide-react'
import { useFetcher } from 'react-router'
import { styled } from 'styled-components'
import { bookText, patternWords } from '~/messages'
import { inForce, type BookLayout } from '~/model'
import { RenameHere } from '~/ui/RenameHere'
import { Button } from '~/ui/Button'
import { PageMain, Row, Soft } from '~/ui/page'
import { space } from '~/ui/theme'
import { TopBar } from '~/ui/TopBar'

const List = styled.ul`
  display: grid;
  gap: ${space.m};
  & li {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: ${space.m};
    padding: ${space.m};
    background: var(--paper);
    border: 1px solid var(--line);
    border-radius: 8px;
  }
  & span {
    color: var(--ink-soft);
  }
`
const Swatch = styled.i`
  display: inline-block;
  width: 1.2em;
  height: 1.2em;
  border: 1px solid var(--edge);
  border-radius: 4px;
`

/** The crew's pattern book. */
export function BookPage({
  layouts,
  away,
}: {
  readonly layouts: readonly (BookLayout & { readonly id: string; readonly name: string })[]
  readonly away: string | null
}) {
  const fetcher = useFetcher<{ away: string | null }>()
  const back = fetcher.data?.away ?? away
  const post = (values: Record<string, string>) =>
    void fetcher.submit(values, { method: 'post', action: '/book' })
  return (
    <>
      <TopBar />
      <PageMain>
        <h1>{bookText.title}</h1>
        <Soft>{bookText.help}</Soft>
        {layouts.length === 0 ? <Soft>{bookText.none}</Soft> : null}
        <List>
          {layouts.map(({ id, name, design, materials, paints }) => (
            <li key={id} data-layout={name}>
              <b>{name}</b>
              <RenameHere what={name} name={name} action="/book" fields={{ intent: 'rename', layout: id }} />
              <span>
                {patternWords(inForce(design)).many},{' '}
                {materials.map(({ nominal, name: stuff }) => `${nominal} ${stuff}`.trim()).join(', ')}
              </span>
              {paints.map((paint) => (
                <Swatch key={paint.id} style={{ background: paint.hex }} role="img" aria-label={paint.name} />
              ))}
              <Button
                $kind="quiet"
                aria-label={bookText.putAway(name)}
                onPress={() => post({ intent: 'putAway', layout: id })}
              >
                <Archive size={18} aria-hidden />
              </Button>
            </li>
          ))}
        </List>
        {back && !layouts.some(({ id }) => id === back) ? (
          <Row>
            <Button onPress={() => post({ intent: 'bringBack', layout: back })}>{bookText.bringBack}</Button>
          </Row>
        ) : null}
      </PageMain>
    </>
  )
}

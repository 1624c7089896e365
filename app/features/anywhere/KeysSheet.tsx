import { styled } from 'styled-components'
import { KEYS, keysText } from '~/messages'
import { Button } from '~/ui/Button'
import { Row } from '~/ui/page'
import { OverSheet } from '~/ui/Sheet'
import { space, type } from '~/ui/theme'

const List = styled.dl`
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: ${space.xs} ${space.l};
  align-items: baseline;
  & dt {
    white-space: nowrap;
  }
  & kbd {
    display: inline-block;
    min-width: 1.8em;
    padding: 1px 7px;
    border: 1px solid var(--edge);
    border-bottom-width: 3px;
    border-radius: 5px;
    background: var(--paper);
    font: inherit;
    font-size: ${type.small};
    font-weight: 650;
    text-align: center;
  }
`

/** All keys there are, and the switch for those that are a single letter. */
export function KeysSheet({
  open,
  onClose,
  singles,
  setSingles,
}: {
  open: boolean
  onClose: () => void
  singles: boolean
  setSingles: (on: boolean) => void
}) {
  return (
    <OverSheet label={keysText.title} open={open} onClose={onClose}>
      <h2>{keysText.title}</h2>
      {KEYS.map(({ where, keys }) => (
        <section key={where} aria-label={where}>
          <h3>{where}</h3>
          <List>
            {keys.map(({ press, does }) => (
              <div key={does} style={{ display: 'contents' }}>
                <dt>
                  {press.map((key, i) => (
                    <span key={key}>
                      {i > 0 ? ' ' : ''}
                      <kbd>{key}</kbd>
                    </span>
                  ))}
                </dt>
                <dd>{does}</dd>
              </div>
            ))}
          </List>
        </section>
      ))}
      <Row>
        <Button aria-pressed={singles} onPress={() => setSingles(!singles)}>
          {singles ? keysText.singlesOff : keysText.singlesOn}
        </Button>
        <Button $kind="main" onPress={onClose}>
          {keysText.close}
        </Button>
      </Row>
    </OverSheet>
  )
}

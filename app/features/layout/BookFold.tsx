import { Trash2 } from 'lucide-react'
import { useState } from 'react'
import { Link, useFetcher } from 'react-router'
import { bookEdits } from '~/core/agree/bookEdits'
import { houseEdits } from '~/core/agree/house'
import { useWallEditor } from '~/editor/WallEditor'
import { bookText, houseEntryText, whyNot } from '~/messages'
import { LIMITS } from '~/model'
import { Button } from '~/ui/Button'
import { Fold } from '~/ui/Fold'
import { Fractions } from '~/ui/Fractions'
import { Row, Soft } from '~/ui/page'
import { TextBox } from '~/ui/TextBox'
import { EditButton } from './EditButton'

/** Layouts the crew keeps by name: looked at on this wall, and kept from it. */
export function BookFold() {
  const { identity, workpiece } = useWallEditor()
  const fetcher = useFetcher<{ said: string | null; bad: boolean }>()
  const [name, setName] = useState('')
  return (
    <Fold title={bookText.title} aside={String(identity.book.length)}>
      <ul aria-label={bookText.title} style={{ display: 'grid', gap: 6 }}>
        {identity.book.map((layout) => (
          <li key={layout.id}>
            <EditButton edits={bookEdits(layout, workpiece)} wide>
              {bookText.use(layout.name)}
            </EditButton>
          </li>
        ))}
      </ul>
      {identity.book.length === 0 ? <Soft>{bookText.help}</Soft> : null}
      <TextBox label={bookText.name} value={name} maxLength={LIMITS.name} onChange={setName} />
      <Row>
        <Button
          isDisabled={name.trim() === ''}
          why={whyNot.name}
          onPress={() => {
            void fetcher.submit(
              { intent: 'keep', job: identity.job.id, wall: identity.id, option: identity.option.id, name },
              { method: 'post', action: '/book' },
            )
            setName('')
          }}
        >
          {bookText.keep}
        </Button>
        <Link to="/book">{bookText.page}</Link>
      </Row>
      {fetcher.data?.said ? <Soft role="status">{fetcher.data.said}</Soft> : null}
    </Fold>
  )
}

/** What the house has already: heights, gaps, widths, paints, each taken over in one press. */
export function HouseFold() {
  const { identity, workpiece, wording } = useWallEditor()
  const fetcher = useFetcher<{ said: string | null }>()
  const action = `/jobs/${identity.job.id}/house`
  return (
    <Fold title={bookText.house} aside={String(identity.house.length)}>
      <Soft>{identity.house.length === 0 ? bookText.houseNone : bookText.houseHelp}</Soft>
      <ul aria-label={bookText.house} style={{ display: 'grid', gap: 6 }}>
        {identity.house.map((entry) => {
          const edits = houseEdits(entry, workpiece)
          const text = houseEntryText(entry, wording)
          return (
            <li key={entry.id}>
              <Row>
                {edits.length > 0 ? (
                  <EditButton edits={edits}>
                    <Fractions text={text} />
                  </EditButton>
                ) : (
                  <span>
                    <Fractions text={text} />
                  </span>
                )}
                <Button
                  $kind="quiet"
                  aria-label={bookText.takeOut(text)}
                  onPress={() =>
                    void fetcher.submit({ intent: 'takeOut', note: entry.id }, { method: 'post', action })
                  }
                >
                  <Trash2 size={18} aria-hidden />
                </Button>
              </Row>
            </li>
          )
        })}
      </ul>
      <Row>
        <Button
          onPress={() =>
            void fetcher.submit(
              { intent: 'write', wall: identity.id, option: identity.option.id },
              { method: 'post', action },
            )
          }
        >
          {bookText.houseKeep}
        </Button>
        {fetcher.data?.said ? <Soft role="status">{fetcher.data.said}</Soft> : null}
      </Row>
    </Fold>
  )
}

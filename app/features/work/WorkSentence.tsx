import { styled } from 'styled-components'
import { workWords } from '~/messages'
import {
  APPLIERS,
  FIT_ORDERS,
  PAINT_SCHOOLS,
  SAND_SCHOOLS,
  TRIM_FINISHES,
  WALL_PREPS,
  type Work,
} from '~/model'
import { Choice } from '~/ui/Choice'
import { Sentence } from '~/ui/Sentence'
import { type } from '~/ui/theme'

const Said = styled(Sentence)`
  font-size: ${type.lead};
  line-height: 1.9;
`

/** How the work is done, in a sentence whose words are its choices. */
export function WorkSentence({
  work,
  change,
}: {
  readonly work: Work
  readonly change: (patch: Partial<Work>) => void
}) {
  const word = <Id extends string>(
    label: string,
    value: Id,
    ids: readonly Id[],
    words: Readonly<Record<Id, string>>,
    onChange: (id: Id) => void,
  ) => (
    <Choice<Id>
      word
      label={label}
      value={value}
      options={ids.map((id) => ({ id, text: words[id] }))}
      onChange={onChange}
    />
  )
  return (
    <Said>
      {word('How many people', String(work.people) as '1' | '2', ['1', '2'], workWords.people, (id) =>
        change({ people: Number(id) }),
      )}
      , {word('Walls before', work.prepare, WALL_PREPS, workWords.prepare, (prepare) => change({ prepare }))},{' '}
      {word('What goes on first', work.fitOrder, FIT_ORDERS, workWords.fitOrder, (fitOrder) =>
        change({ fitOrder }),
      )}
      ,{' '}
      {word('Which wall last', work.wayOut ? 'yes' : 'no', ['yes', 'no'], workWords.wayOut, (id) =>
        change({ wayOut: id === 'yes' }),
      )}
      . Trim {word('Trim is', work.trim, TRIM_FINISHES, workWords.trim, (trim) => change({ trim }))},{' '}
      {word('When it is painted', work.paintSchool, PAINT_SCHOOLS, workWords.paintSchool, (paintSchool) =>
        change({ paintSchool }),
      )}
      , with{' '}
      {word('Painted with', work.paintWith, APPLIERS, workWords.paintWith, (paintWith) =>
        change({ paintWith }),
      )}
      ; sanded{' '}
      {word('How it is sanded', work.sanding, SAND_SCHOOLS, workWords.sanding, (sanding) =>
        change({ sanding }),
      )}
      ,{' '}
      {word('What is caulked', work.caulk, ['every', 'open', 'none'], workWords.caulk, (caulk) =>
        change({ caulk }),
      )}
      ;{' '}
      {(['trim', 'field', 'above'] as const).map((on, i) => (
        <span key={on}>
          {i > 0 ? ', ' : ''}
          {word(
            workWords.coatsOf[on],
            String(work.coats[on]),
            ['0', '1', '2', '3', '4'],
            { '0': 'no coat', '1': 'one coat', '2': 'two coats', '3': 'three coats', '4': 'four coats' },
            (id) => change({ coats: { ...work.coats, [on]: Number(id) } }),
          )}{' '}
          {workWords.on[on]}
        </span>
      ))}
      .
    </Said>
  )
}

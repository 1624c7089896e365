import { Trash2 } from 'lucide-react'
import { placeRow } from '~/core/companions/itemRow'
import { EditLengthWord } from '~/editor/EditLength'
import { useWallEditor } from '~/editor/WallEditor'
import { inches, type Length, ZERO } from '~/length'
import { companionsText as text, rowKindName, rowText } from '~/messages'
import { type Edit, type ItemRow, LIMITS } from '~/model'
import { AddButton } from '~/ui/AddButton'
import { Button } from '~/ui/Button'
import { Choice } from '~/ui/Choice'
import { Fractions } from '~/ui/Fractions'
import { Soft } from '~/ui/page'
import { Sentence } from '~/ui/Sentence'
import { MiddleWords } from './MiddleWords'
import { NameBox } from './NameBox'

interface RowProps {
  readonly row: ItemRow
  readonly nth: number
  readonly toEdits: (row: ItemRow) => readonly Edit[]
  readonly away: () => void
}

const KINDS = ['letters', 'signs', 'hooks', 'frames'] as const

/** A row of letters, signs, hooks or frames as a sentence of controls, item by item. */
export function RowWords({ row, nth, toEdits, away }: RowProps) {
  const { plan, wording, edit } = useWallEditor()
  const put = (patch: Partial<ItemRow>) => edit(toEdits({ ...row, ...patch }), 'done')
  const word = (name: 'line' | 'height' | 'thickness', label: string, value: Length) => (
    <EditLengthWord
      field={`design.companions.${row.id}.${name}`}
      label={`Row ${nth}, ${label}`}
      value={value}
      least={inches(0.125)}
      most={inches(2400)}
      toEdits={(next) => toEdits({ ...row, [name]: next })}
    />
  )
  const { spread } = row
  const placed = placeRow(
    row,
    plan.layout,
    plan.pieces,
    (id) => plan.layout.materials.get(id)?.thickness ?? 0,
  )
  return (
    <section aria-label={`Row ${nth}`}>
      <Sentence>
        A row of{' '}
        <Choice
          word
          label={`Row ${nth}, of what`}
          value={row.kind}
          options={KINDS.map((id) => ({ id, text: rowKindName(id) }))}
          onChange={(kind) => put({ kind })}
        />
        , {word('height', 'height', row.height)} high and {word('thickness', 'thickness', row.thickness)}{' '}
        thick, on a level line at {word('line', 'line from the floor', row.line)}, centered on{' '}
        <MiddleWords
          label={`Row ${nth}, centered on`}
          middle={row.middle}
          onChange={(middle) => put({ middle })}
        />
        , with{' '}
        <Choice
          word
          label={`Row ${nth}, how they are spread`}
          value={spread.by === 'pitch' ? `pitch:${spread.centered}` : spread.by}
          options={[
            { id: 'equal', text: 'equal gaps, the ends as well' },
            { id: 'gap', text: 'gaps of' },
            { id: 'pitch:ends', text: 'one pitch, its outer edges centered:' },
            { id: 'pitch:middles', text: 'one pitch, its middles centered:' },
          ]}
          onChange={(id) => {
            const now = spread.by === 'gap' ? spread.gap : spread.by === 'pitch' ? spread.pitch : inches(2)
            if (id === 'equal') put({ spread: { by: 'equal' } })
            else if (id === 'gap') put({ spread: { by: 'gap', gap: now } })
            else
              put({
                spread: {
                  by: 'pitch',
                  pitch: spread.by === 'pitch' ? spread.pitch : inches(8),
                  centered: id === 'pitch:ends' ? 'ends' : 'middles',
                },
              })
          }}
        />{' '}
        {spread.by === 'gap' ? (
          <EditLengthWord
            field={`design.companions.${row.id}.gap`}
            label={`Row ${nth}, gap`}
            value={spread.gap}
            least={ZERO}
            most={inches(480)}
            toEdits={(gap) => toEdits({ ...row, spread: { by: 'gap', gap } })}
          />
        ) : null}
        {spread.by === 'pitch' ? (
          <EditLengthWord
            field={`design.companions.${row.id}.pitch`}
            label={`Row ${nth}, pitch`}
            value={spread.pitch}
            least={inches(0.125)}
            most={inches(480)}
            toEdits={(pitch) => toEdits({ ...row, spread: { ...spread, pitch } })}
          />
        ) : null}
        , over{' '}
        <Choice
          word
          label={`Row ${nth}, over a bed`}
          value={row.overBed ? 'bed' : 'none'}
          options={[
            { id: 'none', text: 'nobody’s bed' },
            { id: 'bed', text: 'a bed or a crib' },
          ]}
          onChange={(over) => put({ overBed: over === 'bed' })}
        />
        .{' '}
        <Button $kind="quiet" aria-label={`Take row ${nth} away`} onPress={away}>
          <Trash2 size={16} aria-hidden />
        </Button>
      </Sentence>
      <ol aria-label={`Row ${nth}, item by item`}>
        {row.items.map((item, i) => (
          <li key={i}>
            <Sentence>
              <NameBox
                label={`Row ${nth}, item ${i + 1}`}
                name={item.name}
                onName={(name) => put({ items: row.items.with(i, { ...item, name }) })}
              />{' '}
              <EditLengthWord
                field={`design.companions.${row.id}.items.${i}`}
                label={`Row ${nth}, width of ${item.name}`}
                value={item.width}
                least={inches(0.125)}
                most={inches(240)}
                toEdits={(width) => toEdits({ ...row, items: row.items.with(i, { ...item, width }) })}
              />{' '}
              wide{' '}
              {row.items.length > 1 ? (
                <Button
                  $kind="quiet"
                  aria-label={`Take ${item.name} out of row ${nth}`}
                  onPress={() => put({ items: row.items.toSpliced(i, 1) })}
                >
                  <Trash2 size={16} aria-hidden />
                </Button>
              ) : null}
            </Sentence>
          </li>
        ))}
      </ol>
      <AddButton
        what="items"
        has={row.items.length}
        onPress={() =>
          put({
            items: [
              ...row.items,
              { name: nextLetter(row.items.at(-1)?.name), width: row.items.at(-1)?.width ?? inches(5) },
            ].slice(0, LIMITS.items),
          })
        }
      >
        {text.addItem}
      </AddButton>
      {placed ? (
        <Soft>
          <Fractions text={rowText(placed, wording)} />
        </Soft>
      ) : null}
    </section>
  )
}

function nextLetter(last: string | undefined): string {
  const code = last?.length === 1 ? last.toUpperCase().charCodeAt(0) : 64
  return code >= 64 && code < 90 ? String.fromCharCode(code + 1) : 'Item'
}

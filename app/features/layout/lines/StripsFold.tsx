import { Check } from 'lucide-react'
import { useState } from 'react'
import { settleCrossing, turnStrip } from '~/core/edits/lineMoves'
import { crossingsOf, type Meets } from '~/core/strips/crossings'
import { rulesOf } from '~/core/patterns/rules'
import { useSelected } from '~/editor/WallEditor'
import { count, endCutBrief, linesText as text, say, stripName } from '~/messages'
import type { Lines } from '~/model'
import { Button } from '~/ui/Button'
import { Choice } from '~/ui/Choice'
import { Fold } from '~/ui/Fold'
import { Fractions } from '~/ui/Fractions'
import { Soft } from '~/ui/page'
import { Sentence } from '~/ui/Sentence'
import { Table } from '~/ui/Table'
import { Toggle } from '~/ui/Toggle'
import { useMoves } from './useMoves'

type Through = Lines['crossings'][number]['through']

/** What happens where the strip in hand crosses others: settled for each crossing, else by the order of the list. */
function Crossings({ stripId }: { stripId: string }) {
  const { workpiece, plan, wording, edit } = useMoves()
  const { strips } = plan.layout
  const at = strips.findIndex(({ id }) => id === stripId)
  const found = crossingsOf(strips, rulesOf(plan.layout).through(plan.layout.design)).filter(
    ({ a, b }) => a === at || b === at,
  )
  if (found.length === 0) return <Soft>It crosses nothing.</Soft>
  const own = (through: Meets, isA: boolean): Through =>
    through === 'miter' || isA
      ? through
      : ({ a: 'b', b: 'a', aOver: 'bOver', bOver: 'aOver' } as const)[through]
  return (
    <ul aria-label={text.crossings}>
      {found.map(({ a, b, through }) => {
        const other = strips[a === at ? b : a]
        if (!other) return null
        const name = stripName(other.id, wording).toLowerCase()
        return (
          <li key={`${a} ${b}`}>
            <Sentence>
              At {name}{' '}
              <Choice<Through>
                word
                label={`Where it crosses ${name}`}
                value={own(through, a === at)}
                options={[
                  { id: 'a', text: 'it runs through', hint: `${name} lands on it` },
                  { id: 'b', text: 'it lands', hint: `${name} runs through` },
                  { id: 'miter', text: 'both are mitered there' },
                  { id: 'aOver', text: 'both run on, it lies over', hint: 'halved over one another' },
                  { id: 'bOver', text: 'both run on, it lies under', hint: 'halved over one another' },
                ]}
                onChange={(next) => edit(settleCrossing(workpiece, stripId, other.id, next), 'done')}
              />
              .
            </Sentence>
          </li>
        )
      })}
    </ul>
  )
}

const SHOWN = 60

/** All struck lines beside the drawing: each with its piece, its ends, and whether it is on; the one in hand with its crossings. */
export function StripsFold() {
  const { workpiece, plan, wording, edit, lines } = useMoves()
  const selected = useSelected()
  const [all, setAll] = useState(false)
  const struck = plan.layout.strips.filter(({ role }) => role === 'line')
  const rows = all ? struck : struck.slice(0, SHOWN)
  const inHand = struck.find(({ id }) => id === selected)
  return (
    <Fold title={text.strips} aside={count(struck.length, 'line')}>
      {inHand ? (
        <>
          <h3>
            {stripName(inHand.id, wording)}: {text.crossings.toLowerCase()}
          </h3>
          <Crossings stripId={inHand.id} />
        </>
      ) : null}
      <Table>
        <caption>Each line with what is cut of it</caption>
        <thead>
          <tr>
            <th scope="col">On</th>
            <th scope="col">Line</th>
            <th scope="col">Long point</th>
            <th scope="col">Ends</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ id }) => {
            const pieces = plan.pieces.filter(({ stripId }) => stripId === id)
            return (
              <tr key={id}>
                <td>
                  <Toggle
                    aria-label={`${stripName(id, wording)}: on`}
                    isSelected
                    onChange={() => edit(turnStrip(workpiece, id), 'done')}
                  >
                    <Check size={20} aria-hidden />
                  </Toggle>
                </td>
                <td>{stripName(id, wording)}</td>
                <td>
                  <Fractions text={pieces.map(({ longLength }) => say(longLength, wording)).join(', ')} />
                </td>
                <td>
                  <Fractions
                    text={[
                      ...new Set(
                        pieces.flatMap(({ start, end, faceWidth }) =>
                          [start, end].map((cut) => endCutBrief(cut, faceWidth)),
                        ),
                      ),
                    ].join(', ')}
                  />
                </td>
              </tr>
            )
          })}
        </tbody>
      </Table>
      {struck.length > rows.length ? (
        <Button onPress={() => setAll(true)}>Show all {struck.length}</Button>
      ) : null}
      {lines.off.length > 0 ? (
        <ul aria-label="Lines left out">
          {lines.off.map((id) => (
            <li key={id}>
              <Button onPress={() => edit(turnStrip(workpiece, id), 'done')}>
                Bring back the line left out, {id}
              </Button>
            </li>
          ))}
        </ul>
      ) : null}
    </Fold>
  )
}

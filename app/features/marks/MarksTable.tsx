import { Check } from 'lucide-react'
import { styled } from 'styled-components'
import {
  type Datum,
  type Edge,
  headLessFoot,
  type Hook,
  hookSaid,
  runningMarks,
} from '~/core/marks/runningMarks'
import { useSelected, useWallEditor } from '~/editor/WallEditor'
import { formatExact, tickOf } from '~/length'
import { capital, hookName, markMovedText, markText, patternWords, stripName } from '~/messages'
import { Fractions } from '~/ui/Fractions'
import { RowButton, Table } from '~/ui/Table'
import { Toggle } from '~/ui/Toggle'
import { Reading } from './Reading'
import { useMarked } from './useMarked'

const Cell = styled.td<{ $drawn: boolean }>`
  & .number {
    font-weight: ${({ $drawn }) => ($drawn ? 750 : 500)};
  }
  & small {
    display: block;
    color: var(--ink-soft);
  }
`
/** It stands in the narrow column beside the wall. */
const Marks = styled(Table)`
  & th {
    white-space: normal;
  }
  & td,
  & th {
    padding-inline: 4px;
  }
`
const EDGE_NAMES: Readonly<Record<Edge, string>> = { near: 'Near edge', center: 'Center', far: 'Far edge' }

/** The other lines a tape can be hooked along, where this end leans so much that marks along them are others. */
function useOtherHooks(datum: Datum, hook: Hook): Hook[] {
  const { plan, workpiece } = useWallEditor()
  const leans = Math.abs(headLessFoot(plan.layout, datum)) > tickOf(workpiece.settings.tape)
  return leans ? (['foot', 'head'] as const).filter((each) => each !== hook) : []
}

/** Both edges of every strip, in the order the tape meets them. */
export function MarksTable({ datum, edge, hook }: { datum: Datum; edge: Edge; hook: Hook }) {
  const { plan, workpiece, wording, select } = useWallEditor()
  const selected = useSelected()
  const { tape, units } = workpiece.settings
  const { marks: onWall, isMarked, setMarked } = useMarked()
  const name = (each: Hook) => hookName(each, hookSaid(plan.layout, datum, each), wording)
  const marks = runningMarks(plan.layout, datum, tape, hook)
  const others = useOtherHooks(datum, hook).map((each) => ({
    hook: each,
    name: typeof each === 'string' ? `${each} line` : 'laser line',
    marks: runningMarks(plan.layout, datum, tape, each),
  }))
  const edges: readonly Edge[] = edge === 'center' ? ['near', 'center', 'far'] : ['near', 'far']
  const done = marks.filter(({ stripId }) => isMarked(stripId)).length
  return (
    <Marks>
      <caption>
        <Fractions
          text={`From the ${datum} corner, the tape hooked along ${name(hook)}.${others.length > 0 ? ' The end of the wall or the strips lean: marks along another line are others.' : ''}`}
        />{' '}
        <span role="status">{markText.count(done, marks.length)}</span>
      </caption>
      <thead>
        <tr>
          <th scope="col">{capital(patternWords(plan.layout).one)}</th>
          {edges.map((each) => (
            <th key={each} scope="col">
              {EDGE_NAMES[each]}
            </th>
          ))}
          <th scope="col">On the wall</th>
        </tr>
      </thead>
      <tbody>
        {marks.map((mark, row) => {
          const drawn = onWall.get(mark.stripId)
          return (
            <tr
              key={mark.stripId}
              data-pick
              data-mark={mark.stripId}
              data-lit={mark.stripId === selected || undefined}
              onClick={() => select(mark.stripId)}
            >
              <th scope="row">
                <RowButton onPress={() => select(mark.stripId)} aria-label={stripName(mark.stripId, wording)}>
                  {mark.number}
                </RowButton>
              </th>
              {edges.map((each) => (
                <Cell key={each} data-edge={each} $drawn={each === edge}>
                  <Reading reading={mark[each]} />
                  {each === edge && mark[each].side !== 'on' && others.length === 0 ? (
                    <small>
                      <Fractions text={`exact ${formatExact(mark[each].exact, units)}`} />
                    </small>
                  ) : null}
                  {others.map((other) => {
                    const reading = other.marks[row]?.[each]
                    return reading ? (
                      <small key={other.name} data-hook={other.name}>
                        {other.name} <Reading reading={reading} plain />
                      </small>
                    ) : null
                  })}
                </Cell>
              ))}
              <td>
                <Toggle
                  aria-label={`${stripName(mark.stripId, wording)} is marked on the wall`}
                  isSelected={isMarked(mark.stripId)}
                  onChange={(on) => setMarked(mark.stripId, on)}
                >
                  {isMarked(mark.stripId) ? <Check size={18} aria-hidden /> : null}
                </Toggle>
                {drawn && !drawn.holds ? (
                  <small data-moved>
                    <Fractions text={markMovedText(drawn.left, wording)} />
                  </small>
                ) : null}
              </td>
            </tr>
          )
        })}
      </tbody>
    </Marks>
  )
}

import { Check } from 'lucide-react'
import { useState } from 'react'
import { styled } from 'styled-components'
import {
  type Datum,
  type Edge,
  headLessFoot,
  heightMarks,
  type Hook,
  hookHeight,
  runningMarks,
  spacerBlock,
} from '~/core/marks/runningMarks'
import { useSelected, useWallEditor } from '~/editor/WallEditor'
import { WallStage } from '~/editor/WallStage'
import { Drawn, Heading, Side, Split } from '~/editor/Workbench'
import { formatExact, inches, type Length, type TapeReading, tickOf, ZERO } from '~/length'
import { capital, heightMarkName, hookName, say, sayWithUnit, stripName, patternWords } from '~/messages'
import { Fractions } from '~/ui/Fractions'
import { Toggle } from '~/ui/Toggle'
import { MarkWalk } from './MarkWalk'
import { useMarked } from './useMarked'
import { LengthField } from '~/ui/LengthField'
import { Row, Soft } from '~/ui/page'
import { Picks } from '~/ui/Picks'
import { RowButton, Table } from '~/ui/Table'
import { space } from '~/ui/theme'

const Section = styled.section`
  display: grid;
  gap: ${space.s};
`

const SIDE = { on: '', over: 'a little over', under: 'a little under' } as const

function Reading({ reading, stacked = false }: { reading: TapeReading; stacked?: boolean }) {
  const { wording } = useWallEditor()
  return (
    <>
      <span className="number">
        <Fractions text={say(reading.tick, wording)} />
      </span>{' '}
      <small style={stacked ? { display: 'block' } : undefined}>{SIDE[reading.side]}</small>
    </>
  )
}

/** The table's columns of marks: along the line picked, and along the other where the end leans more than a tick. */
function useHooks(datum: Datum, hook: Hook): { hook: Hook; name: string }[] {
  const { plan, workpiece, wording } = useWallEditor()
  const name = (each: Hook) => hookName(each, hookHeight(plan.layout, datum, each), wording)
  const both = Math.abs(headLessFoot(plan.layout, datum)) > tickOf(workpiece.settings.tape)
  const others: Hook[] = both ? (['foot', 'head'] as const).filter((each) => each !== hook) : []
  return [hook, ...others].map((each) => ({ hook: each, name: name(each) }))
}

function MarksTable({ datum, edge, hook }: { datum: Datum; edge: Edge; hook: Hook }) {
  const { plan, workpiece, wording, select } = useWallEditor()
  const selected = useSelected()
  const { tape, units } = workpiece.settings
  const hooks = useHooks(datum, hook)
  const { marked, setMarked } = useMarked()
  const columns = hooks.map((each) => runningMarks(plan.layout, datum, tape, each.hook))
  return (
    <Table>
      <caption>
        <Fractions
          text={`From the ${datum} corner, the tape hooked along ${hooks[0]?.name}.${hooks.length > 1 ? ' This end of the wall leans: marks along another line are others.' : ''}`}
        />
      </caption>
      <thead>
        <tr>
          <th scope="col">{capital(patternWords(plan.layout).one)}</th>
          {hooks.map(({ name }, i) => (
            <th key={name} scope="col" data-hook={i} style={{ whiteSpace: 'normal' }}>
              <Fractions text={hooks.length === 1 ? 'Mark' : capital(name.replace(/^the /, ''))} />
            </th>
          ))}
          {hooks.length === 1 ? <th scope="col">Exact</th> : null}
          <th scope="col">On the wall</th>
        </tr>
      </thead>
      <tbody>
        {columns[0]?.map((mark, row) => (
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
            {columns.map((column, i) => {
              const reading = column[row]?.[edge]
              return (
                <td key={i}>{reading ? <Reading reading={reading} stacked={columns.length > 1} /> : null}</td>
              )
            })}
            {hooks.length === 1 ? (
              <td>
                <Fractions text={formatExact(mark[edge].exact, units)} />
              </td>
            ) : null}
            <td>
              <Toggle
                aria-label={`${stripName(mark.stripId, wording)} is marked on the wall`}
                isSelected={marked.has(mark.stripId)}
                onChange={(done) => setMarked(mark.stripId, done)}
              >
                {marked.has(mark.stripId) ? <Check size={18} aria-hidden /> : null}
              </Toggle>
            </td>
          </tr>
        ))}
      </tbody>
    </Table>
  )
}

/** Stage: where the tape goes. */
export function MarkStage() {
  const { plan, workpiece, wording } = useWallEditor()
  const [datum, setDatum] = useState<Datum>('left')
  const [edge, setEdge] = useState<Edge>('near')
  const [line, setLine] = useState<'foot' | 'head' | 'laser'>('foot')
  const [laser, setLaser] = useState<Length>(inches(48))
  const hook: Hook = line === 'laser' ? { height: laser } : line
  const { tape } = workpiece.settings
  const spacer = spacerBlock(plan.layout, datum, tape, hook)
  const { one } = patternWords(plan.layout)
  return (
    <Split>
      <Drawn>
        <Heading>
          <h1>Running marks</h1>
          <Row>
            <Picks<Datum>
              label="Hook the tape in"
              value={datum}
              options={[
                { id: 'left', text: 'left corner' },
                { id: 'right', text: 'right corner' },
              ]}
              onChange={setDatum}
            />
            <Picks<typeof line>
              label="Along which line"
              value={line}
              options={[
                { id: 'foot', text: 'foot line' },
                { id: 'head', text: 'head line' },
                { id: 'laser', text: 'laser line' },
              ]}
              onChange={setLine}
            />
            {line === 'laser' ? (
              <LengthField
                label="Laser line, up from the floor"
                value={laser}
                format={wording.format}
                least={ZERO}
                most={workpiece.wall.survey.height}
                onChange={setLaser}
              />
            ) : null}
            <Picks<Edge>
              label="Mark which edge"
              value={edge}
              options={[
                { id: 'near', text: 'near edge' },
                { id: 'center', text: 'center' },
                { id: 'far', text: 'far edge' },
              ]}
              onChange={setEdge}
            />
          </Row>
        </Heading>
        <MarkWalk datum={datum} edge={edge} hook={hook} />
        <WallStage datum={datum} edge={edge} hook={hook} />
      </Drawn>
      <Side aria-label="Marks">
        <MarksTable datum={datum} edge={edge} hook={hook} />
        <Section aria-label="Spacer block">
          <h2>Spacer block</h2>
          {spacer ? (
            <>
              <p>
                Cut one at <Reading reading={spacer.length} />
              </p>
              {spacer.checks.length > 0 ? (
                <Soft as="div">
                  Blocks add up their error, marks do not. Check the near edge of every third {one} before you
                  nail:
                  <ul>
                    {spacer.checks.map(({ stripId, number, near }) => (
                      <li key={stripId}>
                        {one} {number} at <Fractions text={sayWithUnit(near.tick, wording)} />
                      </li>
                    ))}
                  </ul>
                </Soft>
              ) : null}
            </>
          ) : (
            <Soft>The inner gaps are not alike, so no one block holds them. Use the marks.</Soft>
          )}
        </Section>
        <Section aria-label="Heights">
          <Table>
            <caption>Heights from the finished floor</caption>
            <tbody>
              {heightMarks(plan.layout, tape)
                .reverse()
                .map((mark) => (
                  <tr key={mark.id}>
                    <th scope="row">{heightMarkName(mark, wording)}</th>
                    <td>
                      <Reading reading={mark.reading} />
                    </td>
                  </tr>
                ))}
            </tbody>
          </Table>
        </Section>
        <Soft>
          Strike a level line from the highest point of the floor first. Before you drill or nail, think of
          cables and pipes behind the board: they run above and below every box.
        </Soft>
      </Side>
    </Split>
  )
}

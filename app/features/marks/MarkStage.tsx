import { useState } from 'react'
import { styled } from 'styled-components'
import { type Datum, type Edge, heightMarks, runningMarks, spacerBlock } from '~/core/marks/runningMarks'
import { useWallEditor } from '~/editor/WallEditor'
import { WallStage } from '~/editor/WallStage'
import { Drawn, Heading, Side, Split } from '~/editor/Workbench'
import { formatExact, type TapeReading } from '~/length'
import { capital, heightMarkName, say, sayWithUnit, stripName, uprightWords } from '~/messages'
import { Fractions } from '~/ui/Fractions'
import { MarkWalk } from './MarkWalk'
import { Row, Soft } from '~/ui/page'
import { Picks } from '~/ui/Picks'
import { RowButton, Table } from '~/ui/Table'
import { space } from '~/ui/theme'

const Section = styled.section`
  display: grid;
  gap: ${space.s};
`

const SIDE = { on: '', over: 'a little over', under: 'a little under' } as const

function Reading({ reading }: { reading: TapeReading }) {
  const { wording } = useWallEditor()
  return (
    <>
      <span className="number">
        <Fractions text={say(reading.tick, wording)} />
      </span>{' '}
      <small>{SIDE[reading.side]}</small>
    </>
  )
}

function MarksTable({ datum, edge }: { datum: Datum; edge: Edge }) {
  const { plan, workpiece, selected, select } = useWallEditor()
  const { tape, units } = workpiece.settings
  return (
    <Table>
      <caption>From the {datum} corner, every mark from the same hook.</caption>
      <thead>
        <tr>
          <th scope="col">{capital(uprightWords(plan.layout.pattern).one)}</th>
          <th scope="col">Mark</th>
          <th scope="col">Exact</th>
        </tr>
      </thead>
      <tbody>
        {runningMarks(plan.layout, datum, tape).map((mark) => (
          <tr
            key={mark.stripId}
            data-pick
            data-mark={mark.stripId}
            data-lit={mark.stripId === selected || undefined}
            onClick={() => select(mark.stripId)}
          >
            <th scope="row">
              <RowButton onPress={() => select(mark.stripId)} aria-label={stripName(mark.stripId)}>
                {mark.number}
              </RowButton>
            </th>
            <td>
              <Reading reading={mark[edge]} />
            </td>
            <td>
              <Fractions text={formatExact(mark[edge].exact, units)} />
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
  const { tape } = workpiece.settings
  const spacer = spacerBlock(plan.layout, datum, tape)
  const { one } = uprightWords(plan.layout.pattern)
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
            <Picks<Edge>
              label="Mark which edge"
              value={edge}
              options={[
                { id: 'near', text: 'near edge' },
                { id: 'center', text: 'centre' },
                { id: 'far', text: 'far edge' },
              ]}
              onChange={setEdge}
            />
          </Row>
        </Heading>
        <MarkWalk datum={datum} edge={edge} />
        <WallStage datum={datum} edge={edge} />
      </Drawn>
      <Side aria-label="Marks">
        <MarksTable datum={datum} edge={edge} />
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
                    <th scope="row">{heightMarkName(mark)}</th>
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
